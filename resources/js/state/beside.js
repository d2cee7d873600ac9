import { dyeOfPerson, initials } from './work.js';

/** Which signs are of what is beside the plan. */
export const BESIDE = new Set(['said', 'fresh', 'here']);

/**
 * What is known of topics beside the plan: what is said about them, what is new to the person, and who is there.
 * It is no part of the plan, and stands in no answer about it.
 */
export class Beside {
    constructor() {
        /** Topic → how many threads are open on it. @type {ReadonlyMap<string, number>} */
        this.said = new Map();
        /** Topics that others have changed since one was there. @type {ReadonlySet<string>} */
        this.fresh = new Set();
        /** Whether the screen has little room beside a title. */
        this.isNarrow = false;
        /** Topic → who is there, by name. @type {ReadonlyMap<string, string[]>} */
        this.here = new Map();
    }

    /** The signs of these beside a title. @param {string} id @returns {import('./labels.js').Sign[]} */
    signs(id) {
        /** @type {import('./labels.js').Sign[]} */
        const signs = [];
        const said = this.said.get(id);
        if (this.fresh.has(id)) {
            signs.push({ which: 'fresh', text: 'new', says: 'new' });
        }
        if (said) {
            signs.push({ which: 'said', text: String(said), says: `${said} ${said === 1 ? 'comment' : 'comments'}` });
        }
        for (const name of this.here.get(id) ?? []) {
            signs.push({ which: 'here', text: initials(name), says: `${name} is here`, dye: dyeOfPerson(name) });
        }
        return signs;
    }
}
