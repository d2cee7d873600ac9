/** Longer than any answer takes; after that a request is as one that did not arrive. */
const PATIENCE = 60_000;
const token = () => document.querySelector('meta[name=csrf-token]')?.content ?? '';

/** An answer that was not a success; `status` 0: the server was not reached. */
export class Refusal extends Error {
    constructor(status, message, answer = {}) {
        super(message);
        this.status = status;
        this.answer = answer;
    }
}

/** Sends JSON or a form and returns the decoded answer, or null for an empty one. `options`: of `fetch`, as `keepalive` for what outlives the page. */
export async function send(method, address, body = null, options = {}) {
    const isForm = body instanceof FormData;
    let response;
    try {
        response = await fetch(address, {
            method,
            credentials: 'same-origin',
            ...options,
            ...(isForm ? {} : { signal: AbortSignal.timeout(PATIENCE) }),
            headers: {
                Accept: 'application/json', 'X-CSRF-TOKEN': token(), 'X-Requested-With': 'XMLHttpRequest',
                ...(body && !isForm ? { 'Content-Type': 'application/json' } : {}),
            },
            body: body === null || isForm ? body : JSON.stringify(body),
        });
    } catch {
        throw new Refusal(0, 'The server cannot be reached.');
    }
    if (response.status === 204) {
        return null;
    }
    const answer = await response.json().catch(() => ({}));
    if (!response.ok) {
        throw new Refusal(response.status, firstMessage(answer), answer);
    }
    return answer;
}

function firstMessage(answer) {
    const errors = Object.values(answer.errors ?? {}).flat();
    return errors[0] ?? answer.message ?? 'Something went wrong. Nothing was lost; try again.';
}
