import { newId } from '../ids.js';
import { send } from '../http.js';
import { Clipboard } from './clipboard.js';
import { Dialogs } from './dialogs.js';
import { Drag } from './drag.js';
import { element } from './element.js';
import { actionFor } from './keys.js';
import { Marking } from './marking.js';
import { Menu } from './menu.js';
import { NotePage } from '../note/page.js';
import { Queue } from './queue.js';
import { Rows } from './rows.js';
import { StripBar } from './strip.js';
import { ROOT, TRAY, Tree } from './tree.js';
import { Writing } from './writing.js';

const POLL_IN_VIEW = 3000;
const POLL_HIDDEN = 30000;
const STEP_PAUSE = 2000;

/** The outline of one plan: holds the tree, the marked rows and what is being written, and turns actions into operations. */
export class Outline {
    constructor(data) {
        this.data = data;
        this.address = `/plans/${data.plan}`;
        this.tree = new Tree(data);
        this.folds = new Set(data.folds);
        this.start = ROOT;
        this.active = null;
        this.marked = new Set();
        this.writing = null;
        this.steps = new Map();
        this.find();
        this.queue = new Queue({
            user: data.user, plan: data.plan, address: this.address, revision: data.revision, savedAt: new Date(data.savedAt),
            onAnswer: (answer, batch) => this.answered(answer, batch), onRefused: (refused, batch) => this.refused(refused, batch), onState: () => this.showState(),
        });
        this.rows = new Rows(this.scroller, this.tree, this);
        this.strip = new StripBar(document.getElementById('strip'), this.tree, { go: (id) => this.goTo(id), move: (ids, place) => this.move(ids, place) });
        this.marking = new Marking(this);
        this.titles = new Writing(this);
        this.menu = new Menu(this);
        this.clipboard = new Clipboard(this);
        this.dialogs = new Dialogs(this);
        this.note = new NotePage(this);
        this.drag = new Drag(this);
        this.listen();
        this.draw();
        this.active = this.list[0]?.id ?? null;
        if (this.active) {
            this.marking.only(this.active);
            this.box.focus({ preventScroll: true });
        } else {
            document.getElementById('first-topic')?.focus();
        }
        this.showState();
        this.queue.flush();
        this.poll();
    }

    find() {
        this.scroller = document.getElementById('outline');
        this.box = this.scroller.querySelector('.tree');
        this.work = document.getElementById('work');
        this.crumbs = document.getElementById('crumbs');
        this.saved = document.getElementById('saved');
        this.live = document.getElementById('live');
    }

    listen() {
        document.addEventListener('keydown', (event) => this.pressed(event));
        this.box.addEventListener('keydown', (event) => this.pressedInRow(event));
        this.box.addEventListener('click', (event) => this.clicked(event));
        document.getElementById('undo').addEventListener('click', () => this.undo());
        document.getElementById('redo').addEventListener('click', () => this.redo());
        document.getElementById('opening').addEventListener('click', () => this.note.open(ROOT));
        document.getElementById('add').addEventListener('click', () => this.addAtEnd());
        document.getElementById('catch').addEventListener('keydown', (event) => this.caught(event));
        document.getElementById('catch-form').addEventListener('submit', (event) => event.preventDefault());
        document.getElementById('first-topic').addEventListener('keydown', (event) => this.addFirst(event));
        document.addEventListener('visibilitychange', () => (document.hidden ? this.queue.flush() : this.ask()));
    }

    get list() {
        return this.rows.list;
    }

    // ---- Drawing

    draw() {
        this.rows.layOut(this.tree.rows(this.folds, this.start));
        this.strip.draw(this.mainSection(this.active));
        document.getElementById('empty').hidden = this.tree.partsOf(ROOT).length > 0;
        document.getElementById('title').textContent = this.tree.title || 'Untitled';
        document.getElementById('words').textContent = this.tree.target ? `${this.tree.words.toLocaleString('en')} of ${this.tree.target.toLocaleString('en')} words` : `${this.tree.words.toLocaleString('en')} words`;
        const loose = this.tree.partsOf(TRAY).length;
        document.getElementById('loose').textContent = `${loose} loose ${loose === 1 ? 'idea' : 'ideas'}`;
        this.crumbs.hidden = this.start === ROOT;
        if (this.start !== ROOT) {
            const topic = this.tree.get(this.start);
            this.crumbs.replaceChildren(
                element('button', { type: 'button', class: 'link', onclick: () => this.focusOn(ROOT) }, 'The whole plan'), '›',
                element('strong', {}, `${topic.label} ${topic.title || 'Untitled'}`.trim()));
        }
    }

    mainSection(id) {
        let at = id;
        while (at && this.tree.get(at) && this.tree.get(at).parent !== ROOT) {
            at = this.tree.get(at).parent;
        }
        return at;
    }

    showState() {
        const time = this.queue.savedAt.toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
        const count = this.queue.pending.length;
        const changes = `${count} ${count === 1 ? 'change' : 'changes'} kept here`;
        const states = { saved: `Saved ${time}`, saving: 'Saving', away: `Not connected: ${changes}`, 'signed-out': `Signed out: ${changes}` };
        this.saved.textContent = states[this.queue.state];
        this.saved.classList.toggle('is-waiting', this.queue.state === 'away' || this.queue.state === 'signed-out');
        if (this.queue.state === 'signed-out') {
            this.saved.replaceChildren(`${states['signed-out']}. `, element('a', { href: '/sign-in', class: 'link' }, 'Sign in again'));
        }
    }

    say(text, action = null) {
        document.querySelector('.toast')?.remove();
        const toast = element('div', { class: 'toast', role: 'status' }, text,
            action && element('button', { type: 'button', onclick: () => { toast.remove(); action.act(); } }, action.label));
        document.body.append(toast);
        setTimeout(() => toast.remove(), 7000);
    }

    // ---- Changes

    /** Shows an operation and sends it; `step` groups what one undo takes back. */
    perform(operation, step = newId(), soon = false) {
        this.tree.mirror(operation);
        const id = this.queue.add(operation, step, soon);
        this.draw();
        return id;
    }

    answered(answer, batch) {
        const touched = new Set(batch.filter((change) => change.type === 'note').map((change) => change.topic));
        this.take(answer, touched);
    }

    take(answer, ownNotes = new Set()) {
        this.tree.take(answer);
        for (const id of [...this.marked]) {
            if (!this.tree.get(id)) {
                this.marked.delete(id);
            }
        }
        if (this.start !== ROOT && !this.tree.get(this.start)) {
            this.start = ROOT;
        }
        if (this.active && !this.tree.get(this.active)) {
            this.active = null;
        }
        this.draw();
        this.active ??= this.list[0]?.id ?? null;
        this.note.told(answer, ownNotes);
    }

    async refused(refused, batch) {
        const first = batch.find((change) => change.id === refused[0].id);
        const kept = first?.type === 'note' ? this.note.refused(first, refused[0]) : '';
        this.say(`A change could not be made: ${refused[0].message} ${kept}`);
        this.queue.base = 0;
        await this.ask();
    }

    /** Asks what others have changed, when nothing of one's own is on its way. */
    async ask() {
        if (!this.queue.isEmpty) {
            return this.queue.flush();
        }
        const answer = await send('GET', `${this.address}/changes?since=${this.queue.base}`).catch(() => null);
        if (answer && this.queue.isEmpty && answer.revision > this.queue.base) {
            this.queue.base = answer.revision;
            this.take(answer);
        }
    }

    poll() {
        setTimeout(async () => {
            await this.ask();
            this.poll();
        }, document.hidden ? POLL_HIDDEN : POLL_IN_VIEW);
    }

    async undo() {
        await this.stepBack('undo', 'There is nothing of yours to undo.');
    }

    async redo() {
        await this.stepBack('redo', 'There is nothing to redo.');
    }

    async stepBack(which, nothing) {
        this.note.commit();
        await this.queue.flush();
        if (!this.queue.isEmpty) {
            this.say('Not connected: undo works again once the changes kept here are saved.');
            return;
        }
        try {
            const answer = await send('POST', `${this.address}/${which}`, { base: this.queue.base });
            if (answer.nothing) {
                this.say(nothing);
                return;
            }
            this.queue.base = answer.revision;
            this.queue.savedAt = new Date();
            this.take(answer);
            this.titles.refresh();
            const touched = answer.touched.map((one) => one.slice(0, 26)).find((id) => this.tree.get(id));
            if (touched && !this.note.isOpen) {
                this.show(touched);
            }
            this.queue.tell('saved');
        } catch (error) {
            this.say(error.message);
        }
    }

    /** The step of typing in one title or note: a new one after a pause. */
    stepFor(key) {
        const now = Date.now();
        const known = this.steps.get(key);
        const step = known && now - known.at < STEP_PAUSE ? known.step : newId();
        this.steps.clear();
        this.steps.set(key, { step, at: now });
        return step;
    }

    /** Adds a topic at a place and returns its id. */
    add(place, title = '', fields = {}) {
        const id = newId();
        this.perform({ type: 'add', at: place, topics: [{ id, title, ...fields }] });
        return id;
    }

    move(ids, place, step = newId()) {
        this.perform({ type: 'move', ids, at: place }, step);
        this.rows.reveal(ids[0]);
    }

    remove(ids) {
        const heads = this.marking.heads(ids);
        if (!heads.length) {
            return;
        }
        const at = this.rows.index.get(heads[0]);
        const gone = new Set(heads.flatMap((id) => this.tree.branch(id)));
        const next = this.list.slice(at).find((row) => !gone.has(row.id)) ?? this.list.slice(0, at).reverse().find((row) => !gone.has(row.id));
        this.perform({ type: 'remove', ids: heads });
        if (gone.has(this.note.topic)) {
            this.note.close();
        }
        this.say(gone.size === 1 ? 'Removed one topic.' : `Removed ${gone.size} topics.`, { label: 'Undo', act: () => this.undo() });
        if (next) {
            this.marking.only(next.id);
        } else {
            this.active = null;
            this.marked.clear();
        }
        this.draw();
    }

    setField(type, value, ids = this.markedInOrder()) {
        if (ids.length) {
            this.perform({ type, ids, value });
        }
    }

    setPlan(set) {
        this.perform({ type: 'plan', set });
    }

    retitlePlan(title) {
        this.perform({ type: 'retitle', topic: ROOT, title });
    }

    // ---- Moving about

    /** Marks a topic and brings it into view, unfolding what hides it. */
    show(id) {
        for (let at = this.tree.get(id)?.parent; at && this.tree.get(at); at = this.tree.get(at).parent) {
            this.folds.delete(at);
        }
        if (!this.rows.index.has(id) && this.start !== ROOT) {
            this.start = ROOT;
        }
        this.draw();
        if (this.rows.index.has(id)) {
            this.marking.only(id);
            this.rows.reveal(id);
        }
    }

    goTo(id) {
        if (this.strip.dragged) {
            return;
        }
        this.titles.end();
        this.show(id);
        this.box.focus({ preventScroll: true });
    }

    markedInOrder() {
        const all = this.list.filter((row) => this.marked.has(row.id)).map((row) => row.id);
        return all.length ? all : this.active ? [this.active] : [];
    }

    focusOn(id) {
        this.start = id;
        this.folds.delete(id);
        this.draw();
        const first = this.list[0]?.id ?? null;
        if (!this.rows.index.has(this.active) && first) {
            this.marking.only(first);
        }
        this.scroller.scrollTop = 0;
        this.rows.draw();
    }

    setFolds(change) {
        change(this.folds);
        this.draw();
        for (let at = this.active; at && !this.rows.index.has(at);) {
            at = this.tree.get(at)?.parent;
            if (this.rows.index.has(at)) {
                this.marking.only(at);
            }
        }
        clearTimeout(this.foldTimer);
        this.foldTimer = setTimeout(() => send('PUT', `${this.address}/folds`, { folded: [...this.folds].filter((id) => this.tree.get(id)) }).catch(() => {}), 400);
    }

    // ---- What is pressed and clicked

    pressed(event) {
        const action = actionFor(event, 'anywhere');
        if (!action || document.querySelector('dialog[open]') || (action === 'outwards' && this.menu.isOpen)) {
            return;
        }
        if (action === 'undo' || action === 'redo') {
            if (event.target.closest('input:not(.title-input), textarea, select') || (event.target.closest('.ProseMirror') && this.note.canStep(action))) {
                return;
            }
        }
        event.preventDefault();
        ({
            undo: () => this.undo(),
            redo: () => this.redo(),
            catch: () => document.getElementById('catch').focus(),
            whenSaved: () => { this.queue.flush(); this.say(this.queue.isEmpty ? `Everything is saved as you type, last at ${this.queue.savedAt.toLocaleTimeString('en-GB')}.` : 'It is being saved now.'); },
            outwards: () => this.outwards(event),
        })[action]();
    }

    /** Note → its title → the marked row; then Tab leaves the tree. */
    outwards(event) {
        if (event.target.closest('#note')) {
            this.titles.write(this.note.topic, 'end');
            if (!this.writing) {
                this.box.focus({ preventScroll: true });
            }
        } else if (this.writing) {
            this.titles.end();
            this.box.focus({ preventScroll: true });
        } else if (event.target.id === 'catch' || event.target.closest('#catch-form')) {
            this.box.focus({ preventScroll: true });
        } else if (this.start !== ROOT) {
            this.focusOn(ROOT);
        }
    }

    pressedInRow(event) {
        if (event.target !== this.box) {
            return;
        }
        const action = actionFor(event, 'row');
        // Copy, cut and paste go through the browser's own events, which carry the clipboard.
        if (action && !['copy', 'cut', 'paste'].includes(action)) {
            event.preventDefault();
            this.on(action, this.active, this.rows.drawn.get(this.active), event);
        }
    }

    clicked(event) {
        const row = event.target.closest('.row');
        if (!row || event.target.closest('button, input') || this.ignoreClick) {
            return;
        }
        const { id } = row.dataset;
        if (event.shiftKey) {
            this.marking.to(id);
        } else if (event.ctrlKey || event.metaKey) {
            this.marking.toggle(id);
        } else if (event.target.closest('.title')) {
            this.marking.only(id);
            this.titles.write(id, 'click', event);
            return;
        } else {
            this.marking.only(id);
        }
        this.titles.end();
        this.box.focus({ preventScroll: true });
    }

    suppressClick() {
        this.ignoreClick = true;
        setTimeout(() => { this.ignoreClick = false; }, 50);
    }

    /** An action of the key table, on a row. */
    on(action, id, anchor, event = null) {
        const topic = id && this.tree.get(id);
        if (!topic && action !== 'showKeys' && action !== 'unfoldAll') {
            return;
        }
        const kinds = { kindSection: 'section', kindPoint: 'point', kindQuote: 'quote', kindAside: 'aside' };
        if (kinds[action]) {
            this.setField('kind', kinds[action]);
        } else if (typeof this.marking[action] === 'function') {
            this.marking[action](id);
        } else {
            ({
                write: () => this.titles.write(id, 'end'),
                moveUp: () => this.shift(-1), moveDown: () => this.shift(1), inward: () => this.inward(), outward: () => this.outward(),
                remove: () => this.remove(this.markedInOrder()),
                duplicate: () => this.clipboard.duplicate(),
                openNote: () => { this.marking.only(id); this.note.open(id); },
                focusBranch: () => this.focusOn(this.start === ROOT || this.start !== id ? (this.start === ROOT ? id : ROOT) : ROOT),
                moveTo: () => this.dialogs.moveTo(this.markedInOrder()),
                chooseDye: () => this.menu.open(id, anchor, 'dye'), chooseFlag: () => this.menu.open(id, anchor, 'flag'), setTarget: () => this.menu.open(id, anchor, 'target'),
                openMenu: () => this.menu.open(id, anchor),
                toggleFold: () => this.setFolds((folds) => (folds.has(id) ? folds.delete(id) : folds.add(id))),
                foldToLevel: () => this.foldTo(Number(event.code.slice(-1))),
                unfoldAll: () => this.setFolds((folds) => folds.clear()),
                showKeys: () => document.getElementById('keys').showModal(),
            })[action]?.();
        }
    }

    foldTo(level) {
        this.setFolds((folds) => {
            folds.clear();
            const all = this.tree.rows(new Set(), this.start);
            all.filter((row) => row.level >= level && this.tree.partsOf(row.id).length).forEach((row) => folds.add(row.id));
        });
    }

    /** One place up or down among the siblings, and on past their ends into the neighbouring branch. */
    shift(by) {
        const ids = this.marking.heads(this.writing ? [this.writing] : this.markedInOrder());
        const edge = ids[by < 0 ? 0 : ids.length - 1];
        const { parent } = this.tree.get(edge);
        const siblings = this.tree.partsOf(parent);
        const at = siblings.indexOf(edge) + by;
        if (siblings[at]) {
            this.move(ids, { parent, after: by < 0 ? siblings[at - 1] ?? null : siblings[at] });
            return;
        }
        const uncle = this.tree.get(parent) && this.tree.partsOf(this.tree.get(parent).parent)[this.tree.partsOf(this.tree.get(parent).parent).indexOf(parent) + by];
        if (uncle && parent !== this.start) {
            this.folds.delete(uncle);
            this.move(ids, by < 0 ? this.tree.lastPlace(uncle) : { parent: uncle, after: null });
        }
    }

    inward() {
        const ids = this.marking.heads(this.writing ? [this.writing] : this.markedInOrder());
        const { after } = this.tree.placeOf(ids[0]);
        if (after) {
            this.folds.delete(after);
            this.move(ids, this.tree.lastPlace(after));
        }
    }

    outward() {
        const ids = this.marking.heads(this.writing ? [this.writing] : this.markedInOrder());
        const { parent } = this.tree.get(ids[0]);
        if (parent !== this.start && this.tree.get(parent)) {
            this.move(ids, { parent: this.tree.get(parent).parent, after: parent });
        }
    }

    addAtEnd() {
        const id = this.active && this.tree.get(this.active) ? this.add({ parent: this.tree.get(this.active).parent, after: this.active }) : this.add(this.tree.lastPlace(this.start));
        this.marking.only(id);
        this.titles.write(id, 'end');
    }

    addFirst(event) {
        const title = event.target.value.trim();
        if (event.key === 'Enter' && !event.isComposing && title) {
            event.preventDefault();
            event.target.value = '';
            const id = this.add(this.tree.lastPlace(ROOT), title);
            this.marking.only(id);
            this.addAtEnd();
        }
    }

    caught(event) {
        const title = event.target.value.trim();
        if (event.key === 'Enter' && !event.isComposing && title) {
            event.preventDefault();
            this.add(this.tree.lastPlace(TRAY), title);
            event.target.value = '';
            this.live.textContent = `Caught: ${title}`;
        }
    }
}
