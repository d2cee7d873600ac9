import { store } from '../lib/stored.js';

/** Changes in the browser's own storage, each under the plan's prefix, the tab that made it, and its id. */

/** @typedef {import('./queue.js').Change} Change */

/** @param {string} prefix @param {string} tab @param {Change} change */
export function keepChange(prefix, tab, change) {
    store(`${prefix}${tab}.${change.id}`, JSON.stringify(change));
}

/** @param {string} prefix @param {string} tab @param {string} id */
export function dropChange(prefix, tab, id) {
    localStorage.removeItem(`${prefix}${tab}.${id}`);
}

/**
 * What tabs that are no longer open have left, oldest first; a tab that is open holds a lock of its name.
 * @param {string} prefix
 * @param {string} own the tab that asks
 * @returns {Promise<Change[]>}
 */
export async function leftBehind(prefix, own) {
    const locks = await navigator.locks?.query();
    const held = new Set(locks?.held?.map((lock) => lock.name));
    /** @type {Change[]} */
    const left = [];
    for (const [key, text] of Object.entries(localStorage)) {
        const [tab, id] = key.startsWith(prefix) ? key.slice(prefix.length).split('.') : [];
        if (id && tab !== own && !held.has(prefix + tab)) {
            left.push({ ...JSON.parse(text), tab });
        }
    }
    return left.sort((a, b) => (a.id < b.id ? -1 : 1));
}
