import { Extension, Mark, Node } from '@tiptap/core';
import Highlight from '@tiptap/extension-highlight';
import { Plugin } from '@tiptap/pm/state';
import StarterKit from '@tiptap/starter-kit';
import { newId } from '../ids.js';

const BLOCKS = ['paragraph', 'heading', 'bulletList', 'orderedList', 'blockquote', 'codeBlock', 'horizontalRule', 'keptBlock'];
const KNOWN_BLOCKS = new Set(['paragraph', 'heading', 'bulletList', 'orderedList', 'listItem', 'blockquote', 'codeBlock', 'horizontalRule']);
const KNOWN_INLINES = new Set(['text', 'hardBreak']);

/** Every top-level block has an id; one that was made by dividing another gets its own. */
const BlockIds = Extension.create({
    name: 'blockIds',
    addGlobalAttributes() {
        return [{ types: BLOCKS, attributes: { id: { default: null, rendered: false, keepOnSplit: false } } }];
    },
    addProseMirrorPlugins() {
        return [new Plugin({
            appendTransaction: (transactions, before, state) => {
                if (!transactions.some((one) => one.docChanged)) {
                    return null;
                }
                const seen = new Set();
                const change = state.tr;
                state.doc.forEach((node, offset) => {
                    if (!node.attrs.id || seen.has(node.attrs.id)) {
                        change.setNodeAttribute(offset, 'id', newId());
                    } else {
                        seen.add(node.attrs.id);
                    }
                });
                return change.docChanged ? change.setMeta('addToHistory', false) : null;
            },
        })];
    },
});

const NAMES = { picture: 'Picture', table: 'Table', taskList: 'Check list', footnote: 'footnote', citation: 'source', topicRef: 'reference' };

/** A block or inline that this editor does not edit yet: shown as it is, and kept untouched. */
const kept = (name, group, inline) => Node.create({
    name, group, inline, atom: true, selectable: true,
    addAttributes() {
        return { json: { default: null, rendered: false } };
    },
    parseHTML() {
        return [];
    },
    renderHTML({ node }) {
        const { json } = node.attrs;
        if (json.type === 'table') {
            return ['div', { class: 'kept', contenteditable: 'false' }, table(json)];
        }
        return [inline ? 'span' : 'div', { class: 'kept', contenteditable: 'false' }, `${NAMES[json.type] ?? json.type}${json.attrs?.caption || json.attrs?.alt ? `: ${json.attrs.caption ?? json.attrs.alt}` : ''}`];
    },
});

function table(json) {
    const text = (node) => node.text ?? (node.content ?? []).map(text).join(' ');
    return ['table', ['tbody', ...json.content.map((row) => ['tr', ...row.content.map((cell) => [cell.type === 'tableHeader' ? 'th' : 'td', text(cell)])])]];
}

const script = (name, tag) => Mark.create({ name, parseHTML: () => [{ tag }], renderHTML: () => [tag, 0] });

// The library's Ctrl+Enter is ours: it opens and leaves the note.
const OurKeys = Extension.create({ name: 'ourKeys', priority: 1000, addKeyboardShortcuts: () => ({ 'Mod-Enter': () => true, 'Mod-.': () => true }) });

export function extensions({ onLink }) {
    return [
        StarterKit.configure({
            heading: { levels: [1, 2, 3] }, trailingNode: false, dropcursor: false, gapcursor: {},
            link: { openOnClick: false, autolink: true, linkOnPaste: true, protocols: ['http', 'https', 'mailto', 'tel'], HTMLAttributes: { target: '_blank', rel: 'noopener noreferrer' }, isAllowedUri: (uri) => /^(https?:\/\/|mailto:|tel:|#)\S+$/i.test(uri) },
        }),
        Highlight, script('superscript', 'sup'), script('subscript', 'sub'),
        kept('keptBlock', 'block', false), kept('keptInline', 'inline', true), BlockIds, OurKeys,
        Extension.create({ name: 'linkKey', addKeyboardShortcuts: () => ({ 'Mod-Shift-k': () => { onLink(); return true; } }) }),
    ];
}

/** Stored blocks as the editor's document: what it does not edit goes into a kept node. */
export function toEditor(blocks) {
    const content = blocks.map(wrap);
    // There must be a place to write at the end, or typing there would replace what stands last.
    if (!content.length || content.at(-1).type === 'keptBlock' || content.at(-1).type === 'horizontalRule') {
        content.push({ type: 'paragraph', attrs: { id: newId() } });
    }
    return { type: 'doc', content };
}

function wrap(node) {
    if (node.type === 'taskItem' || KNOWN_INLINES.has(node.type)) {
        return node;
    }
    if (!KNOWN_BLOCKS.has(node.type)) {
        const isInline = ['footnote', 'citation', 'topicRef'].includes(node.type);
        return { type: isInline ? 'keptInline' : 'keptBlock', attrs: { id: node.attrs?.id ?? null, json: node } };
    }
    return node.content ? { ...node, content: node.content.map(wrap) } : node;
}

/** The editor's document as stored blocks, with only what the schema has. */
export function fromEditor(document) {
    return document.content.map((node) => unwrap(node, true));
}

function unwrap(node, isTop) {
    if (node.type === 'keptBlock' || node.type === 'keptInline') {
        const { json } = node.attrs;
        return isTop ? { ...json, attrs: { ...json.attrs, id: node.attrs.id } } : json;
    }
    const out = { type: node.type };
    const attrs = {};
    if (isTop) {
        attrs.id = node.attrs.id;
    }
    if (node.type === 'heading') {
        attrs.level = node.attrs.level;
    }
    if (node.type === 'orderedList') {
        attrs.start = node.attrs.start ?? 1;
    }
    if (Object.keys(attrs).length) {
        out.attrs = attrs;
    }
    if (node.content?.length) {
        out.content = node.content.map((child) => unwrap(child, false));
    }
    if (node.text !== undefined) {
        out.text = node.text;
    }
    if (node.marks?.length) {
        out.marks = node.marks.map((mark) => (mark.type === 'link' ? { type: 'link', attrs: { href: mark.attrs.href } } : { type: mark.type }));
    }
    return out;
}
