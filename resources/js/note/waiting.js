import { element } from '../ui/element.js';

/** Keys that the editor has and the plain field has not: those that dress letters, and those that ask for something. */
const DRESSING = /^(?:[biu]|shift-[=+_-])$/;
const ASKING = /^(?:shift-[kex]|alt-f)$/;

/**
 * What was done in the field, in order: words, then what came after them, a press of keys or something pasted.
 * @typedef {{before: string, html?: string, plain?: string, press?: KeyboardEventInit, asks?: boolean}} Done
 */

/**
 * The plain field that stands for the editor of notes until that has come. What is written, pressed and pasted in it goes to the
 * editor as it was; where it is left before, its words can be had alone.
 */
export class WaitingField {
    /**
     * @param {() => void} left the keyboard has gone elsewhere in the page
     * @param {() => void} changed there are words in it, or none any more
     */
    constructor(left, changed) {
        this.changed = changed;
        this.box = element('textarea', { class: 'waiting-note', 'aria-label': 'Note', rows: 12 });
        /** @type {Done[]} */
        this.done = [];
        /** How much of what stands in the field is in `done`. */
        this.told = 0;
        // Where the whole window is left, the field keeps both its place and its words.
        this.box.addEventListener('blur', () => document.activeElement !== this.box && left());
        this.box.addEventListener('input', () => this.typed());
        this.box.addEventListener('paste', (event) => this.paste(event));
        this.box.addEventListener('keydown', (event) => this.press(event));
    }

    /** The words since what was done last. */
    rest() {
        const rest = this.box.value.slice(this.told);
        this.told = this.box.value.length;
        return rest;
    }

    typed() {
        if (this.box.value.length < this.told) {
            // Words were taken back that something was pressed after: they are plain from here on.
            const pasted = this.done.findLastIndex(({ html }) => html !== undefined);
            this.done.length = pasted + 1;
            this.told = 0;
        }
        this.changed();
    }

    /** @param {KeyboardEvent} event */
    press(event) {
        const { key, code, ctrlKey, metaKey, shiftKey, altKey } = event;
        const name = `${shiftKey ? 'shift-' : ''}${altKey ? 'alt-' : ''}${key.toLowerCase()}`;
        const asks = ASKING.test(name);
        if ((ctrlKey || metaKey) && (asks || DRESSING.test(name))) {
            event.preventDefault();
            this.done.push({ before: this.rest(), press: { key, code, ctrlKey, metaKey, shiftKey, altKey }, asks });
        }
    }

    /** @param {ClipboardEvent} event */
    paste(event) {
        const [html, plain] = ['text/html', 'text/plain'].map((type) => event.clipboardData?.getData(type) ?? '');
        if (html) {
            event.preventDefault();
            this.done.push({ before: this.rest(), html, plain });
            this.box.value = '';
            this.told = 0;
            this.changed();
        }
    }

    get hasWords() {
        return this.box.value !== '' || this.done.some(({ html }) => html !== undefined);
    }

    /** Takes out all that stands in it. */
    take() {
        const after = this.rest();
        const done = this.done.splice(0);
        this.box.value = '';
        this.told = 0;
        this.changed();
        return { done, after };
    }

    /** Takes out all that stands in it as lines; of what was pasted, the words. */
    takeLines() {
        const { done, after } = this.take();
        let text = '';
        for (const { before, html, plain } of done) {
            text += before;
            text += html === undefined ? '' : `\n${plain || textOf(html)}\n`;
        }
        text = (text + after).replace(/\n{2,}/g, '\n').trim();
        return text ? text.split('\n') : [];
    }

    /** Gives way to the editor. @param {import('./editor.js').NoteEditor} editor @param {ReturnType<WaitingField['take']>} held */
    static hand(editor, { done, after }) {
        done.forEach(({ before, html, press, asks }, i) => {
            before && editor.writeOut(before);
            html !== undefined && editor.paste(html);
            // What asks for something asks where the person still waits for it.
            if (press && (!asks || (i === done.length - 1 && after === ''))) {
                editor.press(press);
            }
        });
        after && editor.writeOut(after, true);
    }
}

/** The words of a page, a line for each paragraph; nothing in it is run or fetched. @param {string} html */
const textOf = (html) =>
    new DOMParser().parseFromString(html.replace(/<\/(p|h[1-6]|li|tr|div)>/gi, '\n$&'), 'text/html').body.textContent?.trim() ?? '';
