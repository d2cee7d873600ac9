import { byId } from '../../lib/dom.js';
import { element } from '../../ui/element.js';
import { WritingDays } from './writing-days.js';

const WIDTH = 420;
const HEIGHT = 90;
/** A day is no line. */
const LEAST = 2;

/** Words a day that remain to the due date, what comes next, and how it went so far. PHP has reckoned it. */
export class PaceCard {
    /** @param {import('../page.js').Page} page @param {() => void} changed the days have been chosen anew */
    constructor(page, changed) {
        this.page = page;
        this.box = byId('pace');
        this.days = new WritingDays(page, changed);
        /** @type {any} */
        this.told = null;
        byId('pace-topic').addEventListener('click', () => page.openNoteOf(this.told.next.topic));
        byId('pace-properties').addEventListener('click', () => page.properties.open());
        byId('pace-schedule').addEventListener('click', () => page.show('schedule'));
        byId('pace-days').addEventListener('click', () => this.days.open(this.told.days));
    }

    /** @param {any} told */
    take(told) {
        this.told = told;
        this.box.hidden = false;
        this.box.dataset.state = told.state;
        byId('pace-head').textContent = told.head;
        byId('pace-says').textContent = told.says.join(' ');
        byId('pace-next').hidden = told.next === null;
        byId('pace-topic').textContent = told.next?.name ?? '';
        byId('pace-properties').hidden = !this.page.session.rights.mayWrite;
        const figure = byId('pace-line');
        figure.hidden = told.line.length < LEAST;
        figure.replaceChildren(...(figure.hidden ? [] : this.line(told.line)));
    }

    /**
     * Words day by day, beside what an even line to the target would have.
     * @param {{day: string, done: number, planned: number | null}[]} days
     */
    line(days) {
        const most = Math.max(1, ...days.flatMap(({ done, planned }) => [done, planned ?? 0]));
        const at = (/** @type {number | null} */ words, /** @type {number} */ i) =>
            words === null ? [] : [`${(WIDTH * i) / (days.length - 1)},${HEIGHT - 2 - ((HEIGHT - 4) * words) / most}`];
        const drawing = svg('svg', { viewBox: `0 0 ${WIDTH} ${HEIGHT}`, role: 'img', 'aria-label': said(days) });
        drawing.append(
            svg('polyline', { class: 'planned', points: days.flatMap(({ planned }, i) => at(planned, i)).join(' ') }),
            svg('polyline', { class: 'done', points: days.flatMap(({ done }, i) => at(done, i)).join(' ') }),
        );
        const legend = element('span', {}, 'Line: written. Dashes: an even line to the target.');
        return [drawing, element('figcaption', { 'aria-hidden': 'true' }, named(days[0].day), legend, named(days[days.length - 1].day))];
    }
}

/** @param {string} name @param {Record<string, string>} attributes */
function svg(name, attributes) {
    const node = document.createElementNS('http://www.w3.org/2000/svg', name);
    Object.entries(attributes).forEach(([key, value]) => node.setAttribute(key, value));
    return node;
}

/** @param {string} day */
const named = (day) => new Date(`${day}T12:00:00Z`).toLocaleDateString('en-GB', { day: 'numeric', month: 'long', timeZone: 'UTC' });

/** The line for who does not see it. @param {{day: string, done: number, planned: number | null}[]} days */
function said(days) {
    const [first, last] = [days[0], days[days.length - 1]];
    const planned = last.planned === null ? '' : `; ${last.planned.toLocaleString('en')} by an even line to the target`;
    const at = (/** @type {{day: string, done: number}} */ { day, done }) => `${done.toLocaleString('en')} words on ${named(day)}`;
    return `${at(first)}, ${at(last)}${planned}`;
}
