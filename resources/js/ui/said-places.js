import { byId, firstOf } from '../lib/dom.js';
import { ROOT } from '../state/plan.js';
import { nthRange } from './marked-words.js';

/** Space between two cards. */
const APART = 12;

/** Where what is said has its place: marks on rows and map, words painted in the text, cards beside their sections in the draft. */
export class SaidPlaces {
    /** @param {import('./talk-panel.js').TalkPanel} panel */
    constructor(panel) {
        this.panel = panel;
        this.page = panel.page;
        this.draft = byId('draft');
        this.draft.addEventListener('scroll', () => this.soon(), { passive: true });
        // What comes into sight is laid out then, and moves what stands below it.
        this.draft.addEventListener('contentvisibilityautostatechange', () => this.soon());
        new ResizeObserver(() => this.soon()).observe(byId('notes-in-order'));
        addEventListener('resize', () => this.soon());
        /** @type {number | null} */
        this.frame = null;
        /** What was counted last. */
        this.were = '[]';
    }

    /** How many are open, on the buttons and beside each topic. */
    count() {
        const { talk, buttons } = this.panel;
        const { tree } = this.page;
        const counts = talk.counts;
        const are = JSON.stringify([...counts]);
        const open = talk.shown('open').length;
        for (const button of buttons) {
            firstOf(button, 'b').textContent = open ? ` ${open}` : '';
            button.classList.toggle('has-news', talk.fresh > 0);
            button.setAttribute('aria-pressed', String(this.panel.isOpen));
        }
        if (are !== this.were) {
            this.were = are;
            tree.beside.said = counts;
            this.page.views.drawBeside();
        }
    }

    soon() {
        this.frame ??= requestAnimationFrame(() => {
            this.frame = null;
            this.arrange();
        });
    }

    get isBeside() {
        return this.page.view === 'draft' && this.panel.isOpen && matchMedia('(min-width: 56.3em)').matches;
    }

    /** In the draft each card stands beside its words, or as near below as there is room. */
    arrange() {
        const { panel } = this;
        panel.list.classList.toggle('is-beside', this.isBeside);
        this.paint();
        if (!this.isBeside) {
            return;
        }
        // Seen from the top of all cards: those that there is no room for beside the text are scrolled to.
        const top = panel.list.getBoundingClientRect().top - panel.list.scrollTop;
        let free = -Infinity;
        for (const node of /** @type {HTMLElement[]} */ ([...panel.list.children])) {
            const head = panel.talk.comments.get(node.dataset.thread ?? '');
            const at = head ? this.top(head) : null;
            const y = Math.max(at === null ? free : at - top, free);
            node.style.transform = `translateY(${Math.round(y === -Infinity ? 0 : y)}px)`;
            free = (y === -Infinity ? 0 : y) + node.offsetHeight + APART;
        }
        panel.list.style.setProperty('--deep', `${Math.max(0, Math.ceil(free))}px`);
    }

    /** Where on the screen what a thread is about begins; null: it is not in the text. @param {import('../state/talk.js').Comment} head */
    top(head) {
        if (head.topic === ROOT && !head.anchor) {
            return this.draft.getBoundingClientRect().top - this.draft.scrollTop;
        }
        return (this.range(head) ?? this.section(head.topic))?.getBoundingClientRect().top ?? null;
    }

    /** @param {string} topic */
    section(topic) {
        return this.draft.querySelector(`[data-topic="${topic}"]`);
    }

    /** The words of a thread, where they stand in sight. @param {import('../state/talk.js').Comment} head */
    range({ topic, anchor }) {
        if (!anchor || anchor.gone) {
            return null;
        }
        const box =
            this.page.view === 'draft'
                ? this.section(topic)?.querySelector('.ProseMirror, .read')
                : this.page.note.topic === topic && document.querySelector('#page .ProseMirror');
        return box ? nthRange(box, anchor.words, anchor.nth) : null;
    }

    /** The words that are spoken of, in the text. */
    paint() {
        if (!('highlights' in CSS)) {
            return;
        }
        const { panel } = this;
        const [all, chosen] = [[], []].map(() => /** @type {Range[]} */ ([]));
        for (const { head } of panel.isOpen ? panel.talk.shown(panel.filter.value) : []) {
            const range = this.range(head);
            range && (head.id === panel.chosen ? chosen : all).push(range);
        }
        CSS.highlights.set('said', new Highlight(...all));
        CSS.highlights.set('said-now', new Highlight(...chosen));
    }

    /** A card that has the keyboard is seen: where it stands above the panel, its section is gone to. @param {HTMLElement} node */
    keepInSight(node) {
        const head = this.panel.talk.comments.get(node.dataset.thread ?? '');
        if (this.isBeside && head && node.getBoundingClientRect().bottom < this.panel.list.getBoundingClientRect().top) {
            this.section(head.topic)?.scrollIntoView({ block: 'center' });
        }
    }

    /** Goes to what a thread is about. @param {import('../state/talk.js').Comment} head */
    reveal(head) {
        const { page } = this;
        if (head.topic === ROOT) {
            head.anchor && page.openOpening();
        } else if (page.view === 'draft') {
            page.views.now.reveal(head.topic);
        } else if (head.anchor) {
            page.show(page.view === 'map' ? 'map' : 'outline');
            page.outline.goTo(head.topic);
            page.note.open(head.topic);
        } else {
            page.goTo(head.topic);
        }
        requestAnimationFrame(() => this.range(head)?.startContainer.parentElement?.scrollIntoView({ block: 'nearest' }));
    }
}
