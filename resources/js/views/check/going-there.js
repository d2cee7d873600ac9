import { ROOT, TRAY } from '../../state/plan.js';

/** What is written in the note of a topic, as against its title and its place. */
const IN_THE_NOTE = new Set(['nothing-yet', 'empty-last', 'empty-branch', 'empty-section', 'far-under', 'stacked-headings']);

/**
 * Goes where a finding is: to the topic, to its note and the place in it, to the source, or to the loose ideas.
 * @param {import('../page.js').Page} page
 * @param {string} rule
 * @param {{topic: string | null, block: string | null, source: string | null}} finding
 */
export async function goToFinding(page, rule, { topic, block, source }) {
    if (source) {
        await page.show('sources');
        const sources = await page.views.loaded('sources');
        await sources?.load();
        const one = sources?.all.find((/** @type {any} */ known) => known.source.id === source);
        one && sources.form.open(one);
    } else if (topic === TRAY) {
        await page.show('gather');
    } else if (rule === 'nothing-yet') {
        const first = page.tree.partsOf(ROOT)[0];
        page.openNoteOf(first ?? ROOT);
    } else if (topic && (block || IN_THE_NOTE.has(rule))) {
        page.openNoteOf(topic);
        await page.note.fetch();
        await page.note.editor?.body.coming;
        block && page.note.editor?.focusBlock(block);
    } else if (topic === ROOT) {
        page.properties.open();
    } else if (topic) {
        page.goTo(topic);
    }
}
