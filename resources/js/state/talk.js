import { ROOT } from './topics.js';

/**
 * A comment, as PHP tells it (app/Store/Talk.php).
 * @typedef {object} Comment
 * @property {string} id
 * @property {string} topic
 * @property {string} [thread] what it answers
 * @property {string} by
 * @property {string} at
 * @property {string} [body]
 * @property {boolean} [isOwn]
 * @property {boolean} [isGuest]
 * @property {boolean} [isEdited]
 * @property {boolean} [isTakenBack]
 * @property {boolean} [isToYou]
 * @property {string} [settled] by whom
 * @property {{words: string, nth: number, gone?: boolean}} [anchor] the words that it is about
 * @property {{kind: string, text?: string, at?: {parent: string, after: string | null}}} [proposal]
 * @property {{what: string, by: string, why: string | null}} [outcome]
 * @property {string[]} [mentions]
 * @property {{id: string, name: string, bytes: number}[]} [files]
 * @property {number} revised
 *
 * @typedef {{head: Comment, answers: Comment[]}} Thread
 */

/** What of it is shown → how that is called. @type {[string, string][]} */
export const FILTERS = [
    ['open', 'Open'],
    ['mine', 'Mine'],
    ['to-me', 'That mention me'],
    ['settled', 'Settled'],
];

/** What is said in the plan: a mirror of what PHP has told. */
export class Talk {
    /** @param {number} heard up to which change of it all was seen */
    constructor(heard) {
        this.heard = heard;
        /** Up to which change it is known. */
        this.known = 0;
        /** @type {Map<string, Comment>} */
        this.comments = new Map();
    }

    /** @param {{talk: number, comments: Comment[]}} answer */
    take({ talk, comments }) {
        for (const one of comments) {
            this.comments.set(one.id, one);
        }
        this.known = Math.max(this.known, talk);
    }

    /** @returns {Thread[]} in the order in which they began */
    get threads() {
        /** @type {Map<string, Thread>} */
        const threads = new Map();
        for (const one of this.comments.values()) {
            one.thread || threads.set(one.id, { head: one, answers: [] });
        }
        for (const one of this.comments.values()) {
            one.thread && !one.isTakenBack && threads.get(one.thread)?.answers.push(one);
        }
        return [...threads.values()].filter(({ head, answers }) => !head.isTakenBack || answers.length);
    }

    /** @param {string} filter of FILTERS, or `by ` and a name @returns {Thread[]} */
    shown(filter) {
        const any = (/** @type {Thread} */ { head, answers }, /** @type {(one: Comment) => unknown} */ holds) =>
            [head, ...answers].some(holds);
        /** @type {Record<string, (thread: Thread) => boolean>} */
        const holds = {
            open: ({ head }) => !head.settled,
            settled: ({ head }) => !!head.settled,
            mine: (thread) => any(thread, (one) => one.isOwn),
            'to-me': (thread) => any(thread, (one) => one.isToYou),
        };
        const by = filter.replace(/^by /, '');
        return this.threads.filter(holds[filter] ?? ((thread) => any(thread, (one) => one.by === by)));
    }

    /** Topic → how many threads are open on it. @returns {Map<string, number>} */
    get counts() {
        const counts = new Map();
        for (const { head } of this.shown('open')) {
            head.topic === ROOT || counts.set(head.topic, (counts.get(head.topic) ?? 0) + 1);
        }
        return counts;
    }

    /** @param {Comment} one */
    isNew(one) {
        return one.revised > this.heard && !one.isOwn;
    }

    get fresh() {
        return [...this.comments.values()].filter((one) => this.isNew(one) && !one.isTakenBack).length;
    }

    /** Who has said something. @returns {string[]} */
    get people() {
        return [...new Set([...this.comments.values()].filter((one) => !one.isTakenBack).map(({ by }) => by))].sort();
    }
}
