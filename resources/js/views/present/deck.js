/**
 * A line that appears: topic, number, text, level, whether it is a quotation, its source.
 * @typedef {[string, string, string, number, boolean, string]} Line
 *
 * One section as it is shown.
 * @typedef {{topic: string, number: string, title: string, level: number, dye: string, main: string, under: string, lines: Line[],
 *     shots: [string, string, string][], note: string, part: number, scale: number, size: number}} Step
 *
 * @typedef {{levels: number, label: string, without: string[], whole: string[], one_by_one: boolean, spoken: boolean, seconds: number,
 *     minutes: number}} Choices
 *
 * A plan that is shown, as core/Show/Deck tells it.
 * @typedef {{title: string, language: string, steps: Step[], seconds: number[], mains: [string, string, string, string][],
 *     choices: Choices, left: number, print: string,
 *     media?: Record<string, {id: string, name: string, plays: 'sound' | 'film'}[]>}} Told
 *
 * Where one is: a step, and how many of its lines stand there.
 * @typedef {{at: number, stop: number}} Spot
 */

/** The steps of a show, and where one is in them: after the last comes the whole. */
export class Deck {
    /** @param {Told} told */
    constructor(told) {
        this.told = told;
        this.at = 0;
        this.stop = 0;
    }

    /** The steps are others now; one stays at the section where one was. @param {Told} told */
    take(told) {
        const topic = this.step?.topic;
        this.told = told;
        const at = told.steps.findIndex((step) => step.topic === topic);
        this.go(at < 0 ? Math.min(this.at, told.steps.length) : at, at < 0 ? 0 : this.stop);
    }

    /** What is shown; null at the end, where the whole is. */
    get step() {
        return this.told.steps[this.at] ?? null;
    }

    /** What comes with the next press: a line, a step, or nothing. */
    get next() {
        return this.told.steps[this.at + 1] ?? null;
    }

    get isEnd() {
        return this.at >= this.told.steps.length;
    }

    /** Which step of how many it is. */
    get where() {
        return this.isEnd ? 'The end' : `${this.at + 1} of ${this.told.steps.length}`;
    }

    /** The last stop of a step. @param {number} [at] */
    last(at = this.at) {
        return this.told.choices.one_by_one ? (this.told.steps[at]?.lines.length ?? 0) : 0;
    }

    /** How many lines of the step stand there. */
    get shown() {
        return this.told.choices.one_by_one ? this.stop : (this.step?.lines.length ?? 0);
    }

    /** @param {number} at @param {number} [stop] */
    go(at, stop = 0) {
        this.at = Math.max(0, Math.min(this.told.steps.length, at));
        this.stop = Math.max(0, Math.min(this.last(), stop));
    }

    on() {
        this.stop < this.last() ? this.go(this.at, this.stop + 1) : this.go(this.at + 1);
    }

    back() {
        this.stop > 0 ? this.go(this.at, this.stop - 1) : this.at > 0 && this.go(this.at - 1, this.last(this.at - 1));
    }

    /** The first step of a topic. @param {string} topic */
    to(topic) {
        const at = this.told.steps.findIndex((step) => step.topic === topic || step.main === topic);
        at >= 0 && this.go(at);
    }

    /** The topic that is spoken of: that of the last line, else of the step. */
    get topic() {
        const step = this.step;
        return step ? (this.stop > 0 ? step.lines[this.stop - 1][0] : step.topic) : '';
    }

    // ---- Time, in seconds

    /** How long it stays here when it plays by itself, at the usual speed. */
    get pause() {
        return (this.told.seconds[this.at] ?? 0) / (this.last() + 1);
    }

    /** How long it takes up to the end. */
    get planned() {
        return this.told.choices.minutes * 60 || this.whole;
    }

    get whole() {
        return this.told.seconds.reduce((sum, one) => sum + one, 0);
    }

    /** How far it is, from 0 to 1. */
    get share() {
        const before = this.told.seconds.slice(0, this.at).reduce((sum, one) => sum + one, 0);
        return Math.min(1, (before + this.pause * this.stop) / Math.max(1, this.whole));
    }

    /** The main sections and how long each is: what the line below is made of. @returns {{dye: string, seconds: number}[]} */
    get pieces() {
        /** @type {{main: string, dye: string, seconds: number}[]} */
        const pieces = [];
        this.told.steps.forEach(({ main, dye }, i) => {
            const last = pieces.at(-1);
            if (last && last.main === main) {
                last.seconds += this.told.seconds[i];
            } else {
                pieces.push({ main, dye, seconds: this.told.seconds[i] });
            }
        });
        return pieces;
    }
}
