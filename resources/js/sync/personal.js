import { send } from '../lib/http.js';
import { store } from '../lib/stored.js';

const AFTER = 400;
const AGAIN_AFTER = 5000;
/** A page that was asked for before something arrived may come after that: so long it may be older than what this tab knows. */
const OLDER = 10_000;

/**
 * One thing of a plan that is each person's own, as what they keep folded. What they choose is kept
 * in the browser's own storage until the server has it: neither a page that is loaded again before
 * it has arrived nor a server that is away takes it back.
 */
export class Personal {
    /**
     * `name`: its part of the plan's address; `given`: what the server has, of the shape in which it is sent.
     * @param {{user: number, plan: string}} whose
     * @param {string} name
     * @param {any} given
     */
    constructor({ user, plan }, name, given) {
        this.key = `embrel.${name}.${user}.${plan}`;
        this.address = `/plans/${plan}/${name}`;
        /** @type {Promise<void> | null} */
        this.running = null;
        this.unsent = localStorage.getItem(this.key);
        this.value = JSON.parse(this.unsent ?? this.lately() ?? 'null') ?? given;
        this.flush();
        addEventListener('online', () => this.flush());
        addEventListener('pagehide', () => this.unsent !== null && this.put({ keepalive: true }).catch(() => {}));
    }

    /** What this tab has sent a moment ago; null: nothing. */
    lately() {
        const { at = 0, sent = null } = JSON.parse(sessionStorage.getItem(this.key) ?? '{}');
        return Date.now() - at < OLDER ? sent : null;
    }

    /** @param {any} value */
    keep(value) {
        this.value = value;
        this.unsent = JSON.stringify(value);
        store(this.key, this.unsent);
        this.wait(AFTER);
    }

    /** @param {number} milliseconds */
    wait(milliseconds) {
        clearTimeout(this.timer);
        this.timer = setTimeout(() => this.flush(), milliseconds);
    }

    /** Sends until the server has what stands; resolves when it has, or cannot have it now. */
    flush() {
        clearTimeout(this.timer);
        this.running ??= this.run().finally(() => {
            this.running = null;
        });
        return this.running;
    }

    async run() {
        while (this.unsent !== null) {
            const sent = this.unsent;
            try {
                await this.put();
            } catch (thrown) {
                const error = /** @type {import('../lib/http.js').Refusal} */ (thrown);
                if (error.status !== 422) {
                    this.wait(AGAIN_AFTER);
                    return;
                }
            }
            this.settle(sent);
        }
    }

    put(options = {}) {
        return send('PUT', this.address, this.value, options);
    }

    /** @param {string} sent */
    settle(sent) {
        if (this.unsent === sent) {
            this.unsent = null;
        }
        sessionStorage.setItem(this.key, JSON.stringify({ at: Date.now(), sent }));
        // Another page of the plan may have kept something newer.
        if (localStorage.getItem(this.key) === sent) {
            localStorage.removeItem(this.key);
        }
    }
}
