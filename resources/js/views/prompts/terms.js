import { ROOT } from '../../state/plan.js';
import { counted } from '../../lib/counted.js';
import { element } from '../../ui/element.js';

/** @typedef {{words: string, times: number, first: [string, string]}} Term */

/** What a branch is about, and what of the plan's title its sections do not take up. */
export class Terms {
    follows = true;

    /** @param {import('./panel.js').Prompts} panel */
    constructor(panel) {
        this.panel = panel;
    }

    draw() {
        this.panel.ask('GET', `terms?topic=${this.panel.topic}`, (told) => this.shown(told));
    }

    /** @param {{terms: Term[], untaken: {section: [string, string], words: string[]}[]}} told */
    shown({ terms, untaken }) {
        const { panel } = this;
        const isPlan = panel.topic === ROOT;
        return [
            element('h3', {}, isPlan ? 'What the plan is about' : 'What this is about'),
            terms.length
                ? element('ul', { class: 'prompt-terms' }, ...terms.map((term) => this.term(term)))
                : element('p', { class: 'quiet' }, 'Nothing is said more than once here yet.'),
            ...(untaken.length ? [element('h3', {}, 'Words of the title that are not taken up'), this.untaken(untaken)] : []),
        ];
    }

    /** @param {Term} term */
    term({ words, times, first }) {
        return element(
            'li',
            { 'data-card': '' },
            element('strong', {}, words),
            ' ',
            element('span', { class: 'quiet' }, counted(times, 'time')),
            element('span', { class: 'prompt-first' }, 'first in ', this.panel.to(first)),
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
