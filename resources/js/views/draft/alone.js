import { byId } from '../../lib/dom.js';
import { ROOT } from '../../state/plan.js';
import { element } from '../../ui/element.js';

/** Signs of the text before and after that are shown. */
const GLIMPSE = 160;

/** One section alone, with the text before it and after it in reach. */
export class Alone {
    /** @param {import('./draft.js').Draft} draft */
    constructor(draft) {
        this.draft = draft;
        /** The section that is shown. @type {string} */
        this.id = ROOT;
        this.ways = { before: byId('draft-before'), after: byId('draft-after') };
        this.ways.before.addEventListener('click', () => this.go(-1));
        this.ways.after.addEventListener('click', () => this.go(1));
    }

    get isOn() {
        return this.draft.shown.select.value === 'one';
    }

    /** All that could be shown, in reading order. */
    get all() {
        const { tree } = this.draft.page;
        const hasOpening = this.draft.html.has(ROOT);
        return [...(hasOpening ? [ROOT] : []), ...tree.rows(new Set()).map(({ id }) => id)];
    }

    /** It was chosen: the section that one writes in, or that is in sight. */
    begin() {
        const { all, draft } = this;
        const wanted = draft.open ?? draft.outline.inSight() ?? '';
        this.id = all.includes(wanted) ? wanted : (all.find((id) => id !== ROOT) ?? ROOT);
    }

    /** @param {-1 | 1} by @returns {string | null} */
    beside(by, from = this.id) {
        const { all } = this;
        return all[all.indexOf(from) + by] ?? null;
    }

    /** Shows another section instead. @param {string} id */
    show(id) {
        if (this.isOn && id !== this.id && this.all.includes(id)) {
            const { draft } = this;
            this.id = id;
            draft.open !== null && draft.open !== id ? draft.close() : draft.draw();
        }
    }

    /** @param {-1 | 1} by */
    go(by) {
        const id = this.beside(by);
        if (id !== null) {
            this.draft.goTo(id);
            this.draft.side.scrollTop = 0;
        }
    }

    /** What stands before and after, in few words. */
    draw() {
        if (this.isOn && !this.all.includes(this.id)) {
            this.begin();
        }
        for (const [way, by] of /** @type {['before' | 'after', -1 | 1][]} */ ([
            ['before', -1],
            ['after', 1],
        ])) {
            const id = this.isOn ? this.beside(by) : null;
            this.ways[way].hidden = id === null;
            id === null || this.ways[way].replaceChildren(...this.glimpse(id, way));
        }
    }

    /** @param {string} id @param {'before' | 'after'} way */
    glimpse(id, way) {
        const { html, page } = this.draft;
        const { label, title } = page.tree.noteBearer(id);
        const name = id === ROOT ? 'Opening note' : `${label ?? ''} ${title || 'Untitled'}`.trim();
        const box = element('div', {});
        // PHP has made it out of the note, and escaped it.
        box.innerHTML = html.get(id) ?? '';
        const text = (box.textContent ?? '').trim();
        const some = way === 'before' ? text.slice(-GLIMPSE) : text.slice(0, GLIMPSE);
        const cut = text.length > GLIMPSE;
        return [
            element('strong', {}, `${way === 'before' ? '↑' : '↓'} ${name}`),
            element('span', {}, way === 'before' ? `${cut ? '…' : ''}${some}` : `${some}${cut ? '…' : ''}`),
        ];
    }
}
