import { byId } from '../../lib/dom.js';
import { send } from '../../lib/http.js';
import { words } from '../../lib/vocabulary.js';
import { Camera } from '../../map/camera.js';
import { Canvas } from '../../map/canvas.js';
import { classes, colour, element, setAttributes } from '../../ui/element.js';

/** @typedef {import('./reel.js').FilmRow} FilmRow */

/** Shows the plan at one moment, as an outline or as a map; what has changed is lit. */
export class Stage {
    /** @param {import('../page.js').Page} page */
    constructor(page) {
        this.page = page;
        this.list = byId('film-rows');
        this.ground = byId('film-map', SVGSVGElement);
        /** @type {FilmRow[]} */
        this.rows = [];
        this.isMap = false;
        /** @type {Canvas | null} */
        this.canvas = null;
        this.asked = 0;
    }

    /** @param {boolean} isMap */
    setMap(isMap) {
        this.isMap = isMap;
        this.list.hidden = isMap;
        this.ground.toggleAttribute('hidden', !isMap);
    }

    /**
     * @param {import('./reel.js').Frame} frame
     * @param {number} seq
     * @param {string[]} lit topics
     */
    async show(frame, seq, lit) {
        byId('film-title').textContent = frame.title || 'Untitled';
        this.draw(frame.rows);
        if (this.isMap) {
            await this.drawMap(frame.rows, seq);
        }
        this.light(lit);
    }

    /** Only what is another is drawn anew. @param {FilmRow[]} rows */
    draw(rows) {
        const before = this.rows;
        const same = (/** @type {FilmRow} */ a, /** @type {FilmRow} */ b) => a === b || a.every((value, i) => value === b[i]);
        let from = 0;
        let [end, next] = [before.length, rows.length];
        while (from < end && from < next && same(before[from], rows[from])) {
            from++;
        }
        while (end > from && next > from && same(before[end - 1], rows[next - 1])) {
            end--;
            next--;
        }
        for (let i = from; i < end; i++) {
            this.list.children[from].remove();
        }
        const after = this.list.children[from] ?? null;
        for (const one of rows.slice(from, next)) {
            this.list.insertBefore(row(one), after);
        }
        this.rows = rows;
    }

    /** @param {FilmRow[]} rows @param {number} seq */
    async drawMap(rows, seq) {
        const ticket = ++this.asked;
        const told = await send('GET', `${this.page.address}/film/map/${seq}`).catch(() => null);
        if (!told || ticket !== this.asked) {
            return;
        }
        const isFirst = !this.canvas;
        const canvas = (this.canvas ??= this.made());
        this.parents = parentsOf(rows);
        canvas.take(told);
        canvas.list = rows.filter(([, level]) => level > 0).map(([id, level]) => ({ id, level }));
        isFirst && this.camera?.fit(told.bounds, { isSlow: false });
        this.camera && canvas.move(this.camera);
    }

    made() {
        /** @type {Map<string, string>} */
        this.parents = new Map();
        const canvas = new Canvas(this.ground, {
            parentOf: (id) => this.parents?.get(id) ?? '',
            hasParts: (id) => [...(this.parents?.values() ?? [])].includes(id),
            keeps: () => false,
            dress: (leaves) => this.name(leaves),
            signs: words().mapSigns,
            pictureOf: (id) => `${this.page.address}/pictures/${id}`,
            backOf: (id) => `/map-styles/pictures/${id}`,
        });
        this.camera = new Camera(this.ground, {
            onMove: () => this.camera && canvas.told && canvas.move(this.camera),
            onHand: () => {},
            mayDrag: () => true,
        });
        return canvas;
    }

    /** @param {Map<string, import('../../map/canvas.js').Leaf>} leaves */
    name(leaves) {
        const rows = new Map(this.rows.map((row) => [row[0], row]));
        for (const [id, leaf] of leaves) {
            const says = [...leaf.querySelectorAll('text')].map((text) => text.textContent?.trim()).join(' ');
            setAttributes(leaf, { 'aria-label': says || 'Untitled', 'aria-level': rows.get(id)?.[1] ?? 1 });
        }
    }

    /** What has changed at a step is lit for a moment. @param {string[]} topics */
    light(topics) {
        const lit = new Set(topics);
        let first = null;
        for (const node of /** @type {HTMLElement[]} */ ([...this.list.children])) {
            const isLit = lit.has(node.dataset.id ?? '');
            node.classList.toggle('is-lit', isLit);
            first ??= isLit ? node : null;
        }
        this.isMap || first?.scrollIntoView({ block: 'nearest' });
        for (const [id, leaf] of this.canvas?.drawn ?? []) {
            leaf.classList.toggle('is-lit', lit.has(id));
        }
    }
}

/** @param {FilmRow} row */
function row([id, level, number, title, kind, dye, count]) {
    return element(
        'li',
        {
            'data-id': id,
            class: classes('film-row', `kind-${kind}`, level === 1 && 'is-main', level === 0 && 'is-loose'),
            '--l': Math.max(0, level - 1),
            '--d': colour(dye),
        },
        element('span', { class: 'n' }, number),
        element('span', { class: 'film-row-title' }, title || 'Untitled'),
        element('small', {}, count ? String(count) : level === 0 ? 'loose' : ''),
    );
}

/** @param {FilmRow[]} rows @returns {Map<string, string>} topic → the one above it */
function parentsOf(rows) {
    const parents = new Map();
    /** @type {string[]} */
    const above = [];
    for (const [id, level] of rows) {
        if (level > 0) {
            above[level] = id;
            parents.set(id, above[level - 1] ?? '');
        }
    }
    return parents;
}
