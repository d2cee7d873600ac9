import { send } from '../lib/http.js';
import { newId } from '../lib/ids.js';
import { ROOT } from '../state/plan.js';
import { Channel } from './channel.js';
import { Queue } from './queue.js';
import { noteOf, startFromShelf } from './from-shelf.js';
import { Shelf } from './shelf.js';
import { hear, knownFrom, lose, settle, suits } from './shown.js';
import { stepBack } from './step-back.js';
import { upload } from './upload.js';

const STEP_PAUSE = 2000;

/**
 * What happens in a session, for whoever shows it.
 * @typedef {object} Happenings
 * @property {(operation: import('../state/plan.js').Operation) => void} shown a change of one's own is in the mirror
 * @property {(answer: Record<string, any>, byOthers: boolean) => void} taken the server has told what changed
 * @property {(answer: Record<string, any>) => void} part an answer has come while newer changes are under way
 * @property {(changes: any[]) => void} refused
 * @property {() => void} state how far all is saved is another
 * @property {() => void} stepping a step is about to be taken back
 * @property {(which: 'undo' | 'redo', answer: Record<string, any>, says: string | null, isUnmoved: boolean) => void} stepped
 * @property {(text: string, action?: {label: string, act: () => void} | null) => void} say
 * @property {() => object} beside what is sent along with changes
 */

/**
 * One person at work on one plan: what they do is shown in the mirror and goes out by the queue;
 * what the server tells is taken in; their steps are taken back and brought back.
 */
export class Session {
    /**
     * @param {{plan: string, user: number, revision: number, savedAt: string, pulse: string, [more: string]: any}} data of the page
     * @param {import('../state/plan.js').Tree} tree
     * @param {import('./rights.js').Rights} rights
     * @param {Happenings} on
     */
    constructor(data, tree, rights, on) {
        this.data = data;
        this.tree = tree;
        this.on = on;
        this.address = `/plans/${data.plan}`;
        this.rights = rights;
        /** @type {Map<string, {step: string, at: number}>} */
        this.steps = new Map();
        /** Steps that are being taken back or brought back, one after the other. */
        this.turns = 0;
        /** Whether words stand in a field that are no change yet. */
        this.isHeld = false;
        /** @type {Promise<any>} */
        this.turn = Promise.resolve();
        this.queue = new Queue({
            user: data.user,
            plan: data.plan,
            address: this.address,
            revision: data.revision,
            savedAt: new Date(data.savedAt),
            beside: () => on.beside(),
            onAnswer: (answer) => this.answered(answer),
            onPart: (answer) => on.part(answer),
            onRefused: (refused, batch) => this.refused(refused, batch),
            onState: (state) => {
                on.state();
                state === 'saved' && this.channel.catchUp();
            },
        });
        this.channel = new Channel(this);
        this.shelf = new Shelf(data.user, data.plan);
    }

    /** Begins; whether something is to be drawn anew. */
    start() {
        return startFromShelf(this);
    }

    /** A note as the server has it, or as told last (from-shelf.js). @param {string} topic @param {() => string | undefined} [own] */
    noteOf(topic, own) {
        return noteOf(this, topic, own);
    }

    // ---- Changes

    /** Words are held that are not saved, or none any more. @param {boolean} isHeld */
    hold(isHeld) {
        if (this.isHeld !== isHeld) {
            this.isHeld = isHeld;
            this.on.state();
        }
    }

    /**
     * Shows an operation and sends it; `step` groups what one undo takes back, `typed` is the text before the caret of what is being typed.
     * @param {import('../state/plan.js').Operation} operation
     * @param {string} [step]
     * @param {string | null} [typed]
     * @returns {string} the change
     */
    perform(operation, step = newId(), typed = null) {
        if (this.rights.isKept()) {
            return '';
        }
        this.tree.mirror(operation);
        const id = this.queue.add(operation, step, typed);
        this.tree.steps.redo = null;
        this.on.shown(operation);
        return id;
    }

    /** @param {string[]} ids @param {import('../state/plan.js').Place} place */
    move(ids, place, step = newId()) {
        this.perform({ type: 'move', ids, at: place }, step);
    }

    /** @param {Record<string, any>} set */
    setPlan(set) {
        this.perform({ type: 'plan', set });
    }

    /** @param {string} title */
    retitlePlan(title) {
        this.perform({ type: 'retitle', topic: ROOT, title });
    }

    /** The step of typing in one title or note: a new one after a pause. @param {string} key */
    stepFor(key) {
        const now = Date.now();
        const known = this.steps.get(key);
        const step = known && now - known.at < STEP_PAUSE ? known.step : newId();
        this.steps.clear();
        this.steps.set(key, { step, at: now });
        return step;
    }

    // ---- What the server tells

    /** @param {Record<string, any>} answer */
    answered(answer) {
        if (answer.said) {
            this.on.say(answer.said);
        }
        this.take(answer, false);
    }

    /** @param {Record<string, any>} answer @param {boolean} byOthers */
    take(answer, byOthers) {
        this.tree.isAstray = false;
        this.tree.take(answer);
        if (this.tree.isAstray) {
            lose(this.queue);
            this.channel.ask();
            return;
        }
        this.on.taken(answer, byOthers);
    }

    /** @param {any[]} refused @param {any[]} batch */
    async refused(refused, batch) {
        const lost = refused.map((one) => ({
            ...one,
            change: batch.find((change) => change.id === one.id),
        }));
        this.on.refused(lost.filter((one) => one.change));
        lose(this.queue);
        await this.channel.ask();
    }

    /**
     * Sends what the queue cannot carry, and takes in what has changed; null (and said) when it was refused.
     * @param {string} path @param {any} body
     */
    async sent(path, body) {
        if (this.rights.isKept()) {
            return null;
        }
        await this.queue.flush();
        try {
            const from = knownFrom(this.queue);
            const answer = await send('POST', `${this.address}/${path}`, { base: from, ...body });
            this.taken(answer, from);
            // What was on its way may have been taken in before it: then no answer to that tells it.
            await this.channel.catchUp();
            return answer;
        } catch (thrown) {
            const error = /** @type {import('../lib/http.js').Refusal} */ (thrown);
            // What others did in between stands in the history.
            const met = /** @type {Record<string, any>} */ (error.answer).reason === 'changed';
            this.on.say(error.message, met ? { label: 'History', act: () => location.assign(`${this.address}/history`) } : null);
            return null;
        }
    }

    /** Takes in what an answer says has changed since a revision. @param {Record<string, any>} answer @param {number} from */
    taken(answer, from) {
        if (!answer.numbers) {
            return;
        }
        hear(this.queue, answer.revision);
        // While changes are on their way it would show the plan without them; what they are answered tells it, or it is asked for then.
        if (this.queue.isEmpty && answer.revision >= this.queue.base && suits(this.queue, answer, from)) {
            settle(this.queue, answer.revision);
            this.queue.savedAt = new Date();
            this.take(answer, true);
            this.queue.tell('saved');
        }
    }

    /** Sends a form with a file; null (and said) when it was refused. @param {string} path @param {any} body */
    upload(path, body) {
        return upload(this, path, body);
    }

    /** What is typed as a date, as it is stored; PHP reads it. @param {string | null} typed */
    async dateOf(typed) {
        const answer = await send('POST', `${this.address}/source-list/date`, { typed }).catch(() => null);
        return answer?.date ?? null;
    }

    // ---- Steps back

    undo() {
        return this.inTurn(() => stepBack(this, 'undo', 'There is nothing of yours to undo.'));
    }

    redo() {
        return this.inTurn(() => stepBack(this, 'redo', 'There is nothing to redo.'));
    }

    /** Undo pressed three times quickly is three undos, one after the other. @param {() => any} act */
    inTurn(act) {
        this.turns++;
        this.on.state();
        this.turn = this.turn.then(act, act).finally(() => {
            this.turns--;
            this.on.state();
        });
        return this.turn;
    }
}
