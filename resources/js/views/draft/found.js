import { textsOf } from '../../note/texts.js';
import { inOrder, rangeIn } from '../../ui/ranges.js';
import { LABEL } from '../../ui/replacing.js';

/** @typedef {import('../../ui/given.d.ts').Hit} Hit */

/**
 * Where hits stand in the text: where it is read, in what PHP has printed; where it is written, in the editor.
 * @param {import('./draft.js').Draft} draft
 * @param {Map<string, Hit[]>} byTopic
 * @returns {Generator<[Range, Hit]>}
 */
export function* rangesOf({ made, open, editor }, byTopic) {
    for (const [id, hits] of byTopic) {
        const node = made.get(id)?.node;
        const title = node?.querySelector('.draft-title');
        const read = node?.querySelector('.read');
        if (title) {
            yield* inOrder(
                title,
                hits.filter(({ block }) => !block),
            );
        }
        const inText = hits.filter(({ block }) => block && block !== LABEL);
        if (id === open) {
            for (const hit of inText) {
                const range = editor ? rangeIn(textsOf(editor.editor, /** @type {string} */ (hit.block), hit.line), hit) : null;
                if (range) {
                    yield [range, hit];
                }
            }
        } else if (read && inText.length) {
            yield* inOrder(read, inText);
        }
    }
}
