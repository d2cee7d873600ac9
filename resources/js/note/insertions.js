import { focused } from './focused.js';
import { addColumnAfter, addRowAfter, deleteColumn, deleteRow, deleteTable } from '@tiptap/pm/tables';
import { newId } from '../lib/ids.js';
import { element } from '../ui/element.js';
import { Popover } from '../ui/popover.js';
import { CiteDialog } from './cite.js';
import { FootnoteDialog } from './footnote.js';

const SIZES = [[-1, 'Smaller'], [0, 'Usual'], [1, 'Larger'], [2, 'Large'], [3, 'Largest']];

/** What is put into a note by a dialog or from a file: citations, references to topics, footnotes, pictures, tables; and what is done with the whole of it. */
export class Insertions extends Popover {
    constructor(note) {
        super(() => note.editor.commands.focus());
        this.note = note;
        this.page = note.page;
        this.footnotes = new FootnoteDialog(this);
        this.file = document.getElementById('note-picture');
        this.file.addEventListener('change', () => { this.takeFiles(this.file.files); this.file.value = ''; });
    }

    get editor() {
        return this.note.editor;
    }

    get citing() {
        this.dialog ??= new CiteDialog(this.page);
        return this.dialog;
    }

    /** Remembers where the caret is: a dialog takes it away. Gives the way back. */
    here(editor) {
        const { from, to } = editor.state.selection;
        return () => focused(editor).setTextSelection({ from, to });
    }

    put(content) {
        focused(this.editor).insertContent(content).run();
    }

    /** Asks for a citation; the sign that called it up stands where nothing was chosen. */
    async cite(sign = '', editor = this.editor) {
        const back = this.here(editor);
        const items = await this.citing.open();
        back().insertContent(items?.length ? [{ type: 'citation', attrs: { items } }] : sign ? { type: 'text', text: sign } : []).run();
    }

    async editCitation(at, node, editor = this.editor) {
        const items = await this.citing.open(node.attrs.items);
        this.alter(editor, at, node, items === null ? undefined : items.length ? { items } : null);
    }

    /** Gives a sign in the text other attributes, or takes it out (null), or leaves it (undefined); the caret goes on behind it. */
    alter(editor, at, node, attrs) {
        const change = editor.state.tr;
        if (attrs === null) {
            change.delete(at, at + node.nodeSize);
        } else if (attrs) {
            change.setNodeMarkup(at, null, { ...node.attrs, ...attrs });
        }
        editor.view.dispatch(change);
        editor.chain().focus().setTextSelection(at + (attrs === null ? 0 : node.nodeSize)).run();
    }

    /** Opens what is marked in the text, if it is one of these; whether it was. */
    edit(node, at) {
        const opens = { citation: () => this.editCitation(at, node), footnote: () => this.footnote(at, node), topicRef: () => this.page.goTo(node.attrs.topic) }[node?.type.name];
        opens?.();
        return Boolean(opens);
    }

    /** Asks for a topic by number or title. */
    refer(sign = '', editor = this.editor) {
        const { dialogs } = this.page;
        const back = this.here(editor);
        // At once when the dialog goes: what is typed next must find the caret where it was.
        let put = (content) => {
            put = () => {};
            dialogs.choosing.close();
            back().insertContent(content).run();
        };
        const calledOff = () => put(sign ? { type: 'text', text: sign } : []);
        const find = dialogs.finder();
        dialogs.choose('Refer to a topic', 'Number or title', (wanted) => find(wanted).map(({ id, name }) => [{ name, act: () => put([{ type: 'topicRef', attrs: { topic: id } }]) }]));
        ['cancel', 'close'].forEach((event) => dialogs.choosing.addEventListener(event, () => calledOff(), { once: true }));
    }

    /** A new footnote at the caret, or one that is there. */
    async footnote(at = null, node = null) {
        const back = this.here(this.editor);
        const content = await this.footnotes.open(node?.attrs.content ?? []);
        if (node) {
            this.alter(this.editor, at, node, content === null ? undefined : content.length ? { content } : null);
        } else if (!content?.length) {
            back().run();
        } else {
            back().insertContent([{ type: 'footnote', attrs: { content } }]).run();
        }
    }

    choosePicture() {
        this.file.click();
    }

    /** Pictures that were chosen, pasted or dropped; whether there were any. */
    takeFiles(files, event = null) {
        const pictures = [...files ?? []].filter((file) => file.type.startsWith('image/'));
        if (!pictures.length || event?.clipboardData?.types.includes('text/html')) {
            return false;
        }
        event?.preventDefault();
        pictures.forEach((file) => this.takePicture(file));
        return true;
    }

    async takePicture(file) {
        const { topic } = this.note;
        const body = new FormData();
        body.append('picture', file);
        this.page.say('Taking the picture in…');
        const answer = await this.page.upload('pictures', body);
        if (!answer) {
            return;
        }
        document.querySelector('.toast')?.remove();
        answer.said.forEach((said) => this.page.say(said));
        const [, picture, width] = /^(\w+):(\d+)x/.exec(answer.picture);
        const node = { type: 'picture', attrs: { id: newId(), picture, width: Number(width) > 640 ? 640 : Number(width) > 400 ? 400 : null } };
        if (this.note.topic === topic) {
            this.put([node, { type: 'paragraph' }]);
        } else {
            this.page.perform({ type: 'note', topic, put: [node], remove: [], order: null, was: {} });
        }
    }

    inTable(command) {
        command(this.editor.state, this.editor.view.dispatch);
        this.editor.commands.focus();
    }

    insertTable() {
        const cell = (type) => ({ type, content: [{ type: 'paragraph' }] });
        const row = (type) => ({ type: 'tableRow', content: [cell(type), cell(type), cell(type)] });
        this.put([{ type: 'table', attrs: { id: newId() }, content: [row('tableHeader'), row('tableCell'), row('tableCell')] }, { type: 'paragraph' }]);
    }

    /** All that the bar has no room for. */
    menu(opener) {
        const { editor, note } = this;
        const act = (name, does, key = '') => element('button', { type: 'button', onclick: () => { this.close(false); does(); } }, name, key && element('span', { class: 'kbd' }, key));
        const chain = () => focused(editor);
        const isInTable = editor.isActive('table');
        const has = (types) => editor.state.doc.content.content.some((node) => types.includes(node.type.name));
        this.raise('More for the note', opener,
            this.group('Put in', 'insert', act('Footnote', () => this.footnote(), 'Ctrl Alt F'), act('Reference to a topic', () => this.refer(), '§'), act('Table', () => this.insertTable()), act('Line', () => chain().setHorizontalRule().run())),
            isInTable && this.group('This table', 'table', act('Row below', () => this.inTable(addRowAfter)), act('Column after', () => this.inTable(addColumnAfter)), act('Row out', () => this.inTable(deleteRow)), act('Column out', () => this.inTable(deleteColumn)), act('Table out', () => this.inTable(deleteTable))),
            this.choice('Heading', 'heading', [[1, 'large', editor.isActive('heading', { level: 1 })], [2, 'medium', editor.isActive('heading', { level: 2 })], [3, 'small', editor.isActive('heading', { level: 3 })]], (level) => { this.close(false); chain().toggleHeading({ level }).run(); }),
            this.choice('Letters', 'letters', [['strike', 'struck', editor.isActive('strike')], ['superscript', 'raised', editor.isActive('superscript')], ['subscript', 'lowered', editor.isActive('subscript')], ['code', 'code', editor.isActive('code')]], (mark) => { this.close(false); chain().toggleMark(mark).run(); }),
            this.choice('Size of the text, for reading', 'size', SIZES.map(([value, name]) => [value, name, (note.options.size ?? 0) === value]), (size) => { this.close(); note.setOption('size', size); }),
            this.choice('Typographic quotes and dashes', 'typographic', [[true, 'as you type', !!note.options.typographic], [false, 'off', !note.options.typographic]], (isOn) => { this.close(); note.setOption('typographic', isOn); }),
            this.group('The whole note', 'whole',
                has(['heading']) && act('Topics at its headings', () => this.divide('headings')), has(['bulletList', 'orderedList', 'taskList']) && act('Topics of its list', () => this.divide('items')), act('Remove the note', () => this.remove())));
        this.box.querySelector('button').focus();
    }

    /** Topics out of the note. */
    async divide(at) {
        const { topic } = this.note;
        this.note.commit();
        await this.page.queue.flush();
        this.page.perform({ type: 'divide', topic, at, seed: newId() });
        this.page.say('The note was divided into topics.', { label: 'Undo', act: () => this.page.undo() });
    }

    async remove() {
        const { topic } = this.note;
        this.note.commit();
        await this.page.queue.flush();
        const ids = this.note.blocks().map((one) => one.attrs.id);
        this.note.close();
        this.page.perform({ type: 'note', topic, put: [], remove: ids, order: null, was: {} });
        this.page.outline.box.focus({ preventScroll: true });
        this.page.say('The note was removed.', { label: 'Undo', act: () => this.page.undo() });
    }
}
