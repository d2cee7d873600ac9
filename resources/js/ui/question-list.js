import { firstOf } from '../lib/dom.js';
import { reason, send } from '../lib/http.js';
import { newId } from '../lib/ids.js';
import { ROOT, TRAY } from '../state/plan.js';
import { element } from './element.js';
import { tell } from './toast.js';

/** @typedef {{id: string, text: string}} Question */
/** @typedef {{topic: string, title: string, asked: number, questions: Question[]}} AskedOf */

/**
 * What can be asked of a topic, one below the other: each is taken as a part, as a loose idea or into the note, where it
 * waits for an answer and never prints; or it is let go. None comes twice.
 */
export class QuestionList {
    /**
     * @param {import('../views/page.js').Page} page
     * @param {HTMLElement} list
     * @param {object} on
     * @param {(text: string) => unknown} on.says
     * @param {(told: AskedOf) => unknown} on.told
     * @param {() => unknown} on.empty the keyboard has nowhere to go in the list
     */
    constructor(page, list, on) {
        this.page = page;
        this.list = list;
        this.on = on;
        this.topic = ROOT;
        this.turn = 0;
    }

    get address() {
        return `${this.page.address}/questions`;
    }

    /**
     * What can be asked of a topic; '' of what is to be written next. What was done here comes to the server first.
     * @param {string} topic
     * @returns {Promise<AskedOf>}
     */
    async of(topic) {
        await this.page.queue.flush();
        if (topic && !this.page.tree.noteBearer(topic)) {
            throw new Error('This topic is there no more.');
        }
        return send('GET', `${this.address}?topic=${topic}`);
    }

    /** It was taken or let go, and does not come again. @param {string} topic @param {string} question */
    remember(topic, question) {
        return send('POST', this.address, { topic, question });
    }

    /** @param {string} topic '' what is to be written next */
    async ask(topic) {
        const turn = ++this.turn;
        try {
            const told = await this.of(topic);
            // Only what was asked for last is shown.
            if (turn !== this.turn) {
                return;
            }
            this.topic = told.topic;
            this.list.replaceChildren(...told.questions.map((one) => this.entry(one)));
            this.on.says(told.questions.length ? '' : 'Nothing more to ask here.');
            this.on.told(told);
        } catch (error) {
            this.on.says(reason(error));
        }
    }

    /** All may be asked once more. */
    async askAgain() {
        await send('DELETE', `${this.address}?topic=${this.topic}`).catch((error) => this.on.says(reason(error)));
        await this.ask(this.topic);
        this.focus();
    }

    focus() {
        const first = this.list.querySelector('button');
        first ? first.focus() : this.on.empty();
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
            { 'data-question': question.id, 'data-card': '' },
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
        await this.remember(topic, question.id).catch((error) => this.on.says(reason(error)));
        // The next ones come when all that were shown are answered.
        if (!this.list.children.length) {
            await this.ask(topic);
            this.focus();
        } else {
            this.on.told({ topic, title: '', asked: 1, questions: [] });
        }
    }
}
