import { figures } from '../../lib/counted.js';
import { classes, colour, element, icon } from '../../ui/element.js';
import { ROOT } from '../../state/plan.js';

/** @type {Record<string, string>} */
const NOTHING = { point: 'No text of its own', quote: 'No text of its own', aside: 'Nothing written here yet; it does not print' };

const NUMBERS = ['No', 'One', 'Two', 'Three', 'Four', 'Five', 'Six', 'Seven', 'Eight', 'Nine', 'Ten', 'Eleven', 'Twelve'];

/**
 * What a topic prints as; the opening note as a section does.
 * @param {import('../../state/plan.js').Tree} tree @param {string} id @returns {string}
 */
export const kindOf = (tree, id) => tree.get(id)?.kind ?? 'section';

/** What stands where nothing is written. @param {import('../../state/plan.js').Tree} tree @param {string} id */
function missing(tree, id) {
    const kind = kindOf(tree, id);
    const follow = tree.partsOf(id).filter((part) => tree.get(part)?.kind === 'section').length;
    const after = follow && id !== ROOT ? ` ${NUMBERS[follow] ?? follow} ${follow === 1 ? 'section follows' : 'sections follow'}.` : '';
    return `${NOTHING[kind] ?? 'Nothing written here yet'}.${after}`;
}

/** Words of a section and all under it, beside its target. @param {import('../../state/plan.js').Tree} tree @param {string} id */
export function wordsOf(tree, id) {
    const [words] = tree.figures.get(id) ?? [0];
    const target = tree.noteBearer(id).target;
    return target ? `${figures(words)} of ${figures(target)}` : words ? figures(words) : '';
}

/**
 * One section as it is read: its number, its title, its words, its text.
 * @param {import('./draft.js').Draft} draft
 * @param {string} id
 * @param {number} level
 * @param {number} depth of its heading
 */
export function section(draft, id, level, depth) {
    const { tree } = draft.page;
    const topic = tree.noteBearer(id);
    const name = id === ROOT ? 'Opening note' : topic.title || 'Untitled';
    const kind = kindOf(tree, id);
    const head = element(
        /** @type {'h2'} */ (kind === 'section' ? `h${Math.min(6, depth + 1)}` : 'p'),
        { id: `note-of-${id}`, class: 'draft-head' },
        topic.label && element('span', { class: 'n' }, topic.label),
        topic.label && ' ',
        id === ROOT ? name : draft.titles.field(id),
    );
    const read = element('div', { class: classes('read', !draft.html.has(id) && 'is-missing') });
    if (draft.html.has(id)) {
        // PHP has made it out of the note, and escaped it.
        read.innerHTML = draft.html.get(id) ?? '';
    } else {
        read.append(element('p', { class: 'quiet' }, missing(tree, id)));
    }
    const mayWrite = draft.page.session.rights.mayWrite;
    // A note that is there may still be on its way.
    const isBlank = mayWrite && !draft.html.has(id) && !topic.noted;
    return element(
        'section',
        {
            'data-topic': id,
            'aria-labelledby': head.id,
            class: classes('note-of', `level-${Math.min(3, Math.max(1, level))}`, `is-${kind}`),
            '--d': colour(tree.get(tree.mainSection(id))?.dye ?? 'slate'),
        },
        element(
            'div',
            { class: 'note-of-head' },
            head,
            kind === 'aside' && element('span', { class: 'draft-out' }, 'left out'),
            mayWrite &&
                element(
                    'button',
                    { type: 'button', class: 'plain write-here', 'data-act': 'write', 'aria-label': `Write in the note of ${name}` },
                    'Write',
                ),
            isBlank &&
                element(
                    'button',
                    { type: 'button', class: 'plain write-here', 'data-act': 'ask', 'aria-label': `Ask me about ${name}` },
                    'Ask me',
                ),
            isBlank &&
                kind === 'section' &&
                id !== ROOT &&
                element(
                    'button',
                    { type: 'button', class: 'plain write-here', 'data-act': 'sketch', 'aria-label': `First draft of ${name}` },
                    'First draft',
                ),
            mayWrite &&
                id !== ROOT &&
                element(
                    'button',
                    { type: 'button', class: 'ico more-of', 'data-act': 'more', 'aria-label': `More for ${name}`, title: 'More' },
                    icon('ellipsis'),
                ),
            id !== ROOT && element('span', { class: 'draft-words' }, wordsOf(tree, id)),
        ),
        read,
    );
}

/**
 * What a section is drawn from: it is made anew only where this is another.
 * @param {import('./draft.js').Draft} draft @param {string} id @param {{level: number, depth: number}} row
 */
export function drawnFrom(draft, id, { level, depth }) {
    const { tree } = draft.page;
    const { label, title, target, noted } = tree.noteBearer(id);
    const kind = kindOf(tree, id);
    const dye = tree.get(tree.mainSection(id))?.dye;
    const parts = draft.html.has(id) ? 0 : tree.partsOf(id).length;
    return JSON.stringify([
        label,
        title,
        kind,
        target,
        noted,
        dye,
        parts,
        tree.figures.get(id),
        level,
        depth,
        draft.html.get(id)?.length,
        draft.read.get(id),
    ]);
}

/**
 * Number and words of a section that stays as it is, because somebody writes in it.
 * @param {HTMLElement} node @param {import('../../state/plan.js').Tree} tree @param {string} id
 */
export function renumber(node, tree, id) {
    const label = tree.noteBearer(id).label ?? '';
    const head = node.querySelector('.draft-head');
    const known = head?.querySelector('.n');
    if (known && known.textContent !== label) {
        known.textContent = label;
    } else if (!known && label) {
        head?.prepend(element('span', { class: 'n' }, label), ' ');
    }
    const words = node.querySelector('.draft-words');
    if (words) {
        words.textContent = wordsOf(tree, id);
    }
}

/**
 * The sections in parts of the page, one for each main section: what is far from sight is passed over as one.
 * @param {import('./draft.js').Draft} draft
 * @param {HTMLElement[]} sections in order
 * @returns {HTMLElement[]}
 */
export function inParts(draft, sections) {
    /** @type {Map<HTMLElement, HTMLElement[]>} */
    const held = new Map();
    for (const node of sections) {
        const main = draft.page.tree.mainSection(node.dataset.topic ?? ROOT) ?? ROOT;
        const part = draft.parts.get(main) ?? element('div', { class: 'draft-part' });
        draft.parts.set(main, part);
        held.get(part)?.push(node) ?? held.set(part, [node]);
    }
    held.forEach((nodes, part) => arrange(part, nodes));
    return [...held.keys()];
}

/**
 * Puts elements into a box in their order, and moves none that stands right already: it would lose the keyboard.
 * @param {Element} box
 * @param {Element[]} wanted
 */
export function arrange(box, wanted) {
    const stays = new Set(wanted);
    for (const one of [...box.children]) {
        stays.has(one) || one.remove();
    }
    let at = box.firstElementChild;
    for (const one of wanted) {
        if (one === at) {
            at = at.nextElementSibling;
        } else {
            box.insertBefore(one, at);
        }
    }
}
