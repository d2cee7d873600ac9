import { Extension, InputRule, Mark, Node, mergeAttributes } from '@tiptap/core';
import Highlight from '@tiptap/extension-highlight';
import { TaskItem, TaskList } from '@tiptap/extension-list';
import { Plugin } from '@tiptap/pm/state';
import { goToNextCell, tableEditing } from '@tiptap/pm/tables';
import StarterKit from '@tiptap/starter-kit';
import { newId } from '../lib/ids.js';
import { isSafe } from './links.js';

const BLOCKS = ['paragraph', 'heading', 'bulletList', 'orderedList', 'taskList', 'blockquote', 'codeBlock', 'horizontalRule', 'picture', 'table'];
/** What each node keeps of its attributes; `id` belongs to top-level blocks alone. */
const ATTRIBUTES = { heading: ['level'], orderedList: ['start'], taskItem: ['checked'], picture: ['picture', 'src', 'href', 'width', 'caption', 'alt'], citation: ['items'], topicRef: ['topic'] };

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

const kept = (...names) => Object.fromEntries(names.map((name) => [name, { default: null, rendered: false }]));

const cell = (name, tag, role) => Node.create({
    name, content: 'block+', isolating: true,
    addAttributes: () => ({
        colspan: { default: 1, parseHTML: (box) => Number(box.getAttribute('colspan') || 1) }, rowspan: { default: 1, parseHTML: (box) => Number(box.getAttribute('rowspan') || 1) }, colwidth: { default: null, rendered: false },
    }),
    parseHTML: () => [{ tag }],
    renderHTML: ({ HTMLAttributes: { colspan, rowspan } }) => [tag, { ...(colspan > 1 && { colspan }), ...(rowspan > 1 && { rowspan }) }, 0],
    extendNodeSchema: (extension) => (extension.name === name ? { tableRole: role } : {}),
});

/** A node of the table: the library of tables knows its part by `tableRole`. */
const tabular = (name, content, role, tag, inner = [tag, 0]) => Node.create({
    name, content, ...(role === 'table' && { group: 'block', isolating: true }),
    parseHTML: () => [{ tag }],
    renderHTML: () => inner,
    extendNodeSchema: (extension) => (extension.name === name ? { tableRole: role } : {}),
});

const Table = tabular('table', 'tableRow+', 'table', 'table', ['table', ['tbody', 0]]).extend({
    addProseMirrorPlugins: () => [tableEditing({ allowTableNodeSelection: false })],
    addKeyboardShortcuts() {
        const go = (by) => () => goToNextCell(by)(this.editor.state, this.editor.view.dispatch);
        return { Tab: go(1), 'Shift-Tab': go(-1) };
    },
});

/** An inline that is one sign in the text and shows itself by a view of its own. */
const sign = (name, attributes, view, more = {}) => Node.create({
    name, group: 'inline', inline: true, atom: true, selectable: true, ...more,
    addAttributes: () => kept(...attributes),
    parseHTML: () => [{ tag: `span[data-${name.toLowerCase()}]`, getAttrs: (box) => JSON.parse(box.getAttribute(`data-${name.toLowerCase()}`)) }],
    // What is copied keeps what it is, for pasting into another note.
    renderHTML: ({ node }) => ['span', { [`data-${name.toLowerCase()}`]: JSON.stringify(Object.fromEntries(attributes.map((one) => [one, node.attrs[one]]))) }, name === 'footnote' ? '*' : ''],
    renderText: () => '',
    addNodeView: () => view,
});

const script = (name, tag, key) => Mark.create({
    name, excludes: name === 'superscript' ? 'subscript' : 'superscript', parseHTML: () => [{ tag }], renderHTML: () => [tag, 0],
    addKeyboardShortcuts() {
        return { [key]: () => this.editor.commands.toggleMark(name) };
    },
});

// The library's Ctrl+Enter is ours: it opens and leaves the note.
const OurKeys = Extension.create({ name: 'ourKeys', priority: 1000, addKeyboardShortcuts: () => ({ 'Mod-Enter': () => true, 'Mod-.': () => true }) });

/** Quotation marks by the language, where the option is on: [double open, double close, single open, single close]. */
const QUOTES = { de: '„“‚‘', fr: '«»‹›', it: '«»“”', es: '«»“”', pl: '„”‚’', nl: '“”‘’', ja: '「」『』', zh: '“”‘’', en: '“”‘’' };

export function typographic(isOn, language) {
    const [open, close, openOne, closeOne] = QUOTES[language().split('-')[0]] ?? QUOTES.en;
    // What stands before is only looked at, so that a rule replaces its own sign and no formatting.
    const rule = (find, replaced) => new InputRule({
        find,
        handler: ({ state, range }) => {
            if (!isOn() || state.selection.$from.parent.type.spec.code || state.selection.$from.marks().some((mark) => mark.type.name === 'code')) {
                return null;
            }
            state.tr.insertText(replaced, range.from, range.to);
        },
    });
    const begins = '(?<=^|[\\s([{–—„“«‚‘-])';
    return Extension.create({
        name: 'typographic',
        addInputRules: () => [
            rule(new RegExp(`${begins}"$`), open), rule(/"$/, close), rule(new RegExp(`${begins}'$`), openOne), rule(new RegExp(`(?<=${openOne}[^${closeOne}]*)'$`), closeOne), rule(/'$/, '’'),
            rule(/--$/, '–'), rule(/–-$/, '—'), rule(/\.\.\.$/, '…'),
        ],
    });
}

/**
 * The editor's parts. `views` makes the views of pictures, citations, footnotes and references;
 * `on` is told of what the writer asks for.
 */
export function extensions({ views, on, option, language }) {
    return [
        StarterKit.configure({
            heading: { levels: [1, 2, 3] }, trailingNode: false, dropcursor: false, gapcursor: {}, undoRedo: { newGroupDelay: 800 },
            link: { openOnClick: false, autolink: true, linkOnPaste: true, protocols: ['http', 'https', 'mailto', 'tel'], HTMLAttributes: { target: '_blank', rel: 'noopener noreferrer' }, isAllowedUri: isSafe },
        }),
        Highlight, script('superscript', 'sup', 'Mod-Shift-='), script('subscript', 'sub', 'Mod-Shift--'),
        TaskList, TaskItem.configure({ nested: true }),
        Table, tabular('tableRow', '(tableCell | tableHeader)+', 'row', 'tr'), cell('tableCell', 'td', 'cell'), cell('tableHeader', 'th', 'header_cell'),
        Node.create({
            name: 'picture', group: 'block', atom: true, selectable: true, draggable: true, addAttributes: () => kept('picture', 'src', 'href', 'width', 'caption', 'alt'),
            parseHTML: () => [{ tag: 'div[data-picture]', getAttrs: (box) => JSON.parse(box.getAttribute('data-picture')) }],
            renderHTML: ({ node, HTMLAttributes }) => ['div', mergeAttributes(HTMLAttributes, { 'data-picture': JSON.stringify({ ...node.attrs, id: null }) })],
            addNodeView: () => views.picture,
        }),
        sign('citation', ['items'], views.citation), sign('topicRef', ['topic'], views.topicRef), sign('footnote', ['content'], views.footnote),
        BlockIds, OurKeys, typographic(() => option('typographic'), language),
        Extension.create({
            name: 'askedFor',
            priority: 900,
            addKeyboardShortcuts: () => ({
                Enter: ({ editor }) => { const { node, from } = editor.state.selection; return on.edit(node, from); },
                'Mod-Shift-k': () => { on.link(); return true; }, 'Mod-Shift-e': () => { on.cite(); return true; }, 'Mod-Shift-x': () => { on.refer(); return true; }, 'Mod-Alt-f': () => { on.footnote(); return true; },
            }),
            addProseMirrorPlugins: () => [new Plugin({
                props: {
                    handleTextInput: (view, from, to, text) => {
                        const before = view.state.doc.textBetween(Math.max(0, from - 1), from, '\n', '\ufffc');
                        const { $from } = view.state.selection;
                        if ($from.parent.type.spec.code || (text !== '§' && (text !== '@' || /[\p{L}\p{N}._-]/u.test(before)))) {
                            return false;
                        }
                        // The sign is not kept unless what was asked for is called off.
                        (text === '§' ? on.refer : on.cite)(text);
                        return true;
                    },
                },
            })],
        }),
    ];
}

/** The parts of a footnote's little editor: one line with marks, links and citations. */
export function lineExtensions({ views, on }) {
    return [
        StarterKit.configure({ heading: false, bulletList: false, orderedList: false, listItem: false, listKeymap: false, blockquote: false, codeBlock: false, horizontalRule: false, trailingNode: false, dropcursor: false, gapcursor: false, link: { openOnClick: false, isAllowedUri: isSafe } }),
        Highlight, script('superscript', 'sup', 'Mod-Shift-='), script('subscript', 'sub', 'Mod-Shift--'), sign('citation', ['items'], views.citation), sign('topicRef', ['topic'], views.topicRef),
        Extension.create({ name: 'lineKeys', priority: 1000, addKeyboardShortcuts: () => ({ Enter: () => { on.done(); return true; }, 'Mod-Enter': () => { on.done(); return true; } }) }),
    ];
}

/** Stored blocks as the editor's document. */
export function toEditor(blocks) {
    const content = blocks.map(wrap);
    // There must be a place to write at the end, or typing there would replace what stands last.
    if (!content.length || ['horizontalRule', 'picture', 'table'].includes(content.at(-1).type)) {
        content.push({ type: 'paragraph', attrs: { id: newId() } });
    }
    return { type: 'doc', content };
}

function wrap(node) {
    if (node.type === 'footnote') {
        return { type: 'footnote', attrs: { content: node.content ?? [] } };
    }
    return node.content ? { ...node, content: node.content.map(wrap) } : node;
}

const stored = new WeakMap();

/** A top-level node of the editor as a stored block, with only what the schema has. Worked out once a node: they never change. */
export function block(node) {
    if (!stored.has(node)) {
        stored.set(node, unwrap(node.toJSON(), true));
    }
    return stored.get(node);
}

/** Inlines of an editor's line as they are stored. */
export const inlines = (document) => (document.content?.[0]?.content ?? []).map((node) => unwrap(node, false));

function unwrap(node, isTop) {
    const out = { type: node.type };
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
    const content = node.type === 'footnote' ? node.attrs.content : node.type === 'tableRow' ? node.content.flatMap(cells) : node.content?.map((child) => unwrap(child, false));
    if (content?.length) {
        out.content = content;
    }
    if (node.text !== undefined) {
        out.text = node.text;
    }
    const marks = (node.marks ?? []).filter((mark) => mark.type !== 'link' || isSafe(mark.attrs.href ?? ''));
    if (marks.length) {
        out.marks = marks.map((mark) => (mark.type === 'link' ? { type: 'link', attrs: { href: mark.attrs.href } } : { type: mark.type }));
    }
    return out;
}

/** A cell that spans several columns, as pasted tables have them, becomes one and empty ones beside it. */
const cells = (node) => [unwrap(node, false), ...Array.from({ length: (node.attrs?.colspan ?? 1) - 1 }, () => ({ type: node.type, content: [{ type: 'paragraph' }] }))];
