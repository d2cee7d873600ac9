import { Replacing } from './replacing.js';

/** Paints what was found over titles and the open note. */
export class Painting extends Replacing {
    /** Paints the hits that are in the page over titles and the open note. */
    paint() {
        if (!globalThis.Highlight) {
            return;
        }
        const isMap = this.page.view === 'map';
        if (isMap) {
            this.page.map.picture.fresh();
        }
        /** @type {Range[]} */
        const all = [];
        /** @type {Range[]} */
        const current = [];
        if (this.hits.length) {
            const now = this.hits[this.at];
            for (const [id, node] of isMap ? [] : this.page.outline.rows.drawn) {
                const title = node.querySelector('.title')?.firstChild;
                for (const hit of title ? (this.byTopic.get(id) ?? []) : []) {
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
            current[0].startContainer.parentElement?.scrollIntoView({ block: 'nearest' });
        }
    }
}

/**
 * The range of a hit over text nodes that follow each other; what is not text counts as one sign.
 * @param {Node[] | null} nodes
 * @param {import('./given.d.ts').Hit} hit
 */
function rangeIn(nodes, hit) {
    const range = new Range();
    let at = 0;
    let started = false;
    for (const node of nodes ?? []) {
        const signs = node instanceof Text ? [...node.data] : ['\ufffc'];
        const offset = (/** @type {number} */ sign) => signs.slice(0, sign - at).join('').length;
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
