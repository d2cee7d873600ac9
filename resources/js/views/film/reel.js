import { send } from '../../lib/http.js';

/** Frames that are asked for at once, and how far ahead they are fetched. */
const AT_ONCE = 60;
const AHEAD = 25;

/**
 * A topic as it is shown at one moment: id, level (0: a loose idea), number, title, kind, dye, words.
 * @typedef {[string, number, string, string, string, string, number]} FilmRow
 * @typedef {{title: string, rows: FilmRow[]}} Frame
 */

/** The frames of a film: fetched some at a time, each kept once it is there. */
export class Reel {
    /** @param {string} address of the plan @param {number[]} points the number of the change after which each frame is */
    constructor(address, points) {
        this.address = address;
        this.points = points;
        /** @type {Frame[]} */
        this.frames = [];
        /** @type {Map<number, Promise<void>>} */
        this.coming = new Map();
    }

    /** @param {number} at @returns {Promise<Frame>} */
    async frame(at) {
        if (!this.frames[at]) {
            await this.fetch(at);
        }
        if (at + AHEAD < this.points.length && !this.frames[at + AHEAD] && this.frames[at + 1]) {
            let next = at + 1;
            while (this.frames[next]) {
                next++;
            }
            this.fetch(next).catch(() => null);
        }
        return this.frames[at];
    }

    /** @param {number} at @returns {Promise<void>} */
    fetch(at) {
        const known = this.coming.get(at);
        if (known) {
            return known;
        }
        const asked = this.ask(at).finally(() => this.coming.delete(at));
        this.coming.set(at, asked);
        return asked;
    }

    /** @param {number} at */
    async ask(at) {
        const points = this.points.slice(at, at + AT_ONCE);
        const told = await send('GET', `${this.address}/film/frames?points=${points.join(',')}`);
        /** @type {Frame} */
        let frame = { title: told.title, rows: told.rows };
        this.frames[at] ??= frame;
        told.cuts.forEach((/** @type {{title?: string, from: number, gone: number, rows: FilmRow[]}} */ cut, /** @type {number} */ i) => {
            const rows = frame.rows.slice();
            rows.splice(cut.from, cut.gone, ...cut.rows);
            frame = { title: cut.title ?? frame.title, rows };
            this.frames[at + 1 + i] ??= frame;
        });
    }
}
