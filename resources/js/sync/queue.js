import { newId } from '../lib/ids.js';
import { store } from '../lib/stored.js';
import { Refusal, send } from '../lib/http.js';

const RETRY_AFTER = 3000;
const GIVE_UP_AFTER = 3;
const AT_MOST = 200;
const LARGEST = 1_500_000;
/** So long after a key a change that is being typed goes out; after so long at the latest, though the typing goes on. */
const AFTER_TYPING = 350;
const AT_THE_LATEST = 3000;
/** Amid a word it waits longer: what others get, and write beside, are whole words. */
const WITHIN_A_WORD = 900;
const WITHIN_A_WORD_AT_THE_LATEST = 4500;
const BEGUN = /[\p{L}\p{N}\p{M}_]$/u;

/**
 * Changes on their way to the server. Each is kept in the browser's own storage under a key of its
 * own until it is acknowledged, so nothing is lost with the tab; one tab of a plan sends at a time,
 * and takes along what a closed tab has left.
 */
export class Queue {
    constructor({ user, plan, address, revision, savedAt, beside, onAnswer, onPart, onRefused, onState }) {
        Object.assign(this, { address, base: revision, beside, onAnswer, onPart, onRefused, onState });
        this.prefix = `embrel.${user}.${plan}.`;
        this.tab = newId();
        this.memory = new Map();
        /** Those that have gone out at least once: whether they have arrived is not known, so they stay as they are. */
        this.gone = new Set();
        /** Those that wait for something in the page before they may go out. */
        this.held = new Set();
        /** When those that are being typed were begun, and when they may go out. */
        this.typed = new Map();
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

    /** Puts a change in; `typed`, the text before the caret, waits a moment; `held`: it goes out when it is released. Returns its id. */
    add(operation, step = newId(), typed = null, held = false) {
        const id = newId();
        if (held) {
            this.held.add(id);
        }
        this.keep({ id, step, ...operation });
        typed === null ? this.wait(0) : this.typing(id, typed);
        return id;
    }

    /** Whether a change can still be replaced: it has not gone out yet. */
    isWaiting(id) {
        return this.memory.has(id) && !this.gone.has(id);
    }

    /** Takes a change out that has not gone out, where no later one builds on the topic that it makes; whether it could. */
    takeOut(id, topic) {
        const isAlone = this.isWaiting(id) && !this.pending.some((change) => change.id !== id && JSON.stringify(change).includes(topic));
        if (isAlone) {
            this.forget(id);
            this.tell(this.isEmpty ? 'saved' : this.state);
        }
        return isAlone;
    }

    isHeld(id) {
        return this.held.has(id);
    }

    release(id) {
        if (this.held.delete(id)) {
            this.wait(0);
        }
    }

    replace(id, operation, typed) {
        this.keep({ ...operation, id, step: this.memory.get(id).step });
        this.typing(id, typed);
    }

    /** A key has gone into a change: it waits for the next one, so that no half written word goes out. */
    typing(id, typed) {
        const now = Date.now();
        const begun = this.typed.get(id)?.begun ?? now;
        const [after, atTheLatest] = BEGUN.test(typed) ? [WITHIN_A_WORD, WITHIN_A_WORD_AT_THE_LATEST] : [AFTER_TYPING, AT_THE_LATEST];
        const due = Math.min(now + after, begun + atTheLatest);
        this.typed.set(id, { begun, due });
        this.wait(Math.max(0, due - now));
    }

    keep(change) {
        this.memory.set(change.id, change);
        if (this.isMine) {
            this.write(change);
        }
        this.tell(this.state === 'away' ? 'away' : 'saving');
    }

    write(change) {
        store(`${this.prefix}${this.tab}.${change.id}`, JSON.stringify(change));
    }

    forget(id, tab = this.tab) {
        this.memory.delete(id);
        this.typed.delete(id);
        this.gone.delete(id);
        this.held.delete(id);
        localStorage.removeItem(`${this.prefix}${tab}.${id}`);
    }

    wait(milliseconds) {
        clearTimeout(this.timer);
        // What has gone out cannot be written on: while nothing arrives, typing must not send a change a key.
        this.timer = setTimeout(() => this.flush(), this.state === 'away' ? Math.max(milliseconds, RETRY_AFTER) : milliseconds);
    }

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
        const locked = navigator.locks ? (work) => navigator.locks.request(`${this.prefix}send`, work) : (work) => work();
        await locked(async () => {
            await this.adopt();
            for (let batch = this.nextBatch(); batch.length && await this.sendOnce(batch); batch = this.nextBatch()) { /* until it is empty or cannot go on */ }
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

    /** @returns {Promise<boolean>} whether to go on with the next batch */
    async sendOnce(batch) {
        batch.forEach((change) => this.gone.add(change.id));
        try {
            const answer = await send('POST', `${this.address}/operations`, { base: this.base, operations: batch, ...this.beside() });
            batch.forEach((change) => this.forget(change.id, change.tab));
            this.savedAt = new Date();
            // A change that was made while this was under way is not in the answer: the next one tells all.
            if (this.isEmpty) {
                this.alone = false;
                this.base = answer.revision;
                this.onAnswer(answer, batch);
                this.tell('saved');
            } else {
                this.onPart(answer);
            }
            if (answer.refused.length) {
                this.onRefused(answer.refused, batch);
            }
            return true;
        } catch (error) {
            return this.failed(error, batch);
        }
    }

    async failed(error, batch) {
        const status = error instanceof Refusal ? error.status : 0;
        if (!(error instanceof Refusal)) {
            throw error;
        }
        if (status === 401 || status === 419) {
            this.tell('signed-out');
        } else if (status === 422 || status === 413) {
            if (batch.length > 1) {
                // One of them cannot be read: each alone, so that the others arrive.
                for (const change of batch) {
                    await this.sendOnce([change]);
                }
                return true;
            }
            this.forget(batch[0].id, batch[0].tab);
            this.onRefused([{ id: batch[0].id, reason: 'value', message: error.message }], batch);
            this.tell(this.isEmpty ? 'saved' : 'saving');
            return true;
        } else {
            if (status >= 500 && await this.isUnmakeable(batch)) {
                return true;
            }
            this.tell('away', error.message);
            this.wait(RETRY_AFTER);
        }
        return false;
    }

    /**
     * Whether the server is well and only this change fails, again and again: then it is set aside,
     * so that it does not hold up those behind it. They are tried one by one first.
     */
    async isUnmakeable(batch) {
        const isWell = await send('GET', `${this.address}/changes?since=${this.base}`).then(() => true, () => false);
        if (!isWell) {
            return false;
        }
        if (batch.length > 1) {
            this.alone = true;
            return false;
        }
        const [change] = batch;
        this.failures.set(change.id, (this.failures.get(change.id) ?? 0) + 1);
        if (this.failures.get(change.id) < GIVE_UP_AFTER) {
            return false;
        }
        this.alone = false;
        this.forget(change.id, change.tab);
        this.onRefused([{ id: change.id, reason: 'failed', message: 'The server failed at it.' }], batch);
        return true;
    }

    /** Takes over what tabs that are no longer open have left behind. */
    async adopt() {
        const held = new Set((await navigator.locks?.query())?.held?.map((lock) => lock.name) ?? []);
        const left = [];
        for (let i = 0; i < localStorage.length; i++) {
            const key = localStorage.key(i);
            const [tab, id] = key.startsWith(this.prefix) ? key.slice(this.prefix.length).split('.') : [];
            if (id && tab !== this.tab && !held.has(this.prefix + tab)) {
                left.push({ ...JSON.parse(localStorage.getItem(key)), tab });
            }
        }
        if (left.length) {
            left.sort((a, b) => (a.id < b.id ? -1 : 1));
            this.memory = new Map([...left.map((change) => [change.id, change]), ...this.memory]);
        }
    }
}
