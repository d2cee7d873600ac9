import { element } from '../../ui/element.js';
import { Personal } from '../../sync/personal.js';
import { words } from '../../lib/vocabulary.js';
import { ROOT } from '../../state/plan.js';

/** What part of the plan the outline shows: one branch alone or with the rest dimmed, only some flags, only what was found. */
export class Looks {
    constructor(outline) {
        this.outline = outline;
        const { data } = outline.page;
        this.kept = new Personal(data, 'look', data.look);
        const { focus, dimmed } = this.kept.value;
        this.dimmed = dimmed;
        this.flags = new Set();
        this.found = null;
        /** Made while a filter is on, and so shown in spite of it. */
        this.made = new Set();
        this.bar = document.getElementById('crumbs');
        outline.start = outline.tree.get(focus) ? focus : ROOT;
    }

    get tree() {
        return this.outline.tree;
    }

    get isAlone() {
        return this.outline.start !== ROOT && !this.dimmed;
    }

    /** The topics that are shown with what they stand under, or null for all. */
    get only() {
        if (!this.found && !this.flags.size) {
            return null;
        }
        const flagged = this.found ? [] : [...this.tree.topics.values()].filter((topic) => this.flags.has(topic.flag)).map((topic) => topic.id);
        return new Set([...this.found ?? flagged, ...[...this.made].filter((id) => this.tree.get(id))]);
    }

    /** A topic that is shown in spite of a filter. */
    also(id) {
        this.made.add(id);
    }

    isDim(id) {
        return this.outline.start !== ROOT && this.dimmed && !this.tree.isWithin(id, this.outline.start);
    }

    /** PHP has told what changed: what has been found may have gone. */
    told() {
        if (this.found) {
            this.found = new Set([...this.found].filter((id) => this.tree.get(id)));
        }
    }

    draw() {
        const { start } = this.outline;
        const { flags, found } = this;
        this.bar.hidden = start === ROOT && !flags.size && !found;
        const parts = [];
        if (start !== ROOT) {
            const path = [];
            for (let at = start; this.tree.get(at); at = this.tree.get(at).parent) {
                path.unshift(at);
            }
            parts.push(element('button', { type: 'button', class: 'link', onclick: () => this.focusOn(ROOT) }, 'The whole plan'));
            for (const id of path) {
                const topic = this.tree.get(id);
                const name = `${topic.label} ${topic.title || 'Untitled'}`.trim();
                parts.push(element('span', { 'aria-hidden': 'true' }, '›'), id === start ? element('strong', { 'aria-current': 'true' }, name) : element('button', { type: 'button', class: 'link', onclick: () => this.focusOn(id) }, name));
            }
            parts.push(element('button', { type: 'button', class: 'pill', onclick: () => this.setDimmed(!this.dimmed) }, this.dimmed ? 'Hide the rest' : 'Dim the rest'));
        }
        if (flags.size || found) {
            const count = this.only.size;
            const what = found ? 'what was found' : [...flags].map((flag) => words().flags[flag]).join(', ');
            parts.push(element('strong', {}, `Only ${what}: ${count} ${count === 1 ? 'topic' : 'topics'}`), element('button', { type: 'button', class: 'pill', onclick: () => this.showAll() }, 'Show all'));
        }
        this.bar.replaceChildren(...parts);
    }

    // ---- Focus

    /** A branch in focus in one of the two ways; a second time, the whole plan again. */
    toggle(id, dimmed) {
        const isSo = this.outline.start === id && this.dimmed === dimmed;
        this.dimmed = dimmed;
        this.focusOn(isSo ? ROOT : id);
    }

    setDimmed(dimmed) {
        this.dimmed = dimmed;
        this.focusOn(this.outline.start);
    }

    focusOn(id) {
        const { outline } = this;
        outline.start = id;
        outline.folds.delete(id);
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
        this.kept.keep({ focus: outline.start === ROOT ? null : outline.start, dimmed: this.dimmed });
        outline.box.focus({ preventScroll: true });
    }

    outwards() {
        if (this.flags.size || this.found) {
            this.showAll();
        } else if (this.outline.start !== ROOT) {
            this.focusOn(ROOT);
        }
    }

    // ---- Filters

    showFound(ids) {
        this.found = ids;
        this.outline.draw();
    }

    toggleFlag(flag) {
        this.flags.has(flag) ? this.flags.delete(flag) : this.flags.add(flag);
        this.outline.draw();
    }

    showAll() {
        const { outline } = this;
        const active = outline.active;
        this.flags.clear();
        this.made.clear();
        this.found = null;
        if (active && this.isAlone && !this.tree.isWithin(active, outline.start)) {
            this.focusOn(ROOT);
        }
        outline.page.find.unfiltered();
        outline.draw();
        if (active) {
            outline.rows.reveal(active);
        }
    }

    look(value) {
        const { outline } = this;
        const id = outline.start === ROOT ? outline.active : outline.start;
        if (value === 'whole' || !id) {
            this.focusOn(ROOT);
        } else {
            this.dimmed = value === 'dimmed';
            this.focusOn(id);
        }
    }
}
