import { byId } from './lib/dom.js';
import { know } from './lib/vocabulary.js';
import { Commands } from './commands/commands.js';
import { Present } from './views/present/present.js';
import { Speaker } from './views/present/speaker.js';
import { Watch } from './views/present/watch.js';

/** A plan before an audience: the window that is shown, the speaker's own, or a screen on another machine. */
const given = JSON.parse(byId('present-data').textContent);
know(given.vocabulary);
window.addEventListener('DOMContentLoaded', () => {
    const commands = new Commands();
    const made =
        given.role === 'watch' ? new Watch(given) : given.role === 'speaker' ? new Speaker(given, commands) : new Present(given, commands);
    made.begin();
});
