import { allOf, firstOf } from '../../lib/dom.js';
import { Bars } from '../../ui/bars.js';
import { element } from '../../ui/element.js';
import { Popover } from '../../ui/popover.js';
import { labelsOf } from '../../state/labels.js';
import { WORK } from '../../state/work.js';
import { words } from '../../lib/vocabulary.js';
import { ROOT } from '../../state/plan.js';

const SHOWN = { whole: 'the whole plan', alone: 'this branch alone', dimmed: 'the rest dimmed' };

/** The tools of the outline: what it shows, how it is numbered, and sorting. */
export class OutlineBar {
    /** @param {import('./outline.js').Outline} outline */
    constructor(outline) {
        this.outline = outline;
        this.panel = new Popover(() => this.button?.focus());
        this.bar = firstOf(document, '[data-bar=outline]');
        this.opens('bar-show', () => this.show());
        this.opens('bar-only', () => this.only());
        this.opens('bar-numbers', () => this.numbers());
        this.opens('bar-sort', () => this.sort());
        this.unsets('bar-show', () => outline.looks.focusOn(ROOT));
        this.unsets('bar-only', () => outline.looks.showAll());
        for (const button of allOf(this.bar, '[data-level]')) {
            const level = Number(button.dataset.level);
            button.addEventListener('click', () => (level ? outline.foldTo(level) : outline.setFolds((folds) => folds.clear())));
        }
    }

    /** @param {string} id @param {any} open */
    opens(id, open) {
        const button = firstOf(document, `#${id} > button`);
        button.addEventListener('click', () => {
            const isOpen = this.panel.isOpen && this.button === button;
            this.button = button;
            isOpen ? this.panel.close() : open();
        });
    }

    /** @param {string} id @param {(...given: any[]) => unknown} act */
    unsets(id, act) {
        firstOf(document, `#${id} .unset`).addEventListener('click', act);
    }

    get focus() {
        const { outline } = this;
        return outline.start === ROOT ? 'whole' : outline.state.dimmed.get() ? 'dimmed' : 'alone';
    }

    /** What each tool is set to. */
    draw() {
        const { state, tree } = this.outline;
        const { properties } = tree;
        Bars.say('bar-show', SHOWN[this.focus], this.focus === 'whole');
        const only = state.onlySays(words().flags);
        Bars.say('bar-only', only || 'anything', only === '');
        Bars.say('bar-numbers', words().schemes[properties.numbering].short);
    }

    /** @param {string} label @param {...import('../../ui/element.js').Child} children */
    raise(label, ...children) {
        this.panel.raise(label, this.button, ...children);
        this.panel.focus('[aria-pressed=true]');
    }

    show() {
        const { panel } = this;
        const choose = (/** @type {any} */ value) => {
            panel.close();
            this.outline.looks.look(value);
        };
        this.raise(
            'Show',
            panel.choice(
                'Show',
                'focus',
                Object.entries(SHOWN).map(([value, name]) => [value, name, value === this.focus]),
                choose,
            ),
        );
    }

    only() {
        const { looks, state } = this.outline;
        const { panel } = this;
        const flags = Object.entries(words().flags).map(([flag, name]) => [flag, name, state.flags.get().has(flag), flag]);
        const labels = [...labelsOf(this.outline.tree)].map(([name, dye]) => [name, name, state.labels.get().has(name), null, dye]);
        const work = Object.entries(WORK).map(([which, name]) => [which, name, state.work.get().has(which)]);
        this.raise(
            'Only',
            panel.choice('Only what is flagged', 'flags', flags, (flag) => {
                looks.toggleFlag(flag);
                this.only();
                panel.focus(`[data-value=${flag}]`);
            }),
            labels.length > 0 &&
                panel.choice('Only what is labelled', 'labels', labels, (label) => {
                    looks.toggleLabel(label);
                    this.only();
                    panel.focus(`[data-value="${CSS.escape(label)}"]`);
                }),
            panel.choice('Only work that is', 'work', work, (which) => {
                looks.toggleWork(which);
                this.only();
                panel.focus(`[data-value=${which}]`);
            }),
            element(
                'div',
                { class: 'acts-list one-column' },
                element(
                    'button',
                    {
                        type: 'button',
                        onclick: () => {
                            panel.close();
                            looks.showAll();
                        },
                    },
                    'Anything',
                ),
            ),
        );
    }

    numbers() {
        const { page, tree } = this.outline;
        const { panel } = this;
        const { numbering, numbering_depth: down } = tree.properties;
        const depth = element(
            'select',
            { 'aria-label': 'Number down to', onchange: () => page.setPlan({ numbering_depth: Number(depth.value) }) },
            ...words().levels.map((/** @type {number} */ level) =>
                element('option', { value: level, selected: level === down }, `to level ${level}`),
            ),
        );
        const schemes = Object.entries(words().schemes).map(([value, { short }]) => [value, short, numbering === value]);
        const choice = panel.choice('Numbers', 'numbers', schemes, (value) => {
            if (value === 'own') {
                panel.close();
                page.numberForms.open();
                return;
            }
            page.setPlan({ numbering: value });
            this.numbers();
        });
        choice.append(depth);
        this.raise('Numbers', choice);
    }

    sort() {
        const { panel } = this;
        const by = Object.entries(words().sorts).map(([value, name]) => [value, name, false]);
        this.raise(
            'Sort the main sections by',
            panel.choice('Sort the main sections by', 'sort', by, (value) => {
                panel.close();
                this.outline.moving.sortParts(ROOT, value);
            }),
            element('p', { class: 'hint' }, 'Once more sorts the other way round. The parts of a topic are sorted from its menu.'),
        );
    }
}
