import { allOf, byId } from '../lib/dom.js';
import { holdKeys } from '../lib/held-keys.js';

/** @typedef {import('../ui/given.d.ts').Hit} Hit */

/**
 * What a view can be asked for. A view is an object with those of these that it needs; the rest is as here.
 * @typedef {object} View
 * @property {() => void} [enter] it has come into sight
 * @property {() => void} [leave] another view comes into sight
 * @property {() => void} [draw] the plan is another one than before
 * @property {(id: string) => void} [reveal] brings a topic into sight, as far as it is shown here
 * @property {(id: string) => boolean} [shows] whether one that goes to a topic stays in the view for it
 * @property {(id: string) => void} [retitled] one title is another one, and nothing else
 * @property {(event: Event) => void} [outwards] Escape: from the inner to the outer
 * @property {(answer: object) => void} [told] PHP has told what has changed, whether the view is in sight or not
 * @property {(byTopic: Map<string, Hit[]>) => Iterable<[Range, Hit]>} [rangesOf] where hits of Find stand in its text
 * @property {() => void} [drawBeside] what stands beside topics is another (state/beside.js); else all is drawn
 * @property {() => void} [commit] what is being written goes out now
 * @property {() => void} [toldByOthers] and it was not by what was done here
 */

/**
 * A view, and where it stands.
 * @typedef {object} Known
 * @property {View | null} view
 * @property {string} path
 * @property {HTMLElement} box
 * @property {string} tab
 * @property {() => Promise<View | null>} load
 * @property {Promise<View | null> | null} [coming]
 */

/** A view that does nothing of its own. @type {Required<View>} */
const NOTHING = {
    enter() {},
    leave() {},
    draw() {},
    reveal() {},
    shows: () => false,
    retitled() {},
    outwards() {},
    told() {},
    rangesOf: () => [],
    drawBeside() {},
    commit() {},
    toldByOthers() {},
};

/**
 * The views of the page, by name: which is in sight, and the address that it has.
 * A new view is one more `add`, a component in `resources/views/components/views/`, and its route.
 */
export class Views {
    /**
     * @param {string} address of the plan
     * @param {object} on
     * @param {() => void} on.whenLeft another view is about to come
     * @param {(name: string) => void} on.whenShown
     * @param {() => void} on.whenLost a view could not be fetched
     */
    constructor(address, { whenLeft, whenShown, whenLost }) {
        this.address = address;
        this.whenLeft = whenLeft;
        this.whenShown = whenShown;
        this.whenLost = whenLost;
        /** @type {Map<string, Known>} */
        this.known = new Map();
        /** @type {string | null} */
        this.current = null;
        this.links = [...allOf(document, '.top [data-view]')];
        for (const link of this.links) {
            link.addEventListener('click', (event) => {
                if (!event.ctrlKey && !event.metaKey && !event.shiftKey) {
                    event.preventDefault();
                    this.show(link.dataset.view ?? '');
                }
            });
        }
        addEventListener('popstate', () => this.show(this.at(location.pathname), false));
    }

    /**
     * @param {string} name
     * @param {View | null} view null: it is fetched when it is first wanted
     * @param {object} where
     * @param {string} where.path its address below the plan's
     * @param {string} where.box its element
     * @param {string} [where.tab] the tab that leads to it, where it has none of its own
     * @param {() => Promise<View | null>} [where.load] how it is fetched
     */
    add(name, view, { path, box, tab = name, load = async () => view }) {
        this.known.set(name, { view, path, box: byId(box), tab, load });
    }

    /** The view, fetched if it is not here yet; null where it cannot be fetched now. @returns {Promise<any>} @param {string} name */
    async loaded(name) {
        const one = this.named(name);
        if (!one.view) {
            one.coming ??= one.load().catch(() => {
                one.coming = null;
                return null;
            });
            one.view = await one.coming;
        }
        return one.view;
    }

    /** @param {string} name @returns {Known} */
    named(name) {
        const one = this.known.get(name);
        if (!one) {
            throw new Error(`There is no view “${name}”.`);
        }
        return one;
    }

    /** Fetches all that is not here yet, one after the other. */
    async fetchAll() {
        for (const name of this.known.keys()) {
            await this.loaded(name);
        }
    }

    /** The view in sight. @returns {Required<View>} */
    get now() {
        return this.of(this.current);
    }

    /** What stands beside topics is another: who is there, what is said, what is new. */
    drawBeside() {
        const view = (this.current && this.known.get(this.current)?.view) || {};
        view.drawBeside ? view.drawBeside() : view.draw?.();
    }

    /** @param {string | null} name @returns {Required<View>} */
    of(name) {
        /** @type {Record<string | symbol, any>} */
        const view = (name && this.known.get(name)?.view) || {};
        /** @type {Record<string | symbol, any>} */
        const nothing = NOTHING;
        const given = new Proxy(view, {
            get: (of, act) => (act in of ? (typeof of[act] === 'function' ? of[act].bind(of) : of[act]) : nothing[act]),
        });
        return /** @type {Required<View>} */ (given);
    }

    /** @returns {Required<View>[]} */
    get all() {
        return [...this.known].filter(([, one]) => one.view).map(([name]) => this.of(name));
    }

    /** The view that an address belongs to. @param {string} path */
    at(path) {
        const below = path.slice(this.address.length);
        return [...this.known].find(([, one]) => one.path === below)?.[0] ?? 'outline';
    }

    /**
     * Brings a view into sight; `remember`: as a new entry in the browser's history. Resolves when it is there.
     * @param {string} name
     */
    async show(name, remember = true) {
        this.wanted = name;
        if (!this.named(name).view) {
            // What is pressed from now on is meant for the view that comes.
            const letGo = holdKeys();
            this.markTab(name);
            const view = await this.loaded(name);
            if (!view || this.wanted !== name) {
                view ?? this.whenLost();
                this.markTab(this.current);
                letGo();
                return;
            }
            this.turnTo(name, remember);
            letGo();
            return;
        }
        this.turnTo(name, remember);
    }

    /** @param {string | null} name */
    markTab(name) {
        const tab = name && this.known.get(name)?.tab;
        for (const link of this.links) {
            link.dataset.view === tab ? link.setAttribute('aria-current', 'page') : link.removeAttribute('aria-current');
        }
    }

    /** @param {string} name @param {any} remember */
    turnTo(name, remember) {
        const isNew = this.current !== name;
        this.whenLeft();
        if (isNew && this.current) {
            this.now.leave();
        }
        this.current = name;
        const { path, box } = this.named(name);
        this.known.forEach((one) => {
            one.box.hidden = one.box !== box;
        });
        this.markTab(name);
        if (remember && isNew) {
            history.pushState(null, '', this.address + path);
        }
        this.whenShown(name);
        this.now.draw();
        if (isNew) {
            this.now.enter();
        }
    }
}
