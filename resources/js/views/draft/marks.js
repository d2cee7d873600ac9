import { disc } from '../../ui/disc.js';
import { element } from '../../ui/element.js';

/**
 * What stands beside the sections of the draft: what is new, and who is there.
 * @param {import('./draft.js').Draft} draft
 */
export function markSections({ box, page }) {
    const { beside } = page.tree;
    for (const mark of box.querySelectorAll('.section-marks')) {
        mark.remove();
    }
    for (const id of new Set([...beside.fresh, ...beside.here.keys()])) {
        const head = box.querySelector(`[data-topic="${id}"] > .note-of-head`);
        head?.append(
            element(
                'span',
                { class: 'section-marks' },
                ...(beside.here.get(id) ?? []).map((name) => disc(name, { title: `${name} is here` })),
                beside.fresh.has(id) && element('small', { class: 'k fresh' }, 'new'),
            ),
        );
    }
}
