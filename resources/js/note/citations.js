import { allOf } from '../lib/dom.js';
import { send } from '../lib/http.js';

/** How citations are called: PHP says it; what it said is remembered until a source changes. */
export class Citations {
    /** @param {import('../sync/session.js').Session} session */
    constructor(session) {
        this.session = session;
        /** @type {Map<string, any>} */
        this.said = new Map();
        /** @type {Map<string, any>} */
        this.sources = new Map();
        this.take(session.data.sources ?? []);
    }

    /** @param {any[]} sources */
    take(sources) {
        this.sources = new Map(sources.map((source) => [source.id, source]));
        this.said.clear();
        this.redraw();
    }

    /** What PHP has told of a note's citations. @param {any} labels */
    know(labels) {
        Object.entries(labels).forEach(([items, label]) => this.said.set(items, label));
    }

    /** @param {any} items */
    label(items) {
        const key = JSON.stringify(items);
        if (!this.said.has(key)) {
            this.said.set(
                key,
                items.map((/** @type {{source: any}} */ { source }) => this.sources.get(source)?.label ?? 'source missing').join('; '),
            );
            this.ask(items).then((told) => told && this.redraw());
        }
        return this.said.get(key);
    }

    /** What a citation is called, and how it would be printed as HTML that PHP has escaped. @param {any} items */
    async ask(items) {
        await this.session.queue.flush();
        const told = await send('GET', `${this.session.address}/cited?items=${encodeURIComponent(JSON.stringify(items))}`).catch(
            () => null,
        );
        if (told) {
            this.said.set(JSON.stringify(items), told.label);
        }
        return told;
    }

    redraw() {
        allOf(document, '.chip.is-citation, .chip.is-reference').forEach((chip) =>
            /** @type {import('./views.js').Chip} */ (chip).redraw?.(),
        );
    }
}
