import { byId } from '../../lib/dom.js';
import { element } from '../../ui/element.js';
import { words } from '../../lib/vocabulary.js';
import { ROOT } from '../../state/plan.js';
import { named } from '../../state/topics.js';

/** What part of the plan the outline shows: one branch alone or with the rest dimmed, only some flags, only what was found. */
export class Looks {
    /** @param {import('./outline.js').Outline} outline */
    constructor(outline) {
        this.outline = outline;
        this.state = outline.state;
        this.bar = byId('crumbs');
    }

    get tree() {
        return this.outline.tree;
    }

    get isAlone() {
        return this.state.isAlone;
    }

    /** @param {string} id */
    isDim(id) {
        return this.outline.start !== ROOT && this.state.dimmed.get() && !this.tree.isWithin(id, this.outline.start);
    }

    draw() {
        const { start } = this.outline;
        const dimmed = this.state.dimmed.get();
        const only = this.state.onlySays(words().flags);
        this.bar.hidden = start === ROOT && only === '';
        const parts = [];
        if (start !== ROOT) {
            const path = [];
            for (let at = start; this.tree.get(at); at = this.tree.get(at).parent) {
                path.unshift(at);
            }
            parts.push(element('button', { type: 'button', class: 'link', onclick: () => this.focusOn(ROOT) }, 'The whole plan'));
            for (const id of path) {
                const topic = this.tree.get(id);
                const name = named(topic);
                parts.push(
                    element('span', { 'aria-hidden': 'true' }, '›'),
                    id === start
                        ? element('strong', { 'aria-current': 'true' }, name)
                        : element('button', { type: 'button', class: 'link', onclick: () => this.focusOn(id) }, name),
                );
            }
            parts.push(
                element(
                    'button',
                    { type: 'button', class: 'pill', onclick: () => this.focusOn(start, !dimmed) },
                    dimmed ? 'Hide the rest' : 'Dim the rest',
                ),
            );
        }
        if (only) {
            const count = this.state.only?.size ?? 0;
            parts.push(
                element('strong', {}, `Only ${only}: ${count} ${count === 1 ? 'topic' : 'topics'}`),
                element('button', { type: 'button', class: 'pill', onclick: () => this.showAll() }, 'Show all'),
            );
        }
        this.bar.replaceChildren(...parts);
    }

    // ---- Focus

    /** A branch in focus in one of the two ways; a second time, the whole plan again. @param {string} id @param {boolean} dimmed */
    toggle(id, dimmed) {
        const isSo = this.outline.start === id && this.state.dimmed.get() === dimmed;
        this.focusOn(isSo ? ROOT : id, dimmed);
    }

    /** @param {string} id */
    focusOn(id, dimmed = this.state.dimmed.get()) {
        const { outline } = this;
        this.state.focusOn(id, dimmed);
        outline.page.map?.changed();
        outline.draw();
        const first = outline.list[0]?.id ?? null;
        if (!outline.rows.index.has(outline.active) && first) {
            outline.marking.only(first);
        }
        if (this.isAlone) {
            outline.scroller.scrollTop = 0;
            outline.rows.draw();
        } else if (outline.active) {
            outline.rows.reveal(outline.active);
        }
        outline.box.focus({ preventScroll: true });
    }

    outwards() {
        if (this.state.only) {
            this.showAll();
        } else if (this.outline.start !== ROOT) {
            this.focusOn(ROOT);
        }
    }

    // ---- Filters

    /** @param {ReadonlySet<string> | null} ids null: all again */
    showFound(ids) {
        this.state.showFound(ids);
        this.outline.draw();
    }

    /** @param {string} flag */
    toggleFlag(flag) {
        this.state.toggleFlag(flag);
        this.outline.draw();
    }

    /** Only what carries a label, in the outline or on the map. @param {string} label */
    onlyLabelled(label) {
        const { page } = this.outline;
        page.show(page.view === 'map' ? 'map' : 'outline');
        this.state.showAll();
        this.toggleLabel(label);
    }

    /** @param {string} label */
    toggleLabel(label) {
        this.state.toggleLabel(label);
        this.outline.draw();
    }

    /** @param {string} which */
    toggleWork(which) {
        this.state.toggleWork(which);
        this.outline.draw();
    }

    showAll() {
        const { outline } = this;
        const active = outline.active;
        this.state.showAll();
        if (active && this.isAlone && !this.tree.isWithin(active, outline.start)) {
            this.focusOn(ROOT);
        }
        outline.page.find.unfiltered();
        outline.draw();
        if (active) {
            outline.rows.reveal(active);
        }
    }

    /** @param {any} value */
    look(value) {
        const { outline } = this;
        const id = outline.start === ROOT ? outline.active : outline.start;
        if (value === 'whole' || !id) {
            this.focusOn(ROOT);
        } else {
            this.focusOn(id, value === 'dimmed');
        }
    }
}
