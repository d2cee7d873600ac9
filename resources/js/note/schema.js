import { Extension, Mark, Node, mergeAttributes } from '@tiptap/core';
import Highlight from '@tiptap/extension-highlight';
import { TaskItem, TaskList } from '@tiptap/extension-list';
import { NodeSelection, Plugin } from '@tiptap/pm/state';
import StarterKit from '@tiptap/starter-kit';
import { newId } from '../lib/ids.js';
import { words } from '../lib/vocabulary.js';
import { isSafe } from './links.js';
import { NoteDocument, Question } from './question.js';
import { Scaffold } from './scaffold.js';
import { typographic } from './typographic.js';
import { Table, cell, tabular } from './tables.js';

/** Every top-level block has an id; one that was made by dividing another gets its own. */
const BlockIds = Extension.create({
    name: 'blockIds',
    addGlobalAttributes() {
        return [{ types: words().blocks, attributes: { id: { default: null, rendered: false, keepOnSplit: false } } }];
    },
    addProseMirrorPlugins() {
        return [
            new Plugin({
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
            }),
        ];
    },
});

const kept = (/** @type {string[]} */ ...names) => Object.fromEntries(names.map((name) => [name, { default: null, rendered: false }]));

/** An inline that is one sign in the text and shows itself by a view of its own. */
const sign = (/** @type {string} */ name, /** @type {string[]} */ attributes, /** @type {any} */ view, more = {}) =>
    Node.create({
        name,
        group: 'inline',
        inline: true,
        atom: true,
        selectable: true,
        ...more,
        addAttributes: () => kept(...attributes),
        parseHTML: () => [
            {
                tag: `span[data-${name.toLowerCase()}]`,
                getAttrs: (box) => JSON.parse(box.getAttribute(`data-${name.toLowerCase()}`) ?? '{}'),
            },
        ],
        // What is copied keeps what it is, for pasting into another note.
        renderHTML: ({ node }) => [
            'span',
            {
                [`data-${name.toLowerCase()}`]: JSON.stringify(Object.fromEntries(attributes.map((one) => [one, node.attrs[one]]))),
            },
            name === 'footnote' ? '*' : '',
        ],
        renderText: () => '',
        addNodeView: () => view,
    });

const script = (/** @type {string} */ name, /** @type {string} */ tag, /** @type {string} */ key) =>
    Mark.create({
        name,
        excludes: name === 'superscript' ? 'subscript' : 'superscript',
        parseHTML: () => [{ tag }],
        renderHTML: () => [tag, 0],
        addKeyboardShortcuts() {
            return { [key]: () => this.editor.commands.toggleMark(name) };
        },
    });

// The library's Ctrl+Enter is ours: it opens and leaves the note.
const OurKeys = Extension.create({
    name: 'ourKeys',
    priority: 1000,
    addKeyboardShortcuts: () => ({ 'Mod-Enter': () => true, 'Mod-.': () => true }),
});

/**
 * The editor's parts. `views` makes the views of pictures, citations, footnotes and references;
 * `on` is told of what the writer asks for.
 * @param {object} given
 * @param {Record<string, any>} given.views
 * @param {Record<string, (...given: any[]) => any>} given.on
 * @param {(name: string) => any} given.option
 * @param {() => string} given.language
 */
export function extensions({ views, on, option, language }) {
    return [
        StarterKit.configure({
            document: false,
            heading: { levels: [1, 2, 3] },
            trailingNode: false,
            dropcursor: false,
            undoRedo: { newGroupDelay: 800 },
            link: {
                openOnClick: false,
                autolink: true,
                linkOnPaste: true,
                protocols: ['http', 'https', 'mailto', 'tel'],
                HTMLAttributes: { target: '_blank', rel: 'noopener noreferrer' },
                isAllowedUri: isSafe,
            },
        }),
        NoteDocument,
        Question,
        Scaffold,
        Highlight,
        script('superscript', 'sup', 'Mod-Shift-='),
        script('subscript', 'sub', 'Mod-Shift--'),
        TaskList,
        TaskItem.configure({ nested: true }),
        Table,
        tabular('tableRow', '(tableCell | tableHeader)+', 'row', 'tr'),
        cell('tableCell', 'td', 'cell'),
        cell('tableHeader', 'th', 'header_cell'),
        Node.create({
            name: 'picture',
            group: 'block',
            atom: true,
            selectable: true,
            draggable: true,
            addAttributes: () => kept('picture', 'src', 'href', 'width', 'caption', 'alt'),
            parseHTML: () => [{ tag: 'div[data-picture]', getAttrs: (box) => JSON.parse(box.getAttribute('data-picture') ?? '{}') }],
            renderHTML: ({ node, HTMLAttributes }) => [
                'div',
                mergeAttributes(HTMLAttributes, { 'data-picture': JSON.stringify({ ...node.attrs, id: null }) }),
            ],
            addNodeView: () => views.picture,
        }),
        sign('citation', ['items'], views.citation),
        sign('topicRef', ['topic'], views.topicRef),
        sign('footnote', ['content'], views.footnote),
        BlockIds,
        OurKeys,
        typographic(() => option('typographic'), language),
        Extension.create({
            name: 'askedFor',
            priority: 900,
            addKeyboardShortcuts: () => ({
                Enter: ({ editor }) => {
                    const { selection } = editor.state;
                    return on.edit(selection instanceof NodeSelection ? selection.node : undefined, selection.from);
                },
                'Mod-Shift-k': () => {
                    on.link();
                    return true;
                },
                'Mod-Shift-e': () => {
                    on.cite();
                    return true;
                },
                'Mod-Shift-x': () => {
                    on.refer();
                    return true;
                },
                'Mod-Alt-m': () => {
                    on.partTo();
                    return true;
                },
                'Mod-Alt-h': () => {
                    on.headingOut();
                    return true;
                },
                'Mod-Alt-f': () => {
                    on.footnote();
                    return true;
                },
            }),
            addProseMirrorPlugins: () => [
                new Plugin({
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
                }),
            ],
        }),
    ];
}

/**
 * The parts of a footnote's little editor: one line with marks, links and citations.
 * @param {{views: Record<string, any>, on: {done: () => void}}} given
 */
export function lineExtensions({ views, on }) {
    return [
        StarterKit.configure({
            heading: false,
            bulletList: false,
            orderedList: false,
            listItem: false,
            listKeymap: false,
            blockquote: false,
            codeBlock: false,
            horizontalRule: false,
            trailingNode: false,
            dropcursor: false,
            gapcursor: false,
            link: { openOnClick: false, isAllowedUri: isSafe },
        }),
        Highlight,
        script('superscript', 'sup', 'Mod-Shift-='),
        script('subscript', 'sub', 'Mod-Shift--'),
        sign('citation', ['items'], views.citation),
        sign('topicRef', ['topic'], views.topicRef),
        Extension.create({
            name: 'lineKeys',
            priority: 1000,
            addKeyboardShortcuts: () => ({
                Enter: () => {
                    on.done();
                    return true;
                },
                'Mod-Enter': () => {
                    on.done();
                    return true;
                },
            }),
        }),
    ];
}
