/**
 * What a view can be asked for. A view is an object with those of these that it needs; the rest is as here.
 * @typedef {object} View
 * @property {() => void} [enter] it has come into sight
 * @property {() => void} [leave] another view comes into sight
 * @property {() => void} [draw] the plan is another one than before
 * @property {(id: string) => void} [reveal] brings a topic into sight, as far as it is shown here
 * @property {(id: string) => void} [retitled] one title is another one, and nothing else
 * @property {(event: Event) => void} [outwards] Escape: from the inner to the outer
 * @property {(answer: object) => void} [told] PHP has told what has changed, whether the view is in sight or not
 * @property {() => void} [toldByOthers] and it was not by what was done here
 */

/** A view that does nothing of its own. @type {Required<View>} */
const NOTHING = { enter() {}, leave() {}, draw() {}, reveal() {}, retitled() {}, outwards() {}, told() {}, toldByOthers() {} };

/**
 * The views of the page, by name: which is in sight, and the address that it has.
 * A new view is one more `add`, a component in `resources/views/components/views/`, and its route.
 */
export class Views {
    /**
     * @param {string} address of the plan
     * @param {{whenLeft: () => void, whenShown: (name: string) => void}} on
     */
    constructor(address, { whenLeft, whenShown }) {
        Object.assign(this, { address, whenLeft, whenShown });
        /** @type {Map<string, {view: View, path: string, box: HTMLElement, tab: string}>} */
        this.known = new Map();
        /** @type {string | null} */
        this.current = null;
        this.links = [...document.querySelectorAll('.top [data-view]')];
        for (const link of this.links) {
            link.addEventListener('click', (event) => {
                if (!event.ctrlKey && !event.metaKey && !event.shiftKey) {
                    event.preventDefault();
                    this.show(link.dataset.view);
                }
            });
        }
        addEventListener('popstate', () => this.show(this.at(location.pathname), false));
    }

    /**
     * @param {string} name
     * @param {View} view
     * @param {{path: string, box: string, tab?: string}} where its address below the plan's, its element, and the tab that leads to it where it has none of its own
     */
    add(name, view, { path, box, tab = name }) {
        this.known.set(name, { view, path, box: document.getElementById(box), tab });
    }

    /** The view in sight. @returns {Required<View>} */
    get now() {
        return this.of(this.current);
    }

    /** @param {string | null} name @returns {Required<View>} */
    of(name) {
        const { view } = this.known.get(name) ?? { view: {} };
        return new Proxy(view, { get: (of, act) => (act in of ? (typeof of[act] === 'function' ? of[act].bind(of) : of[act]) : NOTHING[act]) });
    }

    /** @returns {Required<View>[]} */
    get all() {
        return [...this.known.keys()].map((name) => this.of(name));
    }

    /** The view that an address belongs to. */
    at(path) {
        const below = path.slice(this.address.length);
        return [...this.known].find(([, one]) => one.path === below)?.[0] ?? 'outline';
    }

    /** Brings a view into sight; `remember`: as a new entry in the browser's history. */
    show(name, remember = true) {
        const isNew = this.current !== name;
        this.whenLeft();
        if (isNew && this.current) {
            this.now.leave();
        }
        this.current = name;
        const { path, box, tab } = this.known.get(name);
        this.known.forEach((one) => { one.box.hidden = one.box !== box; });
        for (const link of this.links) {
            link.dataset.view === tab ? link.setAttribute('aria-current', 'page') : link.removeAttribute('aria-current');
        }
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
