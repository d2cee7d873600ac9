import { send } from '../lib/http.js';
import { newId } from '../lib/ids.js';
import { meanwhile } from '../lib/meanwhile.js';
import { ROOT } from '../state/plan.js';
import { Channel } from './channel.js';
import { Queue } from './queue.js';

const STEP_PAUSE = 2000;

/**
 * One person at work on one plan: what they do is shown in the mirror and goes out by the queue;
 * what the server tells is taken in; their steps are taken back and brought back.
 */
export class Session {
    /**
     * @param {object} data of the page: plan, user, revision, savedAt, pulse
     * @param {import('../state/plan.js').Tree} tree
     * @param {object} on what happens when:
     *     `shown(operation)` a change of one's own is in the mirror, `taken(answer, byOthers)` the server has told what
     *     changed, `part(answer)` an answer has come while newer changes are under way, `refused(changes)`,
     *     `state()` how far all is saved, `stepping()` a step is about to be taken back, `stepped(which, answer, says,
     *     isUnmoved)`, `say(text, action)`, `beside()` what is sent along with changes
     */
    constructor(data, tree, on) {
        Object.assign(this, { data, tree, on });
        this.address = `/plans/${data.plan}`;
        this.steps = new Map();
        /** Steps that are being taken back or brought back, one after the other. */
        this.turns = 0;
        this.turn = Promise.resolve();
        this.queue = new Queue({
            user: data.user, plan: data.plan, address: this.address, revision: data.revision, savedAt: new Date(data.savedAt), beside: () => on.beside(),
            onAnswer: (answer) => this.answered(answer), onPart: (answer) => on.part(answer),
            onRefused: (refused, batch) => this.refused(refused, batch), onState: () => on.state(),
        });
        this.channel = new Channel(this);
    }

    // ---- Changes

    /** Shows an operation and sends it; `step` groups what one undo takes back, `typed` is the text before the caret of what is being typed. */
    perform(operation, step = newId(), typed = null) {
        this.tree.mirror(operation);
        const id = this.queue.add(operation, step, typed);
        this.tree.steps.redo = null;
        this.on.shown(operation);
        return id;
    }

    move(ids, place, step = newId()) {
        this.perform({ type: 'move', ids, at: place }, step);
    }

    setPlan(set) {
        Object.assign(this.tree.properties, set);
        this.perform({ type: 'plan', set });
    }

    retitlePlan(title) {
        this.perform({ type: 'retitle', topic: ROOT, title });
    }

    /** The step of typing in one title or note: a new one after a pause. */
    stepFor(key) {
        const now = Date.now();
        const known = this.steps.get(key);
        const step = known && now - known.at < STEP_PAUSE ? known.step : newId();
        this.steps.clear();
        this.steps.set(key, { step, at: now });
        return step;
    }

    // ---- What the server tells

    answered(answer) {
        if (answer.said) {
            this.on.say(answer.said);
        }
        this.take(answer, false);
    }

    take(answer, byOthers) {
        this.tree.take(answer);
        this.on.taken(answer, byOthers);
    }

    async refused(refused, batch) {
        const lost = refused.map((one) => ({ ...one, change: batch.find((change) => change.id === one.id) }));
        this.on.refused(lost.filter((one) => one.change));
        this.queue.base = 0;
        await this.channel.ask();
    }

    /** Sends what the queue cannot carry, and takes in what has changed; null (and said) when it was refused. */
    async sent(path, body) {
        await this.queue.flush();
        try {
            const answer = await send('POST', `${this.address}/${path}`, { base: this.queue.base, ...body });
            this.taken(answer);
            return answer;
        } catch (error) {
            this.on.say(error.message);
            return null;
        }
    }

    /** Takes in what an answer says has changed. */
    taken(answer) {
        // While changes are on their way it would show the plan without them; the answer to these tells all since.
        if (answer.labels && this.queue.isEmpty && answer.revision >= this.queue.base) {
            this.queue.base = answer.revision;
            this.queue.savedAt = new Date();
            this.take(answer, true);
            this.queue.tell('saved');
        }
    }

    /** Sends a form with a file; null (and said) when it was refused. */
    async upload(path, body) {
        await this.queue.flush();
        try {
            return await send('POST', `${this.address}/${path}`, body);
        } catch (error) {
            this.on.say(error.status === 413 ? 'The file is larger than what can be sent at once. Save it smaller and try again.' : error.message);
            return null;
        }
    }

    /** What is typed as a date, as it is stored; PHP reads it. */
    async dateOf(typed) {
        const answer = await send('POST', `${this.address}/source-list/date`, { typed }).catch(() => null);
        return answer?.date ?? null;
    }

    // ---- Steps back

    undo() {
        return this.inTurn(() => this.stepBack('undo', 'There is nothing of yours to undo.'));
    }

    redo() {
        return this.inTurn(() => this.stepBack('redo', 'There is nothing to redo.'));
    }

    /** Undo pressed three times quickly is three undos, one after the other. */
    inTurn(act) {
        this.turns++;
        this.on.state();
        this.turn = this.turn.then(act, act).finally(() => {
            this.turns--;
            this.on.state();
        });
        return this.turn;
    }

    async stepBack(which, nothing) {
        const isUnmoved = meanwhile();
        this.on.stepping();
        await this.queue.flush();
        if (!this.queue.isEmpty) {
            this.on.say('Not connected: undo works again once the changes kept here are saved.');
            return;
        }
        const says = this.tree.steps[which];
        const answer = await this.sent(which, {});
        if (!answer) {
            return;
        }
        if (answer.nothing) {
            this.on.say(nothing);
            return;
        }
        this.on.stepped(which, answer, says, isUnmoved());
    }
}
