import { byId } from '../lib/dom.js';
import { whenLeft } from '../lib/fields.js';
import { ROOT } from '../state/plan.js';
import { planMenu } from '../ui/plan-menu.js';
import { say, tell } from '../ui/toast.js';
import { Anywhere, PLACES } from './anywhere.js';

/**
 * The page of one plan: what its views share, and what happens on it when something has changed. It is
 * put together in plan.js.
 */
export class Page extends Anywhere {
    /**
     * @param {import('./given.d.ts').PageData} data
     * @param {object} parts
     * @param {import('../state/plan.js').Tree} parts.tree
     * @param {import('../state/view-state.js').ViewState} parts.state
     * @param {import('../commands/commands.js').Commands} parts.commands
     */
    constructor(data, parts) {
        super();
        /** @type {import('./given.d.ts').PageData} */
        this.data = data;
        /** @type {import('../state/plan.js').Tree} */
        this.tree = parts.tree;
        /** @type {import('../state/view-state.js').ViewState} */
        this.state = parts.state;
        /** @type {import('../commands/commands.js').Commands} */
        this.commands = parts.commands;
    }

    // ---- What is heard

    /** What happens in the session (sync/session.js). */
    get happenings() {
        return {
            shown: (/** @type {import('../state/topics.js').Operation} */ operation) =>
                operation.type === 'retitle' && operation.topic !== ROOT ? this.views.now.retitled(operation.topic) : this.draw(),
            taken: (/** @type {import('../state/topics.js').Answer} */ answer, /** @type {boolean} */ byOthers) =>
                this.taken(answer, byOthers),
            part: (/** @type {import('../state/topics.js').Answer} */ answer) => this.answeredInPart(answer),
            refused: (/** @type {any} */ changes) => this.refusals.take(changes),
            state: () => this.frame?.showState(),
            stepping: () => this.commit(),
            stepped: this.stepped.bind(this),
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

    /** @param {import('../state/topics.js').Operation} operation @param {string} [step] @param {string | null} [typed] */
    perform(operation, step, typed) {
        return this.session.perform(operation, step, typed);
    }
    /** @param {string[]} ids @param {import('../state/topics.js').Place} place @param {string} [step] */
    move(ids, place, step) {
        this.session.move(ids, place, step);
    }
    /** @param {any} set */
    setPlan(set) {
        this.session.setPlan(set);
    }
    /** @param {string} title */
    retitlePlan(title) {
        this.session.retitlePlan(title);
    }
    /** @param {string} key */
    stepFor(key) {
        return this.session.stepFor(key);
    }
    undo() {
        return this.session.undo();
    }
    redo() {
        return this.session.redo();
    }
    /** @param {string} path @param {object} body */
    sent(path, body) {
        return this.session.sent(path, body);
    }
    /** @param {string} path @param {FormData} body */
    upload(path, body) {
        return this.session.upload(path, body);
    }
    /** @param {string} typed */
    dateOf(typed) {
        return this.session.dateOf(typed);
    }
    ask() {
        return this.session.channel.ask();
    }
    /** @param {string} text @param {{label: string, act: () => unknown} | null} [action] */
    say(text, action) {
        say(text, action);
    }
    /** @param {string} text */
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
        this.session.channel.start();
        this.talk.talking.load();
    }

    listen() {
        document.addEventListener('keydown', (event) => this.pressed(event));
        const field = byId('catch');
        field.addEventListener('keydown', (event) => this.caught(event));
        whenLeft(field, () => this.catchTyped(field));
        byId('catch-form').addEventListener('submit', (event) => event.preventDefault());
        document.addEventListener('click', (event) => this.followed(event));
        for (const closer of document.querySelectorAll('dialog [data-close]')) {
            closer.addEventListener('click', () => closer.closest('dialog')?.close());
        }
        addEventListener('pagehide', () => this.views.all.forEach((view) => view.commit()));
        planMenu((command) => this.commands.run('anywhere', command));
    }

    // ---- Views

    /** @param {any} view */
    show(view, remember = true) {
        return this.views.show(view, remember);
    }

    /** Sorts topics out of the outline, whatever they look like. @param {string[]} ids */
    async sortOut(ids) {
        const research = await this.views.loaded('sorting-out');
        research?.openWith(ids);
    }

    /** What goes with a view: its bar, and what the outline and the map share. @param {string} name */
    shown(name) {
        const isTree = name === 'outline' || name === 'map';
        const work = byId('work');
        work.hidden = !isTree;
        work.dataset.view = name;
        if (isTree) {
            // What is marked, and the way back from one branch, are the same on both.
            byId(name === 'map' ? 'map' : 'outline-side').append(byId('marked-bar'), byId('crumbs'));
        }
        byId('catch-form').hidden = !isTree;
        this.bars.show(name === 'sorting-out' ? 'sources' : name, name);
        this.frame?.draw();
        this.here?.tell();
    }

    draw() {
        this.views.now.draw();
        this.frame.draw();
    }

    /** The places of the table of commands in which one is now. */
    places() {
        return PLACES[this.view ?? ''] ?? [];
    }

    /** The keyboard goes back to where the topics are. */
    back() {
        const { list } = /** @type {{list?: HTMLElement}} */ (this.views.now);
        const isTree = ['outline', 'map'].includes(this.view ?? '');
        (isTree || !list ? this.outline.box : list).focus({ preventScroll: true });
    }

    /** What goes along with the topic that alone is marked: the strip, and the note that is open. @param {any} marked */
    marked(marked) {
        const id = this.state.active.get();
        if (id !== null && marked.size === 1 && marked.has(id)) {
            this.strip.draw(this.tree.mainSection(id));
            this.note.follow(id);
        }
    }

    // ---- What the server tells

    /**
     * The answer to some changes, while newer ones are on their way: the picture can follow already.
     * @param {import('../state/topics.js').Answer} answer
     */
    answeredInPart(answer) {
        this.desk.editors.forEach((editor) => editor.body.acknowledged(answer.notes));
        if (answer.map && this.view === 'map') {
            this.map.take(answer.map);
        }
    }

    /** @param {import('../state/topics.js').Answer} answer @param {boolean} byOthers */
    taken(answer, byOthers) {
        if (answer.sources) {
            this.citations.take(answer.sources);
        }
        this.keeping.soon();
        this.views.all.forEach((view) => view.told(answer));
        this.draw();
        [this.find, this.note, this.talk].forEach((one) => one.told(answer));
        this.labels.told();
        if (byOthers) {
            this.views.all.forEach((view) => view.toldByOthers());
        }
    }

    /**
     * @param {'undo' | 'redo'} which
     * @param {import('../state/topics.js').Answer} answer
     * @param {string | null} says
     * @param {boolean} isUnmoved
     */
    stepped(which, answer, says, isUnmoved) {
        this.outline.titles.refresh();
        const touched = answer.touched
            .map((/** @type {any} */ one) => one.slice(0, 26))
            .find((/** @type {string} */ id) => this.tree.get(id));
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
        this.views.all.forEach((view) => view.commit());
        this.desk.editors.forEach((editor) => editor.commit());
        this.queue.flush();
    }
}
