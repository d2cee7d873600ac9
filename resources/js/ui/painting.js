import { rangeIn } from './ranges.js';
import { Replacing } from './replacing.js';

/** Paints what was found over titles and the open note. */
export class Painting extends Replacing {
    /** Paints the hits that are in the page over titles and the open note. */
    paint() {
        if (!globalThis.Highlight) {
            return;
        }
        const { view } = this.page;
        const isMap = view === 'map';
        if (isMap) {
            this.page.map.picture.fresh();
        }
        /** @type {Range[]} */
        const all = [];
        /** @type {Range[]} */
        const current = [];
        if (this.hits.length) {
            const now = this.hits[this.at];
            for (const [range, hit] of this.page.views.now.rangesOf(this.byTopic)) {
                (hit === now ? current : all).push(range);
            }
            for (const [id, node] of view === 'outline' ? this.page.outline.rows.drawn : []) {
                const title = node.querySelector('.title')?.firstChild;
                for (const hit of title ? (this.byTopic.get(id) ?? []) : []) {
                    const range = hit.block ? null : rangeIn([title], hit);
                    range && (hit === now ? current : all).push(range);
                }
            }
            for (const hit of (view === 'draft' ? null : this.byTopic.get(this.page.note.topic)) ?? []) {
                const range = hit.block ? rangeIn(this.page.note.textsOf(hit.block, hit.line), hit) : null;
                range && (hit === now ? current : all).push(range);
            }
        }
        CSS.highlights.set('found', new Highlight(...all));
        CSS.highlights.set('found-now', new Highlight(...current));
        if (current.length && (this.hits[this.at].block || view === 'draft') && this.scrolled !== this.hits[this.at]) {
            this.scrolled = this.hits[this.at];
            current[0].startContainer.parentElement?.scrollIntoView({ block: 'nearest' });
        }
    }
}
