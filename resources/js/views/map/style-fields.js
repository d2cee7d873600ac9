import { element } from '../../ui/element.js';
import { words } from '../../lib/vocabulary.js';

const LEVELS = ['Main sections', 'Their parts', 'Below'];

/**
 * A style of the map, as core/Layout/Map/Dress has it.
 * @typedef {{name: string, stalk: string, lines: number[], sizes: number[], room: number, tints: boolean, forms: string[],
 *     dyes: string[], lettering: string, ground: string, paper: string, picture: string}} Dress
 * @typedef {(change: Partial<Dress>) => void} Change
 */

/** @param {string} label @param {HTMLElement} field */
const row = (label, field) => element('label', { class: 'down' }, element('span', {}, label), field);

/** @param {Record<string, string>} of @param {string} chosen @param {string} label @param {(value: string) => void} set */
function select(of, chosen, label, set) {
    const field = element(
        'select',
        { 'aria-label': label, onchange: () => set(field.value) },
        ...Object.entries(of).map(([value, name]) => element('option', { value, selected: value === chosen }, name)),
    );
    return field;
}

/** @param {string} label @param {number[]} limits least, most, step @param {number} value @param {(value: number) => void} set */
function number(label, [min, max, step], value, set) {
    const field = element('input', {
        type: 'number',
        'aria-label': label,
        min,
        max,
        step,
        value,
        oninput: () => field.value !== '' && field.checkValidity() && set(Number(field.value)),
    });
    return field;
}

/**
 * A dye of the plan, a colour of any kind, or what the topic has.
 * @param {string} label @param {string} chosen @param {(value: string) => void} set
 */
function dye(label, chosen, set) {
    const isOwn = chosen.startsWith('#');
    const wheel = element('input', {
        type: 'color',
        'aria-label': `${label}: colour`,
        value: isOwn ? chosen : '#2f6690',
        hidden: !isOwn,
        oninput: () => set(wheel.value),
    });
    /** @type {string[]} */
    const names = words().dyes;
    const of = { '': 'its own', ...Object.fromEntries(names.map((name) => [name, name])), '#': 'a colour…' };
    const field = select(of, isOwn ? '#' : chosen, label, (value) => {
        wheel.hidden = value !== '#';
        set(value === '#' ? wheel.value : value);
    });
    return element('span', { class: 'dye-field' }, field, wheel);
}

/** A list by level, one of which is another. @template T @param {T[]} list @param {number} at @param {T} value */
const replaced = (list, at, value) => list.map((one, i) => (i === at ? value : one));

/** What is set for each of three levels. @param {Dress} dress @param {() => Dress} now @param {Change} change */
function byLevel(dress, now, change) {
    /** @type {[string, (label: string, i: number) => HTMLElement][]} */
    const rows = [
        [
            'Size of type',
            (label, i) => number(label, [9, 48, 0.5], dress.sizes[i], (value) => change({ sizes: replaced(now().sizes, i, value) })),
        ],
        [
            'Around titles',
            (label, i) => select(words().mapForms, dress.forms[i], label, (value) => change({ forms: replaced(now().forms, i, value) })),
        ],
        ['Dye', (label, i) => dye(label, dress.dyes[i], (value) => change({ dyes: replaced(now().dyes, i, value) }))],
        [
            'Width of lines',
            (label, i) => number(label, [0.5, 8, 0.1], dress.lines[i], (value) => change({ lines: replaced(now().lines, i, value) })),
        ],
    ];
    return element(
        'table',
        { class: 'by-level' },
        element('thead', {}, element('tr', {}, element('td', {}), ...LEVELS.map((name) => element('th', { scope: 'col' }, name)))),
        element(
            'tbody',
            {},
            ...rows.map(([name, field]) =>
                element(
                    'tr',
                    {},
                    element('th', { scope: 'row' }, name),
                    ...LEVELS.map((level, i) => element('td', {}, field(`${name}, ${level.toLowerCase()}`, i))),
                ),
            ),
        ),
    );
}

/** @param {Dress} dress @param {Change} change @param {{choose: () => void, error: HTMLElement}} picture */
function ground(dress, change, picture) {
    const wheel = element('input', {
        type: 'color',
        'aria-label': 'Colour of the ground',
        value: dress.ground || '#f8f4e3',
        hidden: dress.ground === '',
        oninput: () => change({ ground: wheel.value }),
    });
    const as = select({ '': 'as the page', '#': 'a colour…' }, dress.ground && '#', 'Ground', (value) => {
        wheel.hidden = value === '';
        change({ ground: value && wheel.value });
    });
    return element(
        'fieldset',
        { class: 'levels' },
        element('legend', {}, 'Ground'),
        row('Colour', element('span', { class: 'dye-field' }, as, wheel)),
        row(
            'Paper',
            select(words().mapPapers, dress.paper, 'Paper', (paper) => change({ paper })),
        ),
        element(
            'div',
            { class: 'down' },
            element('span', {}, 'Picture'),
            element(
                'span',
                { class: 'dye-field' },
                element('button', { type: 'button', onclick: picture.choose }, dress.picture ? 'Another…' : 'Choose…'),
                dress.picture && element('button', { type: 'button', onclick: () => change({ picture: '' }) }, 'Take away'),
            ),
        ),
        picture.error,
    );
}

/**
 * The fields of a style.
 * @param {Dress} dress as it is when they are drawn
 * @param {() => Dress} now as it is by now
 * @param {Change} change
 * @param {{choose: () => void, error: HTMLElement}} picture how one is chosen, and where it is said why one cannot be
 */
export function styleFields(dress, now, change, picture) {
    const room = element('input', {
        type: 'range',
        min: 0.3,
        max: 2.5,
        step: 0.05,
        value: dress.room,
        'aria-label': 'Room between topics',
        oninput: () => change({ room: Number(room.value) }),
    });
    const tints = element('input', { type: 'checkbox', checked: dress.tints, onchange: () => change({ tints: tints.checked }) });
    return [
        byLevel(dress, now, change),
        element(
            'fieldset',
            { class: 'levels' },
            element('legend', {}, 'Everywhere'),
            row(
                'Type',
                select(words().mapLetterings, dress.lettering, 'Type', (lettering) => change({ lettering })),
            ),
            row(
                'Lines',
                select(words().mapStalks, dress.stalk, 'Lines', (stalk) => change({ stalk })),
            ),
            row('Room', room),
            element('label', { class: 'tick' }, tints, element('span', {}, 'Each main section on a tint of its dye')),
        ),
        ground(dress, change, picture),
    ];
}
