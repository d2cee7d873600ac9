import { around, byId, firstOf } from '../../lib/dom.js';
import { send } from '../../lib/http.js';
import { Clock } from './clock.js';
import { always, when } from '../../commands/commands.js';
import { actionFor, digitOf } from '../../lib/keys.js';
import { whenAsked } from '../../ui/context.js';
import { whenLeft } from '../../lib/fields.js';
import { Popover } from '../../ui/popover.js';
import { Asking } from './asking.js';
import { Sorting } from './sorting.js';
import { TRAY } from '../../state/plan.js';
import { IdeaField } from './idea-field.js';

/** The gather view: ideas come in at the speed of typing, and one key sends each where it belongs. */
export class Gather extends IdeaField {
    /** @param {import('../page.js').Page} page */
    constructor(page) {
        super();
        this.page = page;
        this.input = byId('gather-input', HTMLInputElement);
        this.inside = byId('gather-inside');
        this.list = byId('ideas');
        /** The topics that one has gone into, from the outermost. @type {string[]} */
        this.parents = [];
        this.last = null;
        /** @type {string | null} */
        this.active = null;
        /** @type {Set<string>} */
        this.marked = new Set();
        /** What is listed, in order. @type {string[]} */
        this.ids = [];
        /** @type {import('../given.d.ts').Source[]} */
        this.sources = [];
        this.sorting = new Sorting(this);
        this.places = this.sorting.places;
        this.asking = new Asking(this);
        this.clock = new Clock(byId('clock'), `embrel.clock.${page.data.plan}`, (minutes) =>
            page.say(`${minutes} minutes are over. ${this.count()} ideas are waiting here.`),
        );
        this.input.addEventListener('keydown', (event) => this.pressedInField(event));
        this.input.addEventListener('paste', (event) => this.pasted(event));
        whenLeft(this.input, () => this.keepTyped());
        byId('gather-form').addEventListener('submit', (event) => event.preventDefault());
        this.list.addEventListener('keydown', (event) => this.pressed(event));
        this.list.addEventListener('click', (event) => this.clicked(event));
        this.menu = new Popover(() => this.list.focus({ preventScroll: true }));
        whenAsked(
            this.list,
            (node) => node.closest('.idea'),
            (row, point) => this.ask(row.dataset.id, point),
        );
        byId('gather-sources').addEventListener('click', () => this.sorting.showSources());
        this.provide(page.commands);
        setInterval(() => !document.hidden && page.view === 'gather' && this.drawTimes(), 30000);
    }

    get tree() {
        return this.page.tree;
    }

    /** What can be done here, by the table of commands. @param {import('../../commands/commands.js').Commands} commands */
    provide(commands) {
        const { sorting } = this;
        const digits = always(({ event }) => {
            const digit = digitOf(event);
            digit && sorting.digit(digit, /** @type {Event} */ (event).timeStamp);
        });
        const marked = (/** @type {(...given: any[]) => unknown} */ run) => when(() => this.ids.length > 0, run);
        commands.provide('gather-field', {
            keepIdea: always(() => this.keepTyped()),
            ideaIn: when(
                () => this.last && this.isLoose(this.last),
                () => {
                    this.last && this.parents.push(this.last);
                    this.drawInside();
                },
            ),
            ideaOut: when(
                () => this.parents.length > 0,
                () => {
                    this.last = this.parents.pop();
                    this.drawInside();
                },
            ),
            markFirst: always(() => {
                this.keepTyped();
                this.ids.length && this.mark(this.ids[0]);
            }),
        });
        commands.provide('gather-idea', {
            ideaAbove: marked(() => this.step(-1)),
            ideaBelow: marked(() => this.step(1)),
            markIdeaAbove: marked(() => this.stretch(-1)),
            markIdeaBelow: marked(() => this.stretch(1)),
            toggleIdea: when(
                () => this.active,
                () => this.active && this.toggle(this.active),
            ),
            allIdeas: marked(() => {
                this.marked = new Set(this.ids);
                this.draw();
            }),
            toSection: digits,
            typeNumber: digits,
            choosePlace: digits,
            toNewSection: marked(() => sorting.toNewSection()),
            toQuote: marked(() => sorting.toQuote()),
            toSource: marked(() => sorting.toSource()),
            openIdeaNote: when(
                () => this.active,
                () => this.active && this.page.note.open(this.active),
            ),
            letGo: marked(() => sorting.letGo()),
        });
        commands.provide('gather-place', {
            toSection: digits,
            choosePlace: digits,
            placeAbove: always(() => sorting.choose(-1)),
            placeBelow: always(() => sorting.choose(1)),
            putHere: always(() => sorting.putHere()),
            leavePlaces: always(() => sorting.leavePlaces()),
        });
    }

    enter() {
        this.loadSources();
        this.input.focus();
    }

    count() {
        return this.tree.branch(TRAY).length - 1;
    }

    /** What is made a source, or is none any more, while the answer is on its way, is not in it: it stays as it is here. */
    async loadSources() {
        await this.page.queue.flush();
        const before = new Map(this.sources.map((source) => [source.id, source]));
        const answer = await send('GET', `${this.page.address}/source-list`).catch(() => null);
        if (answer) {
            const now = new Set(this.sources.map(({ id }) => id));
            const told = answer.sources
                .map((/** @type {{source: any}} */ { source }) => source)
                .filter((/** @type {{id: string}} */ { id }) => now.has(id) || !before.has(id));
            const ids = new Set(told.map((/** @type {{id: string}} */ { id }) => id));
            this.sources = [...told, ...this.sources.filter(({ id }) => !before.has(id) && !ids.has(id))];
        }
        this.places.draw();
        this.drawSources();
    }

    drawSources() {
        const button = byId('gather-sources');
        button.hidden = this.sources.length === 0;
        button.textContent = this.sources.length === 1 ? '1 source' : `${this.sources.length} sources`;
    }

    // ---- Drawing

    draw() {
        const rows = this.rows();
        this.ids = rows.map((row) => row.id);
        if (this.active && !this.ids.includes(this.active)) {
            /** @type {string | null} */
            this.active = null;
        }
        this.list.replaceChildren(...rows.map(({ id, level }) => this.row(id, level)));
        this.list.hidden = rows.length === 0;
        byId('no-ideas').hidden = rows.length > 0;
        this.list.setAttribute('aria-activedescendant', this.active ? `idea-${this.active}` : '');
        byId('gather').classList.toggle('is-sorting', this.marked.size > 0);
        this.drawInside();
        this.places.draw();
    }

    retitled() {
        this.draw();
    }

    /** The note goes back to where the plan is. */
    leave() {
        this.sorting.endNumber();
        this.page.note.close();
    }

    told() {
        this.marked = new Set([...this.marked].filter((id) => this.isLoose(id)));
        this.drawInside();
    }

    /** @param {string} id */
    isLoose(id) {
        return this.tree.stands(id) && this.tree.home(id) === TRAY;
    }

    /** Others, or an undo, may have changed the sources too. */
    toldByOthers() {
        if (this.page.view === 'gather') {
            this.loadSources();
        }
    }

    /** @param {string} id */
    reveal(id) {
        if (this.tree.home(id) === TRAY) {
            this.mark(id);
        }
    }

    // ---- Ideas come in

    // ---- Ideas are marked

    /** @param {KeyboardEvent} event */
    pressed(event) {
        const where = this.places.isInside ? 'gather-place' : 'gather-idea';
        const digit = digitOf(event);
        const action = digit ? (digit.shift ? 'choosePlace' : 'toSection') : actionFor(event, where);
        if (!digit && this.sorting.inNumber(event.key)) {
            event.preventDefault();
            event.stopPropagation();
        } else if (action) {
            event.preventDefault();
            this.page.commands.run(where, action, { id: this.active, event });
        } else if (event.key.length === 1 && !event.ctrlKey && !event.metaKey && !event.altKey && event.key !== ' ') {
            // Any other letter is the beginning of the next idea: it goes where the keyboard goes.
            this.toField();
        }
    }

    /** @param {Event} event */
    outwards(event) {
        if (around(event, '#note')) {
            this.page.note.close();
            this.list.focus({ preventScroll: true });
        } else if (this.places.isInside) {
            this.sorting.leavePlaces();
        } else if (this.marked.size) {
            this.toField();
        } else if (this.parents.length) {
            /** The topics that one has gone into, from the outermost. @type {string[]} */
            this.parents = [];
            this.drawInside();
        } else {
            firstOf(document, '.modes [data-view=gather]').focus();
        }
    }
}
