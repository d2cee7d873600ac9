import { newId } from '../../lib/ids.js';
import { send } from '../../lib/http.js';
import { Clock } from './clock.js';
import { always, when } from '../../commands/commands.js';
import { element, icon } from '../../ui/element.js';
import { actionFor, digitOf } from '../../lib/keys.js';
import { whenAsked } from '../../ui/context.js';
import { whenLeft } from '../../lib/fields.js';
import { linesIn } from '../../lib/lines.js';
import { Popover } from '../../ui/popover.js';
import { Sorting } from './sorting.js';
import { ROOT, TRAY } from '../../state/plan.js';

const ID_DIGITS = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';

/** The gather view: ideas come in at the speed of typing, and one key sends each where it belongs. */
export class Gather {
    constructor(page) {
        this.page = page;
        this.input = document.getElementById('gather-input');
        this.inside = document.getElementById('gather-inside');
        this.list = document.getElementById('ideas');
        this.parents = [];
        this.last = null;
        this.active = null;
        this.marked = new Set();
        this.ids = [];
        this.sources = [];
        this.sorting = new Sorting(this);
        this.places = this.sorting.places;
        this.clock = new Clock(document.getElementById('clock'), `embrel.clock.${page.data.plan}`, (minutes) => page.say(`${minutes} minutes are over. ${this.count()} ideas are waiting here.`));
        this.input.addEventListener('keydown', (event) => this.pressedInField(event));
        this.input.addEventListener('paste', (event) => this.pasted(event));
        whenLeft(this.input, () => this.keepTyped());
        document.getElementById('gather-form').addEventListener('submit', (event) => event.preventDefault());
        this.list.addEventListener('keydown', (event) => this.pressed(event));
        this.list.addEventListener('click', (event) => this.clicked(event));
        this.menu = new Popover(() => this.list.focus({ preventScroll: true }));
        whenAsked(this.list, (node) => node.closest('.idea'), (row, point) => this.ask(row.dataset.id, point));
        document.getElementById('gather-sources').addEventListener('click', () => this.sorting.showSources());
        this.provide(page.commands);
        setInterval(() => !document.hidden && page.view === 'gather' && this.drawTimes(), 30000);
    }

    get tree() {
        return this.page.tree;
    }

    /** What can be done here, by the table of commands. @param {import('../../commands/commands.js').Commands} commands */
    provide(commands) {
        const { sorting } = this;
        const marked = (run) => when(() => this.ids.length > 0, run);
        commands.provide('gather-field', {
            keepIdea: always(() => this.keepTyped()),
            ideaIn: when(() => this.last && this.isLoose(this.last), () => { this.parents.push(this.last); this.drawInside(); }),
            ideaOut: when(() => this.parents.length > 0, () => { this.last = this.parents.pop(); this.drawInside(); }),
            markFirst: always(() => { this.keepTyped(); this.ids.length && this.mark(this.ids[0]); }),
        });
        commands.provide('gather-idea', {
            ideaAbove: marked(() => this.step(-1)), ideaBelow: marked(() => this.step(1)), markIdeaAbove: marked(() => this.stretch(-1)), markIdeaBelow: marked(() => this.stretch(1)),
            toggleIdea: when(() => this.active, () => this.toggle(this.active)), allIdeas: marked(() => { this.marked = new Set(this.ids); this.draw(); }),
            toNewSection: marked(() => sorting.toNewSection()), toQuote: marked(() => sorting.toQuote()), toSource: marked(() => sorting.toSource()),
            openIdeaNote: when(() => this.active, () => this.page.note.open(this.active)), letGo: marked(() => sorting.letGo()),
        });
        commands.provide('gather-place', {
            placeAbove: always(() => sorting.choose(-1)), placeBelow: always(() => sorting.choose(1)), putHere: always(() => sorting.putHere()), leavePlaces: always(() => sorting.leavePlaces()),
        });
    }

    enter() {
        this.loadSources();
        this.input.focus();
    }

    count() {
        return this.tree.branch(TRAY).length - 1;
    }

    async loadSources() {
        const answer = await send('GET', `${this.page.address}/source-list`).catch(() => null);
        this.sources = answer?.sources.map(({ source }) => source) ?? this.sources;
        this.places.draw();
        this.drawSources();
    }

    drawSources() {
        const button = document.getElementById('gather-sources');
        button.hidden = this.sources.length === 0;
        button.textContent = this.sources.length === 1 ? '1 source' : `${this.sources.length} sources`;
    }

    // ---- Drawing

    /** The ideas, the newest first; what is inside one stands under it. */
    rows() {
        return [...this.tree.partsOf(TRAY)].reverse().flatMap((id) => [{ id, level: 1 }, ...this.tree.rows(new Set(), id).map((row) => ({ id: row.id, level: row.level + 1 }))]);
    }

    draw() {
        const rows = this.rows();
        this.ids = rows.map((row) => row.id);
        if (this.active && !this.ids.includes(this.active)) {
            this.active = null;
        }
        this.list.replaceChildren(...rows.map(({ id, level }) => this.row(id, level)));
        this.list.hidden = rows.length === 0;
        document.getElementById('no-ideas').hidden = rows.length > 0;
        this.list.setAttribute('aria-activedescendant', this.active ? `idea-${this.active}` : '');
        document.getElementById('gather').classList.toggle('is-sorting', this.marked.size > 0);
        this.drawInside();
        this.places.draw();
    }

    row(id, level) {
        const topic = this.tree.get(id);
        return element('div', { class: `idea kind-${topic.kind}`, role: 'option', id: `idea-${id}`, 'data-id': id, 'aria-selected': String(this.marked.has(id)), '--l': level - 1 },
            element('span', { class: 'title' }, topic.title || 'Untitled'),
            topic.kind === 'section' ? null : element('span', { class: 'k' }, topic.kind),
            topic.noted && element('span', { class: 'note-sign', title: 'Its note (Ctrl Enter)' }, icon('notebook-pen')),
            element('time', {}, ago(id)),
            element('span', { class: 'more-of', 'aria-hidden': 'true', title: 'More' }, icon('ellipsis')));
    }

    drawTimes() {
        for (const row of this.list.children) {
            row.querySelector('time').textContent = ago(row.dataset.id);
        }
    }

    drawInside() {
        // An idea that has been sent somewhere, or let go, takes no more parts here.
        this.parents = this.parents.filter((id) => this.isLoose(id));
        const parent = this.parents.at(-1);
        this.inside.hidden = !parent;
        this.inside.textContent = parent ? `inside “${this.tree.get(parent)?.title ?? ''}”` : '';
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

    isLoose(id) {
        return this.tree.stands(id) && this.tree.home(id) === TRAY;
    }

    /** Others, or an undo, may have changed the sources too. */
    toldByOthers() {
        if (this.page.view === 'gather') {
            this.loadSources();
        }
    }

    reveal(id) {
        if (this.tree.home(id) === TRAY) {
            this.mark(id);
        }
    }

    // ---- Ideas come in

    pressedInField(event) {
        const action = actionFor(event, 'gather-field');
        // Where there is nothing to go into or out of, Tab goes on as everywhere.
        if (!action || !this.page.commands.may('gather-field', action)) {
            return;
        }
        event.preventDefault();
        this.page.commands.run('gather-field', action, { event });
    }

    keepTyped() {
        const title = this.input.value.trim();
        if (title) {
            this.keep([{ id: newId(), title }]);
        }
    }

    keep(topics) {
        this.drawInside();
        this.page.catch(topics, this.parents.at(-1) ?? TRAY);
        this.last = topics.filter((topic) => !topic.parent).at(-1).id;
        this.input.value = '';
    }

    pasted(event) {
        const topics = linesIn(event);
        if (topics.length) {
            event.preventDefault();
            this.keep(topics);
        }
    }

    // ---- Ideas are marked

    mark(id) {
        this.marked = new Set([id]);
        this.active = this.anchor = id;
        this.draw();
        this.list.focus({ preventScroll: true });
        document.getElementById(`idea-${id}`)?.scrollIntoView({ block: 'nearest' });
    }

    toField() {
        this.marked.clear();
        this.active = null;
        this.places.parent = ROOT;
        this.draw();
        this.input.focus();
    }

    step(by) {
        const at = this.ids.indexOf(this.active) + by;
        if (at < 0) {
            this.toField();
        } else if (this.ids[at]) {
            this.mark(this.ids[at]);
        }
    }

    stretch(by) {
        const at = Math.max(0, Math.min(this.ids.length - 1, this.ids.indexOf(this.active) + by));
        this.active = this.ids[at];
        const [from, to] = [this.ids.indexOf(this.anchor), at].sort((a, b) => a - b);
        this.marked = new Set(this.ids.slice(from, to + 1));
        this.draw();
    }

    toggle(id) {
        this.marked.has(id) ? this.marked.delete(id) : this.marked.add(id);
        this.active = this.anchor = id;
        this.draw();
        this.list.focus({ preventScroll: true });
    }

    clicked(event) {
        const id = event.target.closest('.idea')?.dataset.id;
        if (!id) {
            return;
        }
        if (event.target.closest('.more-of')) {
            this.ask(id, event.target.closest('.more-of'));
        } else if (event.target.closest('.note-sign')) {
            this.mark(id);
            this.page.note.open(id);
        } else if (event.shiftKey) {
            this.anchor ??= id;
            this.active = id;
            this.stretch(0);
        } else if (event.ctrlKey || event.metaKey || (matchMedia('(pointer: coarse)').matches && this.marked.size)) {
            this.toggle(id);
        } else {
            this.mark(id);
        }
    }

    /** What can be done with an idea, and with those that are marked beside it: at its dots, the second button of a mouse, or a long press. */
    ask(id, point) {
        if (!this.marked.has(id)) {
            this.mark(id);
        }
        const done = (does) => () => {
            this.menu.close(false);
            this.list.focus({ preventScroll: true });
            does();
        };
        const act = (name, key, does) => element('button', { type: 'button', onclick: done(does) }, name, key && element('span', { class: 'kbd' }, key));
        const { sorting } = this;
        const sections = this.places.numbered().slice(0, 12);
        const to = (section) => {
            const { label, title } = this.tree.get(section);
            return act(`${label} ${title || 'Untitled'}`.trim(), '', () => sorting.toSection(section));
        };
        const count = this.marked.size;
        this.menu.raise(count === 1 ? `Idea: ${this.tree.get(id).title || 'Untitled'}` : `${count} ideas`, point,
            sections.length > 0 && this.menu.group('Send it to', 'sections', ...sections.map(to)),
            element('div', { class: 'acts-list' },
                act('Open its note', 'Ctrl Enter', () => this.page.note.open(id)),
                act('A new section', 'N', () => sorting.toNewSection()),
                act('Quote', 'Q', () => sorting.toQuote()),
                act('Keep as a source', 'S', () => sorting.toSource()),
                act('Let it go', 'X', () => sorting.letGo())));
        this.menu.box.querySelector('button').focus();
    }

    pressed(event) {
        const action = actionFor(event, this.places.isInside ? 'gather-place' : 'gather-idea');
        const digit = digitOf(event);
        if (digit) {
            event.preventDefault();
            this.sorting.digit(digit, event.timeStamp);
        } else if (this.sorting.inNumber(event.key)) {
            event.preventDefault();
            event.stopPropagation();
        } else if (action) {
            event.preventDefault();
            this.page.commands.run(this.places.isInside ? 'gather-place' : 'gather-idea', action, { id: this.active, event });
        } else if (event.key.length === 1 && !event.ctrlKey && !event.metaKey && !event.altKey && event.key !== ' ') {
            // Any other letter is the beginning of the next idea: it goes where the keyboard goes.
            this.toField();
        }
    }

    outwards(event) {
        if (event.target.closest('#note')) {
            this.page.note.close();
            this.list.focus({ preventScroll: true });
        } else if (this.places.isInside) {
            this.sorting.leavePlaces();
        } else if (this.marked.size) {
            this.toField();
        } else if (this.parents.length) {
            this.parents = [];
            this.drawInside();
        } else {
            document.querySelector('.modes [data-view=gather]').focus();
        }
    }
}

/** How long ago an idea came: its id begins with the time. */
function ago(id) {
    const time = [...id.slice(0, 10)].reduce((sum, digit) => sum * 32 + ID_DIGITS.indexOf(digit), 0);
    const minutes = Math.floor((Date.now() - time) / 60000);
    if (minutes < 1) {
        return 'just now';
    }
    return minutes < 60 ? `${minutes} min` : minutes < 1440 ? `${Math.floor(minutes / 60)} h` : minutes < 525600 ? `${Math.floor(minutes / 1440)} d` : '';
}
