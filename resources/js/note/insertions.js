import { byId } from '../lib/dom.js';
import { focused } from './focused.js';
import { addColumnAfter, addRowAfter, deleteColumn, deleteRow, deleteTable } from '@tiptap/pm/tables';
import { newId } from '../lib/ids.js';
import { element } from '../ui/element.js';
import { unsay } from '../ui/toast.js';
import { option, setOption } from './options.js';
import { askWhere, sectionOfHeading } from './parting.js';
import { toggleQuestion } from './question.js';
import { Signs } from './signs.js';

const SIZES = [
    [-1, 'Smaller'],
    [0, 'Usual'],
    [1, 'Larger'],
    [2, 'Large'],
    [3, 'Largest'],
];

/**
 * What is put into a note by a dialog or from a file: citations, references to topics, footnotes, pictures,
 * tables; and what is done with the whole of it.
 */
export class Insertions extends Signs {
    /** @param {import('./editor.js').NoteEditor} note */
    constructor(note) {
        super(() => note.editor.commands.focus());
        this.note = note;
        this.desk = note.desk;
        this.session = this.desk.session;
        this.file = byId('note-picture');
    }

    get editor() {
        return this.note.editor;
    }

    /** What is marked goes to another note, which is asked for. */
    partTo() {
        const { note, session } = this;
        session.rights.isKept() || askWhere(note, (target) => note.onParted(target));
    }

    /** A section is made of the heading that the caret is in. */
    headingOut() {
        const made = this.session.rights.isKept() ? null : sectionOfHeading(this.note);
        made && this.note.onParted(made);
    }

    choosePicture() {
        this.file.click();
    }

    /**
     * Pictures that were chosen, pasted or dropped; whether there were any.
     * @param {FileList | null | undefined} files
     * @param {ClipboardEvent | DragEvent | null} [event]
     */
    takeFiles(files, event = null) {
        const pictures = [...(files ?? [])].filter((file) => file.type.startsWith('image/'));
        if (!pictures.length || (event instanceof ClipboardEvent && event.clipboardData?.types.includes('text/html'))) {
            return false;
        }
        event?.preventDefault();
        pictures.forEach((file) => this.takePicture(file));
        return true;
    }

    /** @param {File} file */
    async takePicture(file) {
        const { topic } = this.note;
        const body = new FormData();
        body.append('picture', file);
        this.desk.say('Taking the picture in…');
        const answer = await this.session.upload('pictures', body);
        if (!answer) {
            return;
        }
        unsay();
        answer.said.forEach((/** @type {string} */ said) => this.desk.say(said));
        const [, picture, width] = /^(\w+):(\d+)x/.exec(answer.picture) ?? [];
        const node = {
            type: 'picture',
            attrs: { id: newId(), picture, width: Number(width) > 640 ? 640 : Number(width) > 400 ? 400 : null },
        };
        if (this.note.topic === topic) {
            this.put([node, { type: 'paragraph' }]);
        } else {
            this.session.perform({ type: 'note', topic, put: [node], remove: [], order: null, was: {} });
        }
    }

    /** @param {any} command */
    inTable(command) {
        command(this.editor.state, this.editor.view.dispatch);
        this.editor.commands.focus();
    }

    insertTable() {
        const cell = (/** @type {string} */ type) => ({ type, content: [{ type: 'paragraph' }] });
        const row = (/** @type {string} */ type) => ({ type: 'tableRow', content: [cell(type), cell(type), cell(type)] });
        this.put([
            { type: 'table', attrs: { id: newId() }, content: [row('tableHeader'), row('tableCell'), row('tableCell')] },
            { type: 'paragraph' },
        ]);
    }

    /** All that the bar has no room for. @param {any} opener */
    menu(opener) {
        const { editor } = this;
        const act = (/** @type {string} */ name, /** @type {(...given: any[]) => unknown} */ does, key = '') =>
            element(
                'button',
                {
                    type: 'button',
                    onclick: () => {
                        this.close(false);
                        does();
                    },
                },
                name,
                key && element('span', { class: 'kbd' }, key),
            );
        const chain = () => focused(editor);
        const isInTable = editor.isActive('table');
        const has = (/** @type {any} */ types) => editor.state.doc.content.content.some((node) => types.includes(node.type.name));
        this.raise(
            'More for the note',
            opener,
            this.group(
                'Put in',
                'insert',
                act('Footnote', () => this.footnote(), 'Ctrl Alt F'),
                act('Reference to a topic', () => this.refer(), '§'),
                act(editor.isActive('question') ? 'No question any more' : 'Question to answer', () => toggleQuestion(editor)),
                act('Table', () => this.insertTable()),
                act('Line', () => chain().setHorizontalRule().run()),
            ),
            this.group(
                'This part',
                'part',
                act('Move it to…', () => this.partTo(), 'Ctrl Alt M'),
                editor.isActive('heading') && act('Make a section of this heading', () => this.headingOut(), 'Ctrl Alt H'),
            ),
            isInTable &&
                this.group(
                    'This table',
                    'table',
                    act('Row below', () => this.inTable(addRowAfter)),
                    act('Column after', () => this.inTable(addColumnAfter)),
                    act('Row out', () => this.inTable(deleteRow)),
                    act('Column out', () => this.inTable(deleteColumn)),
                    act('Table out', () => this.inTable(deleteTable)),
                ),
            this.choice(
                'Heading',
                'heading',
                [
                    [1, 'large', editor.isActive('heading', { level: 1 })],
                    [2, 'medium', editor.isActive('heading', { level: 2 })],
                    [3, 'small', editor.isActive('heading', { level: 3 })],
                ],
                (level) => {
                    this.close(false);
                    chain().toggleHeading({ level }).run();
                },
            ),
            this.choice(
                'Letters',
                'letters',
                [
                    ['strike', 'struck', editor.isActive('strike')],
                    ['superscript', 'raised', editor.isActive('superscript')],
                    ['subscript', 'lowered', editor.isActive('subscript')],
                    ['code', 'code', editor.isActive('code')],
                ],
                (mark) => {
                    this.close(false);
                    chain().toggleMark(mark).run();
                },
            ),
            this.choice(
                'Size of the text, for reading',
                'size',
                SIZES.map(([value, name]) => [value, name, (option('size') ?? 0) === value]),
                (size) => {
                    this.close();
                    setOption('size', size);
                },
            ),
            this.choice(
                'Typographic quotes and dashes',
                'typographic',
                [
                    [true, 'as you type', !!option('typographic')],
                    [false, 'off', !option('typographic')],
                ],
                (isOn) => {
                    this.close();
                    setOption('typographic', isOn);
                },
            ),
            this.group(
                'The whole note',
                'whole',
                has(['heading']) && act('Topics at its headings', () => this.divide('headings')),
                has(['bulletList', 'orderedList', 'taskList']) && act('Topics of its list', () => this.divide('items')),
                act('Remove the note', () => this.remove()),
            ),
        );
        this.focus();
    }

    /** Topics out of the note. @param {any} at */
    async divide(at) {
        const { topic } = this.note;
        this.note.commit();
        await this.session.queue.flush();
        this.session.perform({ type: 'divide', topic, at, seed: newId() });
        this.desk.say('The note was divided into topics.', { label: 'Undo', act: () => this.session.undo() });
    }

    async remove() {
        const { topic } = this.note;
        this.note.commit();
        await this.session.queue.flush();
        const ids = this.note.blocks().map((one) => one.attrs.id);
        this.note.onRemoved();
        this.session.perform({ type: 'note', topic, put: [], remove: ids, order: null, was: {} });
        this.desk.say('The note was removed.', { label: 'Undo', act: () => this.session.undo() });
    }
}
