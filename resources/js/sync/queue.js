import { newId } from '../lib/ids.js';
import { dropChange, keepChange, leftBehind } from './kept-changes.js';
import { RETRY_AFTER, sendBatch } from './sending.js';

const AT_MOST = 200;
const LARGEST = 1_500_000;
/** So long after a key a change that is being typed goes out; after so long at the latest, though the typing goes on. */
const AFTER_TYPING = 350;
const AT_THE_LATEST = 3000;
/** Amid a word it waits longer: what others get, and write beside, are whole words. */
const WITHIN_A_WORD = 900;
const WITHIN_A_WORD_AT_THE_LATEST = 4500;
/** What a topic or its note may go with. */
const TAKES_AWAY = new Set(['remove', 'dissolve', 'join', 'fold', 'divide', 'split', 'drop', 'compound']);
const BEGUN = /[\p{L}\p{N}\p{M}_]$/u;

/** A change that waits or is under way. @typedef {{id: string, step: string, type: string, tab?: string, [field: string]: any}} Change */

/**
 * Changes on their way to the server. Each is kept in the browser's own storage under a key of its
 * own until it is acknowledged, so nothing is lost with the tab; one tab of a plan sends at a time,
 * and takes along what a closed tab has left.
 */
export class Queue {
    /**
     * @param {object} of
     * @param {number} of.user
     * @param {string} of.plan
     * @param {string} of.address
     * @param {number} of.revision
     * @param {Date} of.savedAt
     * @param {() => object} of.beside what is sent along with changes
     * @param {(answer: Record<string, any>, batch: Change[]) => void} of.onAnswer
     * @param {(answer: Record<string, any>) => void} of.onPart an answer has come while newer changes are under way
     * @param {(refused: any[], batch: Change[]) => void} of.onRefused
     * @param {(state: string, message: string) => void} of.onState
     */
    constructor({ user, plan, address, revision, savedAt, beside, onAnswer, onPart, onRefused, onState }) {
        this.address = address;
        this.base = revision;
        /** The furthest that the plan is told to stand, and what the page may show elsewhere than it was told (shown.js). */
        this.heard = 0;
        this.isLost = false;
        this.shown = /** @type {Set<string>} */ (new Set());
        this.beside = beside;
        this.onAnswer = onAnswer;
        this.onPart = onPart;
        this.onRefused = onRefused;
        this.onState = onState;
        /** @type {Promise<any> | null} */
        this.running = null;
        /** @type {ReturnType<typeof setTimeout> | undefined} */
        this.timer = undefined;
        this.isAsked = false;
        /** What closed tabs had left when it was looked for last. @type {Change[]} */
        this.adopted = [];
        this.prefix = `embrel.${user}.${plan}.`;
        this.tab = newId();
        /** @type {Map<string, Change>} */
        this.memory = new Map();
        /** Those that have gone out at least once: whether they have arrived is not known, so they stay. @type {Set<string>} */
        this.gone = new Set();
        /** Those that wait for something in the page before they may go out. @type {Set<string>} */
        this.held = new Set();
        /** When those that are being typed were begun, and when they may go out. @type {Map<string, {begun: number, due: number}>} */
        this.typed = new Map();
        /** @type {Map<string, number>} */
        this.failures = new Map();
        this.alone = false;
        this.savedAt = savedAt;
        this.state = 'saved';
        this.message = '';
        // Until the lock is held another tab would take these changes for those of a closed one.
        this.isMine = !navigator.locks;
        navigator.locks?.request(this.prefix + this.tab, () => {
            this.isMine = true;
            this.pending.forEach((change) => this.write(change));
            return new Promise(() => {});
        });
        addEventListener('online', () => this.flush());
        addEventListener('beforeunload', () => this.flush());
    }

    /** The changes of this tab that are not acknowledged, oldest first. */
    get pending() {
        return [...this.memory.values()];
    }

    get isEmpty() {
        return this.memory.size === 0;
    }

    /**
     * Puts a change in; `typed`, the text before the caret, waits a moment; `held`: it goes out when it is released. Returns its id.
     * @param {import('../state/plan.js').Operation} operation
     */
    add(operation, step = newId(), typed = /** @type {string | null} */ (null), held = false) {
        const id = newId();
        if (held) {
            this.held.add(id);
        } else if (TAKES_AWAY.has(operation.type)) {
            // It may take the topic away, or hand its note on: what was written before goes out before.
            this.held.clear();
        }
        this.keep({ id, step, ...operation });
        typed === null ? this.wait(0) : this.typing(id, typed);
        return id;
    }

    /** Whether a change can still be replaced: it has not gone out yet. @param {string} id */
    isWaiting(id) {
        return this.memory.has(id) && !this.gone.has(id);
    }

    /**
     * Takes a change out that has not gone out, where no later one builds on the topic that it makes; whether it could.
     * @param {string} id @param {string} topic
     */
    takeOut(id, topic) {
        const isAlone = this.isWaiting(id) && !this.pending.some((change) => change.id !== id && JSON.stringify(change).includes(topic));
        if (isAlone) {
            this.forget(id);
            this.tell(this.isEmpty ? 'saved' : this.state);
        }
        return isAlone;
    }

    /** @param {string} id */
    isHeld(id) {
        return this.held.has(id);
    }

    /** @param {string} id */
    release(id) {
        if (this.held.delete(id)) {
            this.wait(0);
        }
    }

    /** @param {string} id @param {import('../state/plan.js').Operation} operation @param {string | null} typed */
    replace(id, operation, typed) {
        this.keep({ ...operation, id, step: this.memory.get(id)?.step ?? newId() });
        this.typing(id, typed);
    }

    /**
     * A key has gone into a change: it waits for the next one, so that no half written word goes out.
     * @param {string} id @param {string | null} typed
     */
    typing(id, typed) {
        const now = Date.now();
        const begun = this.typed.get(id)?.begun ?? now;
        const [after, atTheLatest] = BEGUN.test(typed ?? '') ? [WITHIN_A_WORD, WITHIN_A_WORD_AT_THE_LATEST] : [AFTER_TYPING, AT_THE_LATEST];
        const due = Math.min(now + after, begun + atTheLatest);
        this.typed.set(id, { begun, due });
        this.wait(Math.max(0, due - now));
    }

    /** @param {any} change */
    keep(change) {
        this.memory.set(change.id, change);
        if (this.isMine) {
            this.write(change);
        }
        this.tell(this.state === 'away' ? 'away' : 'saving');
    }

    /** @param {any} change */
    write(change) {
        keepChange(this.prefix, this.tab, change);
    }

    /** @param {string} id */
    forget(id, tab = this.tab) {
        this.memory.delete(id);
        this.typed.delete(id);
        this.gone.delete(id);
        this.held.delete(id);
        dropChange(this.prefix, tab, id);
    }

    /** @param {number} milliseconds */
    wait(milliseconds) {
        clearTimeout(this.timer);
        // What has gone out cannot be written on: while nothing arrives, typing must not send a change a key.
        this.timer = setTimeout(() => this.flush(), this.state === 'away' ? Math.max(milliseconds, RETRY_AFTER) : milliseconds);
    }

    /** @param {string} state */
    tell(state, message = '') {
        this.state = state;
        this.message = message;
        this.onState(state, message);
    }

    /** Sends until nothing is left; resolves when it has gone, or cannot go now. */
    flush() {
        clearTimeout(this.timer);
        this.isAsked = true;
        this.running ??= this.run().finally(() => {
            this.running = null;
            // It was asked for when the last batch had been put together.
            return this.isAsked && this.state === 'saving' ? this.flush() : null;
        });
        return this.running;
    }

    async run() {
        const locked = navigator.locks
            ? (/** @type {() => any} */ work) => navigator.locks.request(`${this.prefix}send`, work)
            : (/** @type {() => any} */ work) => work();
        await locked(async () => {
            await this.adopt();
            for (let batch = this.nextBatch(); batch.length && (await sendBatch(this, batch)); batch = this.nextBatch()) {
                /* until it is empty or cannot go on */
            }
        });
        // What is being typed meanwhile has a time of its own.
        const due = Math.min(...this.pending.map(({ id }) => this.typed.get(id)?.due ?? Infinity));
        if (this.state === 'saving' && due < Infinity) {
            this.wait(Math.max(0, due - Date.now()));
        }
    }

    /** What goes out next, in order: all of it when that was asked for, else up to the last that nobody is typing just now. */
    nextBatch() {
        const ready = this.pending.filter(({ id }) => !this.held.has(id));
        const now = Date.now();
        const last = this.isAsked ? ready.length - 1 : ready.findLastIndex(({ id }) => (this.typed.get(id)?.due ?? 0) <= now);
        this.isAsked = false;
        const batch = [];
        let size = 0;
        for (const change of ready.slice(0, last + 1)) {
            size += JSON.stringify(change).length;
            if (batch.length && (this.alone || size > LARGEST || batch.length >= AT_MOST)) {
                break;
            }
            batch.push(change);
        }
        return batch;
    }

    /** Takes over what tabs that are no longer open have left behind. */
    async adopt() {
        const left = (this.adopted = await leftBehind(this.prefix, this.tab));
        if (left.length) {
            this.memory = new Map([...left.map((change) => /** @type {[string, Change]} */ ([change.id, change])), ...this.memory]);
        }
    }
}
