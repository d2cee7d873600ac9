import { byId, firstOf, held } from '../lib/dom.js';
import { byKey } from '../lib/keys.js';
import { reason, send } from '../lib/http.js';
import { newId } from '../lib/ids.js';
import { ROOT, TRAY } from '../state/plan.js';
import { element } from './element.js';
import { tell } from './toast.js';

/** @typedef {{id: string, text: string}} Question */

/**
 * What can be asked of a topic, one below the other: each is taken as a part, as a loose idea or into the note, where it
 * waits for an answer and never prints; or it is let go. None comes twice.
 */
export class Questions {
    /** @param {import('../views/page.js').Page} page */
    constructor(page) {
        this.page = page;
        this.topic = ROOT;
        this.dialog = byId('questions', HTMLDialogElement);
        this.head = byId('questions-head');
        this.list = byId('questions-list');
        this.said = byId('questions-said');
        this.again = byId('questions-again');
        this.list.addEventListener('keydown', (event) => this.pressed(event));
        this.again.addEventListener('click', () => this.askAgain());
    }

    get address() {
        return `${this.page.address}/questions`;
    }

    /**
     * What can be asked of a topic; '' of what is to be written next. What was done here comes to the server first.
     * @param {string} topic
     * @returns {Promise<{topic: string, title: string, asked: number, questions: Question[]}>}
     */
    async of(topic) {
        await this.page.queue.flush();
        return send('GET', `${this.address}?topic=${topic}`);
    }

    /** It was taken or let go, and does not come again. @param {string} topic @param {string} question */
    remember(topic, question) {
        return send('POST', this.address, { topic, question });
    }

    /** The keyboard goes to the first question, else to the foot. */
    focus() {
        firstOf(this.dialog, 'li button, .dialog-foot button').focus();
    }

    /** @param {string | null} topic null: what is to be written next */
    async open(topic) {
        this.page.commit();
        this.list.replaceChildren();
        this.head.textContent = 'Questions';
        this.said.textContent = '';
        this.again.hidden = true;
        this.dialog.showModal();
        await this.ask(topic ?? '');
        this.focus();
    }

    /** @param {string} topic */
    async ask(topic) {
        try {
            const { topic: of, title, questions, asked } = await this.of(topic);
            this.topic = of;
            this.head.textContent = title ? `Questions about “${title}”` : 'Questions';
            this.list.replaceChildren(...questions.map((/** @type {Question} */ one) => this.entry(one)));
            this.said.textContent = questions.length ? '' : 'Nothing more to ask here.';
            this.again.hidden = asked === 0;
        } catch (error) {
            this.said.textContent = reason(error);
        }
    }

    /** @param {Question} question */
    entry(question) {
        const act = (/** @type {string} */ name, /** @type {string} */ key, /** @type {() => unknown} */ does) =>
            element(
                'button',
                { type: 'button', class: 'plain', 'data-key': key, onclick: () => this.taken(question, does) },
                name,
                element('kbd', { class: 'kbd' }, key === 'Delete' ? 'Del' : key.toUpperCase()),
            );
        const title = question.text;
        return element(
            'li',
            { 'data-question': question.id },
            element('p', {}, title),
            element(
                'div',
                { class: 'question-acts', role: 'group', 'aria-label': title },
                act('As a part', 'p', () => this.add(this.topic, title)),
                act('As a loose idea', 'l', () => this.add(TRAY, title)),
                act('Into the note', 'n', () => this.note(title)),
                act('Let go', 'Delete', () => null),
            ),
        );
    }

    /** @param {string} parent @param {string} title */
    add(parent, title) {
        this.page.perform({ type: 'add', at: this.page.tree.lastPlace(parent), topics: [{ id: newId(), title }] });
        tell(parent === TRAY ? `Kept as a loose idea: ${title}` : `Kept as a part: ${title}`);
    }

    /** @param {string} text */
    note(text) {
        const put = [{ type: 'question', attrs: { id: newId() }, content: [{ type: 'text', text }] }];
        this.page.perform({ type: 'note', topic: this.topic, put, remove: [], order: null, was: {} });
        tell(`In the note: ${text}`);
    }

    /** @param {Question} question @param {() => unknown} does */
    async taken(question, does) {
        does();
        const row = firstOf(this.list, `[data-question="${question.id}"]`);
        const next = row.nextElementSibling ?? row.previousElementSibling;
        row.remove();
        next?.querySelector('button')?.focus();
        const { topic } = this;
        await this.remember(topic, question.id).catch((error) => (this.said.textContent = reason(error)));
        this.again.hidden = false;
        // The next ones come when all that were shown are answered.
        if (!this.list.children.length) {
            await this.ask(topic);
            this.focus();
        }
    }

    async askAgain() {
        await send('DELETE', `${this.address}?topic=${this.topic}`).catch((error) => (this.said.textContent = reason(error)));
        await this.ask(this.topic);
        this.focus();
    }

    /** Arrows go from question to question; a letter takes the one at hand. @param {KeyboardEvent} event */
    pressed(event) {
        const row = held().closest('li');
        const by = byKey(event, { ArrowDown: 1, ArrowUp: -1 });
        if (!row || event.ctrlKey || event.altKey || event.metaKey) {
            return;
        }
        if (by) {
            event.preventDefault();
            const other = by > 0 ? row.nextElementSibling : row.previousElementSibling;
            other?.querySelector('button')?.focus();
            return;
        }
        const button = /** @type {HTMLElement | null} */ (row.querySelector(`[data-key="${CSS.escape(event.key)}"]`));
        if (button) {
            event.preventDefault();
            button.click();
        }
    }
}
