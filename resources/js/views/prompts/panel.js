import { allOf, byId, firstOf, held } from '../../lib/dom.js';
import { reason, send } from '../../lib/http.js';
import { byKey } from '../../lib/keys.js';
import { ROOT } from '../../state/plan.js';
import { markedWords } from '../../ui/marked-words.js';
import { Asked } from './asked.js';
import { Drafting } from './drafting.js';
import { Helper } from './helper.js';
import { Near } from './near.js';
import { Shorter } from './shorter.js';
import { Taking } from './taking.js';
import { Terms } from './terms.js';

const REST = 350;

/**
 * What is offered beside the plan, about the topic in hand: questions, what belongs near, terms, main sentences, a first
 * draft. Nothing of it is kept before somebody takes it, each by one step.
 */
export class Prompts extends Taking {
    /** @param {import('../page.js').Page} page */
    constructor(page) {
        super(page, byId('prompts'));
        this.body = firstOf(this.box, '.prompts-body');
        this.said = firstOf(this.box, '.prompts-said');
        this.about = byId('prompts-about');
        this.tabs = /** @type {HTMLButtonElement[]} */ (allOf(this.box, '[role=tab]'));
        this.buttons = allOf(document, '[data-command=prompts]');
        /** @type {Record<string, {draw(): unknown, follows: boolean}>} */
        this.offers = {
            asked: new Asked(this),
            near: new Near(this),
            terms: new Terms(this),
            shorter: new Shorter(this),
            draft: new Drafting(this),
            helper: new Helper(this),
        };
        this.which = 'near';
        this.topic = ROOT;
        /** Whether it is about the whole plan, whatever is in hand. */
        this.isWhole = false;
        /** Counts what was asked for: only the last answer counts. */
        this.turn = 0;
        for (const tab of this.tabs) {
            tab.addEventListener('click', () => this.open(String(tab.dataset.offer)));
        }
        firstOf(this.box, '[role=tablist]').addEventListener('keydown', (event) => this.walk(event));
        this.whole = byId('prompts-whole');
        this.whole.addEventListener('click', () => this.turnTo(!this.isWhole));
        firstOf(this.box, '[data-close]').addEventListener('click', () => this.close());
        this.box.addEventListener('keydown', (event) => this.pressed(event));
        page.state.active.listen(() => this.follow());
        document.addEventListener('selectionchange', () => this.isOpen && this.which === 'near' && this.follow());
        document.addEventListener('focusin', ({ target }) => target instanceof Element && target.closest('#draft, #note') && this.follow());
    }

    get isOpen() {
        return !this.box.hidden;
    }

    get mayWrite() {
        return this.page.session.rights.mayWrite;
    }

    // ---- Opened and closed

    toggle() {
        this.isOpen ? this.close() : this.open(this.which);
    }

    /** @param {string} which '' as it was last @param {string | null} [topic] null: the topic in hand */
    open(which, topic = null) {
        this.page.commit();
        this.page.bars.open(false);
        this.page.talk.isOpen && this.page.talk.close();
        this.which = which || this.which;
        this.isWhole = topic === null && this.isWhole;
        this.topic = topic ?? this.here();
        this.marked = this.markedNow();
        this.box.hidden = false;
        byId('plan').classList.add('has-talk');
        this.buttons.forEach((button) => button.setAttribute('aria-pressed', 'true'));
        this.page.map?.narrowed?.();
        this.draw();
        (this.tabs.find((tab) => tab.dataset.offer === this.which) ?? this.box).focus();
    }

    close() {
        this.turn++;
        this.box.hidden = true;
        byId('plan').classList.remove('has-talk');
        this.buttons.forEach((button) => button.setAttribute('aria-pressed', 'false'));
        this.page.map?.narrowed?.();
        this.page.back();
    }

    /** Whether what it is about is still in the plan. */
    get isThere() {
        return this.topic === ROOT || !!this.page.tree.noteBearer(this.topic);
    }

    /** The topic in hand, else the plan. */
    here() {
        if (this.isWhole) {
            return ROOT;
        }
        const id = this.page.talk.here() ?? ROOT;
        return id === ROOT || this.page.tree.noteBearer(id) ? id : ROOT;
    }

    /** About the whole plan, or about the topic in hand again. @param {boolean} isWhole */
    turnTo(isWhole) {
        this.isWhole = isWhole;
        this.marked = null;
        this.topic = this.here();
        this.draw();
    }

    /** The words that are marked in a text. */
    markedNow() {
        return markedWords(this.page.note.isOpen ? this.page.note.topic : null);
    }

    /** Goes along with the topic in hand, and with words that are marked, once they rest. */
    follow() {
        clearTimeout(this.resting);
        this.resting = setTimeout(() => {
            const marked = this.which === 'near' && !this.isWhole ? this.markedNow() : null;
            const to = marked?.topic ?? this.here();
            const isOther = to !== this.topic || marked?.words.text !== this.marked?.words.text;
            if (this.isOpen && this.offers[this.which].follows && isOther && !this.box.contains(held())) {
                [this.topic, this.marked] = [to, marked];
                this.draw();
            }
        }, REST);
    }

    // ---- What is drawn

    draw() {
        for (const tab of this.tabs) {
            const isOn = tab.dataset.offer === this.which;
            tab.setAttribute('aria-selected', String(isOn));
            tab.tabIndex = isOn ? 0 : -1;
            isOn && this.body.setAttribute('aria-labelledby', tab.id);
        }
        this.about.textContent = this.called(this.topic);
        this.about.title = this.called(this.topic);
        this.whole.setAttribute('aria-pressed', String(this.isWhole));
        this.whole.hidden = !this.isWhole && this.topic === ROOT;
        this.whole.textContent = this.isWhole ? 'The topic in hand' : 'The whole plan';
        // What was asked for before, by another offer, is waited for no more.
        this.turn++;
        this.body.removeAttribute('aria-busy');
        this.offers[this.which].draw();
    }

    /** @param {string} id */
    called(id) {
        const topic = this.page.tree.get(id);
        return id === ROOT || !topic ? this.page.tree.title : `${topic.label} ${topic.title || 'Untitled'}`.trim();
    }

    /**
     * Asks the server and shows what it says; what was asked for before and comes late is dropped.
     * @param {'GET' | 'POST'} method
     * @param {string} path below the plan
     * @param {(told: any) => (Node | string)[]} shown
     * @param {object} [body]
     */
    async ask(method, path, shown, body) {
        const turn = ++this.turn;
        this.body.setAttribute('aria-busy', 'true');
        this.say('');
        try {
            await this.page.queue.flush();
            if (!this.isThere) {
                throw new Error('This topic is there no more.');
            }
            const told = await send(method, `${this.page.address}/${path}`, body);
            turn === this.turn && this.body.replaceChildren(...shown(told));
        } catch (error) {
            if (turn === this.turn) {
                this.body.replaceChildren();
                this.say(reason(error));
            }
        } finally {
            turn === this.turn && this.body.removeAttribute('aria-busy');
        }
    }

    /** @param {string} text */
    say(text) {
        this.said.textContent = text;
    }

    // ---- Keys

    /** @param {KeyboardEvent} event */
    walk(event) {
        const by = byKey(event, { ArrowRight: 1, ArrowLeft: -1 });
        if (by) {
            event.preventDefault();
            const at = this.tabs.findIndex((tab) => tab.dataset.offer === this.which);
            this.open(String(this.tabs[(at + by + this.tabs.length) % this.tabs.length].dataset.offer), this.topic);
        }
    }

    /** Escape closes; arrows go from card to card, a letter does what is said beside it. @param {KeyboardEvent} event */
    pressed(event) {
        if (event.key === 'Escape') {
            event.preventDefault();
            event.stopPropagation();
            this.close();
            return;
        }
        const card = held().closest('.prompts-body [data-card]');
        if (!card || event.ctrlKey || event.altKey || event.metaKey || held().matches('input, select, textarea')) {
            return;
        }
        const by = byKey(event, { ArrowDown: 1, ArrowUp: -1 });
        if (by) {
            event.preventDefault();
            const cards = allOf(this.body, '[data-card]');
            const next = cards[cards.indexOf(/** @type {HTMLElement} */ (card)) + by];
            next?.querySelector('button')?.focus();
            return;
        }
        const button = /** @type {HTMLElement | null} */ (card.querySelector(`[data-key="${CSS.escape(event.key)}"]`));
        if (button) {
            event.preventDefault();
            button.click();
        }
    }
}
