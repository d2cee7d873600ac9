import { send } from '../lib/http.js';
import { newId } from '../lib/ids.js';
import { say } from './toast.js';
import { element } from './element.js';
import { player } from './player.js';
import { Recorder } from './recorder.js';

/**
 * A file that hangs on a source or a topic.
 * @typedef {{id: string, name: string, bytes: number, plays: 'sound' | 'film' | null}} Attached
 */

/** The files that hang on a source or a topic. */
export class Files {
    /** @param {import('../sync/session.js').Session} session */
    constructor(session) {
        this.session = session;
    }

    /** @param {HTMLElement | null} box @param {string} holder of what @param {Attached[]} files @param {() => unknown} changed */
    draw(box, holder, files, changed) {
        if (!box) {
            return;
        }
        const chooser = element('input', {
            type: 'file',
            hidden: true,
            'aria-label': 'A file',
            onchange: () => {
                const file = chooser.files?.[0];
                chooser.value = '';
                file && this.take(holder, file).then(changed);
            },
        });
        box.replaceChildren(
            element('span', { class: 'legend' }, 'Files'),
            chooser,
            ...files.map((file) =>
                element(
                    'p',
                    { class: 'file' },
                    element('a', { class: 'link', href: `${this.session.address}/attachments/${file.id}`, download: '' }, file.name),
                    element('small', {}, size(file.bytes)),
                    element(
                        'button',
                        {
                            type: 'button',
                            class: 'plain',
                            'aria-label': `Take off ${file.name}`,
                            onclick: () => this.remove(file, false, changed).then(changed),
                        },
                        'Take off',
                    ),
                    file.plays && player(`${this.session.address}/attachments/${file.id}/play`, file.name, file.plays),
                ),
            ),
            element(
                'p',
                { class: 'row-acts' },
                element('button', { type: 'button', class: 'plain', onclick: () => chooser.click() }, 'Add a file…'),
                element(
                    'button',
                    { type: 'button', class: 'plain', onclick: () => new Recorder((file) => this.take(holder, file).then(changed)).open() },
                    'Record…',
                ),
            ),
            element('small', { class: 'quiet' }, 'PDF, pictures and text to 20 MB; sounds and films to 100 MB'),
        );
    }

    /** @param {string} holder @param {File} file */
    async take(holder, file) {
        const body = new FormData();
        body.append('id', newId());
        body.append('holder', holder);
        body.append('file', file);
        say('Taking the file in…');
        const answer = await this.session.upload('attachments', body);
        if (answer) {
            say('The file was kept.');
        }
    }

    /** @param {string} holder @param {string} name @param {string} text */
    keepText(holder, name, text) {
        return send('POST', `${this.session.address}/attachments`, { id: newId(), holder, name: name.slice(0, 120), text }).catch((error) =>
            say(error.message),
        );
    }

    /** @param {Attached} file @param {boolean} [back] @param {() => unknown} [changed] */
    async remove(file, back = false, changed = () => {}) {
        await send('DELETE', `${this.session.address}/attachments/${file.id}`, { back }).catch((error) => say(error.message));
        if (!back) {
            say('The file was taken off.', { label: 'Undo', act: () => this.remove(file, true).then(changed) });
        }
    }
}

const size = (/** @type {any} */ bytes) =>
    bytes < 100_000 ? `${Math.max(1, Math.round(bytes / 1000))} kB` : `${(bytes / 1_000_000).toFixed(1)} MB`;
