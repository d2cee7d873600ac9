import { newId } from '../lib/ids.js';
import { send } from '../lib/http.js';

/** Says something in a plan, and hears what others say. What is said needs the network; what could not be sent stays where it was typed. */
export class Talking {
    /**
     * @param {import('./session.js').Session} session
     * @param {import('../state/talk.js').Talk} talk
     * @param {() => void} onChange
     */
    constructor(session, talk, onChange) {
        this.session = session;
        this.talk = talk;
        this.onChange = onChange;
        /** @type {Promise<unknown> | null} */
        this.loading = null;
    }

    /**
     * Hears what is new; false: it could not. What is told of while it is asked for may not be in the answer: then it is asked again.
     * @returns {Promise<unknown>}
     */
    load() {
        this.isAskedAgain = this.loading !== null;
        this.loading ??= this.ask('GET', `comments?since=${this.talk.known}`)
            .catch(() => false)
            .then((heard) => {
                this.loading = null;
                return this.isAskedAgain ? this.load() : heard;
            });
        return this.loading;
    }

    /**
     * @param {string} method
     * @param {string} path
     * @param {any} [body]
     * @throws {import('../lib/http.js').Refusal}
     */
    async ask(method, path, body = null) {
        const since = this.talk.known;
        const sent = body instanceof FormData ? body : body && { ...body, since };
        body instanceof FormData && body.append('since', String(since));
        const answer = await send(method, `${this.session.address}/${path}`, sent);
        // What came in between is asked for from where it is known.
        if (answer && answer.talk >= this.talk.known) {
            this.heard(answer);
        }
        return answer;
    }

    /** @param {any} answer */
    heard(answer) {
        this.talk.take(answer);
        this.session.channel.known.talk = this.talk.known;
        this.onChange();
    }

    /**
     * @param {{topic: string, body: string, thread?: string, words?: {text: string, nth: number} | null, proposal?: object | null}} said
     * @param {File | null} [file]
     */
    async say(said, file = null) {
        const id = newId();
        // What it is about may be on its way still.
        await this.session.queue.flush();
        await this.ask('POST', 'comments', { id, ...said });
        file && (await this.attach(id, file));
        return id;
    }

    /** @param {string} id @param {File} file */
    attach(id, file) {
        const form = new FormData();
        form.append('id', newId());
        form.append('holder', id);
        form.append('file', file);
        return this.ask('POST', `comments/${id}/files`, form);
    }

    /** @param {string} id @param {string} body */
    edit(id, body) {
        return this.ask('PATCH', `comments/${id}`, { body });
    }

    /** @param {string} id */
    takeBack(id) {
        return this.ask('DELETE', `comments/${id}`, {});
    }

    /** @param {string} id @param {boolean} settled */
    settle(id, settled) {
        return this.ask('POST', `comments/${id}/settle`, { settled });
    }

    /** @param {string} id @param {string} why */
    decline(id, why) {
        return this.ask('POST', `comments/${id}/decline`, { why });
    }

    /** Takes a suggestion: what it does to the plan comes with the answer. @param {string} id */
    async take(id) {
        const answer = await this.session.sent(`comments/${id}/take`, { since: this.talk.known });
        if (answer) {
            this.heard(answer);
        }
        return answer;
    }

    /** All of it has been seen. */
    async seen() {
        if (this.talk.fresh || this.talk.heard < this.talk.known) {
            this.talk.heard = this.talk.known;
            await Promise.all([
                send('POST', `${this.session.address}/seen`, { talk: true }),
                send('POST', `${this.session.address}/comments/seen`, {}),
            ]).catch(() => null);
        }
    }
}
