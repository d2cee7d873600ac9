import { send } from '../lib/http.js';
import { element } from './element.js';
import { meanwhile } from '../lib/meanwhile.js';

const PAUSE = 180;

/** Finds in titles and notes, goes from hit to hit, and replaces what was chosen. PHP does the looking. */
export class Find {
    constructor(page) {
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
        this.changes.querySelector('form').addEventListener('submit', (event) => { event.preventDefault(); this.replace(); });
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
        return { text: this.text.value, whole: this.isOn('whole') ? 1 : 0, case: this.isOn('case') ? 1 : 0, ...(outline.state.isAlone ? { within: outline.start } : {}) };
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
        this.count.textContent = !this.text.value.trim() ? '' : total === 0 ? 'Nothing found' : this.at < 0 ? `${total} found` : `${this.at + 1} of ${total}`;
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
        this.page.outline.looks.showFound(this.isOn('only') && this.text.value.trim() ? new Set(this.hits.map((hit) => hit.topic).filter((id) => this.page.tree.get(id))) : null);
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

    /** Paints the hits that are in the page over titles and the open note. */
    paint() {
        if (!globalThis.Highlight) {
            return;
        }
        const isMap = this.page.view === 'map';
        if (isMap) {
            this.page.map.picture.fresh();
        }
        const all = [];
        const current = [];
        if (this.hits.length) {
            const now = this.hits[this.at];
            for (const [id, node] of isMap ? [] : this.page.outline.rows.drawn) {
                const title = node.querySelector('.title')?.firstChild;
                for (const hit of title ? this.byTopic.get(id) ?? [] : []) {
                    const range = hit.block ? null : rangeIn([title], hit);
                    range && (hit === now ? current : all).push(range);
                }
            }
            for (const hit of this.byTopic.get(this.page.note.topic) ?? []) {
                const range = hit.block ? rangeIn(this.page.note.textsOf(hit.block, hit.line), hit) : null;
                range && (hit === now ? current : all).push(range);
            }
        }
        CSS.highlights.set('found', new Highlight(...all));
        CSS.highlights.set('found-now', new Highlight(...current));
        if (current.length && this.hits[this.at].block && this.scrolled !== this.hits[this.at]) {
            this.scrolled = this.hits[this.at];
            current[0].startContainer.parentElement.scrollIntoView({ block: 'nearest' });
        }
    }

    // ---- Replacing

    /** Shows each change before it is made; each can be left out. */
    async preview() {
        await this.look();
        if (!this.hits.length) {
            return;
        }
        const { tree } = this.page;
        this.changes.querySelector('ul').replaceChildren(...this.hits.map((hit) => {
            const topic = tree.noteBearer(hit.topic);
            return element('li', {}, element('label', {},
                element('input', { type: 'checkbox', checked: true, value: hit.key }),
                element('span', {}, element('small', {}, `${hit.block ? 'Note of ' : ''}${topic?.label ?? ''} ${topic?.title || 'Untitled'}`.trim()),
                    element('span', { class: 'change' }, hit.before, element('del', {}, hit.match), element('ins', {}, this.with.value), hit.after))));
        }));
        this.changes.querySelector('.more').textContent = this.total > this.hits.length ? `The first ${this.hits.length} of ${this.total} places are listed; the others stay as they are.` : '';
        const label = () => {
            const chosen = this.changes.querySelectorAll('li :checked').length;
            const button = this.changes.querySelector('.primary');
            button.textContent = chosen === 1 ? 'Replace in 1 place' : `Replace in ${chosen} places`;
            button.disabled = chosen === 0;
        };
        this.changes.querySelector('ul').onchange = label;
        label();
        this.changes.showModal();
    }

    async replace() {
        const chosen = [...this.changes.querySelectorAll('li :checked')].map((box) => box.value);
        this.changes.close();
        const answer = await this.page.sent('find', { ...this.query, whole: this.isOn('whole'), case: this.isOn('case'), with: this.with.value, chosen });
        if (answer) {
            this.page.say(`Replaced in ${answer.replaced} ${answer.replaced === 1 ? 'place' : 'places'}.`, { label: 'Undo', act: () => this.page.undo() });
            this.look();
        }
    }
}

function grouped(hits) {
    const groups = new Map();
    for (const hit of hits) {
        groups.get(hit.topic)?.push(hit) ?? groups.set(hit.topic, [hit]);
    }
    return groups;
}

/** The range of a hit over text nodes that follow each other; what is not text counts as one sign. */
function rangeIn(nodes, hit) {
    const range = new Range();
    let at = 0;
    let started = false;
    for (const node of nodes ?? []) {
        const signs = node.nodeType === 3 ? [...node.data] : ['\ufffc'];
        const offset = (sign) => signs.slice(0, sign - at).join('').length;
        if (!started && hit.from < at + signs.length && node.nodeType === 3) {
            range.setStart(node, offset(hit.from));
            started = true;
        }
        if (started && hit.from + hit.length <= at + signs.length && node.nodeType === 3) {
            range.setEnd(node, offset(hit.from + hit.length));
            return range.toString().toLowerCase() === hit.match.toLowerCase() ? range : null;
        }
        at += signs.length;
    }
    return null;
}
