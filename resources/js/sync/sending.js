import { Refusal, send } from '../lib/http.js';
import { knownFrom, passOver, settle, suits, toldOf } from './shown.js';

export const RETRY_AFTER = 3000;
const GIVE_UP_AFTER = 3;
/** A part of the server is away, or the whole of it behind what stands in front: that says nothing of the change. */
const AWAY = [502, 503, 504];

/**
 * Sends a batch of changes; whether to go on with the next one.
 * @param {import('./queue.js').Queue} queue
 * @param {import('./queue.js').Change[]} batch
 * @returns {Promise<boolean>}
 */
export async function sendBatch(queue, batch) {
    batch.forEach((change) => queue.gone.add(change.id));
    try {
        const from = knownFrom(queue);
        const answer = await send('POST', `${queue.address}/operations`, { ...toldOf(queue), operations: batch, ...queue.beside() });
        batch.forEach((change) => queue.forget(change.id, change.tab));
        queue.savedAt = new Date();
        // A change that was made while this was under way is not in the answer: the next one tells all.
        if (queue.isEmpty) {
            queue.alone = false;
            if (suits(queue, answer, from)) {
                settle(queue, answer.revision);
                queue.onAnswer(answer, batch);
            }
            queue.tell('saved');
        } else {
            passOver(queue, batch);
            queue.onPart(answer);
        }
        if (answer.refused.length) {
            queue.onRefused(answer.refused, batch);
        }
        return true;
    } catch (error) {
        if (!(error instanceof Refusal)) {
            throw error;
        }
        return failed(queue, error, batch);
    }
}

/** @param {import('./queue.js').Queue} queue @param {Refusal} error @param {import('./queue.js').Change[]} batch */
async function failed(queue, { status, message }, batch) {
    if (status === 401 || status === 419) {
        queue.tell('signed-out');
        return false;
    }
    if (status === 422 || status === 413) {
        if (batch.length > 1) {
            // One of them cannot be read: each alone, so that the others arrive.
            for (const change of batch) {
                await sendBatch(queue, [change]);
            }
            return true;
        }
        queue.forget(batch[0].id, batch[0].tab);
        queue.onRefused([{ id: batch[0].id, reason: 'value', message }], batch);
        queue.tell(queue.isEmpty ? 'saved' : 'saving');
        return true;
    }
    if (status >= 500 && !AWAY.includes(status) && (await isUnmakeable(queue, batch))) {
        return true;
    }
    queue.tell('away', message);
    queue.wait(RETRY_AFTER);
    return false;
}

/**
 * Whether the server is well and only this change fails, again and again: then it is set aside,
 * so that it does not hold up those behind it. They are tried one by one first.
 * @param {import('./queue.js').Queue} queue
 * @param {import('./queue.js').Change[]} batch
 */
async function isUnmakeable(queue, batch) {
    const [isThere, isAway] = [() => true, () => false];
    const isWell = await send('GET', `${queue.address}/changes?since=${queue.base}`).then(isThere, isAway);
    if (!isWell) {
        return false;
    }
    if (batch.length > 1) {
        queue.alone = true;
        return false;
    }
    const [change] = batch;
    const failures = (queue.failures.get(change.id) ?? 0) + 1;
    queue.failures.set(change.id, failures);
    if (failures < GIVE_UP_AFTER) {
        return false;
    }
    queue.alone = false;
    queue.forget(change.id, change.tab);
    queue.onRefused([{ id: change.id, reason: 'failed', message: 'The server failed at it.' }], batch);
    return true;
}
