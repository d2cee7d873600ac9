import { send } from '../lib/http.js';

/**
 * Sends a form with a file to a plan; null (and said) when it was refused.
 * @param {import('./session.js').Session} session
 * @param {string} path
 * @param {any} body
 */
export async function upload(session, path, body) {
    if (session.rights.isKept()) {
        return null;
    }
    await session.queue.flush();
    try {
        return await send('POST', `${session.address}/${path}`, body);
    } catch (thrown) {
        const error = /** @type {import('../lib/http.js').Refusal} */ (thrown);
        session.on.say(
            error.status === 413 ? 'The file is larger than what can be sent at once. Save it smaller and try again.' : error.message,
        );
        return null;
    }
}
