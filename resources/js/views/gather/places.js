import { byId } from '../../lib/dom.js';
import { colour, element } from '../../ui/element.js';
import { ROOT } from '../../state/plan.js';

/**
 * Where an idea can go: the main sections by number, and, opened on one of them, the places inside
 * it. A number puts it last in that topic; with Shift it opens the topic, where the arrows choose
 * the very place.
 */
export class Places {
    /** @param {any} sorting */
    constructor(sorting) {
        this.sorting = sorting;
        this.box = byId('places');
        this.head = byId('where-head');
        this.hint = byId('where-hint');
        this.parent = ROOT;
        this.gap = 0;
        /** The number that an idea would get in the gap. */
        this.number = '';
    }

    get tree() {
        return this.sorting.tree;
    }

    get isInside() {
        return this.parent !== ROOT;
    }

    /** The topics that can be chosen now by number: in the plan those that carry one, inside a topic all its parts. */
    numbered() {
        const parts = this.tree.partsOf(this.parent);
        const some = this.isInside
            ? []
            : parts.filter((/** @type {string} */ id) => this.tree.get(id).label !== '' && this.tree.get(id).numbered !== 'appendix');
        return some.length ? some : parts;
    }

    /** @param {string} id */
    enter(id) {
        this.parent = id;
        this.gap = this.tree.partsOf(id).length;
        this.draw();
    }

    leave() {
        this.enter(this.isInside ? (this.tree.get(this.parent)?.parent ?? ROOT) : ROOT);
    }

    /** @param {number} by */
    moveGap(by) {
        this.gap = Math.max(0, Math.min(this.tree.partsOf(this.parent).length, this.gap + by));
        this.draw();
    }

    /** The place that is shown by the line. */
    place() {
        return { parent: this.parent, after: this.tree.partsOf(this.parent)[this.gap - 1] ?? null };
    }

    draw() {
        if (this.isInside && !this.tree.get(this.parent)) {
            this.parent = ROOT;
        }
        const numbers = new Map(this.numbered().map((/** @type {string} */ id, /** @type {number} */ i) => [id, i + 1]));
        const inside = this.isInside ? this.tree.get(this.parent) : null;
        this.head.textContent = inside
            ? `Where in ${inside.label} ${inside.title || 'Untitled'}?`.replace('  ', ' ')
            : 'Where does it belong?';
        this.hint.textContent = inside
            ? 'Up and Down choose the place, Enter puts it there. A number puts it inside that topic; Esc goes back.'
            : !numbers.size
              ? 'There is no section yet. N makes the marked idea the first one.'
              : `Press the number to send the marked idea there. It lands at the end of that section; hold Shift to choose the place.${
                    numbers.size > 9 ? ' With 0 before it a number may be as long as you like; Enter ends it.' : ''
                }`;
        const rows = this.tree.partsOf(this.parent).map((/** @type {string} */ id) => this.section(id, numbers.get(id)));
        if (inside) {
            rows.splice(this.gap, 0, this.line());
            rows.push(this.act('Esc', 'Back to the sections', '', 'leavePlaces'));
        } else {
            rows.push(
                this.act('N', 'A new section', 'at the end of the plan', 'toNewSection'),
                this.act('Q', 'Quote', 'marks it as one; then a number', 'toQuote'),
                this.act('S', 'Source', this.sourceHint(), 'toSource'),
                this.act('X', 'Let it go', 'undo brings it back', 'letGo'),
            );
        }
        this.box.replaceChildren(...rows);
        this.box.classList.toggle('is-many', rows.length > 12);
        this.box.querySelector('.landing-here')?.scrollIntoView({ block: 'nearest' });
    }

    sourceHint() {
        const count = this.sorting.gather.sources.length;
        return count ? `joins the reference list: ${count} so far` : 'joins the reference list';
    }

    /** @param {string} id @param {number} number */
    section(id, number) {
        const topic = this.tree.get(id);
        const count = this.tree.branch(id).length - 1;
        return element(
            'li',
            {},
            element(
                'button',
                {
                    type: 'button',
                    'data-place': id,
                    'aria-keyshortcuts': number ? String(number) : null,
                    '--d': colour(this.tree.dye(id)),
                    onclick: (/** @type {MouseEvent} */ event) =>
                        event.shiftKey ? this.sorting.choosePlace(id) : this.sorting.toSection(id),
                },
                element('span', { class: number ? 'badge' : 'badge is-plain' }, number ? String(number) : topic.label || '·'),
                element(
                    'span',
                    {},
                    element('strong', {}, topic.title || 'Untitled'),
                    element('small', {}, count === 0 ? 'nothing yet' : `${count} ${count === 1 ? 'topic' : 'topics'}`),
                ),
            ),
            element(
                'button',
                {
                    type: 'button',
                    class: 'into',
                    'aria-label': `Choose the place in ${topic.title || 'Untitled'}`,
                    title: 'Choose the place',
                    onclick: () => this.sorting.choosePlace(id),
                },
                '›',
            ),
        );
    }

    line() {
        return element(
            'li',
            { class: 'landing-here' },
            element(
                'button',
                { type: 'button', onclick: () => this.sorting.putHere() },
                element('span', { class: 'bar-line' }),
                element('span', { class: 'here' }, `Here${this.number ? `: ${this.number}` : ''}`),
            ),
        );
    }

    /** @param {string} key @param {string} name @param {any} hint @param {any} action */
    act(key, name, hint, action) {
        return element(
            'li',
            {},
            element(
                'button',
                { type: 'button', onclick: () => this.sorting[action]() },
                element('kbd', { class: 'badge is-key' }, key),
                element('span', {}, element('strong', {}, name), element('small', {}, hint)),
            ),
        );
    }
}
