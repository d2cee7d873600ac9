import assert from 'node:assert/strict';
import { test } from 'node:test';
import { browser } from './browser.js';
import table from '../../resources/keys.json' with { type: 'json' };

/** Whatever is asked of it, called or made: another of the same. */
const anything = new Proxy(function () {}, {
    get: (_, key) => (key === Symbol.toPrimitive ? () => 0 : key === Symbol.iterator ? [][Symbol.iterator].bind([]) : anything),
    apply: () => anything,
    construct: () => anything,
});

/** What a view is while it says what can be done in it. */
const view = (of) => new Proxy(of, { get: (target, key) => target[key] ?? anything });

test('every key and every name in the table has a command, provided by its place, and nothing else is provided', async () => {
    browser();
    Object.assign(globalThis, { window: globalThis, HTMLElement: class {}, Element: class {}, CSS: { supports: () => false } });
    const { Commands } = await import('../../resources/js/commands/commands.js');
    const { Anywhere } = await import('../../resources/js/views/anywhere.js');
    const { rowCommands } = await import('../../resources/js/views/outline/commands.js');
    const { Writing } = await import('../../resources/js/views/outline/writing.js');
    const { MapView } = await import('../../resources/js/views/map/map.js');
    const { ResearchView } = await import('../../resources/js/views/sources/research.js');
    const { Findings } = await import('../../resources/js/views/check/findings.js');
    const { Gather } = await import('../../resources/js/views/gather/gather.js');
    const commands = new Commands();
    const of = (made) => Object.getOwnPropertyDescriptor(made.prototype, 'commands').get.call(view({}));
    Anywhere.prototype.provide.call(view({ commands }));
    commands.provide('row', rowCommands(view({})));
    commands.provide('title', of(Writing));
    commands.provide('map', of(MapView));
    ResearchView.prototype.provide.call(view({}), commands);
    const { Crossing } = await import('../../resources/js/views/draft/crossing.js');
    Crossing.prototype.provide.call(view({ page: { commands } }));
    Findings.prototype.provide.call(view({ page: { commands } }));
    const { ScheduleView } = await import('../../resources/js/views/schedule/schedule.js');
    ScheduleView.prototype.provide.call(view({ page: { commands } }));
    const { Film } = await import('../../resources/js/views/film/film.js');
    Film.prototype.provide.call(view({}), commands);
    const { Present } = await import('../../resources/js/views/present/present.js');
    Present.prototype.provide.call(view({}), commands);
    Gather.prototype.provide.call(view({}), commands);
    // The editor of notes brings its own keys; the clipboard comes by the browser's own events.
    const elsewhere = ({ where, id }) => where === 'note' || (where === 'row' && ['copy', 'cut', 'paste'].includes(id));
    const lacking = table.filter((entry) => !elsewhere(entry) && !commands.known.has(`${entry.where} ${entry.id}`));
    assert.deepEqual(
        lacking.map(({ where, id }) => `${where} ${id}`),
        [],
    );
    assert.throws(() => commands.provide('row', { flyAway: () => true }), /flyAway/);
});
