import { byId, firstOf, around, held } from '../lib/dom.js';
import { ROOT } from '../state/plan.js';
import { FILTERS } from '../state/talk.js';
import { element } from './element.js';
import { markedWords } from './marked-words.js';
import { SayField } from './say-field.js';
import { SaidPlaces } from './said-places.js';
import { card } from './talk-card.js';
import { TalkActs } from './talk-acts.js';

/** What is said, beside the plan: in reading order; in the draft each beside its words. */
export class TalkPanel extends TalkActs {
    /**
     * @param {import('../views/page.js').Page} page
     * @param {import('../sync/talking.js').Talking} talking
     */
    constructor(page, talking) {
        super(page, talking);
        this.box = byId('talk');
        this.list = firstOf(this.box, '.talk-list');
        this.filter = firstOf(this.box, 'select', HTMLSelectElement);
        this.buttons = [...document.querySelectorAll('[data-command=comments]')];
        this.writing = new SayField(this);
        this.places = new SaidPlaces(this);
        this.filter.addEventListener('change', () => this.draw());
        firstOf(this.box, '[data-close]').addEventListener('click', () => this.close());
        firstOf(this.box, '.talk-new').addEventListener('click', () => this.say());
        this.box.addEventListener('keydown', (event) => this.pressed(event));
        this.list.addEventListener('focusin', (event) => this.choose(around(event, '[data-thread]')?.dataset.thread ?? null));
    }

    get isOpen() {
        return !this.box.hidden;
    }

    // ---- Opened and closed

    toggle() {
        this.page.bars.open(false);
        this.isOpen ? this.close() : this.show();
    }

    show() {
        this.page.promptsNow?.isOpen && this.page.promptsNow.close();
        this.box.hidden = false;
        byId('plan').classList.add('has-talk');
        this.draw();
        this.page.map?.narrowed?.();
    }

    close() {
        this.box.hidden = true;
        byId('plan').classList.remove('has-talk');
        this.writing.close();
        this.draw();
        this.page.map?.narrowed?.();
        this.page.back();
    }

    /** A comment on what is marked: words of a note, else the topic in hand, else the plan. @param {string | null} [topic] */
    say(topic = null) {
        if (!this.rights.mayComment) {
            this.page.say('You can read this plan, and not comment on it.');
            return;
        }
        const marked = topic === null ? markedWords(this.page.note.isOpen ? this.page.note.topic : null) : null;
        this.show();
        this.writing.open(marked?.topic ?? topic ?? this.here() ?? ROOT, marked?.words ?? null);
    }

    /** The topic in hand. */
    here() {
        const { page } = this;
        const section = /** @type {HTMLElement | null} */ (held().closest('#draft [data-topic]'));
        const inNote = page.note.isOpen && document.getElementById('note')?.contains(held());
        return section?.dataset.topic ?? (inNote ? page.note.topic : page.view === 'draft' ? null : page.state.active.get());
    }

    // ---- What is drawn

    /** The plan has changed: what is spoken of may be called otherwise, or have gone. */
    told() {
        this.isOpen && this.draw();
    }

    /** Something was said, or the plan has changed. */
    draw() {
        this.places.count();
        if (!this.isOpen) {
            return;
        }
        this.offer();
        const order = new Map([ROOT, ...this.tree.branch(ROOT).slice(1)].map((id, i) => [id, i]));
        const at = (/** @type {{head: {topic: string}}} */ { head }) => order.get(head.topic) ?? Infinity;
        const threads = this.talk.shown(this.filter.value).sort((a, b) => at(a) - at(b));
        const typed = this.typed();
        this.list.replaceChildren(...threads.map((thread) => card(this, thread)));
        typed();
        firstOf(this.box, '.talk-none').hidden = threads.length > 0;
        this.places.arrange();
    }

    /** What is typed, and where the keyboard is, outlasts a drawing. */
    typed() {
        const node = held();
        const id = /** @type {HTMLElement | null} */ (node.closest('[data-thread]'))?.dataset.thread;
        if (!id || !this.list.contains(node)) {
            return () => {};
        }
        const field = node instanceof HTMLTextAreaElement ? [node.value, node.selectionStart, node.selectionEnd] : null;
        return () => {
            const area = this.card(id)?.querySelector('textarea');
            if (field && area) {
                area.value = String(field[0]);
                area.setSelectionRange(Number(field[1]), Number(field[2]));
            }
            (field && area ? area : this.card(id))?.focus({ preventScroll: true });
        };
    }

    /** @param {string} id */
    card(id) {
        return /** @type {HTMLElement | null} */ (this.list.querySelector(`[data-thread="${id}"]`));
    }

    offer() {
        const chosen = this.filter.value || 'open';
        const option = (/** @type {string[]} */ [value, name]) => element('option', { value, selected: value === chosen }, name);
        this.filter.replaceChildren(
            ...FILTERS.map(option),
            element('optgroup', { label: 'By' }, ...this.talk.people.map((name) => option([`by ${name}`, name]))),
        );
    }

    /** What a link says: a comment, whatever has become of it. @param {string} id */
    async reveal(id) {
        await this.talking.load();
        const one = this.talk.comments.get(id);
        if (!one) {
            this.page.say('This comment is there no more.');
            return;
        }
        const head = this.talk.comments.get(one.thread ?? id) ?? one;
        this.show();
        this.filter.value = head.settled ? 'settled' : 'open';
        this.draw();
        this.goTo(head);
        this.card(head.id)?.focus();
    }

    /** @param {KeyboardEvent} event */
    pressed(event) {
        const node = /** @type {HTMLElement} */ (event.target);
        if (event.key === 'Escape') {
            event.preventDefault();
            event.stopPropagation();
            this.close();
        } else if (node.matches('.talk-card') && !event.ctrlKey && !event.altKey && !event.metaKey) {
            const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
            const key = event.key.toLowerCase();
            const head = this.talk.comments.get(node.dataset.thread ?? '');
            if (step) {
                event.preventDefault();
                const cards = /** @type {HTMLElement[]} */ ([...this.list.children]);
                cards[cards.indexOf(node) + step]?.focus();
            } else if (key === 't' && head?.proposal && !head.outcome && this.rights.mayWrite) {
                event.preventDefault();
                this.take(head.id);
            } else if (event.key === 'Enter' && this.rights.mayComment) {
                event.preventDefault();
                this.open('answering', node.dataset.thread ?? '');
            }
        }
    }
}
