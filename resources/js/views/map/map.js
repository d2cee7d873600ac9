import { send } from '../../lib/http.js';
import { store } from '../../lib/stored.js';
import { always, when } from '../../commands/commands.js';
import { actionFor } from '../../lib/keys.js';
import { ROOT, TRAY } from '../../state/plan.js';
import { Camera } from '../../map/camera.js';
import { Hands } from './hands.js';
import { Overview } from '../../map/overview.js';
import { LooksPanel } from './looks-panel.js';
import { NotePeek } from '../../ui/note-peek.js';
import { RelationLayer } from './relation-layer.js';
import { Picture } from '../../map/picture.js';
import { Pictures } from './pictures.js';
import { Tray } from './tray.js';

const STEP = 1.25;

/**
 * The map: the outline's own topics, marks and acts, drawn as a picture. Where everything stands is
 * worked out by PHP; this asks for it, with what is folded and how the person wants to see it.
 */
export class MapView {
    constructor(page) {
        this.page = page;
        this.outline = page.outline;
        this.side = document.getElementById('map');
        this.look = page.data.map;
        this.picture = new Picture(this);
        this.hands = new Hands(this);
        this.camera = new Camera(this.picture.box, { onMove: () => this.moved(), onHand: () => { this.isWhole = false; }, mayDrag: (event) => this.hands.mayPan(event) });
        this.overview = new Overview(this);
        this.tray = new Tray(this);
        this.panel = new LooksPanel(this);
        this.peek = new NotePeek(this.page, this.side, '.note-sign', (sign) => sign.closest('.leaf').dataset.id);
        this.relations = new RelationLayer(this);
        this.pictures = new Pictures(this);
        this.box = this.picture.box;
        page.commands.provide('map', this.commands);
        this.box.addEventListener('keydown', (event) => this.pressed(event));
        this.outline.takesFirst(document.getElementById('first-on-map'));
        new ResizeObserver(() => this.isShown && this.resized()).observe(this.box);
        this.tools = document.querySelector('[data-bar=map]');
        this.tools.addEventListener('click', (event) => this.tool(event.target.closest('[data-tool]')));
        document.addEventListener('fullscreenchange', () => this.drawTools());
        this.decided = `embrel.unfolded.${page.data.user}.${page.data.plan}`;
    }

    get tree() { return this.page.tree; }
    get isShown() { return this.page.view === 'map'; }

    /** How much of the right edge the note covers, in pixels. */
    get taken() {
        return !document.getElementById('note').hidden && this.box.clientWidth > 700 ? document.getElementById('note').offsetWidth + 16 : 0;
    }

    // ---- As a view of the page

    async enter() {
        this.drawTools();
        const { outline } = this;
        const first = this.picture.index.has(outline.active) ? outline.active : this.picture.list[0]?.id ?? null;
        first ? outline.marking.only(first) : outline.state.mark(null);
        // At once: what is typed while the picture is on its way is typed here.
        if (!outline.active) {
            document.getElementById('first-on-map').focus();
        } else if (!this.page.note.isOpen) {
            this.box.focus({ preventScroll: true });
        }
        // Another question may have been asked meanwhile, and this one's answer be too old.
        for (let tries = 0; (!this.picture.told || this.isStale) && tries < 3; tries++) {
            await this.ask();
        }
        if (!this.isShown) {
            return;
        }
        if (!this.picture.told) {
            this.page.say('The map cannot be drawn: the server cannot be reached.');
            return;
        }
        if (!this.isPlaced) {
            this.isPlaced = true;
            this.first();
        }
        this.picture.draw();
    }

    /** The first look: the whole if it can be read so, else its beginning as large as it can be read. */
    first() {
        const [left, top, right, bottom] = this.picture.told.bounds;
        const { width, height } = this.camera.size;
        const fitting = Math.min((width - this.taken - 48) / (right - left), (height - 56) / (bottom - top));
        const [titleX, titleY] = this.picture.told.title.at;
        if (fitting >= (this.look.arrangement === 'spine' ? 0.6 : 0.4)) {
            this.fit(false);
        } else if (this.look.arrangement !== 'spine') {
            const [w, h] = [(width - 48) / 0.6, (height - 56) / 0.6];
            const from = this.look.arrangement === 'both' ? titleY - 20 : titleY - h / 2;
            this.camera.fit([titleX - w / 2, from, titleX + w / 2, from + h], { isSlow: false });
        } else {
            const k = Math.max(0.7, Math.min(1, (width - 80) / (right - left)));
            this.camera.fit([left, top, left + (width - 48) / k, top + (height - 56) / k], { isSlow: false });
        }
    }

    draw() {
        this.outline.draw();
        this.tray.draw();
        document.getElementById('map-empty').hidden = this.tree.partsOf(ROOT).length > 0;
    }

    retitled(id) {
        this.page.note.retitled(id);
    }

    reveal(id) {
        this.outline.reveal(id);
    }

    outwards(event) {
        if (this.hands.isBusy) {
            this.hands.cancel();
        } else if (document.fullscreenElement && !this.outline.writing && event.target === this.box && this.outline.marked.size < 2) {
            document.exitFullscreen();
        } else {
            this.outline.outwards(event);
        }
    }

    resized() {
        this.picture.isStale = true;
        this.picture.draw();
        this.overview.draw();
    }

    /** The note has opened or closed beside the map: what was seen whole is seen whole again. */
    narrowed() {
        if (this.isShown && this.isWhole) {
            this.fit();
        }
    }

    moved() {
        this.picture.move();
        this.picture.placeField();
        // Drawing it costs as much as the map itself, and nobody watches it at every frame.
        this.seen ??= setTimeout(() => { this.seen = null; this.overview.draw(); }, 100);
        this.peek.hide();
        const share = `${Math.round(this.camera.scale * 100)}%`;
        this.percent ??= this.tools.querySelector('[data-tool=actual]');
        if (this.percent.textContent !== share) {
            this.percent.textContent = share;
        }
    }

    /** What PHP has told changed: with the picture where that was asked for beside it, else the picture is asked for. */
    told(answer) {
        answer.map ? this.take(answer.map, false) : this.changed();
    }

    // ---- Asking PHP

    /** What the server must know to draw this map; the sections that it need not tell again. */
    get wants() {
        const { outline, picture } = this;
        return {
            look: this.look, start: outline.state.isAlone ? outline.start : null, known: picture.prints,
            ...(this.foldsItself ? { room: this.room } : { folded: [...outline.folds].filter((id) => this.tree.get(id)) }),
        };
    }

    /** Whether the map is to be folded so far that it can be read: at its first look, where the person has folded nothing, here or ever. */
    get foldsItself() {
        const { state } = this.outline;
        return !this.isPlaced && state.mapFolds.get() === null && state.ownFolds.get().size === 0 && !state.isAlone && !localStorage.getItem(this.decided);
    }

    /** What there is for the map, in pixels. */
    get room() {
        const { width, height } = this.camera.size;
        return [Math.max(1, Math.round(width - this.taken - 48)), Math.max(1, Math.round(height - 56))];
    }

    /** From now on it is folded as the person wants it. */
    foldedByHand() {
        store(this.decided, '1');
    }

    /** The picture is not that of the plan any more: asks for it now, or when the map is looked at. */
    changed() {
        this.isStale = true;
        if (this.isShown) {
            clearTimeout(this.asking);
            this.asking = setTimeout(() => this.ask(), 0);
        }
    }

    async ask(keep = false) {
        clearTimeout(this.asking);
        await this.page.queue.flush();
        const ticket = this.ticket = {};
        /** The answer that is awaited. */
        this.asked = send('POST', `${this.page.address}/map`, { map: this.wants, keep }).catch(() => null);
        const told = await this.asked;
        if (told && this.ticket === ticket) {
            this.take(told);
        }
        return told;
    }

    /** `isLast`: nothing else has changed that would draw it too. */
    take(told, isLast = true) {
        // What was asked before is older than this.
        this.ticket = null;
        this.isStale = false;
        this.side.dataset.arrangement = told.look.arrangement;
        this.side.dataset.style = told.look.style;
        const { state } = this.outline;
        if (told.folded?.length && state.mapFolds.get() === null && state.ownFolds.get().size === 0) {
            state.foldMap(told.folded);
        }
        this.picture.take(told);
        if (isLast) {
            this.outline.draw();
        }
        this.relations.draw(told.relations);
        this.overview.draw(true);
        this.picture.placeField();
        if (this.follow && this.picture.shapes.has(this.follow)) {
            this.picture.reveal(this.follow);
        }
        this.follow = null;
    }

    setLook(change, keep = true) {
        const before = this.look;
        this.look = { ...this.look, ...change };
        this.drawTools();
        return this.ask(keep).then((told) => {
            if (!told) {
                this.look = before;
                this.drawTools();
                this.page.say('The server cannot be reached, so the map stays as it is.');
            } else if (change.arrangement) {
                this.fit();
            }
        });
    }

    // ---- Tools

    drawTools() {
        for (const button of this.tools.querySelectorAll('[data-arrangement]')) {
            button.setAttribute('aria-pressed', String(button.dataset.arrangement === this.look.arrangement));
        }
        this.tools.querySelector('[data-tool=full]').setAttribute('aria-pressed', String(document.fullscreenElement !== null));
        this.tools.querySelector('[data-tool=rectangle]').setAttribute('aria-pressed', String(this.hands.isDrawing));
    }

    tool(button) {
        if (!button) {
            return;
        }
        ({
            arrange: () => this.setLook({ arrangement: button.dataset.arrangement }),
            smaller: () => this.camera.by(1 / STEP), larger: () => this.camera.by(STEP), actual: () => this.camera.by(1 / this.camera.scale), whole: () => this.fit(),
            branch: () => this.outline.active && this.fitBranch(this.outline.active),
            rectangle: () => { this.hands.isDrawing = !this.hands.isDrawing; this.drawTools(); },
            full: () => (document.fullscreenElement ? document.exitFullscreen() : document.documentElement.requestFullscreen().catch(() => this.page.say('This browser does not allow a full screen here.'))),
            look: () => this.panel.toggle(button),
        })[button.dataset.tool]();
    }

    fit(isSlow = true) {
        if (this.picture.told) {
            this.camera.fit(this.picture.told.bounds, { taken: this.taken, isSlow });
            this.isWhole = true;
        }
    }

    fitBranch(id) {
        const ids = new Set(this.tree.branch(id));
        const shapes = [...this.picture.shapes.values()].filter((shape) => ids.has(shape.id));
        if (shapes.length) {
            this.camera.fit(this.picture.bounds(shapes), { taken: this.taken, most: 1.25 });
        }
    }

    // ---- Keys

    pressed(event) {
        if (event.target !== this.box) {
            return;
        }
        const action = actionFor(event, 'map');
        if (!action) {
            this.outline.pressedInRow(event);
            return;
        }
        event.preventDefault();
        this.page.commands.run('map', action, { id: this.outline.active, event });
    }

    /** What can be done on the map, beside what can be done with marked topics anywhere. */
    get commands() {
        const go = (...way) => always(() => this.go(...way));
        return {
            goUp: go('up'), goDown: go('down'), goLeft: go('left'), goRight: go('right'),
            reachUp: go('up', true), reachDown: go('down', true), reachLeft: go('left', true), reachRight: go('right', true),
            larger: always(() => this.camera.by(STEP)), smaller: always(() => this.camera.by(1 / STEP)),
            wholeMap: always(() => this.fit()), wholeBranch: when(() => this.outline.active, () => this.fitBranch(this.outline.active)),
            fold: always(() => this.toggleFold()),
            addInside: always(() => this.add('inside')), addAfter: always(() => this.add('after')), addBefore: always(() => this.add('before')),
        };
    }

    toggleFold() {
        const { active, folds } = this.outline;
        if (active) {
            this.outline.on('toggleFold', active);
            this.unfolded = folds.has(active) ? null : active;
        }
    }

    /** Goes to the topic in a direction; `isMore`: and marks it beside the others. */
    go(direction, isMore = false) {
        const { outline, picture } = this;
        const next = outline.active && (this.justUnfolded(outline.active, direction) ?? (picture.shapes.has(outline.active) ? picture.ways.go(outline.active, direction) : this.nearNew(outline.active, direction)));
        this.unfolded = null;
        if (next && isMore) {
            outline.state.add(next);
            picture.reveal(next);
            outline.marking.draw();
        } else if (next) {
            outline.marking.only(next);
            picture.reveal(next);
        }
    }

    /** The first part of a topic that was unfolded a moment ago: the same, whether its parts are on the map by now or not. */
    justUnfolded(id, direction) {
        const shape = this.picture.shapes.get(id);
        const isOut = shape && direction === (shape.isMirrored ? 'left' : 'right');
        const [first] = isOut ? this.tree.partsOf(id).filter((part) => this.picture.index.has(part)) : [];
        return first && (this.unfolded === id || !this.picture.shapes.has(first)) ? first : null;
    }

    /** From a topic that was only just made, and is not on the map yet: it will stand as its siblings do. */
    nearNew(id, direction) {
        const { parent, after } = this.tree.placeOf(id);
        const beside = this.picture.shapes.get(after) ?? this.picture.shapes.get(parent);
        const isBack = beside && direction === (beside.isMirrored ? 'right' : 'left');
        return isBack && this.tree.get(parent) ? parent : beside?.id ?? null;
    }

    add(where) {
        const { outline, tree } = this;
        const id = outline.active;
        const topic = tree.get(id);
        if (!topic) {
            outline.addAtEnd();
            return;
        }
        const place = { inside: () => tree.lastPlace(id), after: () => ({ parent: topic.parent, after: id }), before: () => tree.placeOf(id) }[where]();
        if (where === 'inside' && outline.folds.has(id)) {
            outline.setFolds((folds) => folds.delete(id));
        }
        this.write(outline.add(place));
    }

    write(id) {
        this.outline.marking.only(id);
        this.outline.titles.write(id, 'end');
        this.follow = id;
    }

    /** An idea on empty ground: it stands there, loose, until it is dragged into the tree. */
    idea(point) {
        const { outline } = this;
        this.write(outline.add(this.tree.lastPlace(TRAY), '', { spot: spotOf(point) }));
    }

    /** A branch that was let go on empty ground stays there, as loose ideas. */
    dropped(ids, [x, y]) {
        const isLoose = ids.every((id) => this.tree.home(id) === TRAY);
        const places = ids.map((id, i) => ({ type: 'spot', ids: [id], value: spotOf([x, y + i * 30]) }));
        const heads = ids.filter((id) => this.tree.get(id).parent !== TRAY);
        this.page.perform({ type: 'compound', operations: [...(heads.length ? [{ type: 'move', ids: heads, at: this.tree.lastPlace(TRAY) }] : []), ...places] });
        if (!isLoose) {
            this.page.say(ids.length === 1 ? 'It is loose now, and is not handed over.' : 'They are loose now, and are not handed over.', { label: 'Undo', act: () => this.page.undo() });
        }
    }
}

const spotOf = ([x, y]) => `${Math.round(Math.max(-100_000, Math.min(100_000, x)))},${Math.round(Math.max(-100_000, Math.min(100_000, y)))}`;
