import { send } from '../lib/http.js';
import { meanwhile } from '../lib/meanwhile.js';
import { Painting } from './painting.js';

const PAUSE = 180;

/** Finds in titles and notes, goes from hit to hit, and replaces what was chosen. PHP does the looking. */
export class Find extends Painting {
    constructor(page) {
        super();
        this.page = page;
        this.bar = document.getElementById('find');
        this.text = document.getElementById('find-text');
        this.with = document.getElementById('find-with');
        this.count = document.getElementById('find-count');
        this.only = document.getElementById('find-only');
        this.changes = document.getElementById('replace-changes');
        this.hits = [];
        this.at = -1;
        this.byTopic = new Map();
        document.getElementById('open-find').addEventListener('click', () => this.open());
        document.getElementById('find-close').addEventListener('click', () => this.close());
        document.getElementById('find-next').addEventListener('click', () => this.step(1));
        document.getElementById('find-before').addEventListener('click', () => this.step(-1));
        document.getElementById('find-replace').addEventListener('click', () => this.preview());
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
        this.changes.querySelector('form').addEventListener('submit', (event) => {
            event.preventDefault();
            this.replace();
        });
    }

    get isOpen() {
        return !this.bar.hidden;
    }

    holds(node) {
        return this.isOpen && this.bar.contains(node);
    }

    isOn(toggle) {
        return this.bar.querySelector(`[data-toggle=${toggle}]`).getAttribute('aria-pressed') === 'true';
    }

    open() {
        this.page.show(this.page.view === 'map' ? 'map' : 'outline');
        const marked = getSelection().toString();
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
        this.page.outline.box.focus({ preventScroll: true });
    }

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

    /** Goes to the next hit, or the one before; after the last comes the first. */
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

    async go(hit) {
        const { outline, note, tree } = this.page;
        const isUnmoved = meanwhile();
        outline.titles.end();
        if (tree.get(hit.topic)) {
            outline.show(hit.topic);
        }
        if (hit.block) {
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

    /** What is found is looked for again when the plan has changed. */
    told(answer) {
        if (this.isOpen && (answer.topics.length || answer.removed.length)) {
            this.soon();
        }
    }

    // ---- Showing

    // ---- Replacing
}

function grouped(hits) {
    const groups = new Map();
    for (const hit of hits) {
        groups.get(hit.topic)?.push(hit) ?? groups.set(hit.topic, [hit]);
    }
    return groups;
}
