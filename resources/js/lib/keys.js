import table from '../../keys.json' with { type: 'json' };

const tables = new Map();
for (const { where, id, keys } of table) {
    const map = tables.get(where) ?? tables.set(where, new Map()).get(where);
    keys.forEach((key) => map.set(key, id));
}

/** A key press as the table spells it: Ctrl (or Cmd), Alt and Shift, then the key. Digits go by position. @param {any} event */
export function spelled(event) {
    const digit = digitOf(event);
    let key = digit && !event.shiftKey ? String(digit.digit) : event.key === ' ' ? 'Space' : event.key;
    if (key.length === 1) {
        key = key.toUpperCase();
    }
    // A sign that needs Shift on some layouts and not on others is named by itself.
    const shift = event.shiftKey && (key.length > 1 || /[A-Z0-9]/.test(key));
    return (event.ctrlKey || event.metaKey ? 'Ctrl+' : '') + (event.altKey ? 'Alt+' : '') + (shift ? 'Shift+' : '') + key;
}

/**
 * The digit of a key press by its place on the keyboard, whatever the layout, with or without Shift; null for another key.
 * @param {any} event
 */
export function digitOf(event) {
    const match = /^(?:Digit|Numpad)(\d)$/.exec(event.code);
    return match && !event.ctrlKey && !event.metaKey && !event.altKey && !event.isComposing
        ? { digit: Number(match[1]), shift: event.shiftKey }
        : null;
}

/**
 * What the key that is pressed stands for, of those that are given.
 * @template T
 * @param {KeyboardEvent} event
 * @param {Record<string, T>} of
 * @returns {T | undefined}
 */
export const byKey = (event, of) => of[event.key];

/** The action of a key press in a place, or undefined. Nothing while an input method composes. @param {any} event @param {string} where */
export function actionFor(event, where) {
    return event.isComposing || event.keyCode === 229 ? undefined : tables.get(where)?.get(spelled(event));
}
