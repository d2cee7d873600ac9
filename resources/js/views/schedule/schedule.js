import { allOf, around, byId } from '../../lib/dom.js';
import { dayAfter } from '../../lib/days.js';
import { send } from '../../lib/http.js';
import { actionFor } from '../../lib/keys.js';
import { meanwhile } from '../../lib/meanwhile.js';
import { when } from '../../commands/commands.js';
import { element } from '../../ui/element.js';
import { Popover } from '../../ui/popover.js';
import { BringingBack } from './bringing-back.js';
import { Dragging } from './dragging.js';
import { DrawnDays } from './drawn.js';

/** In ms: the days are asked for again when nothing has changed for so long. */
const SOON = 250;
/** What is to be done when: the topics of the plan beside their days. */
export class ScheduleView extends DrawnDays {
    /** @param {import('../page.js').Page} page */
    constructor(page) {
        super(page);
        this.ticket = 0;
        this.menu = new Popover(() => this.focus(this.at));
        new Dragging(this);
        new BringingBack(page, () => this.load());
        this.listen();
        this.provide();
    }

    listen() {
        this.scroller.addEventListener('scroll', () => this.drawRows(), { passive: true });
        new ResizeObserver(() => this.page.view === 'schedule' && this.layOut()).observe(this.scroller);
        this.list.addEventListener('keydown', (event) => this.pressed(event));
        this.list.addEventListener('focusin', (event) => {
            this.at = around(event, '[data-id]')?.dataset.id ?? null;
        });
        this.list.addEventListener('click', (event) => {
            const row = around(event, '[data-id]');
            if (row && around(event, '.days-name')) {
                this.page.goTo(row.dataset.id ?? '');
            } else if (row && around(event, '.days-lane') && !around(event, '.days-bar') && !this.stretches.has(row.dataset.id ?? '')) {
                // A press of a finger, or of a screen reader, on days that are empty.
                /** @type {PointerEvent} */ (event).pointerType === 'mouse' ||
                    this.openAt(row.dataset.id ?? '', around(event, '.days-lane'));
            }
        });
        for (const button of allOf(byId('bars'), '[data-scale]')) {
            button.addEventListener('click', () => this.rescale(/** @type {any} */ (button.dataset.scale)));
        }
        byId('schedule-only').addEventListener('change', (event) => {
            this.isWhole = !(/** @type {HTMLInputElement} */ (event.target).checked);
            this.layOut();
        });
        byId('schedule-today').addEventListener('click', () => this.toDay(this.answer?.today));
    }

    provide() {
        const has = (/** @type {(id: string) => unknown} */ holds, /** @type {(id: string) => unknown} */ run) =>
            when(
                () => this.at !== null && !!this.page.tree.get(this.at) && !!holds(this.at),
                () => run(/** @type {string} */ (this.at)),
            );
        const dated = (/** @type {(id: string) => unknown} */ run) => has((id) => this.stretches.has(id), run);
        const own = (/** @type {(one: import('./rows.js').Stretch) => [string, string]} */ change) =>
            has(
                (id) => this.stretches.get(id)?.own,
                (id) => {
                    const one = /** @type {import('./rows.js').Stretch} */ (this.stretches.get(id));
                    const [from, to] = change(one);
                    from <= to && this.setDays(id, from, to);
                },
            );
        const any = (/** @type {(id: string) => unknown} */ run) => has(() => true, run);
        this.page.commands.provide('schedule', {
            rowAbove: any(() => this.step(-1)),
            rowBelow: any(() => this.step(1)),
            firstDay: any((id) => this.toDay(this.stretches.get(id)?.from ?? this.answer?.today)),
            dayEarlier: dated((id) => this.shift(id, -1)),
            dayLater: dated((id) => this.shift(id, 1)),
            weekEarlier: dated((id) => this.shift(id, -7)),
            weekLater: dated((id) => this.shift(id, 7)),
            endEarlier: own(({ from, to }) => [from, dayAfter(to, -1)]),
            endLater: own(({ from, to }) => [from, dayAfter(to, 1)]),
            beginEarlier: own(({ from, to }) => [dayAfter(from, -1), to]),
            beginLater: own(({ from, to }) => [dayAfter(from, 1), to]),
            setDays: any((id) => this.openAt(id)),
            finishWork: any((id) => this.page.work.toggleDone([id])),
            toOutline: any((id) => this.page.goTo(id)),
        });
    }

    // ---- What happens to the view

    enter() {
        const isUnmoved = meanwhile();
        this.load().then(() => {
            this.toDay(this.answer?.today, false);
            const active = this.page.state.active.get();
            isUnmoved() && this.focus(this.rows.some(({ id }) => id === active) ? active : (this.rows[0]?.id ?? null));
        });
    }

    leave() {
        clearTimeout(this.waiting);
        this.menu.close(false);
    }

    told() {
        if (this.page.view === 'schedule') {
            this.soon();
        }
    }

    draw() {
        this.answer && this.layOut();
    }

    /** @param {string} id */
    reveal(id) {
        this.focus(id);
    }

    outwards() {
        this.menu.isOpen ? this.menu.close() : this.page.show('outline');
    }

    soon() {
        clearTimeout(this.waiting);
        this.waiting = setTimeout(() => this.load(), SOON);
    }

    /** Asks PHP for the days. */
    async load() {
        const ticket = ++this.ticket;
        await this.page.queue.flush();
        const answer = await send('GET', `${this.page.address}/days`).catch((error) => error);
        if (ticket !== this.ticket) {
            return;
        }
        const isMissing = answer instanceof Error;
        const error = byId('schedule-error');
        error.hidden = !isMissing;
        if (isMissing) {
            error.textContent =
                /** @type {any} */ (answer).status === 0 ? 'Not connected: the days are as they were last told.' : answer.message;
            return;
        }
        const { queue } = this.page;
        if (this.answer && (!queue.isEmpty || answer.revision < queue.base)) {
            // What was done meanwhile is not in it, and stands here already.
            this.soon();
            return;
        }
        this.take(answer);
    }

    /** @param {KeyboardEvent} event */
    pressed(event) {
        const lane = around(event, '.days-lane');
        const action = lane ? (event.key === ' ' ? 'setDays' : actionFor(event, 'schedule')) : null;
        if (action && this.page.commands.run('schedule', action, { event })) {
            event.preventDefault();
            event.stopPropagation();
        }
    }

    // ---- What is done

    /** @param {string} id @param {string} from @param {string} to */
    setDays(id, from, to) {
        const topic = this.page.tree.get(id);
        if (!topic) {
            return;
        }
        // One day alone stays what it was: a first day, or the day by which it is to be done.
        const isOne = from === to;
        const set = isOne && !topic.begins ? { due: to } : isOne && !topic.due ? { begins: from } : { begins: from, due: to };
        this.page.perform({ type: 'work', ids: [id], set });
        const one = this.stretches.get(id);
        this.stretches.set(id, { ...one, id, from, to, own: true });
        this.layOut();
        this.soon();
    }

    /** @param {string} id @param {number} days */
    shift(id, days) {
        if (days === 0) {
            return;
        }
        this.page.perform({ type: 'shift', ids: [id], days });
        for (const under of this.page.tree.branch(id)) {
            const one = this.stretches.get(under);
            one && this.stretches.set(under, { ...one, from: dayAfter(one.from, days), to: dayAfter(one.to, days), times: [] });
        }
        this.layOut();
        this.soon();
    }

    /** What can be set of a row's work. @param {string} id @param {Element | null} [anchor] */
    openAt(id, anchor = null) {
        const topic = this.page.tree.get(id);
        this.at = id;
        const { page } = this;
        this.menu.raise(
            `Work on ${topic.title || 'Untitled'}`,
            anchor ?? this.drawn.get(id)?.querySelector('.days-bar') ?? this.drawn.get(id)?.querySelector('.days-title') ?? this.list,
            page.work.group(this.menu, [id]),
            element(
                'div',
                { class: 'acts-list one-column' },
                element(
                    'button',
                    { type: 'button', onclick: () => page.work.set([id], { begins: null, due: null, done: null, again: null }) },
                    'Take its days away',
                ),
                element(
                    'button',
                    {
                        type: 'button',
                        onclick: () => {
                            this.menu.close(false);
                            page.goTo(id);
                        },
                    },
                    'To the outline',
                ),
            ),
        );
        this.menu.focus('input[type=date]');
    }
}
