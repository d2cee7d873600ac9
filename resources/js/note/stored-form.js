import { newId } from '../lib/ids.js';
import { isSafe } from './links.js';

/** What each node keeps of its attributes; `id` belongs to top-level blocks alone. @type {Record<string, string[]>} */
const ATTRIBUTES = {
    heading: ['level'],
    orderedList: ['start'],
    taskItem: ['checked'],
    picture: ['picture', 'src', 'href', 'width', 'caption', 'alt'],
    citation: ['items'],
    topicRef: ['topic'],
};

/** Stored blocks as the editor's document. @param {any[]} blocks */
export function toEditor(blocks) {
    const content = blocks.map(wrap);
    // There must be a place to write at the end, or typing there would replace what stands last.
    if (!content.length || ['horizontalRule', 'picture', 'table', 'question'].includes(content.at(-1).type)) {
        content.push({ type: 'paragraph', attrs: { id: newId() } });
    }
    return { type: 'doc', content };
}

/** @param {any} node */
function wrap(node) {
    if (node.type === 'footnote') {
        return { type: 'footnote', attrs: { content: node.content ?? [] } };
    }
    return node.content ? { ...node, content: node.content.map(wrap) } : node;
}

const stored = new WeakMap();

/**
 * A top-level node of the editor as a stored block, with only what the schema has. Worked out once a node: they never change.
 * @param {import('@tiptap/pm/model').Node} node
 * @returns {any} a block
 */
export function block(node) {
    if (!stored.has(node)) {
        stored.set(node, unwrap(node.toJSON(), true));
    }
    return stored.get(node);
}

/** Inlines of an editor's line as they are stored. */
export const inlines = (/** @type {any} */ document) =>
    (document.content?.[0]?.content ?? []).map((/** @type {any} */ node) => unwrap(node, false));

/** @param {any} node @param {boolean} isTop @returns {Record<string, any>} */
function unwrap(node, isTop) {
    /** @type {Record<string, any>} */
    const out = { type: node.type };
    /** @type {Record<string, any>} */
    const attrs = isTop ? { id: node.attrs.id } : {};
    for (const name of ATTRIBUTES[node.type] ?? []) {
        const value = node.attrs?.[name];
        if (value !== null && value !== undefined && value !== '') {
            attrs[name] = value;
        }
    }
    if (node.type === 'orderedList') {
        attrs.start ??= 1;
    }
    if (Object.keys(attrs).length) {
        out.attrs = attrs;
    }
    const content =
        node.type === 'footnote'
            ? node.attrs.content
            : node.type === 'tableRow'
              ? node.content.flatMap(cells)
              : node.content?.map((/** @type {any} */ child) => unwrap(child, false));
    if (content?.length) {
        out.content = content;
    }
    if (node.text !== undefined) {
        out.text = node.text;
    }
    const marks = (node.marks ?? []).filter((/** @type {any} */ mark) => mark.type !== 'link' || isSafe(mark.attrs.href ?? ''));
    if (marks.length) {
        out.marks = marks.map((/** @type {any} */ mark) =>
            mark.type === 'link' ? { type: 'link', attrs: { href: mark.attrs.href } } : { type: mark.type },
        );
    }
    return out;
}

/** A cell that spans several columns, as pasted tables have them, becomes one and empty ones beside it. */
const cells = (/** @type {any} */ node) => [
    unwrap(node, false),
    ...Array.from({ length: (node.attrs?.colspan ?? 1) - 1 }, () => ({ type: node.type, content: [{ type: 'paragraph' }] })),
];
