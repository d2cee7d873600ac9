import { select } from 'd3-selection';
import { zoom, zoomIdentity } from 'd3-zoom';

/** Left, top, right, bottom. @typedef {[number, number, number, number]} Box */

const LEAST = 0.03;
const MOST = 4;
const DURATION = 180;

/** What part of the map is in sight, and how large: wheel, pinch, drag and keys. */
export class Camera {
    /**
     * @param {SVGSVGElement} ground
     * @param {{onMove: () => void, onHand: () => void, mayDrag: (event: any) => boolean}} on what happens when it moves, when a hand moves
     *     it, and whether a press may
     */
    constructor(ground, { onMove, onHand, mayDrag }) {
        this.ground = ground;
        this.onMove = onMove;
        this.view = zoomIdentity;
        this.selection = select(ground);
        /** @type {import('d3-zoom').ZoomBehavior<SVGSVGElement, unknown>} */
        this.zoom = zoom();
        this.zoom
            .scaleExtent([LEAST, MOST])
            // By itself it would ask the page at every step, which then has to be laid out before it is drawn.
            .extent(() => [
                [0, 0],
                [this.size.width, this.size.height],
            ])
            .filter((event) => (event.type === 'wheel' ? true : event.type !== 'dblclick' && !event.button && mayDrag(event)))
            .on('zoom', ({ transform }) => {
                this.view = transform;
                this.onMove();
            })
            .on('start', ({ sourceEvent }) => {
                if (sourceEvent) {
                    onHand();
                    ground.classList.add('is-moving');
                }
            })
            .on('end', () => ground.classList.remove('is-moving'));
        this.selection.call(this.zoom).on('dblclick.zoom', null);
        new ResizeObserver(() => this.measure()).observe(ground);
    }

    get scale() {
        return this.view.k;
    }

    /** Of the ground, in pixels: as it was measured last, or now, where it was not to be seen then. */
    get size() {
        return this.measured?.width ? this.measured : this.measure();
    }

    /** @returns {{width: number, height: number}} */
    measure() {
        const { clientWidth: width, clientHeight: height } = this.ground;
        return (this.measured = { width, height });
    }

    /** The part of the map that is in sight. @returns {Box} */
    get sight() {
        const { width, height } = this.size;
        return [...this.view.invert([0, 0]), ...this.view.invert([width, height])];
    }

    /** A point of the window, on the map. @param {{clientX: number, clientY: number}} event */
    point(event) {
        const box = this.ground.getBoundingClientRect();
        return this.view.invert([event.clientX - box.left, event.clientY - box.top]);
    }

    /** `lasts`: how long it takes, in ms. @param {import('d3-zoom').ZoomTransform} view */
    to(view, isSlow = true, lasts = DURATION) {
        this.ticket = null;
        if (isSlow && !matchMedia('(prefers-reduced-motion: reduce)').matches && this.size.width) {
            this.glide(view, lasts);
        } else {
            this.selection.call(this.zoom.transform, view);
        }
    }

    /** Moves there bit by bit; what is newer ends what is older. @param {import('d3-zoom').ZoomTransform} view @param {number} lasts */
    glide(view, lasts) {
        const from = this.view;
        const begun = performance.now();
        const ticket = (this.ticket = {});
        const step = (/** @type {number} */ now) => {
            if (this.ticket !== ticket) {
                return;
            }
            const t = Math.min(1, (now - begun) / lasts);
            const eased = 1 - (1 - t) ** 3;
            const mix = (/** @type {number} */ a, /** @type {number} */ b) => a + (b - a) * eased;
            this.selection.call(
                this.zoom.transform,
                zoomIdentity.translate(mix(from.x, view.x), mix(from.y, view.y)).scale(mix(from.k, view.k)),
            );
            if (t < 1) {
                requestAnimationFrame(step);
            }
        };
        requestAnimationFrame(step);
    }

    /** @param {number} factor */
    by(factor) {
        const { width, height } = this.size;
        const [x, y] = this.view.invert([width / 2, height / 2]);
        const k = Math.max(LEAST, Math.min(MOST, this.scale * factor));
        this.to(zoomIdentity.translate(width / 2 - x * k, height / 2 - y * k).scale(k));
    }

    /** Brings a part of the map into sight as a whole, no larger than it is. `taken`: what covers the right edge. @param {Box} box */
    fit([left, top, right, bottom], { taken = 0, isSlow = true, most = 1, lasts = DURATION } = {}) {
        const { width, height } = this.size;
        const room = { width: Math.max(120, width - taken - 48), height: Math.max(120, height - 56) };
        const k = Math.max(LEAST, Math.min(most, room.width / Math.max(1, right - left), room.height / Math.max(1, bottom - top)));
        const x = 24 + (room.width - (right - left) * k) / 2 - left * k;
        const y = 24 + (room.height - (bottom - top) * k) / 2 - top * k;
        this.to(zoomIdentity.translate(x, y).scale(k), isSlow, lasts);
    }

    /** Moves just so far that a box is in sight, with some room around it. @param {Box} box */
    reveal([left, top, right, bottom], taken = 0) {
        const { width, height } = this.size;
        const { x, y, k } = this.view;
        /** @type {(from: number, to: number, room: number, edge: number) => number} */
        const shift = (from, to, room, edge) =>
            from * k + edge < 24 ? 24 - from * k - edge : to * k + edge > room ? Math.max(room - to * k - edge, 24 - from * k - edge) : 0;
        const [dx, dy] = [shift(left, right, width - taken - 24, x), shift(top, bottom, height - 72, y)];
        if (dx || dy) {
            this.to(zoomIdentity.translate(x + dx, y + dy).scale(k));
        }
    }
}
