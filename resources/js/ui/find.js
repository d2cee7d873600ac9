import { byId, firstOf } from '../lib/dom.js';
import { send } from '../lib/http.js';
import { meanwhile } from '../lib/meanwhile.js';
import { Painting } from './painting.js';
import { LABEL } from './replacing.js';

const PAUSE = 180;

/** Finds in titles and notes, goes from hit to hit, and replaces what was chosen. PHP does the looking. */
export class Find extends Painting {
    /** @param {import('../views/page.js').Page} page */
    constructor(page) {
        super();
        this.page = page;
        this.bar = byId('find');
        this.text = byId('find-text', HTMLInputElement);
        this.with = byId('find-with', HTMLInputElement);
        this.count = byId('find-count');
        this.only = byId('find-only');
        this.changes = byId('replace-changes', HTMLDialogElement);
        /** @type {import('./given.d.ts').Hit[]} */
        this.hits = [];
        this.at = -1;
        this.byTopic = new Map();
        byId('open-find').addEventListener('click', () => this.open());
        byId('find-close').addEventListener('click', () => this.close());
        byId('find-next').addEventListener('click', () => this.step(1));
        byId('find-before').addEventListener('click', () => this.step(-1));
        byId('find-replace').addEventListener('click', () => this.preview());
        this.bar.addEventListener('submit', (event) => event.preventDefault());
        this.text.addEventListener('input', () => this.soon());
        this.text.addEventListener('keydown', (event) => this.pressed(event));
        this.with.addEventListener('keydown', (event) => event.key === 'Enter' && !event.isComposing && this.preview());
        for (const toggle of this.bar.querySelectorAll('[data-toggle]')) {
            toggle.addEventListener('click', () => {
                toggle.setAttribute('aria-pressed', String(toggle.getAttribute('aria-pressed') !== 'true'));
                toggle === this.only ? this.filter() : this.look();
            });
        }
        firstOf(this.changes, 'form').addEventListener('submit', (event) => {
            event.preventDefault();
            this.replace();
        });
    }

    get isOpen() {
        return !this.bar.hidden;
    }

    /** @param {any} node */
    holds(node) {
        return this.isOpen && this.bar.contains(node);
    }

    /** @param {any} toggle */
    isOn(toggle) {
        return firstOf(this.bar, `[data-toggle=${toggle}]`).getAttribute('aria-pressed') === 'true';
    }

    open() {
        this.page.show(['map', 'draft'].includes(this.page.view ?? '') ? this.page.view : 'outline');
        const marked = String(getSelection() ?? '');
        this.bar.hidden = false;
        if (marked && !marked.includes('\n')) {
            this.text.value = marked.slice(0, 200);
        }
        this.text.focus();
        this.text.select();
        this.look();
    }

    close() {
        this.bar.hidden = true;
        if (this.isOn('only')) {
            this.only.setAttribute('aria-pressed', 'false');
            this.page.outline.looks.showAll();
        }
        this.set([], 0);
        this.page.back();
    }

    /** @param {KeyboardEvent} event */
    pressed(event) {
        if (event.key === 'Enter' && !event.isComposing) {
            event.preventDefault();
            this.step(event.shiftKey ? -1 : 1);
        }
    }

    soon() {
        clearTimeout(this.waiting);
        this.waiting = setTimeout(() => this.look(), PAUSE);
    }

    /** What is looked for, as the address has it. @returns {Record<string, any>} */
    get query() {
        const { outline } = this.page;
        return {
            text: this.text.value,
            whole: this.isOn('whole') ? 1 : 0,
            case: this.isOn('case') ? 1 : 0,
            ...(outline.state.isAlone ? { within: outline.start } : {}),
        };
    }

    /** Looks again; the hit that was shown stays the one if it is still there. */
    async look() {
        clearTimeout(this.waiting);
        const { page } = this;
        if (!this.text.value.trim()) {
            this.set([], 0);
            return;
        }
        await page.queue.flush();
        const asked = JSON.stringify(this.query);
        this.asked = asked;
        const answer = await send('GET', `${page.address}/find?${new URLSearchParams(this.query)}`).catch((error) => error);
        if (this.asked !== asked || !this.isOpen) {
            return;
        }
        if (!answer.hits) {
            this.count.textContent = answer.status === 0 ? 'Not connected' : answer.message;
            return;
        }
        const was = this.hits[this.at]?.key;
        this.set(answer.hits, answer.count);
        this.at = this.hits.findIndex((hit) => hit.key === was);
        this.tell();
        if (this.isOn('only')) {
            this.filter();
        }
        this.paint();
    }

    /** @param {any} hits @param {number} count */
    set(hits, count) {
        this.hits = hits;
        this.total = count;
        this.at = -1;
        this.byTopic = grouped(hits);
        this.tell();
        this.paint();
    }

    tell() {
        const { total } = this;
        this.count.textContent = !this.text.value.trim()
            ? ''
            : total === 0
              ? 'Nothing found'
              : this.at < 0
                ? `${total} found`
                : `${this.at + 1} of ${total}`;
    }

    /** Goes to the next hit, or the one before; after the last comes the first. @param {number} by */
    async step(by) {
        if (!this.isOpen) {
            this.open();
            return;
        }
        if (this.waiting && this.asked !== JSON.stringify(this.query)) {
            await this.look();
        }
        if (!this.hits.length) {
            return;
        }
        this.at = this.at < 0 ? (by > 0 ? 0 : this.hits.length - 1) : (this.at + by + this.hits.length) % this.hits.length;
        this.tell();
        await this.go(this.hits[this.at]);
    }

    /** @param {any} hit */
    async go(hit) {
        const { outline, note, tree } = this.page;
        const isUnmoved = meanwhile();
        outline.titles.end();
        const isInDraft = this.page.view === 'draft' && this.page.views.now.shows(hit.topic);
        if (tree.get(hit.topic) && !isInDraft) {
            outline.show(hit.topic);
        }
        if (isInDraft) {
            this.page.views.now.reveal(hit.topic);
        } else if (hit.block && hit.block !== LABEL) {
            await note.showAt(hit.topic);
        }
        this.paint();
        this.page.tell(`${this.count.textContent}: ${hit.before}${hit.match}${hit.after}`);
        if (isUnmoved()) {
            this.text.focus({ preventScroll: true });
        }
    }

    filter() {
        this.page.outline.looks.showFound(
            this.isOn('only') && this.text.value.trim()
                ? new Set(this.hits.map((hit) => hit.topic).filter((id) => this.page.tree.get(id)))
                : null,
        );
    }

    unfiltered() {
        this.only.setAttribute('aria-pressed', 'false');
    }

    /** What is found is looked for again when the plan has changed. @param {import('../state/topics.js').Answer} answer */
    told(answer) {
        if (this.isOpen && (answer.topics.length || answer.removed.length)) {
            this.soon();
        }
    }

    // ---- Showing

    // ---- Replacing
}

/** @param {any} hits */
function grouped(hits) {
    const groups = new Map();
    for (const hit of hits) {
        groups.get(hit.topic)?.push(hit) ?? groups.set(hit.topic, [hit]);
    }
    return groups;
}
