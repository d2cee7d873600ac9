import { allOf, around, byId, firstOf, idAround } from '../../lib/dom.js';
import { fullScreen } from '../../lib/full-screen.js';
import { always, when } from '../../commands/commands.js';
import { actionFor } from '../../lib/keys.js';
import { ROOT } from '../../state/plan.js';
import { Camera } from '../../map/camera.js';
import { Hands } from './hands.js';
import { Overview } from '../../map/overview.js';
import { LooksPanel } from './looks-panel.js';
import { NotePeek } from '../../ui/note-peek.js';
import { RelationLayer } from './relation-layer.js';
import { Picture } from './picture.js';
import { Pictures } from './pictures.js';
import { Tray } from './tray.js';
import { Walking } from './walking.js';

const STEP = 1.25;

/**
 * The map: the outline's own topics, marks and acts, drawn as a picture. Where everything stands is
 * worked out by PHP; this asks for it, with what is folded and how the person wants to see it.
 */
export class MapView extends Walking {
    /** @param {import('../page.js').Page} page */
    constructor(page) {
        super();
        this.page = page;
        this.isPlaced = false;
        this.outline = page.outline;
        this.side = byId('map');
        this.look = page.data.map;
        this.picture = new Picture(this);
        this.hands = new Hands(this);
        this.camera = new Camera(this.picture.box, {
            onMove: () => this.moved(),
            onHand: () => {
                this.isWhole = false;
            },
            mayDrag: (event) => this.hands.mayPan(event),
        });
        this.overview = new Overview(this, byId('overview'));
        this.tray = new Tray(this);
        this.panel = new LooksPanel(this);
        this.peek = new NotePeek(this.page, this.side, '.note-sign', (sign) => idAround(sign, '.leaf'));
        this.relations = new RelationLayer(this);
        this.pictures = new Pictures(this);
        this.box = this.picture.box;
        page.commands.provide('map', this.commands);
        this.box.addEventListener('keydown', (event) => this.pressed(event));
        this.outline.takesFirst(byId('first-on-map', HTMLInputElement));
        new ResizeObserver(() => this.isShown && this.resized()).observe(this.box);
        this.tools = firstOf(document, '[data-bar=map]');
        this.percent = firstOf(this.tools, '[data-tool=actual]');
        /** @type {ReturnType<typeof setTimeout> | null} */
        this.seen = null;
        this.tools.addEventListener('click', (event) => this.tool(around(event, '[data-tool]')));
        document.addEventListener('fullscreenchange', () => this.drawTools());
    }

    get tree() {
        return this.page.tree;
    }
    get isShown() {
        return this.page.view === 'map';
    }

    /** How much of the right edge the note covers, or what a style is made in, in pixels. */
    get taken() {
        const { clientWidth: width } = this.box;
        const over = Math.max(width > 700 ? byId('note').offsetWidth : 0, width > 1000 ? (this.panel.maker.box?.offsetWidth ?? 0) : 0);
        return over && over + 16;
    }

    // ---- As a view of the page

    async enter() {
        this.drawTools();
        const { outline } = this;
        const first = this.picture.index.has(outline.active) ? outline.active : (this.picture.list[0]?.id ?? null);
        first ? outline.marking.only(first) : outline.state.mark(null);
        // At once: what is typed while the picture is on its way is typed here.
        if (!outline.active) {
            byId('first-on-map').focus();
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

    draw() {
        this.outline.draw();
        this.tray.draw();
        byId('map-empty').hidden = this.tree.partsOf(ROOT).length > 0;
    }

    /** @param {string} id */
    retitled(id) {
        this.page.note.retitled(id);
    }

    /** @param {string} id */
    reveal(id) {
        this.outline.reveal(id);
    }

    /** @param {Event} event */
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
        this.picture.follow();
        this.picture.placeField();
        // Drawing it costs as much as the map itself, and nobody watches it at every frame.
        this.seen ??= setTimeout(() => {
            this.seen = null;
            this.overview.draw();
        }, 100);
        this.peek.hide();
        const share = `${Math.round(this.camera.scale * 100)}%`;
        if (this.percent.textContent !== share) {
            this.percent.textContent = share;
        }
    }

    /**
     * What PHP has told changed: with the picture where that was asked for beside it, else the picture is asked for.
     * @param {import('../../state/topics.js').Answer} answer
     */
    told(answer) {
        answer.map ? this.take(answer.map, false) : this.changed();
    }

    // ---- Asking PHP

    // ---- Tools

    drawTools() {
        for (const button of allOf(this.tools, '[data-arrangement]')) {
            button.setAttribute('aria-pressed', String(button.dataset.arrangement === this.look.arrangement));
        }
        firstOf(this.tools, '[data-tool=full]').setAttribute('aria-pressed', String(document.fullscreenElement !== null));
        firstOf(this.tools, '[data-tool=rectangle]').setAttribute('aria-pressed', String(this.hands.isDrawing));
    }

    /** @param {HTMLElement | null} button */
    tool(button) {
        if (!button) {
            return;
        }
        /** @type {Record<string, () => unknown>} */
        const tools = {
            arrange: () => this.setLook({ arrangement: button.dataset.arrangement }),
            smaller: () => this.camera.by(1 / STEP),
            larger: () => this.camera.by(STEP),
            actual: () => this.camera.by(1 / this.camera.scale),
            whole: () => this.fit(),
            branch: () => this.outline.active && this.fitBranch(this.outline.active),
            rectangle: () => {
                this.hands.isDrawing = !this.hands.isDrawing;
                this.drawTools();
            },
            full: () => fullScreen(() => this.page.say('This browser does not allow a full screen here.')),
            look: () => this.panel.toggle(button),
        };
        tools[button.dataset.tool ?? '']?.();
    }

    // ---- Keys

    /** @param {KeyboardEvent} event */
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
        const go = (/** @type {import('../../map/ways.js').Direction} */ direction, isMore = false) =>
            always(() => this.go(direction, isMore));
        return {
            goUp: go('up'),
            goDown: go('down'),
            goLeft: go('left'),
            goRight: go('right'),
            reachUp: go('up', true),
            reachDown: go('down', true),
            reachLeft: go('left', true),
            reachRight: go('right', true),
            larger: always(() => this.camera.by(STEP)),
            smaller: always(() => this.camera.by(1 / STEP)),
            wholeMap: always(() => this.fit()),
            wholeBranch: when(
                () => this.outline.active,
                () => this.fitBranch(this.outline.active ?? ''),
            ),
            fold: always(() => this.toggleFold()),
            addInside: always(() => this.add('inside')),
            addAfter: always(() => this.add('after')),
            addBefore: always(() => this.add('before')),
        };
    }
}
