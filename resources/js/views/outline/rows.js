import { rowSigns } from '../../state/labels.js';
import { byId, putNext } from '../../lib/dom.js';
import { element } from '../../ui/element.js';
import { buildRow, fillRow } from './row.js';
import { Wrapping } from './wrapping.js';

const SPARE = 12;

/** How much wider than its text a sign is, beside what every sign is. */
const MORE = { kind: 0, sign: 0.9, flag: 0.9, label: 0.375, who: 0.5, due: 0, 'due-soon': 0, done: 0, said: 0.2, fresh: 0.5, here: 0.8 };

/**
 * The rows of the outline: a tree for screen readers, of which only those in view are in the page.
 * How high a row is, is worked out without drawing it, so that it is known where each stands.
 */
export class Rows {
    /** @param {any} scroller @param {import('../../state/plan.js').Tree} tree @param {import('./outline.js').Outline} outline */
    constructor(scroller, tree, outline) {
        this.scroller = scroller;
        this.tree = tree;
        this.outline = outline;
        this.box = scroller.querySelector('.tree');
        this.looseHead = byId('loose-head');
        /** Topic → its row, of those in view. @type {Map<string | null, HTMLElement>} */
        this.drawn = new Map();
        /** @type {import('../../state/topics.js').Row[]} */
        this.list = [];
        /** Topic → its place in the list. @type {Map<string | null, number>} */
        this.index = new Map();
        this.tops = new Float64Array(1);
        this.unit = 16;
        this.width = 0;
        this.heights = { main: 0, other: 0, lead: 0, line: 0 };
        this.sizes = { gutter: 0, base: 0, step: 0, meta: 0, gap: 0 };
        scroller.addEventListener('scroll', () => this.draw(), { passive: true });
        this.wrapping = new Wrapping();
        this.read();
        new ResizeObserver(() => this.measure()).observe(scroller);
        document.fonts.ready.then(() => this.measure());
    }

    /** What the styles say of sizes; each in pixels. */
    read() {
        const style = getComputedStyle(this.box);
        const unit = (this.unit = parseFloat(getComputedStyle(document.documentElement).fontSize));
        const rem = (/** @type {string} */ name) => parseFloat(style.getPropertyValue(name)) * unit;
        // Whole pixels: the spine must not show where one row ends.
        const whole = (/** @type {number} */ size) => Math.round(size * unit);
        this.heights = { main: whole(2.625), other: whole(2.125), lead: whole(3.25), line: whole(1.35) };
        this.sizes = { gutter: rem('--gutter'), base: rem('--base'), step: rem('--step'), meta: rem('--meta'), gap: rem('--gap') };
        this.width = this.box.clientWidth;
        this.wrapping.use(style.fontFamily, parseFloat(style.fontSize), 1.03 * unit, 0.75 * unit);
    }

    measure() {
        this.read();
        this.layOut(this.list);
    }

    /** Where the titles of a level begin. @param {number} level */
    left(level) {
        return this.sizes.gutter + this.sizes.base + Math.min(level - 1, 14) * this.sizes.step;
    }

    /** @param {import('../../state/topics.js').Row} row */
    height(row) {
        const isMain = row.level === 1 && !row.loose;
        return (isMain ? this.heights.main : this.heights.other) + (this.lines(row, isMain) - 1) * this.heights.line;
    }

    /** @param {import('../../state/topics.js').Row} row @param {boolean} isMain */
    lines({ id, level }, isMain) {
        const topic = this.tree.get(id);
        if (!topic || this.width === 0) {
            return 1;
        }
        // What stands beside the title in its row: its signs, its relations, and how many are folded away.
        const { gap, meta } = this.sizes;
        const beside =
            rowSigns(this.tree, topic).reduce((sum, { which, text }) => sum + gap + this.wrapping.sign(text) + MORE[which] * this.unit, 0) +
            (this.relatedTo(id) ? gap + this.wrapping.sign('88 relations') : 0) +
            (this.outline.folds.has(id) && this.tree.partsOf(id).length ? gap + this.wrapping.sign('888 inside') : 0);
        return this.wrapping.lines(
            topic.title,
            Math.max(6 * this.unit, this.width - this.left(level) - meta - gap - 1.35 * this.unit - beside),
            isMain,
        );
    }

    /** How many relations a topic has. @param {string} id */
    relatedTo(id) {
        return this.tree.relations.size ? (this.outline.page.relations?.of(id).length ?? 0) : 0;
    }

    /** @param {import('../../state/topics.js').Row[]} list */
    layOut(list) {
        this.list = list;
        this.tops = new Float64Array(list.length + 1);
        this.index = new Map();
        let top = 0;
        let firstLoose = -1;
        for (let i = 0; i < list.length; i++) {
            const row = list[i];
            if (row.loose && firstLoose < 0) {
                firstLoose = i;
                top += this.heights.lead;
            }
            this.tops[i] = top;
            this.index.set(row.id, i);
            top += this.height(row);
        }
        this.tops[list.length] = top;
        this.box.style.height = `${top}px`;
        this.looseHead.hidden = firstLoose < 0;
        if (firstLoose >= 0) {
            this.looseHead.style.transform = `translateY(${this.tops[firstLoose] - this.heights.lead}px)`;
        }
        this.draw();
    }

    /** Its place in the list, from 0; -1 where it is not shown. @param {string | null} id */
    rank(id) {
        return this.index.get(id) ?? -1;
    }

    /** How high a row was when the rows were laid out. @param {number} i */
    heightAt(i) {
        return (this.list[i + 1]?.loose && !this.list[i].loose ? this.tops[i + 1] - this.heights.lead : this.tops[i + 1]) - this.tops[i];
    }

    /** The lower edge of a row, without what may stand between it and the next. @param {number} i */
    bottomOf(i) {
        return i < 0 ? 0 : this.tops[i] + this.heightAt(i) - 1;
    }

    /** The row at a height within the tree. @param {number} y */
    at(y) {
        let low = 0;
        let high = this.list.length - 1;
        while (low < high) {
            const middle = (low + high + 1) >> 1;
            if (this.tops[middle] <= y) {
                low = middle;
            } else {
                high = middle - 1;
            }
        }
        return low;
    }

    draw() {
        if (this.scroller.clientHeight === 0) {
            return;
        }
        const top = this.scroller.scrollTop;
        const from = Math.max(0, this.at(top) - SPARE);
        const to = Math.min(this.list.length - 1, this.at(top + this.scroller.clientHeight) + SPARE);
        const wanted = /** @type {Set<any>} */ (new Set(this.list.slice(from, to + 1).map(({ id }) => id)));
        if (this.outline.writing) {
            wanted.add(this.outline.writing);
        }
        for (const [id, node] of this.drawn) {
            if (!wanted.has(id) || !this.index.has(id)) {
                // First forgotten: a field that goes with it ends its writing, and that draws the rows anew.
                this.drawn.delete(id);
                node.remove();
            }
        }
        let before = null;
        for (const id of [...wanted].filter((one) => this.index.has(one)).sort((a, b) => this.rank(a) - this.rank(b))) {
            const node = this.row(this.rank(id));
            // The row with the field is not moved, or the field would lose the keyboard: the others are.
            putNext(this.box, node, before, id === this.outline.writing);
            before = node;
        }
        this.box.setAttribute('aria-activedescendant', this.drawn.has(this.outline.active) ? `row-${this.outline.active}` : '');
        this.outline.page.find?.paint();
    }

    /** Shows one row again as it is now, without asking the page where anything stands. @param {string} id */
    refresh(id) {
        const i = this.index.get(id);
        if (i !== undefined && this.height(this.list[i]) !== this.heightAt(i)) {
            this.layOut(this.list);
        } else if (i !== undefined && this.drawn.has(id)) {
            this.fill(this.drawn.get(id), i, this.list[i].level);
        }
    }

    /** @param {number} i */
    row(i) {
        const { id, level } = this.list[i];
        let node = this.drawn.get(id);
        if (!node) {
            node = buildRow(id, (command, anchor) => this.outline.on(command, id, anchor));
            this.drawn.set(id, node);
        }
        this.fill(node, i, level);
        return node;
    }

    /** Shows a row as it is now. @param {any} node @param {number} i @param {number} level */
    fill(node, i, level) {
        const { id, loose } = this.list[i];
        const { outline } = this;
        node.style.transform = `translateY(${this.tops[i]}px)`;
        node.style.height = `${this.heightAt(i)}px`;
        fillRow(node, this.tree, id, {
            level,
            loose,
            isLast: this.list[i + 1]?.level === 1 || i === this.list.length - 1,
            isActive: id === outline.active,
            isMarked: outline.marked.has(id),
            isFolded: outline.folds.has(id),
            isDim: outline.looks.isDim(id),
            relations: this.relatedTo(id),
        });
    }

    /** Puts a field where a title stands; `false` where the row is not shown. @param {string} id @param {HTMLInputElement} input */
    openField(id, input) {
        const title = this.drawn.get(id)?.querySelector('.title');
        title?.replaceWith(input);
        return Boolean(title);
    }

    /** @param {HTMLInputElement} input */
    closeField(input) {
        input.replaceWith(element('span', { class: 'title' }));
    }

    /** Brings a row into view, with some room around it. @param {string} id */
    reveal(id) {
        const i = this.index.get(id);
        if (i === undefined) {
            return;
        }
        const room = this.heights.main;
        const offset = this.box.offsetTop;
        const view = this.scroller;
        if (this.tops[i] + offset < view.scrollTop + room / 2) {
            view.scrollTop = this.tops[i] + offset - room;
        } else if (this.tops[i + 1] + offset > view.scrollTop + view.clientHeight - room) {
            view.scrollTop = this.tops[i + 1] + offset - view.clientHeight + room;
        }
        this.draw();
    }
}
