import { focused } from './focused.js';
import { isSafe } from './links.js';

/** The bar under a note: what it does to the text, and the dialog of links. */
export class Toolbar {
    constructor(note) {
        this.note = note;
        this.box = note.side.querySelector('.tools');
        this.listen();
    }

    get editor() {
        return this.note.editor;
    }

    listen() {
        const { insertions } = this.note;
        const chain = () => focused(this.editor);
        const acts = {
            bold: () => chain().toggleBold(), italic: () => chain().toggleItalic(), underline: () => chain().toggleUnderline(), strike: () => chain().toggleStrike(),
            highlight: () => chain().toggleHighlight(), blockquote: () => chain().toggleBlockquote(), bulletList: () => chain().toggleBulletList(), orderedList: () => chain().toggleOrderedList(),
            taskList: () => chain().toggleTaskList(),
        };
        const asks = { link: () => this.askLink(), cite: () => insertions.cite(), picture: () => insertions.choosePicture(), more: (button) => insertions.menu(button) };
        for (const button of this.box.querySelectorAll('[data-tool]')) {
            button.addEventListener('mousedown', (event) => event.preventDefault());
            button.addEventListener('click', () => (asks[button.dataset.tool] ?? (() => acts[button.dataset.tool]().run()))(button));
        }
        const form = document.getElementById('link-form');
        form.addEventListener('submit', (event) => { event.preventDefault(); this.setLink(form.elements.address.value.trim()); });
        document.getElementById('remove-link').addEventListener('click', () => this.setLink(''));
    }

    /** Which of them hold where the caret is. */
    show() {
        for (const button of this.box.querySelectorAll('[data-tool][aria-pressed]')) {
            const isOn = String(this.editor.isActive(button.dataset.tool));
            if (button.getAttribute('aria-pressed') !== isOn) {
                button.setAttribute('aria-pressed', isOn);
            }
        }
    }

    askLink() {
        const dialog = document.getElementById('link');
        const { address } = dialog.querySelector('form').elements;
        address.value = this.editor.getAttributes('link').href ?? '';
        dialog.querySelector('.error').textContent = '';
        dialog.showModal();
        address.focus();
    }

    setLink(address) {
        const dialog = document.getElementById('link');
        const href = address && !/^[a-z]+:/i.test(address) ? (address.includes('@') ? `mailto:${address}` : `https://${address}`) : address;
        if (href && !isSafe(href)) {
            dialog.querySelector('.error').textContent = 'This is not an address of the web, mail or telephone.';
            return;
        }
        dialog.close();
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
