import { byId } from '../../lib/dom.js';
import { counted } from '../../lib/counted.js';
import { send } from '../../lib/http.js';
import { when } from '../../commands/commands.js';
import { actionFor } from '../../lib/keys.js';
import { meanwhile } from '../../lib/meanwhile.js';
import { Guesses } from './guesses.js';

const AT_ONCE = 3;

/** Says beside the way to them how many guesses there are. @param {number} count */
export function tellGuesses(count) {
    byId('research-count').textContent = count ? `, ${count}` : '';
}

/** Goes through what looks like research and takes it out of the outline: one by one, or all that is marked at once. */
export class ResearchView extends Guesses {
    /** @param {import('../page.js').Page} page */
    constructor(page) {
        super();
        this.page = page;
        this.side = byId('research');
        this.list = byId('guesses');
        this.done = byId('sorted');
        this.rows = /** @type {any[]} */ ([]);
        this.past = /** @type {any[]} */ ([]);
        this.active = /** @type {string | null} */ (null);
        this.lastAt = 0;
        this.chosen = /** @type {string[] | null} */ (null);
        /** Topic → what its page says of itself, once it was looked up. */
        this.pages = new Map();
        this.provide(page.commands);
        this.list.addEventListener('keydown', (event) => this.pressed(event));
        byId('sort-marked').addEventListener('click', () => this.sortMarked());
        byId('undo-sorted').addEventListener('click', () => this.undoAll());
        byId('mark-all-guesses').addEventListener('click', () => this.markAll());
        byId('read-pages').addEventListener('click', () => this.readPages());
    }

    /** What can be done with a guess, by the table of commands. @param {import('../../commands/commands.js').Commands} commands */
    provide(commands) {
        const some = (/** @type {(...given: any[]) => unknown} */ run) => when(() => this.rows.length > 0, run);
        commands.provide('research', {
            nextGuess: some(() => this.go(1)),
            guessBefore: some(() => this.go(-1)),
            toggleGuess: some(() => this.toggleGuess()),
            markAll: some(() => this.markAll()),
            fileAsQuote: some(() => this.fileAs('quote')),
            fileAsSource: some(() => this.fileAs('source')),
            fileAsAside: some(() => this.fileAs('aside')),
            fileInNote: some(() => this.fileInNote()),
            leaveGuess: some(() => this.fileAs('leave')),
            sortMarked: some(() => this.sortMarked()),
        });
    }

    /** With topics that were chosen, whatever they look like. @param {any} topics */
    openWith(topics) {
        this.chosen = topics;
        this.page.show('sorting-out');
    }

    enter() {
        this.past = /** @type {any[]} */ ([]);
        this.rows = /** @type {any[]} */ ([]);
        this.active = /** @type {string | null} */ (null);
        this.draw();
        // The keyboard is here at once; the list takes it when there is one.
        byId('research-head').focus({ preventScroll: true });
        const isUnmoved = meanwhile();
        this.load().then(() => isUnmoved() && this.list.focus({ preventScroll: true }));
    }

    /** The row that the keys act on; none where it has gone, until another one is gone to. */
    get at() {
        return this.rows.findIndex((row) => row.topic === this.active);
    }

    async load() {
        await this.page.queue.flush();
        const answer = await (
            this.chosen
                ? send('POST', `${this.page.address}/research/guesses`, { topics: this.chosen })
                : send('GET', `${this.page.address}/research`)
        ).catch((error) => error);
        if (answer instanceof Error) {
            this.page.say(answer.message);
            return;
        }
        const before = new Map(this.rows.map((row) => [row.topic, row]));
        this.rows = answer.guesses.map((/** @type {any} */ guess) => {
            const known = before.get(guess.topic);
            return {
                ...guess,
                as: known?.as ?? guess.offer,
                into: known?.into,
                marked: known?.marked ?? guess.sign !== null,
                ...(this.pages.get(guess.topic) ?? { page: known?.page }),
            };
        });
        if (!this.chosen) {
            tellGuesses(this.rows.length);
        }
        this.active ??= this.rows[Math.min(this.lastAt, this.rows.length - 1)]?.topic ?? null;
        this.draw();
    }

    told() {
        if (this.page.view === 'sorting-out') {
            this.rows = this.rows.filter((row) => this.page.tree.get(row.topic));
            this.draw();
        }
    }

    leave() {
        this.chosen = /** @type {string[] | null} */ (null);
    }

    outwards() {
        this.page.show('outline');
    }

    /** Bare addresses whose pages have not been asked what they are; nobody asks them unless told to. */
    get unread() {
        return this.rows.filter((row) => row.address && !row.page);
    }

    /** What the pages of bare addresses say of themselves, a few at a time. */
    async readPages() {
        const waiting = this.unread;
        waiting.forEach((row) => {
            row.page = 'reading';
        });
        const next = async () => {
            const row = waiting.shift();
            if (!row) {
                return;
            }
            const read = await send('POST', `${this.page.address}/source-list/page`, { address: row.address }).catch((error) => error);
            if (read instanceof Error) {
                row.page = read.message;
            } else {
                this.pages.set(row.topic, { page: 'read', source: read.source, makes: read.label });
                Object.assign(row, this.pages.get(row.topic));
            }
            this.draw();
            await next();
        };
        this.draw();
        await Promise.all(Array.from({ length: AT_ONCE }, next));
    }

    // ---- Drawing

    draw() {
        const marked = this.rows.filter((row) => row.marked && row.as !== 'leave').length;
        byId('research-head').textContent = this.chosen ? 'What you have chosen' : 'What looks like research';
        byId('research-empty').hidden = this.rows.length > 0;
        byId('research-hint').hidden = this.rows.length === 0;
        const button = byId('sort-marked', HTMLButtonElement);
        button.hidden = this.rows.length === 0;
        button.disabled = marked === 0;
        button.textContent = marked === 1 ? 'Do it for the marked one' : `Do it for the ${marked} marked`;
        byId('mark-all-guesses').textContent = this.rows.every((row) => row.marked) ? 'Mark none' : 'Mark all';
        byId('mark-all-guesses').hidden = this.rows.length < 2;
        const reader = byId('read-pages');
        reader.hidden = this.unread.length === 0;
        reader.textContent = `Look up ${counted(this.unread.length, 'address', 'addresses')}`;
        this.list.replaceChildren(...this.rows.map((row, i) => this.row(row, i)));
        this.list.hidden = this.rows.length === 0;
        const current = this.list.children[this.at];
        this.lastAt = this.at < 0 ? this.lastAt : this.at;
        if (current) {
            this.list.setAttribute('aria-activedescendant', current.id);
        } else {
            this.list.removeAttribute('aria-activedescendant');
        }
        this.drawPast();
    }

    // ---- What is pressed

    /** @param {Event} event */
    pressed(event) {
        const action = event.target === this.list ? actionFor(event, 'research') : null;
        if (action) {
            event.preventDefault();
            this.page.commands.run('research', action, { event });
        }
    }

    /** @param {number} by */
    go(by) {
        const from = this.at < 0 ? this.lastAt - (by > 0 ? 1 : 0) : this.at;
        this.lastAt = Math.max(0, Math.min(this.rows.length - 1, from + by));
        this.active = this.rows[this.lastAt]?.topic ?? null;
        this.draw();
        this.list.children[this.at]?.scrollIntoView({ block: 'nearest' });
    }

    toggleGuess() {
        const row = this.rows[this.at];
        if (row) {
            row.marked = !row.marked;
            this.draw();
        }
    }

    markAll() {
        const isAll = this.rows.every((row) => row.marked);
        this.rows.forEach((row) => {
            row.marked = !isAll;
        });
        this.draw();
    }
}
