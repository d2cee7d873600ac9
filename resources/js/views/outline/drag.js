import { around, byId, firstOf } from '../../lib/dom.js';
import { follow, isDrag } from '../../lib/pressing.js';
import { element } from '../../ui/element.js';
import { numberAt } from './landing.js';
import { onDropInGap } from '../../state/places.js';
import { ROOT, TRAY } from '../../state/plan.js';

/** Dragging rows by their number: a line shows where they will land, at which level, and with which number. */
export class Drag {
    /** @param {import('./outline.js').Outline} outline */
    constructor(outline) {
        this.outline = outline;
        this.number = element('output');
        this.line = element('div', { class: 'landing', hidden: true }, this.number);
        /** What is dragged; null: nothing. @type {string[] | null} */
        this.ids = null;
        /** @type {import('../../state/places.js').Shown | null} */
        this.place = null;
        outline.rows.box.append(this.line);
        outline.rows.box.addEventListener('pointerdown', (/** @type {PointerEvent} */ event) => this.press(event));
        this.tray = byId('loose');
        this.native();
    }

    /** To and from other programs and plans: the browser's own dragging, of the sign that tells how many are marked. */
    native() {
        const { outline } = this;
        const { box } = outline.rows;
        firstOf(outline.marking.bar, '[draggable]').addEventListener(
            'dragstart',
            (event) => event.dataTransfer && outline.clipboard.fill(event.dataTransfer, outline.markedHeads()),
        );
        box.parentElement.addEventListener('dragover', (/** @type {DragEvent} */ event) => {
            if (event.dataTransfer?.types.some((type) => type.startsWith('text/'))) {
                event.preventDefault();
                this.ids ??= [];
                this.show(event);
            }
        });
        box.parentElement.addEventListener(
            'dragleave',
            (/** @type {DragEvent} */ event) => !box.parentElement.contains(event.relatedTarget) && this.cancel(),
        );
        box.parentElement.addEventListener('drop', (/** @type {DragEvent} */ event) => {
            const { place } = this;
            event.preventDefault();
            this.cancel();
            if (place && event.dataTransfer) {
                outline.clipboard.take(event.dataTransfer, { parent: place.parent, after: place.after });
            }
        });
    }

    /** @param {PointerEvent} event */
    press(event) {
        const handle = around(event, '.n, .title');
        const row = around(event, '.row');
        const { mayWrite } = this.outline.page.session.rights;
        if (!mayWrite || !handle || !row || event.button !== 0 || (event.pointerType === 'touch' && !handle.classList.contains('n'))) {
            return;
        }
        const { id = '' } = row.dataset;
        const stop = follow(event, {
            move: (e) => {
                if (!this.ids && isDrag(event, e)) {
                    this.ids = this.outline.marked.has(id) ? this.outline.markedInOrder() : [id];
                    this.ids.forEach((one) => this.outline.rows.drawn.get(one)?.classList.add('is-dragged'));
                    getSelection()?.removeAllRanges();
                }
                if (this.ids) {
                    e.preventDefault();
                    this.show(e);
                }
            },
            up: () => this.drop(),
            cancel: () => this.cancel(),
        });
        addEventListener(
            'keydown',
            (e) => {
                if (e.key === 'Escape' && this.ids) {
                    e.stopPropagation();
                    stop.abort();
                    this.cancel();
                }
            },
            { signal: stop.signal, capture: true },
        );
    }

    /** @param {MouseEvent} event */
    show(event) {
        const { sheet: rows, tree } = this.outline;
        const over = document.elementFromPoint(event.clientX, event.clientY);
        const isOverTray = this.tray.contains(over);
        this.tray.classList.toggle('is-target', isOverTray);
        if (isOverTray) {
            this.line.hidden = true;
            this.place = { ...tree.lastPlace(TRAY), level: 1 };
            return;
        }
        const box = rows.box.getBoundingClientRect();
        const y = event.clientY - box.top;
        const gap = this.gapAt(y);
        const place = this.placeAt(gap, event.clientX - box.left, y);
        this.line.hidden = !place;
        if (!place) {
            this.place = null;
            return;
        }
        const isFirstLoose = place.parent === TRAY && !place.after;
        const loose = rows.list.findIndex((row) => row.loose);
        const top = isFirstLoose ? rows.tops[loose] - 1 : Math.min(rows.tops[gap] - 1, rows.bottomOf(gap - 1));
        this.line.style.top = `${top}px`;
        this.line.style.setProperty('--l', String(place.level - 1));
        if (JSON.stringify(place) !== JSON.stringify(this.place)) {
            this.place = place;
            this.number.textContent = '';
            clearTimeout(this.asking);
            this.asking = setTimeout(() => this.ask(place), 120);
        }
        const edge = 40;
        const view = rows.scroller.getBoundingClientRect();
        rows.scroller.scrollTop += event.clientY < view.top + edge ? -14 : event.clientY > view.bottom - edge ? 14 : 0;
    }

    /** @param {number} y */
    gapAt(y) {
        const rows = this.outline.sheet;
        const i = rows.at(Math.max(0, y));
        return y > (rows.tops[i] + rows.tops[i + 1]) / 2 ? i + 1 : i;
    }

    /**
     * The place in a gap: how far in, goes by how far to the right; never among what is dragged.
     * @param {number} gap
     * @param {number} x
     * @param {number} y
     */
    placeAt(gap, x, y) {
        const { sheet: rows, tree, start, state } = this.outline;
        return onDropInGap(tree, rows.list, gap, {
            wished: Math.round((x - rows.left(1) - rows.unit) / rows.sizes.step) + 1,
            dragged: new Set(this.ids?.flatMap((id) => tree.branch(id))),
            top: state.isAlone ? start : ROOT,
            isUnderHeading: (row) => y > rows.tops[row] - rows.heights.lead / 2,
        });
    }

    /** @param {import('../../state/topics.js').Place} place */
    async ask(place) {
        const number = await numberAt(this.outline, place, this.ids?.[0]);
        if (this.place === place) {
            this.number.textContent = number;
        }
    }

    drop() {
        const { ids, place } = this;
        this.cancel();
        if (ids && place) {
            this.outline.suppressClick();
            const here = this.outline.tree.placeOf(ids[0]);
            if (ids.length > 1 || here.parent !== place.parent || here.after !== place.after) {
                this.outline.move(ids, { parent: place.parent, after: place.after });
            }
        }
    }

    cancel() {
        this.ids?.forEach((one) => this.outline.rows.drawn.get(one)?.classList.remove('is-dragged'));
        this.ids = this.place = null;
        this.line.hidden = true;
        this.tray.classList.remove('is-target');
    }
}
