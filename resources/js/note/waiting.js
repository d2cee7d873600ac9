import { element } from '../ui/element.js';

/**
 * The plain field that stands for the editor of notes until that has come. What is written and pasted in it goes to the editor
 * as it was; where it is left before, its words can be had alone.
 */
export class WaitingField {
    /**
     * @param {() => void} left the keyboard has gone elsewhere in the page
     * @param {() => void} changed there are words in it, or none any more
     */
    constructor(left, changed) {
        this.changed = changed;
        this.box = element('textarea', { class: 'waiting-note', 'aria-label': 'Note', rows: 12 });
        /** What was pasted, each after the words before it. @type {{before: string, html: string, plain: string}[]} */
        this.pasted = [];
        // Where the whole window is left, the field keeps both its place and its words.
        this.box.addEventListener('blur', () => document.activeElement !== this.box && left());
        this.box.addEventListener('input', changed);
        this.box.addEventListener('paste', (event) => this.paste(event));
    }

    /** @param {ClipboardEvent} event */
    paste(event) {
        const [html, plain] = ['text/html', 'text/plain'].map((type) => event.clipboardData?.getData(type) ?? '');
        if (html) {
            event.preventDefault();
            this.pasted.push({ before: this.box.value, html, plain });
            this.box.value = '';
            this.changed();
        }
    }

    get hasWords() {
        return this.box.value !== '' || this.pasted.length > 0;
    }

    /** Takes out all that stands in it. */
    take() {
        const { value: after } = this.box;
        const pasted = this.pasted.splice(0);
        this.box.value = '';
        this.changed();
        return { pasted, after };
    }

    /** Takes out all that stands in it as lines; of what was pasted, the words. */
    takeLines() {
        const { pasted, after } = this.take();
        const parts = [...pasted.flatMap(({ before, html, plain }) => [before, plain || textOf(html)]), after];
        const text = parts.filter(Boolean).join('\n').trim();
        return text ? text.split('\n') : [];
    }

    /** Gives way to the editor. @param {import('./editor.js').NoteEditor} editor @param {ReturnType<WaitingField['take']>} held */
    static hand(editor, { pasted, after }) {
        for (const { before, html } of pasted) {
            before && editor.writeOut(before);
            editor.paste(html);
        }
        after && editor.writeOut(after);
    }
}

/** The words of a page, a line for each paragraph; nothing in it is run or fetched. @param {string} html */
const textOf = (html) =>
    new DOMParser().parseFromString(html.replace(/<\/(p|h[1-6]|li|tr|div)>/gi, '\n$&'), 'text/html').body.textContent?.trim() ?? '';
