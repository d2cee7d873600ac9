import { minutes } from '../../lib/span.js';

/** Of the time that was planned, this much is left when the clock begins to warn, in seconds; or a tenth of it. */
const NEAR = 120;

/**
 * What a clock says of the time that has gone: calm, near its end, or over.
 * @param {number} gone
 * @param {number} planned
 * @returns {{says: string, is: '' | 'near' | 'over', warns: string}}
 */
export function told(gone, planned) {
    const says = `${minutes(gone)} of ${planned >= 60 ? `${Math.round(planned / 60)} min` : `${planned} s`}`;
    if (gone >= planned) {
        return { says, is: 'over', warns: `${minutes(gone - planned)} over` };
    }
    const isNear = planned - gone <= Math.min(NEAR, planned / 10);
    return { says, is: isNear ? 'near' : '', warns: isNear ? `${minutes(planned - gone)} left` : '' };
}

/** The time since one began to show: it begins with the first press, and can be set back. */
export class Clock {
    /** @param {() => number} now in milliseconds */
    constructor(now = () => Date.now()) {
        this.now = now;
        /** @type {number | null} */
        this.begun = null;
    }

    begin() {
        this.begun ??= this.now();
    }

    setBack() {
        this.begun = null;
    }

    get gone() {
        return this.begun === null ? 0 : Math.max(0, (this.now() - this.begun) / 1000);
    }
}
