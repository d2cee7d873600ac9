import { allOf, byId, putNext } from '../../lib/dom.js';
import { counted } from '../../lib/counted.js';
import { dayAfter, shortly } from '../../lib/days.js';
import { ROOT, TRAY } from '../../state/plan.js';
import { element } from '../../ui/element.js';
import { buildRow, fillRow, place } from './rows.js';
import { Days } from './scale.js';

/** Rows beyond the window that are drawn too. */
const SPARE = 8;

/** The topics beside their days, as they are drawn: of many rows those in sight. */
export class DrawnDays {
    /** @param {import('../page.js').Page} page */
    constructor(page) {
        this.page = page;
        this.box = byId('schedule');
        this.scroller = byId('schedule-scroller');
        this.list = byId('schedule-rows');
        this.head = byId('schedule-head');
        /** @type {import('./scale.js').Scale} */
        this.scale = 'days';
        this.isWhole = true;
        /** How high a row is, in pixels. */
        this.row = 38;
        this.days = new Days('2026-01-05', '2026-02-01', 'days');
        /** @type {Map<string, import('./rows.js').Stretch>} */
        this.stretches = new Map();
        /** @type {{id: string, level: number}[]} */
        this.rows = [];
        /** @type {Map<string, HTMLElement>} */
        this.drawn = new Map();
        /** @type {string | null} */
        this.at = null;
        /** @type {Record<string, any> | null} */
        this.answer = null;
    }

    /** What PHP tells. @param {Record<string, any>} answer */
    take(answer) {
        this.answer = answer;
        this.stretches = new Map(answer.stretches.map((/** @type {import('./rows.js').Stretch} */ one) => [one.id, one]));
        this.layOut();
    }

    /** @param {import('./scale.js').Scale} scale */
    rescale(scale) {
        const middle = this.days.at(this.scroller.scrollLeft + this.scroller.clientWidth / 3);
        this.scale = scale;
        this.layOut();
        this.scroller.scrollLeft = this.days.left(middle) - this.scroller.clientWidth / 3;
    }

    layOut() {
        const { answer } = this;
        if (!answer) {
            return;
        }
        this.days = new Days(answer.from, answer.to, this.scale);
        this.rows = [ROOT, TRAY]
            .flatMap((home) => this.page.tree.rows(new Set(), home))
            .filter(({ id }) => this.isWhole || this.stretches.has(id));
        for (const button of allOf(byId('bars'), '[data-scale]')) {
            button.setAttribute('aria-pressed', String(button.dataset.scale === this.scale));
        }
        const { style } = this.box;
        this.row = parseFloat(getComputedStyle(this.box).getPropertyValue('--row'));
        style.setProperty('--day', `${this.days.width}px`);
        style.setProperty('--all', `${this.days.count * this.days.width}px`);
        this.list.style.height = `${this.rows.length * this.row}px`;
        this.drawHead(answer);
        this.say(answer);
        this.drawRows();
    }

    /** @param {Record<string, any>} answer */
    drawHead(answer) {
        const { months, days } = this.days.head();
        const mark = (
            /** @type {{left: number, width: number, text: string, day: string}} */ { left, width, text, day },
            /** @type {string} */ is,
        ) =>
            element(
                'span',
                { class: `${is}${day === answer.today ? ' is-today' : ''}`, style: `left:${left}px;width:${width}px` },
                element('b', {}, text),
            );
        byId('schedule-months').replaceChildren(...months.map((one) => mark(one, 'month')), ...days.map((one) => mark(one, 'day')));
        const line = (/** @type {string} */ id, /** @type {string | null} */ day) => {
            byId(id).hidden = !day || day < answer.from || day > answer.to;
            byId(id).style.setProperty('--x', `${day ? this.days.left(day) : 0}px`);
        };
        line('schedule-now', answer.today);
        line('schedule-due', answer.due && dayAfter(answer.due, 1));
        byId('schedule-due').title = answer.due ? `The plan is due on ${shortly(answer.due)}` : '';
    }

    /** @param {Record<string, any>} answer */
    say(answer) {
        byId('schedule-empty').hidden = this.rows.length > 0;
        byId('schedule-empty').textContent = this.page.tree.topics.size
            ? 'No topic has a day yet. Show all topics and draw a bar beside one, or press E on a topic in the outline.'
            : 'There is no topic yet. They are written in the outline.';
        const late = answer.stretches.filter((/** @type {any} */ one) => one.late).length;
        const outside = answer.stretches.filter((/** @type {any} */ one) => one.outside).length;
        byId('schedule-says').textContent = [
            late && `${counted(late, 'topic')} late`,
            outside && `${outside} not within the days above`,
            answer.undated && `${answer.undated} given to somebody without a day`,
        ]
            .filter(Boolean)
            .join(' · ');
    }

    drawRows() {
        const { scrollTop, clientHeight } = this.scroller;
        if (!clientHeight) {
            return;
        }
        const from = Math.max(0, Math.floor(scrollTop / this.row) - SPARE);
        const to = Math.min(this.rows.length, Math.ceil((scrollTop + clientHeight) / this.row) + SPARE);
        const held = this.at;
        const wanted = new Map();
        this.rows.forEach((row, i) => ((i >= from && i < to) || row.id === held ? wanted.set(row.id, [row, i]) : null));
        for (const [id, node] of this.drawn) {
            if (!wanted.has(id)) {
                node.remove();
                this.drawn.delete(id);
            }
        }
        let before = null;
        for (const [id, [row, i]] of wanted) {
            const node = this.drawn.get(id) ?? buildRow(id);
            this.drawn.set(id, node);
            node.style.top = `${i * this.row}px`;
            node.setAttribute('aria-setsize', String(this.rows.length));
            node.setAttribute('aria-posinset', String(i + 1));
            fillRow(node, this.page.tree, row, this.stretches.get(id), this.days);
            putNext(this.list, node, before, false);
            before = node;
        }
        const first = this.drawn.get(this.at ?? '') ? this.at : (this.rows[from]?.id ?? null);
        for (const [id, node] of this.drawn) {
            /** @type {HTMLElement} */ (node.querySelector('.days-lane')).tabIndex = id === first ? 0 : -1;
        }
    }

    /** Brings a day into sight. @param {string | undefined} day */
    toDay(day, isSmooth = true) {
        if (day) {
            const left = Math.max(0, this.days.left(day) - 4 * this.days.width);
            const isStill = !isSmooth || matchMedia('(prefers-reduced-motion: reduce)').matches;
            this.scroller.scrollTo({ left, behavior: isStill ? 'auto' : 'smooth' });
        }
    }

    // ---- Rows

    /** @param {string | null} id */
    focus(id) {
        const i = this.rows.findIndex((row) => row.id === id);
        if (i < 0) {
            byId('schedule-title').focus({ preventScroll: true });
            return;
        }
        this.at = id;
        const top = i * this.row;
        const { scrollTop, clientHeight } = this.scroller;
        const head = this.head.offsetHeight;
        if (top < scrollTop || top + this.row > scrollTop + clientHeight - head) {
            this.scroller.scrollTop = Math.max(0, top - (clientHeight - head) / 2);
        }
        this.drawRows();
        /** @type {HTMLElement | null | undefined} */ (this.drawn.get(id ?? '')?.querySelector('.days-lane'))?.focus({
            preventScroll: true,
        });
    }

    /** @param {string} id */
    pass(id) {
        this.at = id;
        this.drawRows();
    }

    /** @param {number} by */
    step(by) {
        const i = this.rows.findIndex((row) => row.id === this.at);
        const next = this.rows[i + by];
        next && this.focus(next.id);
    }

    /** A bar where there is none yet. @param {HTMLElement} lane @param {string} day */
    drawNew(lane, day) {
        const bar = element('span', { class: 'days-bar is-own', style: place(day, day, this.days) });
        lane.append(bar);
        return bar;
    }

    /** Where what is dragged would come to be. @param {{from: string, to: string, bar: HTMLElement} | null} held */
    showHeld(held) {
        const says = byId('schedule-held');
        says.textContent = held ? (held.from === held.to ? shortly(held.from) : `${shortly(held.from)} – ${shortly(held.to)}`) : '';
        held?.bar.setAttribute('style', place(held.from, held.to, this.days));
    }
}
