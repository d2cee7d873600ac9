import { send } from '../../lib/http.js';
import { words } from '../../lib/vocabulary.js';

/** @typedef {import('./style-fields.js').Dress} Dress */

/** The styles of the map that a person has: those of ours, and those kept under names. */
export class OwnStyles {
    constructor() {
        /** Id → style. @type {Record<string, Dress>} */
        this.kept = {};
    }

    /** All of them. @returns {{value: string, name: string, isOwn: boolean}[]} */
    get all() {
        /** @type {[string, string][]} */
        const ours = Object.entries(words().mapStyles);
        return [
            ...ours.map(([value, name]) => ({ value, name, isOwn: false })),
            ...Object.entries(this.kept).map(([value, { name }]) => ({ value, name, isOwn: true })),
        ];
    }

    /** @param {string} value one of ours, or the id of one's own @returns {Dress | undefined} */
    dress(value) {
        return this.kept[value] ?? words().mapDresses[value];
    }

    async load() {
        await this.told(send('GET', '/map-styles'));
    }

    /** @param {Dress} style @returns {Promise<string>} its id @throws {import('../../lib/http.js').Refusal} */
    keep(style) {
        return this.told(send('POST', '/map-styles', { style }));
    }

    /** @param {File} file @returns {Promise<string>} the id of the style in it @throws {import('../../lib/http.js').Refusal} */
    takeIn(file) {
        const form = new FormData();
        form.append('file', file);
        return this.told(send('POST', '/map-styles/file', form));
    }

    /** @param {string} id */
    forget(id) {
        return this.told(send('DELETE', `/map-styles/${id}`));
    }

    /** @param {Promise<{kept: Record<string, Dress>, id: string}>} asked */
    async told(asked) {
        const { kept, id } = await asked;
        this.kept = kept;
        return id;
    }
}
