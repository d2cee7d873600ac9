import { send } from '../lib/http.js';
import { knownFrom, settle } from './shown.js';

const POLL_IN_VIEW = 3000;
const POLL_HIDDEN = 30000;

/** How news of others arrive: by asking every few seconds whether there are any, and then what. */
export class Channel {
    /** @param {import('./session.js').Session} session */
    constructor(session) {
        this.session = session;
        this.address = session.data.pulse;
        document.addEventListener('visibilitychange', () => {
            clearTimeout(this.polling);
            document.hidden ? session.queue.flush() : this.ask();
            this.poll();
        });
    }

    /** Asks what others have changed, when nothing of one's own is on its way. */
    async ask() {
        const { session } = this;
        const { queue } = session;
        if (!queue.isEmpty) {
            return queue.flush();
        }
        const answer = await send('GET', `${session.address}/changes?since=${knownFrom(queue)}`).catch((error) => error);
        if (answer?.status === 401 || answer?.status === 419) {
            queue.tell('signed-out');
        } else if (answer?.revision > knownFrom(queue) && queue.isEmpty) {
            settle(queue, answer.revision);
            session.take(answer, true);
        }
        return undefined;
    }

    poll() {
        clearTimeout(this.polling);
        this.polling = setTimeout(
            async () => {
                const { queue } = this.session;
                const pulse = queue.isEmpty ? await this.pulse() : null;
                if (!queue.isEmpty || pulse) {
                    await this.ask();
                }
                this.poll();
            },
            document.hidden ? POLL_HIDDEN : POLL_IN_VIEW,
        );
    }

    /** Whether there is something new; its address holds for some hours, and then for whoever is still signed in. */
    async pulse() {
        try {
            return await send('GET', `${this.address}&since=${this.session.queue.base}`);
        } catch (thrown) {
            const error = /** @type {import('../lib/http.js').Refusal} */ (thrown);
            if (error.status === 404) {
                this.address = (await send('GET', `${this.session.address}/pulse-address`).catch(() => null))?.pulse ?? this.address;
            }
            return null;
        }
    }
}
