import { around } from '../../lib/dom.js';
import { dayAfter, daysBetween } from '../../lib/days.js';

/** Bars are dragged by their ends and as a whole; where a row has none, one is drawn. */
export class Dragging {
    /** @param {import('./schedule.js').ScheduleView} view */
    constructor(view) {
        this.view = view;
        /** @type {{id: string, end: string, x: number, from: string, to: string, was: [string, string], bar: HTMLElement} | null} */
        this.held = null;
        const { list } = view;
        list.addEventListener('pointerdown', (event) => this.down(event));
        list.addEventListener('pointermove', (event) => this.moved(event));
        list.addEventListener('pointerup', (event) => this.up(event));
        list.addEventListener('pointercancel', () => this.cancel());
        document.addEventListener('keydown', (event) => event.key === 'Escape' && this.held && this.cancel(), { capture: true });
    }

    /** The place of an event among the days. @param {PointerEvent} event @param {HTMLElement} lane */
    static x(event, lane) {
        return event.clientX - lane.getBoundingClientRect().left;
    }

    /** @param {PointerEvent} event */
    down(event) {
        const lane = around(event, '.days-lane');
        const { view } = this;
        if (!lane || event.button !== 0 || !view.page.session.rights.mayWrite) {
            return;
        }
        const id = /** @type {HTMLElement} */ (lane.closest('[data-id]')).dataset.id ?? '';
        const bar = around(event, '.days-bar:not(.is-again)');
        // By touch, an empty lane is for scrolling: its days are set in its menu.
        if (!bar && (view.stretches.has(id) || event.pointerType === 'touch')) {
            return;
        }
        const day = view.days.at(Dragging.x(event, lane));
        const stretch = view.stretches.get(id) ?? { from: day, to: day };
        const end = bar ? (around(event, '[data-end]')?.dataset.end ?? 'whole') : 'new';
        this.held = {
            id,
            end,
            x: event.clientX,
            from: stretch.from,
            to: stretch.to,
            was: [stretch.from, stretch.to],
            bar: bar ?? view.drawNew(lane, day),
        };
        this.held.bar.classList.add('is-held');
        view.list.setPointerCapture(event.pointerId);
        view.pass(id);
        event.preventDefault();
    }

    /** @param {PointerEvent} event */
    moved(event) {
        const { held, view } = this;
        if (!held) {
            return;
        }
        const by = Math.round((event.clientX - held.x) / view.days.width);
        const [from, to] = held.was;
        if (held.end === 'whole') {
            [held.from, held.to] = [dayAfter(from, by), dayAfter(to, by)];
        } else if (held.end === 'begins') {
            held.from = [dayAfter(from, by), to].sort()[0];
        } else {
            const end = dayAfter(to, by);
            [held.from, held.to] =
                held.end === 'new' ? /** @type {[string, string]} */ ([from, end].sort()) : [from, [end, from].sort()[1]];
        }
        view.showHeld(held);
    }

    /** @param {PointerEvent} event */
    up(event) {
        const { held, view } = this;
        if (!held) {
            return;
        }
        view.list.releasePointerCapture(event.pointerId);
        this.held = null;
        held.bar.classList.remove('is-held');
        const [from, to] = held.was;
        const isMoved = held.from !== from || held.to !== to;
        if (held.end === 'new') {
            view.setDays(held.id, held.from, held.to);
        } else if (!isMoved) {
            view.openAt(held.id, held.bar);
        } else if (held.end === 'whole') {
            view.shift(held.id, daysBetween(from, held.from));
        } else {
            view.setDays(held.id, held.from, held.to);
        }
        view.showHeld(null);
    }

    cancel() {
        const { held } = this;
        held?.bar.classList.remove('is-held');
        delete (/** @type {HTMLElement | null | undefined} */ (held?.bar.parentElement)?.dataset.drawn);
        this.held = null;
        this.view.showHeld(null);
        this.view.draw();
    }
}
