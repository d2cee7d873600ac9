import { ROOT } from '../../state/plan.js';
import { counted } from '../../lib/counted.js';
import { allOf, firstOf } from '../../lib/dom.js';
import { element } from '../../ui/element.js';

/** @typedef {{words: string, times: number, first: [string, string]}} Term */

/**
 * What a branch is about, what of the plan's title its sections do not take up, and the terms that are chosen for the
 * glossary and the index.
 */
export class Terms {
    follows = true;

    /** @param {import('./panel.js').Prompts} panel */
    constructor(panel) {
        this.panel = panel;
        /** Term → what it means. @type {Map<string, string>} */
        this.chosen = new Map();
        this.box = element('div', { class: 'prompt-chosen' });
    }

    draw() {
        this.panel.ask('GET', `terms?topic=${this.panel.topic}`, (told) => this.shown(told));
    }

    /** @param {{terms: Term[], untaken: {section: [string, string], words: string[]}[], chosen: [string, string][]}} told */
    shown({ terms, untaken, chosen }) {
        const { panel } = this;
        this.chosen = new Map(chosen);
        this.drawChosen();
        const isPlan = panel.topic === ROOT;
        return [
            element('h2', {}, isPlan ? 'What the plan is about' : 'What this is about'),
            terms.length
                ? element('ul', { class: 'prompt-terms' }, ...terms.map((term) => this.term(term)))
                : element('p', { class: 'quiet' }, 'Nothing is said more than once here yet.'),
            ...(untaken.length ? [element('h2', {}, 'Words of the title that are not taken up'), this.untaken(untaken)] : []),
            this.box,
        ];
    }

    /** @param {Term} term */
    term({ words, times, first }) {
        return element(
            'li',
            { 'data-card': '' },
            this.panel.mayWrite && this.tick(words),
            element('strong', {}, words),
            ' ',
            element('span', { class: 'quiet' }, counted(times, 'time')),
            element('span', { class: 'prompt-first' }, 'first in ', this.panel.to(first)),
        );
    }

    /** Whether a term is in the glossary and the index. @param {string} words */
    tick(words) {
        const name = `${words}, in the glossary and the index`;
        const box = element('input', { type: 'checkbox', checked: this.known(words) !== null, 'data-term': words, 'aria-label': name });
        box.addEventListener('change', () => this.choose(this.known(words) ?? words, box.checked ? '' : null));
        return box;
    }

    /** @param {string} words @param {string | null} says null: it is let go */
    choose(words, says) {
        this.panel.page.perform({ type: 'term', words, says });
        says === null ? this.chosen.delete(words) : this.chosen.set(this.known(words) ?? words, says);
        this.drawChosen();
        for (const box of allOf(this.panel.body, '[data-term]', HTMLInputElement)) {
            box.checked = this.known(String(box.dataset.term)) !== null;
        }
    }

    /** A term as it was chosen, in capitals or not. @param {string} words */
    known(words) {
        return [...this.chosen.keys()].find((one) => one.toLowerCase() === words.toLowerCase()) ?? null;
    }

    /** What was chosen, each with what it means, and a field for others. */
    drawChosen() {
        const { panel } = this;
        const chosen = [...this.chosen].sort(([a], [b]) => a.localeCompare(b));
        const field = (/** @type {[string, string]} */ [words, says]) => {
            const box = element('textarea', { rows: 2, 'aria-label': `What ${words} means`, placeholder: 'What it means' }, says);
            box.addEventListener('change', () => {
                this.chosen.set(words, box.value.trim());
                panel.page.perform({ type: 'term', words, says: box.value.trim() });
            });
            const go = element('button', { type: 'button', class: 'link', onclick: () => this.choose(words, null) }, 'Let go');
            return element(
                'li',
                {},
                element('strong', {}, words),
                ' ',
                panel.mayWrite ? go : '',
                panel.mayWrite ? box : element('p', {}, says),
            );
        };
        const other = element('input', {
            type: 'text',
            maxlength: 100,
            'aria-label': 'Another term',
            placeholder: 'Another term, then Enter',
        });
        other.addEventListener('keydown', (event) => {
            if (event.key === 'Enter' && other.value.trim()) {
                event.preventDefault();
                this.choose(other.value.trim(), '');
                firstOf(this.box, 'input').focus();
            }
        });
        this.box.replaceChildren(
            element('h2', {}, 'In the glossary and the index'),
            element('p', { class: 'quiet' }, chosen.length ? 'Hand over prints them, if you wish.' : 'Nothing is chosen yet.'),
            chosen.length ? element('ul', { class: 'prompt-terms is-chosen' }, ...chosen.map(field)) : '',
            panel.mayWrite ? other : '',
        );
    }

    /** @param {{section: [string, string], words: string[]}[]} untaken */
    untaken(untaken) {
        return element(
            'ul',
            { class: 'prompt-terms' },
            ...untaken.map(({ section, words }) =>
                element('li', { 'data-card': '' }, this.panel.to(section), ' does not speak of ', element('strong', {}, words.join(', '))),
            ),
        );
    }
}
