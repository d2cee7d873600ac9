/**
 * What changes named whose answer the page has not taken in, since newer ones were under way: it may show that elsewhere than it
 * came to stand. The next answer tells it; where none comes, the plan is told whole.
 * @typedef {import('./queue.js').Queue} Queue
 */

/** More than this is not sent along. */
const MOST = 1000;
const ID = /[0-7][0-9A-HJKMNP-TV-Z]{25}/g;

/** The answer to a batch is passed over. @param {Queue} queue @param {import('./queue.js').Change[]} batch */
export function passOver(queue, batch) {
    for (const change of batch) {
        const form = JSON.stringify({ ...change, id: '', step: '' }, (key, value) => (key === 'at' ? undefined : value));
        (form.match(ID) ?? []).forEach((id) => queue.shown.add(id));
    }
}

/** What a batch tells of it, with the revision from which on it wants to hear. @param {Queue} queue */
export const toldOf = ({ base, shown }) => (shown.size > MOST ? { base: 0 } : shown.size ? { base, shown: [...shown] } : { base });

/** From which revision on to ask what is new. @param {Queue} queue */
export const knownFrom = ({ base, shown }) => (shown.size ? 0 : base);

/**
 * The page shows what the plan does not have, such as a change that was refused: only the plan told whole puts that right.
 * @param {Queue} queue
 */
export function lose(queue) {
    queue.base = 0;
    queue.isLost = true;
}

/**
 * Whether an answer can be taken in: it tells what is new since the revision that it was asked from, and the page may have been
 * told more, or have lost its place, meanwhile. What came and went again in between is in no such answer.
 * @param {Queue} queue @param {Record<string, any>} answer @param {number} from
 */
export const suits = (queue, answer, from) => answer.whole === true || (!queue.isLost && from === knownFrom(queue));

/**
 * How far the plan is told to stand, be it while changes are on their way and nothing can be taken in.
 * @param {Queue} queue @param {number} revision
 */
export function hear(queue, revision) {
    queue.heard = Math.max(queue.heard, revision);
}

/** Whether the plan stands further on than the page has it. @param {Queue} queue */
export const isBehind = ({ base, heard, isLost }) => isLost || heard > base;

/** The page has taken in how the plan stands at a revision. @param {Queue} queue @param {number} revision */
export function settle(queue, revision) {
    queue.base = revision;
    queue.isLost = false;
    queue.shown.clear();
}
