import { around, idOf } from '../../lib/dom.js';
import { follow, isDrag } from '../../lib/pressing.js';
import { element, svg } from '../../ui/element.js';
import { Dragging } from './dragging.js';

/** What a pointer does on the map: marks, writes, folds, draws a rectangle around topics, and drags branches to another place. */
export class Hands extends Dragging {
    /** @param {import('./map.js').MapView} map */
    constructor(map) {
        super();
        this.map = map;
        this.isDrawing = false;
        const box = (this.box = map.picture.box);
        box.addEventListener('pointerdown', (event) => this.press(event));
        // What is pulled by a finger is not scrolled by it, whatever the browser has made of what became visible a moment ago.
        box.addEventListener('touchstart', (event) => around(event, '.handle, .resize') && event.preventDefault(), {
            passive: false,
        });
        box.addEventListener('dblclick', (event) => this.twice(event));
        box.addEventListener('contextmenu', (event) => this.menu(event));
        this.band = map.picture.over.appendChild(svg('rect', { class: 'band', hidden: '' }));
        this.mark = map.picture.over.appendChild(svg('path', { class: 'landing-line', hidden: '' }));
        this.number = element('output', { class: 'landing-number', hidden: true });
        map.side.append(this.number);
    }

    get outline() {
        return this.map.outline;
    }
    get isBusy() {
        return this.ids !== undefined || this.rectangle !== undefined;
    }

    /** @param {Event} event */
    leafAt(event) {
        return around(event, '.leaf');
    }

    /** Whether a press moves the map: on empty ground, and with a finger on what is not marked. @param {MouseEvent} event */
    mayPan(event) {
        if (this.isDrawing || event.shiftKey || this.isBusy) {
            return false;
        }
        const leaf = this.leafAt(event);
        return !around(event, '.relation, .handle') && (!leaf || (event.type.startsWith('touch') && !this.outline.marked.has(idOf(leaf))));
    }

    /** @param {PointerEvent} event */
    press(event) {
        if (event.button !== 0) {
            return;
        }
        const leaf = this.leafAt(event);
        this.map.peek.hide();
        if (leaf && around(event, '.resize')) {
            event.preventDefault();
            this.map.pictures.resize(event, idOf(leaf));
        } else if (leaf && around(event, '.handle')) {
            event.preventDefault();
            this.map.relations.pull(event, idOf(leaf));
        } else if (leaf) {
            this.pressLeaf(event, idOf(leaf));
        } else {
            this.pressGround(event);
        }
    }

    // ---- On a topic

    /** @param {PointerEvent} event @param {string} id */
    pressLeaf(event, id) {
        const { outline } = this;
        const isFinger = event.pointerType === 'touch';
        const wasMarked = outline.marked.has(id) && outline.marked.size === 1 && outline.active === id;
        const target = event.target;
        const mayDrag = this.map.page.session.rights.mayWrite && (!isFinger || outline.marked.has(id));
        if (!isFinger) {
            event.preventDefault();
            this.box.focus({ preventScroll: true });
        }
        let isFar = false;
        this.track(event, {
            move: (e) => {
                isFar ||= isDrag(event, e);
                if (isFar && mayDrag) {
                    this.ids ??= outline.tree.heads(outline.marked.has(id) ? outline.markedInOrder() : [id]);
                    this.drag(e);
                }
            },
            up: (e) => {
                if (this.ids) {
                    this.drop(e);
                } else if (!isFar) {
                    this.click(e, id, target, isFinger && wasMarked);
                }
            },
        });
    }

    /** @param {MouseEvent} event @param {string} id @param {any} target @param {any} isSecond */
    click(event, id, target, isSecond) {
        const { outline } = this;
        outline.titles.end();
        if (target.closest('.knob')) {
            outline.marking.only(id);
            outline.on('toggleFold', id);
        } else if (target.closest('.note-sign')) {
            outline.on('openNote', id);
            return;
        } else if (event.shiftKey) {
            outline.marking.to(id);
        } else if (event.ctrlKey || event.metaKey || outline.state.isAdding.get()) {
            outline.marking.toggle(id);
        } else if (isSecond) {
            this.map.write(id);
            return;
        } else {
            outline.marking.only(id);
        }
        this.box.focus({ preventScroll: true });
    }

    /** @param {MouseEvent} event */
    twice(event) {
        const leaf = this.leafAt(event);
        if (leaf && !around(event, '.knob, .note-sign')) {
            this.map.write(idOf(leaf));
        } else if (!leaf && around(event, '.map-title')) {
            this.map.page.commands.run('anywhere', 'properties');
        } else if (!leaf && !around(event, '.relation')) {
            this.map.idea(this.map.camera.point(event));
        }
    }

    /** @param {MouseEvent} event */
    menu(event) {
        const leaf = this.leafAt(event);
        if (leaf) {
            event.preventDefault();
            this.outline.on('openMenu', idOf(leaf), leaf);
        }
    }

    // ---- On empty ground

    /** @param {PointerEvent} event */
    pressGround(event) {
        const isRectangle = this.isDrawing || event.shiftKey;
        this.outline.titles.end();
        this.box.focus({ preventScroll: true });
        if (!isRectangle) {
            return;
        }
        event.preventDefault();
        const [x, y] = this.map.camera.point(event);
        const kept = event.ctrlKey || event.shiftKey ? new Set(this.outline.marked) : new Set();
        this.rectangle = [x, y, x, y];
        this.track(event, {
            move: (e) => {
                const [toX, toY] = this.map.camera.point(e);
                this.rectangle = [Math.min(x, toX), Math.min(y, toY), Math.max(x, toX), Math.max(y, toY)];
                const [left, top, right, bottom] = this.rectangle;
                Object.entries({ x: left, y: top, width: right - left, height: bottom - top }).forEach(([name, value]) =>
                    this.band.setAttribute(name, String(value)),
                );
                this.band.removeAttribute('hidden');
                this.markIn(kept);
            },
            up: () => this.cancel(),
        });
    }

    /** @param {Iterable<string>} kept */
    markIn(kept) {
        const [left, top, right, bottom] = this.rectangle ?? [0, 0, 0, 0];
        const { outline, map } = this;
        const inside = map.picture.list
            .filter(({ id }) => {
                const { box } = map.picture.shapes.get(id) ?? { box: [Infinity, Infinity, -Infinity, -Infinity] };
                return box[2] > left && box[0] < right && box[3] > top && box[1] < bottom;
            })
            .map(({ id }) => id);
        outline.state.markAll([...kept, ...inside], inside.at(-1) ?? outline.active);
        map.picture.fresh();
        outline.marking.draw();
    }

    // ---- Dragging

    /** A branch that comes from the tray is dragged like one on the map. @param {PointerEvent} event @param {string} id */
    take(event, id) {
        this.ids = [id];
        this.track(event, { move: (e) => this.drag(e), up: (e) => this.drop(e) });
    }

    /** @param {PointerEvent} event @param {{move: (event: PointerEvent) => void, up: (event: PointerEvent) => void}} on */
    track(event, { move, up }) {
        this.stop?.abort();
        this.stop = follow(event, { move, up, cancel: () => this.cancel() });
    }

    cancel() {
        this.stop?.abort();
        clearTimeout(this.asking);
        this.ids = this.rectangle = this.asked = undefined;
        this.place = null;
        this.band.setAttribute('hidden', '');
        this.mark.setAttribute('hidden', '');
        this.number.hidden = true;
        this.map.side.classList.remove('is-dragging');
        if (this.isDrawing) {
            this.isDrawing = false;
            this.map.drawTools();
        }
    }
}
