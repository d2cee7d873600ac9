import { store } from '../lib/stored.js';

const KEY = 'embrel.writing';
const options = JSON.parse(localStorage.getItem(KEY) ?? '{}');

/** A choice of the person's own for writing, kept in this browser: size of text for reading, typographic signs. */
export const option = (/** @type {string} */ name) => options[name];

/** @param {string} name @param {any} value */
export function setOption(name, value) {
    options[name] = value;
    store(KEY, JSON.stringify(options));
    showSize();
}

/** The size of text for reading, as the styles have it. */
export function showSize() {
    document.documentElement.style.setProperty('--note-size', String(1 + 0.12 * (options.size ?? 0)));
}
