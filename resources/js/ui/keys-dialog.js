import { byKey } from '../lib/keys.js';
import { byId, firstOf, held } from '../lib/dom.js';
import { allKeys, written } from '../commands/commands.js';
import { words } from '../lib/vocabulary.js';
import { element } from './element.js';

/** A command, as the table has it. @typedef {{where: string, id: string, does: string, name?: string, keys: string[]}} Named */

/** Every key of two or more, as it is written. */
const KEYS = new Set(
    allKeys()
        .map((key) => written(key).toLowerCase())
        .filter((key) => key.includes(' ')),
);

/**
 * All that can be done, from the table of commands: letters narrow it, and what may be done now is
 * done from here.
 */
export class KeysDialog {
    /**
     * @param {import('../commands/commands.js').Commands} commands
     * @param {object} view
     * @param {() => string[]} view.places where one is, as the table of commands has it
     * @param {() => import('../commands/commands.js').At} view.at on what
     * @param {() => void} view.back gives the keyboard back
     */
    constructor(commands, view) {
        this.commands = commands;
        this.view = view;
        this.dialog = byId('keys', HTMLDialogElement);
        this.field = firstOf(this.dialog, 'input', HTMLInputElement);
        this.list = firstOf(this.dialog, '.commands');
        this.field.addEventListener('input', () => this.draw());
        this.dialog.addEventListener('keydown', (event) => this.pressed(event));
    }

    open() {
        this.field.value = '';
        this.at = this.view.at();
        this.draw();
        this.dialog.showModal();
        this.field.focus();
    }

    draw() {
        const wanted = this.field.value.trim().toLowerCase();
        const here = new Set(['anywhere', ...this.view.places()]);
        const places = [...this.view.places(), 'anywhere', ...Object.keys(words().places).filter((where) => !here.has(where))];
        const groups = places.map((where) => ({ where, all: found(this.commands.in([where]), wanted) })).filter(({ all }) => all.length);
        this.list.replaceChildren(
            ...groups.map(({ where, all }) =>
                element(
                    'section',
                    { 'aria-label': words().places[where] },
                    element('h3', {}, words().places[where]),
                    element('ul', {}, ...all.map((one) => element('li', {}, this.entry(one, here.has(where))))),
                ),
            ),
        );
        firstOf(this.dialog, '.nothing').hidden = groups.length > 0;
    }

    /** @param {Named} one @param {boolean} isHere */
    entry({ where, id, keys, does }, isHere) {
        const isRange = keys.length === 9;
        const shown = isRange ? [`${written(keys[0])} to ${written(keys[8])}`] : keys.map(written);
        const parts = [
            element('span', {}, does),
            element('span', { class: 'by-keys' }, ...shown.map((key) => element('kbd', { class: 'kbd' }, key))),
        ];
        // What asks for one key of several, or for a place within a text, is done by that key alone.
        const isDone = isHere && !isRange && this.commands.may(where, id, this.at);
        return isDone ? element('button', { type: 'button', onclick: () => this.run(where, id) }, ...parts) : element('div', {}, ...parts);
    }

    /** @param {string} where @param {string} id */
    run(where, id) {
        this.dialog.close();
        this.view.back();
        this.commands.run(where, id, this.at);
    }

    /** @param {KeyboardEvent} event */
    pressed(event) {
        const buttons = [...this.list.querySelectorAll('button')];
        const by = byKey(event, { ArrowDown: 1, ArrowUp: -1 });
        if (event.key === 'Enter' && event.target === this.field && !event.isComposing) {
            event.preventDefault();
            buttons[0]?.click();
        } else if (by) {
            event.preventDefault();
            (buttons[buttons.indexOf(/** @type {HTMLButtonElement} */ (held())) + by] ?? this.field).focus();
        }
    }
}

/**
 * Those that are meant: by a key that is named, else by words, the shortest first, as what says little else is meant most surely.
 * @param {Named[]} all
 * @param {string} wanted
 */
function found(all, wanted) {
    const isKey = KEYS.has(wanted);
    const some = all.filter((one) => (isKey ? one.keys.some((key) => written(key).toLowerCase() === wanted) : matches(one, wanted)));
    return wanted ? some.sort((one, other) => one.does.length - other.does.length) : some;
}

/** Whether each of the words typed stands in what a command does, or is a key of it. @param {Named} one @param {string} wanted */
function matches({ does, name = '', keys }, wanted) {
    const text = `${does} ${name} ${keys.map(written).join(' ')}`.toLowerCase();
    return wanted.split(/\s+/).every((word) => text.includes(word));
}
