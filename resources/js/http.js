const token = () => document.querySelector('meta[name=csrf-token]')?.content ?? '';

/** An answer that was not a success; `status` 0: the server was not reached. */
export class Refusal extends Error {
    constructor(status, message, answer = {}) {
        super(message);
        this.status = status;
        this.answer = answer;
    }
}

/** Sends JSON or a form and returns the decoded answer, or null for an empty one. */
export async function send(method, address, body = null) {
    const isForm = body instanceof FormData;
    let response;
    try {
        response = await fetch(address, {
            method,
            credentials: 'same-origin',
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
