import { allOf, byId, firstOf, held } from '../../lib/dom.js';
import { send } from '../../lib/http.js';
import { newId } from '../../lib/ids.js';
import { element } from '../../ui/element.js';
import { offerStyles, tellStyle } from '../../ui/style-names.js';
import { words } from '../../lib/vocabulary.js';
import { CitationStyles } from '../../ui/citation-styles.js';
import { whenAsked } from '../../ui/context.js';
import { Popover } from '../../ui/popover.js';
import { tellGuesses } from './research.js';
import { SourceForm } from './form.js';
import { Files } from '../../ui/files.js';
import { Entries } from './entries.js';

/** The sources of the plan: how each will be printed, where it is cited, what is doubled, and what quotes nothing. */
export class SourcesView extends Entries {
    /** @param {import('../page.js').Page} page */
    constructor(page) {
        super();
        this.page = page;
        this.side = byId('sources-view');
        this.list = byId('source-entries');
        this.field = byId('source-line', HTMLInputElement);
        this.all = /** @type {any[]} */ ([]);
        this.unsourced = /** @type {any[]} */ ([]);
        this.filter = 'all';
        this.reading = Promise.resolve();
        this.form = new SourceForm(this);
        this.files = new Files(page.session);
        byId('source-line-form').addEventListener('submit', (event) => {
            event.preventDefault();
            this.typed();
        });
        this.field.addEventListener('paste', (event) => this.pasted(event));
        const file = byId('source-file', HTMLInputElement);
        byId('source-take').addEventListener('click', () => file.click());
        file.addEventListener('change', () => {
            this.takeIn(file.files?.[0] ?? null);
            file.value = '';
        });
        byId('source-elsewhere').addEventListener('click', () => this.elsewhere());
        const hand = firstOf(document, '#source-hand > button');
        this.formats = new Popover(() => hand.focus());
        hand.addEventListener('click', () => (this.formats.isOpen ? this.formats.close() : this.handOver(hand)));
        this.menu = new Popover(() => /** @type {HTMLElement | null} */ (this.list.querySelector('.open-source'))?.focus());
        whenAsked(
            this.list,
            (node) => node.closest('li')?.querySelector('[data-source]'),
            (button, point) => this.ask(button.dataset.source, point),
        );
        const style = byId('source-style', HTMLSelectElement);
        const print = (/** @type {string} */ key) => {
            page.setPlan({ citation_style: key });
            this.load();
        };
        style.addEventListener('change', () => print(style.value));
        byId('source-styles').addEventListener('click', () =>
            new CitationStyles(page.session, ({ key }) => print(key)).open(page.tree.properties.citation_style),
        );
        for (const button of allOf(this.side, '[data-filter]')) {
            button.addEventListener('click', () => {
                this.filter = button.dataset.filter ?? 'all';
                this.draw();
            });
        }
    }

    enter() {
        this.load();
        this.lookForResearch();
        this.field.focus();
    }

    /** How much looks like research, beside the way to it; nothing where nothing does. */
    async lookForResearch() {
        await this.page.queue.flush();
        const answer = await send('GET', `${this.page.address}/research`).catch(() => null);
        tellGuesses(answer?.guesses.length ?? 0);
    }

    async load() {
        const ticket = (this.ticket = (this.ticket ?? 0) + 1);
        await this.page.queue.flush();
        const answer = await send('GET', `${this.page.address}/source-list`).catch(() => this.asKnown());
        if (answer && ticket === this.ticket) {
            this.all = answer.sources;
            this.unsourced = answer.unsourced;
            answer.style && tellStyle(answer.style);
            byId('sources-said').textContent = answer.said ?? '';
            this.draw();
        }
    }

    /** The sources as they were told last, where the server is not reached. */
    async asKnown() {
        const { sources } = (await this.page.session.shelf.known()) ?? {};
        if (sources && this.page.view === 'sources') {
            this.page.say('Not connected: these are the sources as they were known last.');
        }
        return sources;
    }

    told() {
        if (this.page.view === 'sources') {
            this.load();
        }
    }

    outwards() {
        this.form.isOpen ? this.form.close() : this.page.show('outline');
    }

    // ---- Drawing

    draw() {
        offerStyles(byId('source-style', HTMLSelectElement), this.page.tree.properties.citation_style);
        /** @type {Record<string, number>} */
        const counts = {
            all: this.all.length,
            uncited: this.all.filter((one) => !Object.keys(one.cited).length).length,
            double: this.all.filter((one) => one.like).length,
            unsourced: this.unsourced.length,
        };
        for (const button of allOf(this.side, '[data-filter]')) {
            const { filter = 'all' } = button.dataset;
            button.setAttribute('aria-pressed', String(filter === this.filter));
            firstOf(button, 'b').textContent = String(counts[filter]);
            button.hidden = filter !== 'all' && filter !== this.filter && counts[filter] === 0;
        }
        const here = this.list.contains(held()) ? held().closest('li') : null;
        const open = here && firstOf(here, '.open-source').dataset.source;
        const rows =
            this.filter === 'unsourced' ? this.unsourced.map((one) => this.quotation(one)) : this.shown().map((one) => this.entry(one));
        this.list.replaceChildren(...rows);
        if (open) {
            /** @type {HTMLElement | null} */ (this.list.querySelector(`[data-source="${open}"]`))?.focus({ preventScroll: true });
        }
        byId('sources-empty').hidden = this.all.length > 0 || this.filter === 'unsourced';
        this.form.drawAgain();
    }

    /**
     * What can be done with a source: at its dots, the second button of a mouse, or a long press.
     * @param {string} id
     * @param {any} point
     */
    ask(id, point) {
        const one = this.all.find(({ source }) => source.id === id);
        const done = (/** @type {(...given: any[]) => unknown} */ does) => () => {
            this.menu.close(false);
            does();
        };
        const act = (/** @type {string} */ name, /** @type {(...given: any[]) => unknown} */ does) =>
            element('button', { type: 'button', onclick: done(does) }, name);
        const cited = Object.keys(one.cited)
            .filter((topic) => this.page.tree.noteBearer(topic))
            .slice(0, 6);
        this.menu.raise(
            `Source: ${one.label}`,
            point,
            element(
                'div',
                { class: 'acts-list one-column' },
                act('Open it', () => this.form.open(one)),
                ...cited.map((topic) => act(`Go to ${this.name(topic)}`, () => this.page.openNoteOf(topic))),
                one.entry && act('Copy its entry', () => this.copyEntry(one.entry)),
                act('Take it out', () => this.takeOut(one.source)),
            ),
        );
        this.menu.focus();
    }

    /** All sources as a file, in one of the formats that other programs read. @param {HTMLElement} button */
    handOver(button) {
        this.formats.raise(
            'Hand over the sources as',
            button,
            element(
                'div',
                { class: 'acts-list one-column' },
                ...Object.entries(words().sourceFormats).map(([format, name]) =>
                    element(
                        'a',
                        {
                            href: `${this.page.address}/source-list/file?format=${format}`,
                            download: true,
                            onclick: () => this.formats.close(),
                        },
                        name,
                    ),
                ),
            ),
        );
        this.formats.focus('a');
    }

    /** @param {string} html */
    copyEntry(html) {
        const text = new DOMParser().parseFromString(html, 'text/html').body.textContent;
        const [done, refused] = ['The entry was copied.', 'This browser does not let it be copied.'].map(
            (says) => () => this.page.say(says),
        );
        navigator.clipboard?.writeText(text).then(done, refused);
    }

    /** @param {any} source */
    takeOut(source) {
        if (this.form.source?.id === source.id) {
            this.form.close();
        }
        this.remove(source);
    }

    // ---- What comes in

    /** @param {any} source */
    keep(source) {
        this.page.perform({ type: 'source', sources: [source] });
        this.page.tell('Kept as a source');
        this.load();
    }

    /** @param {any} source */
    change(source) {
        this.page.perform({ type: 'edit-source', source });
        clearTimeout(this.loading);
        this.loading = setTimeout(() => this.load(), 400);
    }

    /** @param {any} source */
    remove(source) {
        const one = this.all.find(({ source: { id } }) => id === source.id);
        this.page.perform({ type: 'unsource', ids: [source.id] });
        this.load();
        this.page.say(
            one && Object.keys(one.cited).length
                ? 'The source was taken out. Where it is cited, it is missing now.'
                : 'The source was taken out.',
            { label: 'Undo', act: () => this.page.undo().then(() => this.load()) },
        );
    }

    newId() {
        return newId();
    }
}
