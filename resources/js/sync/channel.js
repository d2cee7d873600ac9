import { newId } from '../lib/ids.js';
import { send } from '../lib/http.js';
import { Stream } from './stream.js';
import { hear, isBehind, knownFrom, settle, suits } from './shown.js';

const POLL_IN_VIEW = 3000;
const POLL_HIDDEN = 30000;

/**
 * Numbers that rise with each change: of the plan, of what is said in it, of who may do what.
 * @typedef {{revision: number, talk: number, people: number}} Numbers
 * @typedef {{page: string, name: string, topic?: string, view?: string, writes?: boolean}} Here who is there, and where
 */

/**
 * How news of others arrive: over a stream of events as soon as they are there; where that cannot be had, by asking every few
 * seconds whether there are any. Whatever tells it, what has changed is taken in the same way.
 */
export class Channel {
    /** @param {import('./session.js').Session} session */
    constructor(session) {
        this.session = session;
        this.address = session.data.pulse;
        this.isStopped = false;
        /** Of what is said, and of who may do what: up to which change it is known. */
        this.known = { talk: Infinity, people: session.data.peopleRevision ?? Infinity };
        this.on = {
            /** @type {() => any} false, or a promise of it: it could not be heard */
            talk: () => {},
            people: () => {},
            /** @type {(people: Here[]) => void} */
            here: () => {},
            /** Others have changed something. @type {(answer: any) => void} */
            fresh: () => {},
        };
        this.stream = new Stream(newId().slice(-12), {
            address: session.data.stream ?? '',
            renew: () => this.renew(),
            at: (numbers) => this.at(numbers),
            news: (news) => this.news(news),
            here: (people) => this.on.here(people),
            out: () => this.on.people(),
            open: (isOpen) => (isOpen ? clearTimeout(this.polling) : this.poll()),
        });
        document.addEventListener('visibilitychange', () => {
            clearTimeout(this.polling);
            document.hidden ? session.queue.flush() : this.ask();
            this.poll();
            this.stream.seen(!document.hidden);
        });
    }

    start() {
        this.poll();
        this.stream.seen(!document.hidden);
    }

    /** Tells others where one is. @param {{topic: string | null, view: string | null, writes: boolean}} place */
    tellPlace(place) {
        this.stream.tellPlace(place);
    }

    /** Asks what others have changed, when nothing of one's own is on its way. */
    async ask() {
        const { session } = this;
        const { queue } = session;
        if (!queue.isEmpty) {
            return queue.flush();
        }
        const from = knownFrom(queue);
        const answer = await send('GET', `${session.address}/changes?since=${from}`).catch((error) => error);
        if (answer?.status === 401 || answer?.status === 419) {
            queue.tell('signed-out');
        } else if (answer?.status === 403 || answer?.status === 404) {
            this.on.people();
        } else {
            this.take(answer, from);
        }
        return undefined;
    }

    /** Asks for what was told of while changes were on their way, once these are answered. */
    async catchUp() {
        const { queue } = this.session;
        if (!queue.isEmpty) {
            await queue.flush();
        }
        if (queue.isEmpty && isBehind(queue)) {
            await this.ask();
        }
    }

    /** What is new since a revision. @param {any} answer @param {number} from */
    take(answer, from) {
        const { queue } = this.session;
        if (!(answer?.revision > knownFrom(queue)) || !queue.isEmpty) {
            return;
        }
        if (!suits(queue, answer, from)) {
            hear(queue, answer.revision);
            this.ask();
            return;
        }
        settle(queue, answer.revision);
        this.session.take(answer, true);
        // Where one's own undo is told again, it is one's own doing in another window.
        answer.steps || this.on.fresh(answer);
    }

    /** Nothing more of this plan is for this page. */
    stop() {
        this.isStopped = true;
        clearTimeout(this.polling);
        this.stream.end();
    }

    /** What has happened is told by its numbers. @param {Numbers} numbers */
    at({ revision, talk, people }) {
        const { queue } = this.session;
        hear(queue, revision);
        if (isBehind(queue) && queue.isEmpty) {
            this.ask();
        }
        if (talk > this.known.talk) {
            this.known.talk = talk;
            this.hearTalk();
        }
        if (people > this.known.people) {
            this.known.people = people;
            this.on.people();
        }
    }

    /** What is said is asked for until it is heard. */
    async hearTalk() {
        const isHeard = await Promise.resolve(this.on.talk()).catch(() => false);
        if (isHeard === false && !this.isStopped) {
            setTimeout(() => this.hearTalk(), POLL_IN_VIEW);
        }
    }

    /**
     * What has happened is told with it, to whoever knows the plan as it was before.
     * @param {{from: number, by: number[], news: any}} told
     */
    news({ from, by, news }) {
        const { queue, data } = this.session;
        hear(queue, news.revision);
        if (queue.isEmpty && knownFrom(queue) === from && !by.includes(data.user)) {
            this.take(news, from);
        } else if (queue.isEmpty && isBehind(queue)) {
            this.ask();
        }
    }

    poll() {
        clearTimeout(this.polling);
        if (this.isStopped || (this.stream.isOpen && !document.hidden)) {
            return;
        }
        this.polling = setTimeout(
            async () => {
                const { queue } = this.session;
                const pulse = queue.isEmpty ? await this.pulse() : null;
                if (!queue.isEmpty) {
                    await this.ask();
                }
                pulse && this.at(pulse);
                this.poll();
            },
            document.hidden ? POLL_HIDDEN : POLL_IN_VIEW,
        );
    }

    /** Whether there is something new; its address holds for some hours, and then for whoever is still signed in. */
    async pulse() {
        const { base } = this.session.queue;
        const known = Object.entries(this.known).map(([name, number]) => (Number.isFinite(number) ? `&${name}=${number}` : ''));
        try {
            return await send('GET', `${this.address}&since=${base}${known.join('')}`);
        } catch (thrown) {
            const error = /** @type {import('../lib/http.js').Refusal} */ (thrown);
            if (error.status === 404) {
                await this.renew();
            }
            return null;
        }
    }

    /** Other addresses of pulse and stream; who may not see the plan any more gets none. */
    async renew() {
        const answer = await send('GET', `${this.session.address}/pulse-address`).catch((error) => error);
        this.address = answer?.pulse ?? this.address;
        if (answer?.status === 404) {
            this.on.people();
        }
        return answer?.stream ?? '';
    }
}
