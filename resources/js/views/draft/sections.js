import { byId } from '../../lib/dom.js';
import { ROOT, TRAY } from '../../state/plan.js';

/** The sections of the text that are in the page, and the ways to them. */
export class Sections {
    /** @param {import('../page.js').Page} page */
    constructor(page) {
        this.page = page;
        this.side = byId('draft');
        this.box = byId('notes-in-order');
        /** Topic → its note as PHP has printed it. @type {Map<string, string>} */
        this.html = new Map();
        /** Topic → how often its note was told. @type {Map<string, number>} */
        this.read = new Map();
        /** Topic → its section, and what that was drawn from. @type {Map<string, {from: string, node: HTMLElement}>} */
        this.made = new Map();
        /** Main section → the part of the page that holds it. @type {Map<string, HTMLElement>} */
        this.parts = new Map();
        /** The topic that is written in. @type {string | null} */
        this.open = null;
        /** The one whose menu was opened last. @type {string | null} */
        this.asked = null;
    }

    /** The topics that are shown: those of the tree in order, then the loose ideas that have a note. */
    topics() {
        const { tree } = this.page;
        const all = [{ id: ROOT, level: 0 }, ...tree.rows(new Set())].filter(({ id }) => this.shown.has(id));
        const isWhole = this.shown.select.value === 'all';
        return [...all, ...(isWhole ? tree.rows(new Set(), TRAY).filter(({ id }) => id === this.open || this.html.has(id)) : [])];
    }

    /** The section before or after another one. @param {string} id @param {-1 | 1} by @returns {string | null} */
    beside(id, by) {
        if (this.alone.isOn) {
            const next = this.alone.beside(by, id);
            next && this.alone.show(next);
            return next;
        }
        const ids = this.topics().map((one) => one.id);
        return ids[ids.indexOf(id) + by] ?? null;
    }

    /** @param {string} id */
    reveal(id) {
        this.alone.show(id);
        this.box.querySelector(`[data-topic="${id}"]`)?.scrollIntoView({ block: 'start' });
    }

    /** To a section, and into its title. @param {string} id */
    goTo(id) {
        this.reveal(id);
        this.titles.focus(id, 'start') || this.writeHere(id)?.focus({ preventScroll: true });
    }

    /** Asks for a section by number or title. */
    ask() {
        const { choosing } = this.page;
        const find = choosing.finder((id) => !this.shows(id));
        choosing.choose('Go to a section', 'Number, or some letters of a title', (/** @type {any} */ wanted) =>
            find(wanted).map((one) => [
                {
                    name: one.name,
                    act: () => {
                        choosing.close();
                        this.goTo(one.id);
                    },
                },
            ]),
        );
    }

    /** Something of the text that is written in has gone to another section, or made one. @param {string} id */
    parted(id) {
        this.load([id]);
    }

    /** @param {string} id */
    shows(id) {
        return this.made.has(id) || this.alone.isOn;
    }

    /** Where the keyboard goes back to: the section that something was asked of. */
    get list() {
        return (this.asked && this.writeHere(this.asked)) || this.side;
    }

    /** The button that opens a section. @param {string} id @returns {HTMLElement | null} */
    writeHere(id) {
        return this.box.querySelector(`[data-topic="${id}"] .write-here`);
    }
}
