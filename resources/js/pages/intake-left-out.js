import { component } from './component.js';
import { counted } from '../lib/counted.js';

/** What a file holds that is not taken in, and what was mended in it. */
export const leftOut = component({
    /** What could come in too, each piece with its words and its place. */
    get leftOut() {
        const place = (/** @type {any} */ after) => (after ? `after “${after}”` : 'at the beginning');
        return (this.seen?.leftOut ?? []).map(
            (
                /** @type {{what: string, after: string, words: number, text: string}} */ { what, after, words, text },
                /** @type {number} */ key,
            ) => ({
                key,
                text,
                says: `${counted(words, 'word')} of ${what}, ${place(after)}`,
            }),
        );
    },
    get hasLeftOut() {
        return this.leftOut.length > 0 || this.keepsLeftOut;
    },
    get repairs() {
        return this.seen?.repairs ?? [];
    },
});
