import { childrenOf } from '../../lib/dom.js';
import { counted, figures } from '../../lib/counted.js';
import { signIcon } from '../../ui/sign-icon.js';
import { BESIDE } from '../../state/beside.js';
import { rowSigns, signsOf } from '../../state/labels.js';
import { classes, colour, element, icon, setAttributes } from '../../ui/element.js';

/**
 * A row, empty.
 * @param {string} id
 * @param {(command: string, anchor: Element) => void} on
 */
export function buildRow(id, on) {
    const act = (/** @type {string} */ command) => (/** @type {Event} */ event) => {
        event.stopPropagation();
        on(command, /** @type {Element} */ (event.currentTarget));
    };
    const node = element(
        'div',
        { class: 'row', role: 'treeitem', id: `row-${id}` },
        element('span', { class: 'n', 'data-drag': true }),
        element(
            'div',
            { class: 't' },
            element('button', { class: 'fold', type: 'button', tabindex: -1, onclick: act('toggleFold') }, icon('chevron-right')),
            element('span', { class: 'title' }),
            element('span', { class: 'signs' }),
            element('button', { class: 'k related', type: 'button', tabindex: -1, hidden: true, onclick: act('showRelations') }),
            element('span', { class: 'inside', hidden: true }),
        ),
        element(
            'div',
            { class: 'm' },
            element('button', { class: 'open menu-open', type: 'button', tabindex: -1, onclick: act('openMenu') }, icon('ellipsis')),
            element('button', { class: 'open note-mark', type: 'button', tabindex: -1, onclick: act('openNote') }, icon('notebook-pen')),
            element('span', { class: 'count' }),
            element('span', { class: 'floret', role: 'img' }),
        ),
    );
    node.dataset.id = id;
    return node;
}

/**
 * How a row is shown.
 * @typedef {object} Shown
 * @property {number} level
 * @property {boolean} [loose]
 * @property {boolean} isLast of its main section
 * @property {boolean} isActive
 * @property {boolean} isMarked
 * @property {boolean} isFolded
 * @property {boolean} isDim
 * @property {number} relations how many it has
 */

/**
 * Fills a row with what a topic is now.
 * @param {HTMLElement} node
 * @param {import('../../state/plan.js').Tree} tree
 * @param {string} id
 * @param {Shown} how
 */
export function fillRow(node, tree, id, { level, loose, isLast, isActive, isMarked, isFolded, isDim, relations }) {
    const topic = tree.get(id);
    const parts = tree.partsOf(id);
    const siblings = tree.partsOf(topic.parent);
    const folded = isFolded && parts.length > 0;
    const [words, filled] = tree.figures.get(id) ?? [0, 0];
    const untitled = topic.title === '';
    const name = topic.title || 'Untitled topic';
    const looks = classes(
        `row l${loose ? 2 : Math.min(level, 2)} kind-${topic.kind}`,
        level === 1 && 'first',
        isLast && 'last',
        isActive && 'is-active',
        loose && 'is-loose',
        isDim && 'is-dim',
    );
    if (node.className !== looks) {
        node.className = looks;
    }
    node.style.setProperty('--l', String(Math.min(level - 1, 14)));
    node.style.setProperty('--d', colour(loose ? 'slate' : tree.dye(id)));
    node.style.setProperty('--p', String(filled));
    setAttributes(node, {
        'aria-level': level,
        'aria-setsize': siblings.length,
        'aria-posinset': siblings.indexOf(id) + 1,
        'aria-selected': isMarked,
        'aria-expanded': parts.length ? !folded : null,
        'aria-label': said(tree, topic, name, relations, folded ? tree.branch(id).length - 1 : 0, words),
    });
    const [number, main, meta] = childrenOf(node);
    // The spaces keep the words of a row apart for who hears it.
    number.textContent = topic.label ? `${topic.label} ` : '';
    number.classList.toggle('is-long', topic.label.length > 8);
    const [fold, title, signs, related, inside] = childrenOf(main);
    fold.style.visibility = parts.length ? '' : 'hidden';
    setAttributes(fold, { 'aria-label': `${folded ? 'Unfold' : 'Fold'} ${name}` });
    if (title.tagName !== 'INPUT') {
        title.textContent = untitled ? 'Untitled' : topic.title;
        title.title = topic.title.length > 60 ? topic.title : '';
        title.classList.toggle('is-empty', untitled);
    }
    showSigns(signs, rowSigns(tree, topic));
    show(related, relations ? ` ${relations} ${relations === 1 ? 'relation' : 'relations'}` : '');
    show(inside, folded ? ` ${tree.branch(id).length - 1} inside` : '');
    const [menu, note, count, floret] = childrenOf(meta);
    setAttributes(menu, { 'aria-label': `More for ${name}` });
    setAttributes(note, { 'aria-label': `${topic.noted ? 'Open' : 'Write'} the note of ${name}` });
    note.classList.toggle('has-note', topic.noted);
    count.textContent = words ? ` ${figures(words)}` : '';
    const target = topic.target ? ` of ${topic.target}` : '';
    const says = (/** @type {number | string} */ number) => (target ? `${number}${target} words` : counted(words, 'word'));
    setAttributes(floret, { 'aria-label': says(words), title: says(figures(words)) });
    floret.style.visibility = topic.kind === 'aside' ? 'hidden' : '';
}

/**
 * What a row is called, in the order in which it shows it.
 * @param {import('../../state/plan.js').Tree} tree
 * @param {import('../../state/topics.js').Topic} topic
 * @param {string} name
 * @param {number} related
 * @param {number} inside
 * @param {number} words
 */
function said(tree, topic, name, related, inside, words) {
    const signs = signsOf(tree, topic);
    return [
        topic.label,
        name,
        ...signs.filter(({ which }) => !BESIDE.has(which)).map(({ says }) => says),
        related ? counted(related, 'relation') : '',
        inside ? `${inside} inside` : '',
        words ? counted(words, 'word') : '',
        topic.noted ? 'with a note' : '',
        ...signs.filter(({ which }) => BESIDE.has(which)).map(({ says }) => says),
    ]
        .filter(Boolean)
        .join(' ');
}

/** Drawn anew only where they are others. @param {HTMLElement} box @param {import('../../state/labels.js').Sign[]} signs */
function showSigns(box, signs) {
    const are = JSON.stringify(signs);
    if ((box.dataset.are ?? '[]') !== are) {
        box.dataset.are = are;
        box.replaceChildren(
            ...signs.map(({ which, text, sign, flag, dye }) =>
                // What is beside the plan is told in words, behind all that is read here: this is a picture of it.
                BESIDE.has(which)
                    ? element('span', { class: `k ${which}`, 'data-sign': text, '--d': dye && colour(dye) })
                    : sign
                      ? element('span', { class: 'k sign' }, signIcon(sign))
                      : element('span', { class: `k ${which}`, 'data-flag': flag, '--d': dye && colour(dye) }, ` ${text}`),
            ),
        );
    }
}

/** @param {any} node @param {string} text */
function show(node, text) {
    node.hidden = text === '';
    node.textContent = text;
}
