/** Longer than any answer takes; after that a request is as one that did not arrive. */
const PATIENCE = 60_000;
/** The seal of forms, as the page brought it. */
export const token = () => document.querySelector('meta[name=csrf-token]')?.getAttribute('content') ?? '';

// Of which version of Embrel the answers are, for who wants to know.
/** @type {{heard: (version: string | null) => void}} */
export const versions = { heard: () => {} };

/** What every request of ours carries. @param {boolean} [isJson] whether its body is JSON */
export const headers = (isJson = true) => ({
    Accept: 'application/json',
    'X-CSRF-TOKEN': token(),
    'X-Requested-With': 'XMLHttpRequest',
    ...(isJson ? { 'Content-Type': 'application/json' } : {}),
});

/** An answer that was not a success; `status` 0: the server was not reached. */
export class Refusal extends Error {
    /** @param {number} status @param {string} message */
    constructor(status, message, answer = {}) {
        super(message);
        this.status = status;
        this.answer = answer;
    }
}

/**
 * Sends JSON or a form and returns the decoded answer, or null for an empty one.
 * @param {string} method
 * @param {string} address
 * @param {object | FormData | null} [body]
 * @param {RequestInit} [options] of `fetch`, as `keepalive` for what outlives the page
 * @returns {Promise<any>}
 * @throws {Refusal}
 */
export async function send(method, address, body = null, options = {}) {
    let response = await reach(method, address, body, options);
    // A page may be older than the session that the person is in by now: then it asks for the seal of this one.
    if (response.status === 419 && (await renewToken())) {
        response = await reach(method, address, body, options);
    }
    versions.heard(response.headers?.get('X-Embrel-Version') ?? null);
    if (response.status === 204) {
        return null;
    }
    const answer = await response.json().catch(() => ({}));
    if (!response.ok) {
        throw new Refusal(response.status, firstMessage(answer), answer);
    }
    return answer;
}

/** What is said of something that was thrown. @param {unknown} error */
export const reason = (error) => (error instanceof Error ? error.message : String(error));

/** @param {Record<string, any>} answer */
function firstMessage(answer) {
    const errors = Object.values(answer.errors ?? {}).flat();
    return errors[0] ?? answer.message ?? 'Something went wrong. Nothing was lost; try again.';
}

/**
 * @param {string} method
 * @param {string} address
 * @param {object | FormData | null} body
 * @param {RequestInit} options
 * @returns {Promise<Response>}
 * @throws {Refusal} where the server is not reached
 */
async function reach(method, address, body, options) {
    const isForm = body instanceof FormData;
    try {
        return await fetch(address, {
            method,
            credentials: 'same-origin',
            ...options,
            ...(isForm ? {} : { signal: AbortSignal.timeout(PATIENCE) }),
            headers: headers(!!body && !isForm),
            body: isForm || body === null ? /** @type {FormData | null} */ (body) : JSON.stringify(body),
        });
    } catch {
        throw new Refusal(0, 'The server cannot be reached.');
    }
}

/** Whether the page has got the seal of the session that it is in now. */
async function renewToken() {
    const answer = await reach('GET', '/token', null, {}).catch(() => null);
    const fresh = answer?.ok ? (await answer.json().catch(() => ({}))).token : null;
    if (!fresh || fresh === token()) {
        return false;
    }
    document.querySelector('meta[name=csrf-token]')?.setAttribute('content', fresh);
    return true;
}
