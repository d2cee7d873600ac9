import { allOf } from '../lib/dom.js';
import { follow, isDrag } from '../lib/pressing.js';
import { colour, element } from './element.js';
import { ROOT } from '../state/plan.js';

/** The strip: a section is a click away, and dragging one puts it elsewhere in the order. */
export class StripBar {
    /**
     * @param {HTMLElement} box
     * @param {import('../state/plan.js').Tree} tree
     * @param {{go: (id: string) => void, move: ((ids: string[], place: import('../state/topics.js').Place) => void) | null}} on
     */
    constructor(box, tree, { go, move }) {
        this.box = box;
        this.tree = tree;
        this.go = go;
        this.move = move;
        /** @type {any[] | null} what is drawn */
        this.shown = null;
        /** @type {string | null} */
        this.here = null;
        this.dragged = false;
    }

    /** @param {string | null} here the main section in hand */
    draw(here) {
        // Redrawn only for something else to show: typing in a title must not cost more in a long plan.
        if (this.tree.strip === this.shown && here === this.here) {
            return;
        }
        [this.shown, this.here] = [this.tree.strip, here];
        this.box.style.setProperty('--count', String(this.tree.strip.length));
        this.box.replaceChildren(...this.tree.strip.map((/** @type {Record<string, any>} */ section) => this.section(section, here)));
        this.box.hidden = false;
    }

    /** @param {Record<string, any>} section @param {string | null} here */
    section({ id, label, title, dye, share, filled }, here) {
        const name = title || 'Untitled';
        return element(
            'button',
            {
                type: 'button',
                class: id === here ? 'is-here' : null,
                'aria-current': id === here ? 'true' : null,
                'data-id': id,
                '--d': colour(dye),
                '--share': share,
                '--w': filled,
                title: `${label} ${name}, ${Math.round(filled * 100)} % written`.trim(),
                onpointerdown: (/** @type {PointerEvent} */ event) => this.press(event, id),
                onclick: () => this.go(id),
            },
            element('b', {}, label),
            element('span', {}, name),
        );
    }

    /** @param {PointerEvent} event @param {string} id */
    press(event, id) {
        /** @type {HTMLElement | null} */
        let over = null;
        follow(event, {
            move: (e) => {
                if (!this.move || (!this.dragged && !isDrag(event, e))) {
                    return;
                }
                over?.classList.remove('is-target');
                over = allOf(this.box, 'button').find((one) => e.clientX < one.getBoundingClientRect().left + one.offsetWidth / 2) ?? null;
                over?.classList.add('is-target');
                this.dragged = true;
            },
            up: () => this.dragged && this.drop(id, over),
            cancel: () => {
                this.dragged = false;
                over?.classList.remove('is-target');
            },
        });
    }

    /** @param {string} id @param {HTMLElement | null} over */
    drop(id, over) {
        const others = this.tree.partsOf(ROOT).filter((one) => one !== id);
        const after = over ? (others[others.indexOf(over.dataset.id ?? '') - 1] ?? null) : (others.at(-1) ?? null);
        this.dragged = false;
        over?.classList.remove('is-target');
        if (over?.dataset.id !== id) {
            this.move?.([id], { parent: ROOT, after });
        }
    }
}
