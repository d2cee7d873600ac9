import { byId } from '../../lib/dom.js';
import { reason } from '../../lib/http.js';

/** @typedef {{topic: string, question: {id: string, text: string}}} Asked */

/** Asks something, one question at a time; what is typed then is the answer, and becomes an idea. */
export class Asking {
    /** @param {import('./gather.js').Gather} gather */
    constructor(gather) {
        this.gather = gather;
        this.box = byId('gather-asks');
        this.button = byId('gather-ask');
        this.skip = byId('gather-skip');
        /** @type {Asked | null} */
        this.now = null;
        this.button.addEventListener('click', () => (this.now ? this.stop() : this.ask()));
        this.skip.addEventListener('click', () => this.next());
    }

    get questions() {
        return this.gather.page.questions;
    }

    async ask() {
        const { gather } = this;
        gather.input.focus();
        try {
            const { topic, title, questions } = await this.questions.of('');
            this.now = questions.length ? { topic, question: questions[0] } : null;
            this.box.textContent = questions.length ? `${title ? `${title}: ` : ''}${questions[0].text}` : 'Nothing more to ask for now.';
        } catch (error) {
            this.now = null;
            this.box.textContent = reason(error);
        }
        this.box.hidden = false;
        this.draw();
    }

    draw() {
        this.button.textContent = this.now ? 'Ask no more' : 'Ask me something';
        this.skip.hidden = !this.now;
    }

    /** It was answered, or is let go: another one comes. */
    async next() {
        const { now } = this;
        if (now) {
            await this.questions.remember(now.topic, now.question.id).catch(() => null);
            await this.ask();
        }
    }

    stop() {
        this.now = null;
        this.box.hidden = true;
        this.draw();
        this.gather.input.focus();
    }
}
