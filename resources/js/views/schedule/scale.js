import { dayAfter, daysBetween, monthOf } from '../../lib/days.js';

/** How wide a day is, in pixels, and from which names the head is made. */
const WIDTHS = { days: 30, weeks: 11 };

/** @typedef {keyof typeof WIDTHS} Scale */
/** @typedef {{left: number, width: number, text: string, day: string}} Mark */

/** Between days and pixels. It begins on a Monday. */
export class Days {
    /** @param {string} from @param {string} to @param {Scale} scale */
    constructor(from, to, scale) {
        this.from = from;
        this.count = daysBetween(from, to) + 1;
        this.scale = scale;
        this.width = WIDTHS[scale];
    }

    /** Where a day begins. @param {string} day */
    left(day) {
        return daysBetween(this.from, day) * this.width;
    }

    /** How long some days are, both ends among them. @param {string} from @param {string} to */
    length(from, to) {
        return (daysBetween(from, to) + 1) * this.width;
    }

    /** The day at a place. @param {number} x */
    at(x) {
        return dayAfter(this.from, Math.floor(x / this.width));
    }

    /** What stands over the days: months, and under them days or weeks. @returns {{months: Mark[], days: Mark[]}} */
    head() {
        /** @type {Mark[]} */
        const months = [];
        /** @type {Mark[]} */
        const days = [];
        const step = this.scale === 'days' ? 1 : 7;
        for (let i = 0; i < this.count; i++) {
            const day = dayAfter(this.from, i);
            const left = i * this.width;
            const last = months[months.length - 1];
            if (!last || last.day.slice(0, 7) !== day.slice(0, 7)) {
                months.push({ left, width: this.width, text: monthOf(day), day });
            } else {
                last.width += this.width;
            }
            if (i % step === 0) {
                days.push({ left, width: this.width * step, text: String(Number(day.slice(8))), day });
            }
        }
        // A month of which few days are shown has no room for its whole name.
        months.forEach((month) => {
            month.text = month.width < 130 ? monthOf(month.day, true) : month.text;
        });
        return { months, days };
    }
}
