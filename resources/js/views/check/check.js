import { byId } from '../../lib/dom.js';
import { send } from '../../lib/http.js';
import { meanwhile } from '../../lib/meanwhile.js';
import { Findings } from './findings.js';
import { Balance } from './balance.js';
import { PaceCard } from './pace.js';
import { RulesDialog } from './rules.js';

/** In ms: findings are asked for again when nothing has changed for so long. */
const SOON = 500;

/** What the plan still lacks, how its sections are balanced, and the ways to all of it. */
export class Check extends Findings {
    /** @param {import('../page.js').Page} page */
    constructor(page) {
        super(page);
        this.balance = new Balance(page);
        this.pace = new PaceCard(page, () => this.load());
        this.rules = new RulesDialog(page);
        this.ticket = 0;
        this.provide();
    }

    enter() {
        const isUnmoved = meanwhile();
        byId('findings-head').focus({ preventScroll: true });
        // The sections stay in sight above the findings, where they stand one below the other.
        this.load().then(() => isUnmoved() && this.focus(0, false));
    }

    told() {
        if (this.page.view === 'check') {
            clearTimeout(this.waiting);
            this.waiting = setTimeout(() => this.load(), SOON);
        }
    }

    leave() {
        clearTimeout(this.waiting);
    }

    draw() {
        this.balance.draw();
    }

    outwards() {
        this.page.show('outline');
    }

    /** Asks PHP what it has found. */
    async load() {
        const ticket = ++this.ticket;
        await this.page.queue.flush();
        const answer = await send('GET', `${this.page.address}/findings`).catch((error) => error);
        if (ticket !== this.ticket) {
            return;
        }
        const error = byId('findings-error');
        error.hidden = !(answer instanceof Error);
        if (answer instanceof Error) {
            error.textContent =
                /** @type {any} */ (answer).status === 0 ? 'Not connected: the plan cannot be checked now.' : answer.message;
            return;
        }
        this.balance.take(answer.balance);
        this.pace.take(answer.pace);
        this.take(answer);
    }
}
