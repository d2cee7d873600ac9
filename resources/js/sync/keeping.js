import { send } from '../lib/http.js';
import { wholeOf } from '../state/whole.js';

const SOON = 1500;

/**
 * Keeps what is needed to read and write the plan without the network: its page and scripts by the
 * worker, its tree, notes and sources on the shelf.
 */
export class Keeping {
    /** @param {import('./session.js').Session} session */
    constructor(session) {
        this.session = session;
        this.shelf = session.shelf;
        /** @type {ReturnType<typeof setTimeout> | undefined} */
        this.timer = undefined;
    }

    /** Begins, once all of the page has come. */
    async begin() {
        await this.shelf.tidy();
        this.soon();
        const worker = await navigator.serviceWorker?.register('/worker.js').then(
            () => navigator.serviceWorker.ready,
            () => null,
        );
        const assets = performance.getEntriesByType('resource').map(({ name }) => name);
        worker?.active?.postMessage({
            assets: assets.filter((name) => new URL(name).pathname.startsWith('/build/')),
            frame: location.pathname,
        });
    }

    /** The plan has been told: it is kept when a moment has passed. */
    soon() {
        clearTimeout(this.timer);
        this.timer = setTimeout(() => this.keep(), SOON);
    }

    async keep() {
        const { queue, tree, address } = this.session;
        if (!queue.isEmpty) {
            return;
        }
        const revision = queue.base;
        await this.shelf.keep({ revision, told: wholeOf(tree) });
        const known = await this.shelf.known();
        let [after, since] = ['', known?.notesAt ?? 0];
        if (since >= revision) {
            return;
        }
        // What notes cite is kept before they are; without it nothing counts as kept, and all is asked for again.
        const sources = await send('GET', `${address}/source-list`).catch(() => null);
        if (!sources) {
            return;
        }
        await this.shelf.keep({ sources });
        for (let more = true; more;) {
            const answer = await send('GET', `${address}/kept?since=${since}&after=${after}`).catch(() => null);
            if (!answer) {
                return;
            }
            await this.shelf.keepNotes(answer.notes);
            after = answer.more ?? '';
            more = after !== '';
        }
        await this.shelf.keep({ notesAt: revision });
    }
}
