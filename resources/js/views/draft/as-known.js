import { plainText } from '../../lib/plain.js';
import { element } from '../../ui/element.js';
import { ROOT } from '../../state/plan.js';

/** The notes as they were told last, as plain text, where the server is not reached. @param {import('./draft.js').Draft} draft */
export async function asKnown({ page, html }) {
    const known = new Map(html);
    for (const { id } of [{ id: ROOT }, ...page.tree.rows(new Set())]) {
        const note = !known.has(id) && page.tree.noteBearer(id).noted ? await page.session.noteOf(id) : null;
        if (note) {
            const box = element('div', {}, ...note.blocks.map((/** @type {any} */ one) => element('p', {}, plainText(one))));
            known.set(id, box.innerHTML);
        }
    }
    if (page.view === 'draft') {
        page.say('Not connected: the notes are shown as they were known last, without their look. They can be written.');
    }
    return known;
}
