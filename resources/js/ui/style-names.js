import { element } from './element.js';
import { words } from '../lib/vocabulary.js';

/** What styles are called that somebody brought along, as far as it was told. @type {Map<string, string>} */
const told = new Map();

/** @param {{key: string, label: string}} style */
export function tellStyle({ key, label }) {
    told.set(key, label);
}

/** @param {string} key */
export const styleName = (key) => words().citationStyles[key] ?? told.get(key) ?? 'A style of its own';

/** Fills a list with the usual styles, and the one that is chosen. @param {HTMLSelectElement} select @param {string} chosen */
export function offerStyles(select, chosen) {
    const keys = new Set([...words().usualCitationStyles, chosen]);
    select.replaceChildren(...[...keys].map((value) => element('option', { value }, styleName(value))));
    select.value = chosen;
}
