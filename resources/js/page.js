import { newId } from './lib/ids.js';
import { counted } from './lib/counted.js';
import { send } from './lib/http.js';
import { Dialogs } from './ui/dialogs.js';
import { element } from './ui/element.js';
import { whenLeft } from './lib/fields.js';
import { Find } from './ui/find.js';
import { Gather } from './views/gather/gather.js';
import { MapView } from './views/map/map.js';
import { actionFor } from './lib/keys.js';
import { meanwhile } from './lib/meanwhile.js';
import { NotePage } from './note/page.js';
import { Outline } from './views/outline/outline.js';
import { Queue } from './sync/queue.js';
import { Relations } from './ui/relations.js';
import { Refusals } from './ui/refusals.js';
import { StripBar } from './ui/strip.js';
import { ROOT, TRAY, Tree } from './state/plan.js';
import { AllNotes } from './views/draft/draft.js';
import { Citations } from './note/citations.js';
import { ResearchView } from './views/sources/research.js';
import { SourcesView } from './views/sources/sources.js';

const POLL_IN_VIEW = 3000;
const POLL_HIDDEN = 30000;
const STEP_PAUSE = 2000;

/** The page of one plan: holds the tree, sends changes and takes in those of others, and shows one of its views. */
export class Page {
    constructor(data) {
        this.data = data;
        this.address = `/plans/${data.plan}`;
        this.tree = new Tree(data);
        this.steps = new Map();
        /** Steps that are being taken back or brought back, one after the other. */
        this.turns = 0;
        this.turn = Promise.resolve();
        this.saved = document.getElementById('saved');
        this.live = document.getElementById('live');
        this.queue = new Queue({
            user: data.user, plan: data.plan, address: this.address, revision: data.revision, savedAt: new Date(data.savedAt), beside: () => (this.view === 'map' ? { map: this.map.wants } : {}),
            onAnswer: (answer) => this.answered(answer), onPart: (answer) => this.answeredInPart(answer),
            onRefused: (refused, batch) => this.refused(refused, batch), onState: () => this.showState(),
        });
        this.citations = new Citations(this);
        this.note = new NotePage(this);
        this.outline = new Outline(this);
        this.gather = new Gather(this);
        this.map = new MapView(this);
        this.find = new Find(this);
        this.strip = new StripBar(document.getElementById('strip'), this.tree, { go: (id) => this.goTo(id), move: (ids, place) => this.move(ids, place) });
        this.dialogs = new Dialogs(this);
        this.relations = new Relations(this);
        this.notes = new AllNotes(this);
        this.sources = new SourcesView(this);
        this['sorting-out'] = new ResearchView(this);
        this.refusals = new Refusals(this);
        this.listen();
        this.show(data.view, false);
        this.showState();
        this.queue.flush();
        this.poll();
    }

    listen() {
        document.addEventListener('keydown', (event) => this.pressed(event));
        document.getElementById('undo').addEventListener('click', () => this.undo());
        document.getElementById('redo').addEventListener('click', () => this.redo());
        const field = document.getElementById('catch');
        field.addEventListener('keydown', (event) => this.caught(event));
        whenLeft(field, () => this.catchTyped(field));
        document.getElementById('catch-form').addEventListener('submit', (event) => event.preventDefault());
        document.addEventListener('visibilitychange', () => {
            clearTimeout(this.polling);
            document.hidden ? this.queue.flush() : this.ask();
            this.poll();
        });
        for (const link of document.querySelectorAll('.top [data-view]')) {
            link.addEventListener('click', (event) => {
                if (!event.ctrlKey && !event.metaKey && !event.shiftKey) {
                    event.preventDefault();
                    this.show(link.dataset.view);
                }
            });
        }
        document.addEventListener('click', (event) => this.followed(event));
        addEventListener('popstate', () => this.show(/\/(gather|map|notes|sources|sorting-out)$/.exec(location.pathname)?.[1] ?? 'outline', false));
    }

    // ---- Views

    /** Shows a view of the plan; `remember`: as a new entry in the browser's history. */
    show(view, remember = true) {
        const isNew = this.view !== view;
        this.outline.titles.end();
        if (isNew && this.view) {
            this[this.view].leave?.();
        }
        this.view = view;
        const isTree = view === 'outline' || view === 'map';
        document.getElementById('work').hidden = !isTree;
        document.getElementById('work').dataset.view = view;
        document.getElementById('map').hidden = view !== 'map';
        document.getElementById('outline-side').hidden = view !== 'outline';
        // What is marked, and the way back from one branch, are the same on both.
        document.getElementById(view === 'map' ? 'map' : 'outline-side').append(document.getElementById('marked-bar'), document.getElementById('crumbs'));
        document.getElementById('gather').hidden = view !== 'gather';
        document.getElementById('notes').hidden = view !== 'notes';
        document.getElementById('sources-view').hidden = view !== 'sources';
        document.getElementById('research').hidden = view !== 'sorting-out';
        document.getElementById('catch-form').hidden = !isTree;
        document.querySelectorAll('.in-outline').forEach((one) => { one.hidden = !isTree; });
        for (const link of document.querySelectorAll('.top [data-view]')) {
            link.toggleAttribute('aria-current', link.dataset.view === view);
            if (link.dataset.view === view) {
                link.setAttribute('aria-current', 'page');
                if (remember && isNew) {
                    history.pushState(null, '', link.href);
                }
            }
        }
        this.draw();
        if (isNew) {
            this[view].enter();
        }
    }

    draw() {
        this[this.view].draw();
        this.drawFrame();
    }

    /** What stands around the views. */
    drawFrame() {
        const { tree } = this;
        this.strip.draw(tree.mainSection(this.outline.active));
        document.getElementById('title').textContent = tree.title || 'Untitled';
        const words = tree.target ? `${tree.words.toLocaleString('en')} of ${counted(tree.target, 'word')}` : counted(tree.words, 'word');
        document.getElementById('words').textContent = words;
        const loose = tree.partsOf(TRAY).length;
        document.getElementById('loose').textContent = counted(loose, 'loose idea');
        for (const [which, name] of [['undo', 'Undo'], ['redo', 'Redo']]) {
            const button = document.getElementById(which);
            const says = this.queue.isEmpty ? tree.steps[which] : which === 'undo' ? '' : null;
            button.disabled = says === null;
            button.setAttribute('aria-label', says ? `${name}: ${says}` : name);
            button.title = says ? `${name}: ${says}` : says === null ? `Nothing to ${which}` : name;
        }
    }

    showState() {
        const time = this.queue.savedAt.toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
        const count = this.queue.pending.length;
        const changes = `${count} ${count === 1 ? 'change' : 'changes'} kept here`;
        const states = { saved: `Saved ${time}`, saving: 'Saving', away: `Not connected: ${changes}`, 'signed-out': `Signed out: ${changes}` };
        // A step that is being taken back is on its way as well.
        const says = states[this.queue.state === 'saved' && this.turns ? 'saving' : this.queue.state];
        if (this.saved.textContent !== says) {
            this.saved.textContent = says;
        }
        this.saved.classList.toggle('is-waiting', this.queue.state === 'away' || this.queue.state === 'signed-out');
        if (this.queue.state === 'signed-out') {
            const back = ({ currentTarget }) => { currentTarget.href = `/sign-in?to=${encodeURIComponent(location.pathname)}`; };
            this.saved.replaceChildren(`${states['signed-out']}. `, element('a', { href: '/sign-in', class: 'link', onclick: back }, 'Sign in again'));
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

    /** Shows an operation and sends it; `step` groups what one undo takes back, `typed` is the text before the caret of what is being typed. */
    perform(operation, step = newId(), typed = null) {
        this.tree.mirror(operation);
        const id = this.queue.add(operation, step, typed);
        this.tree.steps.redo = null;
        if (operation.type === 'retitle') {
            this[this.view].retitled(operation.topic);
        } else {
            this.draw();
        }
        return id;
    }

    answered(answer) {
        if (answer.said) {
            this.say(answer.said);
        }
        this.take(answer);
    }

    /** The answer to some changes, while newer ones are on their way: the picture can follow already. */
    answeredInPart(answer) {
        this.note.body.acknowledged(answer.notes);
        if (answer.map && this.view === 'map') {
            this.map.take(answer.map);
        }
    }

    take(answer) {
        this.tree.take(answer);
        this.outline.told();
        this.gather.told();
        if (answer.sources) {
            this.citations.take(answer.sources);
        }
        this.notes.told(answer);
        this.sources.told(answer);
        this['sorting-out'].told(answer);
        answer.map ? this.map.take(answer.map, false) : this.map.changed();
        this.draw();
        this.find.told(answer);
        this.note.told(answer);
    }

    async refused(refused, batch) {
        const lost = refused.map((one) => ({ ...one, change: batch.find((change) => change.id === one.id) }));
        this.refusals.take(lost.filter((one) => one.change));
        this.queue.base = 0;
        await this.ask();
    }

    /** Asks what others have changed, when nothing of one's own is on its way. */
    async ask() {
        if (!this.queue.isEmpty) {
            return this.queue.flush();
        }
        const answer = await send('GET', `${this.address}/changes?since=${this.queue.base}`).catch((error) => error);
        if (answer?.status === 401 || answer?.status === 419) {
            this.queue.tell('signed-out');
        } else if (answer?.revision > this.queue.base && this.queue.isEmpty) {
            this.queue.base = answer.revision;
            this.take(answer);
            this.gather.toldByOthers();
        }
    }

    poll() {
        clearTimeout(this.polling);
        this.polling = setTimeout(async () => {
            const pulse = this.queue.isEmpty ? await this.pulse() : null;
            if (!this.queue.isEmpty || pulse) {
                await this.ask();
            }
            this.poll();
        }, document.hidden ? POLL_HIDDEN : POLL_IN_VIEW);
    }

    /** Whether there is something new; its address holds for some hours, and then for whoever is still signed in. */
    async pulse() {
        try {
            return await send('GET', `${this.data.pulse}&since=${this.queue.base}`);
        } catch (error) {
            if (error.status === 404) {
                this.data.pulse = (await send('GET', `${this.address}/pulse-address`).catch(() => null))?.pulse ?? this.data.pulse;
            }
            return null;
        }
    }

    undo() {
        return this.inTurn(() => this.stepBack('undo', 'There is nothing of yours to undo.'));
    }

    redo() {
        return this.inTurn(() => this.stepBack('redo', 'There is nothing to redo.'));
    }

    /** Undo pressed three times quickly is three undos, one after the other. */
    inTurn(act) {
        this.turns++;
        this.showState();
        this.turn = this.turn.then(act, act).finally(() => {
            this.turns--;
            this.showState();
        });
        return this.turn;
    }

    async stepBack(which, nothing) {
        const isUnmoved = meanwhile();
        this.note.commit();
        await this.queue.flush();
        if (!this.queue.isEmpty) {
            this.say('Not connected: undo works again once the changes kept here are saved.');
            return;
        }
        const says = this.tree.steps[which];
        const answer = await this.sent(which, {});
        if (!answer) {
            return;
        }
        if (answer.nothing) {
            this.say(nothing);
            return;
        }
        this.outline.titles.refresh();
        const touched = answer.touched.map((one) => one.slice(0, 26)).find((id) => this.tree.get(id));
        if (touched && !this.note.isOpen && isUnmoved()) {
            this[this.view].reveal(touched);
        } else if (isUnmoved()) {
            this.outline.markNearby();
        }
        if (says) {
            this.live.textContent = `${which === 'undo' ? 'Undone' : 'Done again'}: ${says}`;
        }
    }

    /** Sends what the queue cannot carry, and takes in what has changed; null (and said) when it was refused. */
    async sent(path, body) {
        await this.queue.flush();
        try {
            const answer = await send('POST', `${this.address}/${path}`, { base: this.queue.base, ...body });
            this.taken(answer);
            return answer;
        } catch (error) {
            this.say(error.message);
            return null;
        }
    }

    /** Takes in what an answer says has changed. */
    taken(answer) {
        // While changes are on their way it would show the plan without them; the answer to these tells all since.
        if (answer.labels && this.queue.isEmpty && answer.revision >= this.queue.base) {
            this.queue.base = answer.revision;
            this.queue.savedAt = new Date();
            this.take(answer);
            this.gather.toldByOthers();
            this.queue.tell('saved');
        }
    }

    /** Sends a form with a file; null (and said) when it was refused. */
    async upload(path, body) {
        await this.queue.flush();
        try {
            return await send('POST', `${this.address}/${path}`, body);
        } catch (error) {
            this.say(error.status === 413 ? 'The file is larger than what can be sent at once. Save it smaller and try again.' : error.message);
            return null;
        }
    }

    /** What is typed as a date, as it is stored; PHP reads it. */
    async dateOf(typed) {
        const answer = await send('POST', `${this.address}/source-list/date`, { typed }).catch(() => null);
        return answer?.date ?? null;
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

    move(ids, place, step = newId()) {
        this.perform({ type: 'move', ids, at: place }, step);
    }

    setPlan(set) {
        Object.assign(this.tree.properties, set);
        this.perform({ type: 'plan', set });
    }

    retitlePlan(title) {
        this.perform({ type: 'retitle', topic: ROOT, title });
        this.draw();
    }

    /** The note that stands before the first section. */
    openOpening() {
        this.show(this.view === 'map' ? 'map' : 'outline');
        this.note.open(ROOT);
    }

    /** A link to another of our pages, as one that hands over, which is to show the plan as it is here. */
    followed(event) {
        const link = event.target.closest?.('a[href]');
        const isOwn = link && link.origin === location.origin && !link.target && !link.hasAttribute('download') && !link.isContentEditable;
        if (isOwn && !event.defaultPrevented && event.button === 0 && !event.ctrlKey && !event.metaKey && !event.shiftKey && !event.altKey) {
            event.preventDefault();
            this.leaveFor(link.href);
        }
    }

    /** Goes to another page, when what was written here has gone out, or cannot go now. */
    async leaveFor(address) {
        this.note.commit();
        const sent = [this.queue, this.outline.keptFolds, this.outline.looks.kept].map((one) => one.flush());
        await Promise.race([Promise.all([...sent, this.map.asked]), new Promise((after) => setTimeout(after, 3000))]);
        location.assign(address);
    }

    /** Where a note is written that is named elsewhere. */
    openNoteOf(id) {
        this.show('outline');
        if (id !== ROOT) {
            this.outline.goTo(id);
        }
        this.note.open(id);
    }

    /** An idea, or several lines of them, into the tray. */
    catch(topics, parent = TRAY) {
        this.perform({ type: 'add', at: this.tree.lastPlace(parent), topics });
        this.live.textContent = topics.length === 1 ? `Caught: ${topics[0].title}` : `Caught ${topics.length} ideas`;
    }

    caught(event) {
        if (event.key === 'Enter' && !event.isComposing && event.target.value.trim()) {
            event.preventDefault();
            this.catchTyped(event.target);
        }
    }

    catchTyped(field) {
        const title = field.value.trim();
        field.value = '';
        this.catch([{ id: newId(), title }]);
    }

    // ---- What is pressed

    goTo(id) {
        if (!this.strip.dragged) {
            this.show(this.view === 'map' ? 'map' : 'outline');
            this.outline.goTo(id);
        }
    }

    pressed(event) {
        const action = actionFor(event, 'anywhere');
        if (!action || document.querySelector('dialog[open]') || (action === 'outwards' && this.outline.menu.isOpen)) {
            return;
        }
        if (action === 'undo' || action === 'redo') {
            if (event.target.closest('input:not(.title-input, #gather-input:placeholder-shown), textarea, select') || (event.target.closest('.ProseMirror') && this.note.canStep(action))) {
                return;
            }
        }
        event.preventDefault();
        ({
            undo: () => this.undo(),
            redo: () => this.redo(),
            catch: () => document.getElementById(this.view === 'gather' ? 'gather-input' : 'catch').focus(),
            find: () => this.find.open(),
            findNext: () => this.find.step(1),
            findBefore: () => this.find.step(-1),
            whenSaved: () => { this.queue.flush(); this.say(this.queue.isEmpty ? `Everything is saved as you type, last at ${this.queue.savedAt.toLocaleTimeString('en-GB')}.` : 'It is being saved now.'); },
            outwards: () => (this.find.holds(event.target) ? this.find.close() : this[this.view].outwards(event)),
        })[action]();
    }
}
