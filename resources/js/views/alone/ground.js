import { allOf, byId } from '../../lib/dom.js';
import { OnMap } from '../present/on-map.js';

/** The map of the page that stands alone, in any of its arrangements. */
export class Ground {
    /** @param {any} data @param {(id: string) => string} pictureOf @param {(id: string) => void} open shows the note of a topic */
    constructor(data, pictureOf, open) {
        this.maps = data.maps;
        this.open = open;
        this.box = byId('alone-ground', SVGSVGElement);
        this.map = new OnMap(this.box, pictureOf, undefined, data.back ? () => data.back : undefined);
        this.at = -1;
        for (const button of allOf(document, '[data-arrangement]', HTMLElement)) {
            button.addEventListener('click', () => this.arrange(button.dataset.arrangement ?? 'spine'));
        }
        for (const button of allOf(document, '[data-size]', HTMLElement)) {
            button.addEventListener('click', () => this.size(button.dataset.size ?? ''));
        }
        this.box.addEventListener('click', ({ target }) => {
            const leaf = /** @type {Element} */ (target).closest('.leaf');
            leaf && this.mark(/** @type {HTMLElement} */ (leaf).dataset.id ?? '', true);
        });
        this.box.addEventListener('keydown', (event) => this.pressed(event));
    }

    enter() {
        this.arrangement ?? this.arrange('spine');
    }

    /** @param {string} arrangement */
    arrange(arrangement) {
        this.arrangement = arrangement;
        for (const button of allOf(document, '[data-arrangement]', HTMLElement)) {
            button.setAttribute('aria-pressed', String(button.dataset.arrangement === arrangement));
        }
        this.map.take(this.maps[arrangement]);
        this.map.camera.fit(this.map.bounds, { isSlow: false });
        this.map.moved();
    }

    /** @param {string} how */
    size(how) {
        how === 'whole' ? this.map.camera.fit(this.map.bounds) : this.map.camera.by(how === 'larger' ? 1.3 : 1 / 1.3);
    }

    /** @param {string} id @param {boolean} opens */
    mark(id, opens) {
        const { canvas, camera } = this.map;
        const shape = canvas?.shapes.get(id);
        if (!canvas || !shape) {
            return;
        }
        this.at = canvas.list.findIndex((one) => one.id === id);
        this.map.now = id;
        camera.reveal(shape.box);
        canvas.isStale = true;
        this.map.moved();
        canvas.drawn.forEach((leaf, one) => leaf.classList.toggle('is-marked', one === id));
        this.box.setAttribute('aria-activedescendant', `spot-${id}`);
        opens && this.open(id);
    }

    /** @param {KeyboardEvent} event */
    pressed(event) {
        const list = this.map.canvas?.list ?? [];
        const step = (/** @type {number} */ by) => this.mark(list[Math.max(0, Math.min(list.length - 1, this.at + by))]?.id ?? '', false);
        /** @type {Record<string, () => unknown>} */
        const acts = {
            ArrowDown: () => step(1),
            ArrowRight: () => step(1),
            ArrowUp: () => step(-1),
            ArrowLeft: () => step(-1),
            Enter: () => list[this.at] && this.open(list[this.at].id),
            '+': () => this.size('larger'),
            '-': () => this.size('smaller'),
            0: () => this.size('whole'),
        };
        if (acts[event.key] && !event.ctrlKey && !event.metaKey && !event.altKey) {
            event.preventDefault();
            acts[event.key]();
        }
    }
}
