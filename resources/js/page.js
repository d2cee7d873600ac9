import { newId } from './lib/ids.js';
import { whenLeft } from './lib/fields.js';
import { actionFor } from './lib/keys.js';
import { ROOT, TRAY, Tree } from './state/plan.js';
import { ViewState } from './state/view-state.js';
import { Personal } from './sync/personal.js';
import { Session } from './sync/session.js';
import { Commands, always } from './commands/commands.js';
import { Bars } from './ui/bars.js';
import { Dialogs } from './ui/dialogs.js';
import { Find } from './ui/find.js';
import { Frame } from './ui/frame.js';
import { KeysDialog } from './ui/keys-dialog.js';
import { planMenu } from './ui/plan-menu.js';
import { Refusals } from './ui/refusals.js';
import { Relations } from './ui/relations.js';
import { say, tell } from './ui/toast.js';
import { Citations } from './note/citations.js';
import { NotePage } from './note/page.js';
import { Views } from './views/registry.js';
import { Draft } from './views/draft/draft.js';
import { Gather } from './views/gather/gather.js';
import { MapView } from './views/map/map.js';
import { Outline } from './views/outline/outline.js';
import { ResearchView } from './views/sources/research.js';
import { SourcesView } from './views/sources/sources.js';

/** The page of one plan: puts together what it is made of, and carries out what can be done anywhere on it. */
export class Page {
    constructor(data) {
        this.data = data;
        this.tree = new Tree(data);
        this.state = new ViewState(this.tree, {
            folds: new Personal(data, 'folds', { folded: data.folds }),
            look: new Personal(data, 'look', data.look),
        });
        this.commands = new Commands();
        this.session = new Session(data, this.tree, {
            shown: (operation) => (operation.type === 'retitle' && operation.topic !== ROOT ? this.views.now.retitled(operation.topic) : this.draw()),
            taken: (answer, byOthers) => this.taken(answer, byOthers),
            part: (answer) => this.answeredInPart(answer),
            refused: (changes) => this.refusals.take(changes),
            state: () => this.frame?.showState(),
            stepping: () => this.note.commit(),
            stepped: (...step) => this.stepped(...step),
            beside: () => (this.view === 'map' ? { map: this.map.wants } : {}),
            say,
        });
        this.views = new Views(this.address, { whenLeft: () => this.outline.titles.end(), whenShown: (name) => this.shown(name) });
        this.bars = new Bars(this.commands);
        this.citations = new Citations(this);
        this.note = new NotePage(this);
        this.outline = new Outline(this);
        this.gather = new Gather(this);
        this.map = new MapView(this);
        this.find = new Find(this);
        this.frame = new Frame(this.session, { go: (id) => this.goTo(id), here: () => this.outline.active });
        this.dialogs = new Dialogs(this);
        this.relations = new Relations(this);
        this.draft = new Draft(this);
        this.sources = new SourcesView(this);
        this.research = new ResearchView(this);
        this.refusals = new Refusals(this);
        this.views.add('gather', this.gather, { path: '/gather', box: 'gather' });
        this.views.add('outline', this.outline, { path: '', box: 'outline-side' });
        this.views.add('map', this.map, { path: '/map', box: 'map' });
        this.views.add('draft', this.draft, { path: '/draft', box: 'draft' });
        this.views.add('sources', this.sources, { path: '/sources', box: 'sources-view' });
        this.views.add('sorting-out', this.research, { path: '/sorting-out', box: 'research', tab: 'sources' });
        this.keys = new KeysDialog(this.commands, { places: () => this.places(), at: () => ({ id: this.outline.active, anchor: this.outline.rows.drawn.get(this.outline.active) }), back: () => this.back() });
        this.provide();
        this.state.marked.listen((marked) => this.marked(marked));
        this.listen();
        this.show(data.view, false);
        this.frame.showState();
        this.queue.flush();
        this.session.channel.poll();
        this.doWhatTheAddressSays();
    }

    get address() { return this.session.address; }
    get queue() { return this.session.queue; }
    get view() { return this.views.current; }
    get strip() { return this.frame?.strip; }

    perform(...change) { return this.session.perform(...change); }
    move(...change) { this.session.move(...change); }
    setPlan(set) { this.session.setPlan(set); }
    retitlePlan(title) { this.session.retitlePlan(title); }
    stepFor(key) { return this.session.stepFor(key); }
    undo() { return this.session.undo(); }
    redo() { return this.session.redo(); }
    sent(...request) { return this.session.sent(...request); }
    upload(...request) { return this.session.upload(...request); }
    dateOf(typed) { return this.session.dateOf(typed); }
    ask() { return this.session.channel.ask(); }
    say(...words) { say(...words); }
    tell(text) { tell(text); }

    listen() {
        document.addEventListener('keydown', (event) => this.pressed(event));
        const field = document.getElementById('catch');
        field.addEventListener('keydown', (event) => this.caught(event));
        whenLeft(field, () => this.catchTyped(field));
        document.getElementById('catch-form').addEventListener('submit', (event) => event.preventDefault());
        document.addEventListener('click', (event) => this.followed(event));
        planMenu((command) => this.commands.run('anywhere', command));
    }

    // ---- Views

    show(view, remember = true) {
        this.views.show(view, remember);
    }

    /** What goes with a view: its bar, and what the outline and the map share. */
    shown(name) {
        const isTree = name === 'outline' || name === 'map';
        const work = document.getElementById('work');
        work.hidden = !isTree;
        work.dataset.view = name;
        if (isTree) {
            // What is marked, and the way back from one branch, are the same on both.
            document.getElementById(name === 'map' ? 'map' : 'outline-side').append(document.getElementById('marked-bar'), document.getElementById('crumbs'));
        }
        document.getElementById('catch-form').hidden = !isTree;
        this.bars.show(name === 'sorting-out' ? 'sources' : name, name);
        this.frame?.draw();
    }

    draw() {
        this.views.now.draw();
        this.frame.draw();
    }

    /** The places of the table of commands in which one is now. */
    places() {
        return { outline: ['row'], map: ['map', 'row'], gather: ['gather-idea'], 'sorting-out': ['research'] }[this.view] ?? [];
    }

    /** The keyboard goes back to where the topics are. */
    back() {
        ({ gather: () => this.gather.list, 'sorting-out': () => this.research.list }[this.view] ?? (() => this.outline.box))().focus({ preventScroll: true });
    }

    /** What goes along with the topic that alone is marked: the strip, and the note that is open. */
    marked(marked) {
        const id = this.state.active.get();
        if (id !== null && marked.size === 1 && marked.has(id)) {
            this.strip.draw(this.tree.mainSection(id));
            this.note.follow(id);
        }
    }

    // ---- What the server tells

    /** The answer to some changes, while newer ones are on their way: the picture can follow already. */
    answeredInPart(answer) {
        this.note.body.acknowledged(answer.notes);
        if (answer.map && this.view === 'map') {
            this.map.take(answer.map);
        }
    }

    taken(answer, byOthers) {
        if (answer.sources) {
            this.citations.take(answer.sources);
        }
        this.views.all.forEach((view) => view.told(answer));
        this.draw();
        this.find.told(answer);
        this.note.told(answer);
        if (byOthers) {
            this.views.all.forEach((view) => view.toldByOthers());
        }
    }

    stepped(which, answer, says, isUnmoved) {
        this.outline.titles.refresh();
        const touched = answer.touched.map((one) => one.slice(0, 26)).find((id) => this.tree.get(id));
        if (touched && !this.note.isOpen && isUnmoved) {
            this.views.now.reveal(touched);
        } else if (isUnmoved) {
            this.outline.markNearby();
        }
        if (says) {
            tell(`${which === 'undo' ? 'Undone' : 'Done again'}: ${says}`);
        }
    }

    // ---- Going elsewhere

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
        const sent = [this.queue, this.state.kept.folds, this.state.kept.look].map((one) => one.flush());
        await Promise.race([Promise.all([...sent, this.map.asked]), new Promise((after) => setTimeout(after, 3000))]);
        location.assign(address);
    }

    goTo(id) {
        if (!this.strip.dragged) {
            this.show(this.view === 'map' ? 'map' : 'outline');
            this.outline.goTo(id);
        }
    }

    /** The note that stands before the first section. */
    openOpening() {
        this.show(this.view === 'map' ? 'map' : 'outline');
        this.note.open(ROOT);
    }

    /** Where a note is written that is named elsewhere. */
    openNoteOf(id) {
        this.show('outline');
        if (id !== ROOT) {
            this.outline.goTo(id);
        }
        this.note.open(id);
    }

    /** A command that another page, or a link, asks for: `#do=properties`. */
    doWhatTheAddressSays() {
        const wanted = new URLSearchParams(location.hash.slice(1)).get('do');
        if (wanted) {
            history.replaceState(null, '', location.pathname + location.search);
            this.commands.run('anywhere', wanted);
        }
    }

    // ---- Ideas

    /** An idea, or several lines of them, into the tray. */
    catch(topics, parent = TRAY) {
        this.perform({ type: 'add', at: this.tree.lastPlace(parent), topics });
        tell(topics.length === 1 ? `Caught: ${topics[0].title}` : `Caught ${topics.length} ideas`);
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

    provide() {
        const { data, outline } = this;
        const to = (view) => always(() => this.show(view));
        this.commands.provide('anywhere', {
            undo: always(() => this.undo()),
            redo: always(() => this.redo()),
            catch: always(() => document.getElementById(this.view === 'gather' ? 'gather-input' : 'catch').focus()),
            find: always(() => this.find.open()),
            findNext: always(() => this.find.step(1)),
            findBefore: always(() => this.find.step(-1)),
            whenSaved: always(() => { this.queue.flush(); say(this.queue.isEmpty ? `Everything is saved as you type, last at ${this.queue.savedAt.toLocaleTimeString('en-GB')}.` : 'It is being saved now.'); }),
            outwards: always(({ event }) => (this.find.holds(event?.target) ? this.find.close() : this.views.now.outwards(event))),
            goGather: to('gather'), goOutline: to('outline'), goMap: to('map'), goDraft: to('draft'), goSources: to('sources'), goResearch: to('sorting-out'),
            addTopic: always(() => { this.show(this.view === 'map' ? 'map' : 'outline'); outline.addAtEnd(); }),
            properties: always(() => this.dialogs.openProperties()),
            openingNote: always(() => this.openOpening()),
            bringInText: always(() => this.leaveFor(`/intake?into=${data.plan}`)),
            bringInPlan: always(() => this.dialogs.bringIn()),
            showHistory: always(() => this.leaveFor(`${this.address}/history`)),
            keepVersion: always(() => this.dialogs.keepVersion()),
            handOver: always(() => this.leaveFor(`${this.address}/hand-over`)),
            allPlans: always(() => this.leaveFor('/plans')),
            showKeys: always(() => this.keys.open()),
        });
    }

    pressed(event) {
        const action = actionFor(event, 'anywhere');
        if (!action || document.querySelector('dialog[open], :popover-open') || (action === 'outwards' && this.outline.menu.isOpen)) {
            return;
        }
        if (action === 'undo' || action === 'redo') {
            if (event.target.closest('input:not(.title-input, #gather-input:placeholder-shown), textarea, select') || (event.target.closest('.ProseMirror') && this.note.canStep(action))) {
                return;
            }
        }
        event.preventDefault();
        this.commands.run('anywhere', action, { event });
    }
}
