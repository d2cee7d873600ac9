import { element } from '../../ui/element.js';
import { FLAGS } from '../../ui/menu.js';
import { Personal } from '../../sync/personal.js';
import { Popover } from '../../ui/popover.js';
import { ROOT } from '../../state/plan.js';

const SCHEMES = [['decimal', '1 · 1.1'], ['essay', 'I. · A.'], ['chapter', 'Chapter 1'], ['none', 'none']];

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
        this.panel = new Popover(() => this.button.focus());
        this.button = document.getElementById('view-options');
        this.button.addEventListener('click', () => (this.panel.isOpen ? this.panel.close() : this.open()));
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
            const what = found ? 'what was found' : [...flags].map((flag) => flag.replace('-', ' ')).join(', ');
            parts.push(element('strong', {}, `Only ${what}: ${count} ${count === 1 ? 'topic' : 'topics'}`), element('button', { type: 'button', class: 'pill', onclick: () => this.showAll() }, 'Show all'));
        }
        this.bar.replaceChildren(...parts);
    }

    // ---- Focus

    focusBranch(id) {
        this.toggle(id, false);
    }

    dimRest(id) {
        this.toggle(id, true);
    }

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

    // ---- The panel

    open() {
        const { outline, tree, panel } = this;
        const again = (act) => (value) => {
            act(value);
            this.open();
        };
        const levels = [...[1, 2, 3, 4, 5].map((level) => [level, `Level ${level}`, false]), [0, 'All', false]];
        const depth = element('select', { 'aria-label': 'Number down to', onchange: () => outline.page.setPlan({ numbering_depth: Number(depth.value) }) },
            ...[1, 2, 3, 4, 5, 6, 7, 8, 9].map((level) => element('option', { value: level, selected: level === tree.properties.numbering_depth }, `to level ${level}`)));
        const numbers = panel.choice('Numbers', 'numbers', SCHEMES.map(([value, label]) => [value, label, tree.properties.numbering === value]), again((numbering) => outline.page.setPlan({ numbering })));
        numbers.append(depth);
        const focus = outline.start === ROOT ? 'whole' : this.dimmed ? 'dimmed' : 'alone';
        const acts = element('div', { class: 'acts-list' }, ...[
            ['Properties of the plan', () => outline.page.dialogs.openProperties()], ['Opening note', () => outline.page.openOpening()], ['All notes in order', () => outline.page.show('notes')], ['Sources', () => outline.page.show('sources')], ['Sort out the research', () => outline.page.show('sorting-out')], ['Bring in a plan…', () => outline.page.dialogs.bringIn()],
            ['All the keys', () => document.getElementById('keys').showModal()],
        ].map(([name, act]) => element('button', { type: 'button', onclick: () => { panel.close(false); act(); } }, name)),
        element('a', { href: `${outline.address}/history` }, 'History and versions'), element('a', { href: `/intake?into=${outline.page.data.plan}` }, 'Take in text or a file'));
        if (outline.page.view !== 'outline') {
            panel.raise('View and plan', this.button, acts);
            acts.querySelector('button').focus();
            return;
        }
        panel.raise('View and plan', this.button,
            panel.choice('Fold to', 'fold', levels, (level) => { panel.close(); level ? outline.foldTo(level) : outline.setFolds((folds) => folds.clear()); }),
            panel.choice('Show only flagged', 'flags', FLAGS.map((flag) => [flag, flag.replace('-', ' '), this.flags.has(flag), flag]), again((flag) => this.toggleFlag(flag))),
            panel.choice('Show', 'focus', [['whole', 'the whole plan', focus === 'whole'], ['alone', 'this branch alone', focus === 'alone'], ['dimmed', 'the rest dimmed', focus === 'dimmed']], (value) => this.look(value)),
            numbers,
            panel.choice('Sort the main sections by', 'sort', [['title', 'Title', false], ['words', 'Words', false], ['target', 'Target', false]], (by) => { panel.close(); outline.moving.sortParts(ROOT, by); }),
            acts);
        panel.box.querySelector('button').focus();
    }

    look(value) {
        this.panel.close(false);
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
