import { NoteEditor } from '../../note/editor.js';

/**
 * Lets one write in a section: the one editor goes there.
 * @param {import('./draft.js').Draft} draft @param {HTMLElement} place @param {string} id
 */
export function beginIn(draft, place, id) {
    if (!draft.editor) {
        const on = { onState: () => {}, onRemoved: () => draft.outwards(), onParted: (/** @type {string} */ to) => draft.parted(to) };
        draft.editor = new NoteEditor(draft.page.desk, { box: draft.text, tools: draft.tools, ...on });
        draft.editor.editor.registerPlugin(draft.crossing.plugin, (plugin, all) => [plugin, ...all]);
    }
    place.append(draft.text, draft.tools);
    draft.editor.take(id);
}
