import { always } from '../../commands/commands.js';
import { byId } from '../../lib/dom.js';
import { actionFor } from '../../lib/keys.js';
import { reason, send } from '../../lib/http.js';
import { ROOT, named } from '../../state/topics.js';
import { dyeOfPerson } from '../../state/work.js';
import { element } from '../../ui/element.js';
import { Reel } from './reel.js';
import { Stage } from './stage.js';

/** @typedef {{seq: number, by: string, at: string, says: string, kind: string, topics: string[]}} Step */

/** Between two steps, in ms, at the usual speed. */
const PAUSE = 1200;
/** Pieces of the line over the slider. */
const TICKS = 240;
const TIME = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long', hour: '2-digit', minute: '2-digit' });
/** @type {[string, string][]} */
const KINDS = [
    ['', 'Any change'],
    ['note', 'Text'],
    ['title', 'Titles'],
    ['order', 'Topics and their order'],
    ['look', 'Signs and work'],
    ['plan', 'The plan itself'],
];

/** The history of the plan, played step by step. */
export class Film {
    /** @param {import('../page.js').Page} page */
    constructor(page) {
        this.page = page;
        this.box = byId('film');
        this.stage = new Stage(page);
        this.slider = byId('film-at', HTMLInputElement);
        this.speed = byId('film-speed', HTMLSelectElement);
        this.who = byId('film-who', HTMLSelectElement);
        this.section = byId('film-section', HTMLSelectElement);
        this.kind = byId('film-kind', HTMLSelectElement);
        this.button = byId('film-play');
        /** @type {Step[]} */
        this.all = [];
        /** @type {Step[]} */
        this.steps = [];
        this.at = 0;
        /** Before the first step; and up to which change this person has seen all. */
        this.first = 1;
        this.since = 0;
        this.isPlaying = false;
        this.listen();
        this.provide(page.commands);
    }

    /** @param {import('../../commands/commands.js').Commands} commands */
    provide(commands) {
        commands.provide('film', {
            playFilm: always(() => this.toggle()),
            stepOn: always(() => this.go(this.at + 1)),
            stepBack: always(() => this.go(this.at - 1)),
            filmStart: always(() => this.go(0)),
            filmEnd: always(() => this.go(this.last)),
        });
    }

    listen() {
        this.slider.addEventListener('input', () => this.go(Number(this.slider.value)));
        this.button.addEventListener('click', () => this.toggle());
        byId('film-back').addEventListener('click', () => this.go(this.at - 1));
        byId('film-on').addEventListener('click', () => this.go(this.at + 1));
        for (const filter of [this.who, this.section, this.kind]) {
            filter.addEventListener('change', () => this.choose());
        }
        byId('film-since').addEventListener('click', () => this.toVisit());
        byId('film-as').addEventListener('change', (event) => {
            this.stage.setMap(/** @type {HTMLSelectElement} */ (event.target).value === 'map');
            this.go(this.at, false);
        });
        byId('film-plan').addEventListener(
            'submit',
            () => (byId('film-plan', HTMLFormElement).action = `${this.page.address}/history/${this.seq}/plan`),
        );
        byId('film-sides').addEventListener('click', () => this.page.leaveFor(`${this.page.address}/history/sides?from=${this.seq}`));
        this.box.addEventListener('keydown', (event) => {
            const action =
                /** @type {HTMLElement} */ (event.target).matches('select, input[type=range], button') && event.key !== ' '
                    ? null
                    : actionFor(event, 'film');
            if (action && !(/** @type {HTMLElement} */ (event.target).matches('button, select') && event.key === ' ')) {
                event.preventDefault();
                this.page.commands.run('film', action);
            }
        });
    }

    // ---- As a view of the page

    async enter() {
        this.box.focus({ preventScroll: true });
        try {
            await this.page.queue.flush();
            const told = await send('GET', `${this.page.address}/film/steps`);
            this.all = told.steps;
            this.since = told.since;
            this.offer();
            this.choose();
        } catch (error) {
            this.says(reason(error), '');
        }
    }

    leave() {
        this.pause();
    }

    outwards() {
        this.page.leaveFor(`${this.page.address}/history`);
    }

    // ---- What is played

    get last() {
        return this.steps.length;
    }

    /** The change after which what is shown is. */
    get seq() {
        return this.at === 0 ? this.first : this.steps[this.at - 1].seq;
    }

    /** What can be chosen: people, sections and kinds that there are. */
    offer() {
        const option = (/** @type {string} */ value, /** @type {string} */ name) => element('option', { value }, name);
        const { tree } = this.page;
        this.who.replaceChildren(option('', 'Everybody'), ...[...new Set(this.all.map(({ by }) => by))].sort().map((by) => option(by, by)));
        this.section.replaceChildren(option('', 'All sections'), ...tree.partsOf(ROOT).map((id) => option(id, named(tree.get(id)))));
        const kinds = new Set(this.all.map(({ kind }) => kind));
        this.kind.replaceChildren(...KINDS.filter(([kind]) => !kind || kinds.has(kind)).map(([kind, name]) => option(kind, name)));
        byId('film-since').hidden = !this.all.some(({ seq }) => seq > this.since);
    }

    /** Plays the steps that the filters let through, from the end. */
    choose() {
        const { tree } = this.page;
        const [who, section, kind] = [this.who.value, this.section.value, this.kind.value];
        const isIn = (/** @type {string} */ id) => id === section || (tree.get(id) && tree.isWithin(id, section));
        this.steps = this.all.filter(
            (step) => (!who || step.by === who) && (!kind || step.kind === kind) && (!section || step.topics.some(isIn)),
        );
        this.first = this.all.length ? Math.max(1, this.all[0].seq - 1) : 1;
        this.reel = new Reel(this.page.address, [this.first, ...this.steps.map(({ seq }) => seq)]);
        this.slider.max = String(this.last);
        this.ticks();
        this.go(this.last);
    }

    /** Whose step each is, as a line of dyes over the slider. */
    ticks() {
        const box = byId('film-ticks');
        const count = Math.min(TICKS, this.last);
        box.replaceChildren(
            ...Array.from({ length: count }, (_, i) => {
                const step = this.steps[Math.floor((i * this.last) / count)];
                return element('i', { '--d': `var(--${dyeOfPerson(step.by)})`, title: step.by });
            }),
        );
    }

    /** @param {number} at @param {boolean} [pauses] */
    async go(at, pauses = true) {
        pauses && this.pause();
        this.at = Math.max(0, Math.min(this.last, at));
        this.slider.value = String(this.at);
        const step = this.at ? this.steps[this.at - 1] : null;
        const told = step ? step.says || 'Changed the plan' : 'The start';
        this.says(told, step ? `${step.by}, ${TIME.format(new Date(step.at))}` : '');
        this.slider.setAttribute('aria-valuetext', `${this.at} of ${this.last}: ${told}${step ? `, ${step.by}` : ''}`);
        const wanted = (this.wanted = {});
        try {
            const frame = await this.reel?.frame(this.at);
            if (frame && this.wanted === wanted) {
                await this.stage.show(frame, this.seq, step?.topics ?? []);
            }
        } catch (error) {
            this.pause();
            this.says(reason(error), '');
        }
    }

    /** @param {string} what @param {string} when */
    says(what, when) {
        byId('film-says').textContent = what;
        byId('film-when').textContent = when;
        byId('film-count').textContent = `${this.at} of ${this.last}`;
    }

    toggle() {
        this.isPlaying ? this.pause() : this.play();
    }

    async play() {
        this.isPlaying = true;
        this.show();
        if (this.at >= this.last) {
            await this.go(0, false);
        }
        while (this.isPlaying && this.at < this.last) {
            await new Promise((after) => (this.timer = setTimeout(after, PAUSE / Number(this.speed.value))));
            if (this.isPlaying) {
                await this.go(this.at + 1, false);
            }
        }
        this.pause();
    }

    pause() {
        this.isPlaying = false;
        this.show();
    }

    show() {
        this.button.textContent = this.isPlaying ? 'Pause' : 'Play';
    }

    /** From where one was last. */
    toVisit() {
        const at = this.steps.findIndex(({ seq }) => seq > this.since);
        this.go(at < 0 ? this.last : at);
        this.play();
    }
}
