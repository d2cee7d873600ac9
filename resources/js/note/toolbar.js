import { allOf } from '../lib/dom.js';
import { focused } from './focused.js';
import { askLink } from './link-dialog.js';

/** The bar under a note: what it does to the text. */
export class Toolbar {
    /** @param {import('./editor.js').NoteEditor} note @param {Element} box */
    constructor(note, box) {
        this.note = note;
        this.box = box;
        this.listen();
    }

    get editor() {
        return this.note.editor;
    }

    get putIn() {
        return this.note.insertions();
    }

    listen() {
        const chain = () => focused(this.editor);
        /** @type {Record<string, () => import('@tiptap/core').ChainedCommands>} */
        const acts = {
            bold: () => chain().toggleBold(),
            italic: () => chain().toggleItalic(),
            underline: () => chain().toggleUnderline(),
            strike: () => chain().toggleStrike(),
            highlight: () => chain().toggleHighlight(),
            blockquote: () => chain().toggleBlockquote(),
            bulletList: () => chain().toggleBulletList(),
            orderedList: () => chain().toggleOrderedList(),
            taskList: () => chain().toggleTaskList(),
        };
        /** @type {Record<string, (button: HTMLElement) => unknown>} */
        const asks = {
            link: () => this.askLink(),
            cite: () => this.putIn.cite(),
            picture: () => this.putIn.choosePicture(),
            more: (button) => this.putIn.menu(button),
        };
        for (const button of allOf(this.box, '[data-tool]')) {
            button.addEventListener('mousedown', (event) => event.preventDefault());
            const { tool = '' } = button.dataset;
            button.addEventListener('click', () => (asks[tool] ?? (() => acts[tool]().run()))(button));
        }
    }

    /** Which of them hold where the caret is. */
    show() {
        for (const button of allOf(this.box, '[data-tool][aria-pressed]')) {
            const isOn = String(this.editor.isActive(button.dataset.tool ?? ''));
            if (button.getAttribute('aria-pressed') !== isOn) {
                button.setAttribute('aria-pressed', isOn);
            }
        }
    }

    askLink() {
        askLink(this.editor.getAttributes('link').href ?? '', (address, href) => this.setLink(address, href));
    }

    /** @param {string} address @param {any} href */
    setLink(address, href) {
        const chain = focused(this.editor).extendMarkRange('link');
        if (!href) {
            chain.unsetLink().run();
        } else if (this.editor.state.selection.empty && !this.editor.isActive('link')) {
            chain.insertContent({ type: 'text', text: address, marks: [{ type: 'link', attrs: { href } }] }).run();
        } else {
            chain.setLink({ href }).run();
        }
    }
}
