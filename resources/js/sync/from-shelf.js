import { send } from '../lib/http.js';

/** @typedef {import('./session.js').Session} Session */

/**
 * Begins a session: with the plan as it was told last where the page is an older one, and with what waits
 * to be sent shown on it where it cannot be sent now. Whether something is to be drawn anew.
 * @param {Session} session
 */
export async function startFromShelf({ shelf, queue, tree }) {
    const known = await shelf.known();
    const isNewer = known?.told && known.revision > queue.base && queue.isEmpty;
    if (known && isNewer) {
        tree.fill(known.told);
        queue.base = known.revision;
    }
    await queue.flush();
    const waiting = queue.state === 'away' ? queue.adopted : [];
    for (const change of waiting) {
        try {
            tree.mirror(change);
        } catch {
            // What it was about is not known here: the server will tell what comes of it.
        }
    }
    return isNewer || waiting.length > 0;
}

/**
 * A note as the server has it; as it was told last, with what waits to be sent on it, where the server is
 * not reached; null where neither is to be had.
 * @param {Session} session
 * @param {string} topic
 * @param {() => string | undefined} [own] the change that is not to be on it: asked last, since it may be begun meanwhile
 */
export async function noteOf({ address, shelf, queue }, topic, own) {
    try {
        const fresh = await send('GET', `${address}/topics/${topic}/note`);
        shelf.keepNotes({ [topic]: fresh });
        return fresh;
    } catch (thrown) {
        const { status } = /** @type {import('../lib/http.js').Refusal} */ (thrown);
        const kept = status === 0 ? await shelf.note(topic) : null;
        const changes = queue.pending.filter((one) => one.type === 'note' && one.topic === topic && one.id !== own?.());
        const isKnown = kept || (status === 0 && changes.length);
        return isKnown ? { labels: {}, revision: 0, ...kept, blocks: withChanges(kept?.blocks ?? [], changes) } : null;
    }
}

/** Blocks of a note with changes on them that the server does not have yet. @param {any[]} blocks @param {any[]} changes */
export function withChanges(blocks, changes) {
    const all = new Map(blocks.map((block) => [block.attrs.id, block]));
    let order = [...all.keys()];
    for (const { put = [], remove = [], order: wanted } of changes) {
        for (const block of put) {
            order = all.has(block.attrs.id) ? order : [...order, block.attrs.id];
            all.set(block.attrs.id, block);
        }
        remove.forEach((/** @type {string} */ id) => all.delete(id));
        order = [...(wanted ?? order), ...order.filter((id) => wanted && !wanted.includes(id))];
    }
    return order.filter((id) => all.has(id)).map((id) => all.get(id));
}
