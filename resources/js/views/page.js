import { whenLeft } from '../lib/fields.js';
import { ROOT } from '../state/plan.js';
import { planMenu } from '../ui/plan-menu.js';
import { say, tell } from '../ui/toast.js';
import { Anywhere } from './anywhere.js';

/**
 * The page of one plan: what its views share, and what happens on it when something has changed. It is
 * put together in plan.js.
 */
export class Page extends Anywhere {
    /**
     * @param {object} data of the page
     * @param {object} parts
     * @param {import('../state/plan.js').Tree} parts.tree
     * @param {import('../state/view-state.js').ViewState} parts.state
     * @param {import('../commands/commands.js').Commands} parts.commands
     */
    constructor(data, parts) {
        super();
        this.data = data;
        this.tree = parts.tree;
        this.state = parts.state;
        this.commands = parts.commands;
    }

    // ---- What is heard

    /** What happens in the session (sync/session.js). */
    get happenings() {
        return {
            shown: (operation) =>
                operation.type === 'retitle' && operation.topic !== ROOT ? this.views.now.retitled(operation.topic) : this.draw(),
            taken: (answer, byOthers) => this.taken(answer, byOthers),
            part: (answer) => this.answeredInPart(answer),
            refused: (changes) => this.refusals.take(changes),
            state: () => this.frame?.showState(),
            stepping: () => this.commit(),
            stepped: (...step) => this.stepped(...step),
            beside: () => (this.view === 'map' ? { map: this.map.wants } : {}),
            say,
        };
    }

    get address() {
        return this.session.address;
    }
    get queue() {
        return this.session.queue;
    }
    get view() {
        return this.views.current;
    }
    get strip() {
        return this.frame?.strip;
    }

    perform(...change) {
        return this.session.perform(...change);
    }
    move(...change) {
        this.session.move(...change);
    }
    setPlan(set) {
        this.session.setPlan(set);
    }
    retitlePlan(title) {
        this.session.retitlePlan(title);
    }
    stepFor(key) {
        return this.session.stepFor(key);
    }
    undo() {
        return this.session.undo();
    }
    redo() {
        return this.session.redo();
    }
    sent(...request) {
        return this.session.sent(...request);
    }
    upload(...request) {
        return this.session.upload(...request);
    }
    dateOf(typed) {
        return this.session.dateOf(typed);
    }
    ask() {
        return this.session.channel.ask();
    }
    say(...words) {
        say(...words);
    }
    tell(text) {
        tell(text);
    }

    /** Shows the view that the address is of, and goes on with what waits to be sent. */
    begin() {
        this.state.marked.listen((marked) => this.marked(marked));
        this.listen();
        this.show(this.data.view, false).then(() => this.doWhatTheAddressSays());
        this.frame.showState();
        this.session.start().then((isOther) => isOther && this.draw());
        this.session.channel.poll();
    }

    listen() {
        document.addEventListener('keydown', (event) => this.pressed(event));
        const field = document.getElementById('catch');
        field.addEventListener('keydown', (event) => this.caught(event));
        whenLeft(field, () => this.catchTyped(field));
        document.getElementById('catch-form').addEventListener('submit', (event) => event.preventDefault());
        document.addEventListener('click', (event) => this.followed(event));
        for (const closer of document.querySelectorAll('dialog [data-close]')) {
            closer.addEventListener('click', () => closer.closest('dialog').close());
        }
        planMenu((command) => this.commands.run('anywhere', command));
    }

    // ---- Views

    show(view, remember = true) {
        return this.views.show(view, remember);
    }

    /** Sorts topics out of the outline, whatever they look like. */
    async sortOut(ids) {
        const research = await this.views.loaded('sorting-out');
        research?.openWith(ids);
    }

    /** What goes with a view: its bar, and what the outline and the map share. */
    shown(name) {
        const isTree = name === 'outline' || name === 'map';
        const work = document.getElementById('work');
        work.hidden = !isTree;
        work.dataset.view = name;
        if (isTree) {
            // What is marked, and the way back from one branch, are the same on both.
            document
                .getElementById(name === 'map' ? 'map' : 'outline-side')
                .append(document.getElementById('marked-bar'), document.getElementById('crumbs'));
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
        const box = { gather: () => this.gather.list, 'sorting-out': () => this.views.now.list }[this.view] ?? (() => this.outline.box);
        box().focus({ preventScroll: true });
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
        this.desk.editors.forEach((editor) => editor.body.acknowledged(answer.notes));
        if (answer.map && this.view === 'map') {
            this.map.take(answer.map);
        }
    }

    taken(answer, byOthers) {
        if (answer.sources) {
            this.citations.take(answer.sources);
        }
        this.keeping.soon();
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

    /** What is written in notes goes out now. */
    commit() {
        this.desk.editors.forEach((editor) => editor.commit());
        this.queue.flush();
    }

    // ---- Going elsewhere

    // ---- Ideas

    // ---- What is pressed
}
