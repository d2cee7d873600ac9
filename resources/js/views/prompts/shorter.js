import { newId } from '../../lib/ids.js';
import { counted } from '../../lib/counted.js';
import { ROOT } from '../../state/plan.js';
import { element } from '../../ui/element.js';
import { tell } from '../../ui/toast.js';

const LENGTHS = [50, 100, 150, 250, 500];
const KEPT = 'embrel.prompts.shorter';

/** @typedef {{text: string, from: [string, string], block: string}} Sentence */

/** The sentences that say most of a branch, to a number of words: an abstract to rewrite. */
export class Shorter {
    follows = true;

    /** @param {import('./panel.js').Prompts} panel */
    constructor(panel) {
        this.panel = panel;
        this.words = Number(localStorage.getItem(KEPT)) || 100;
    }

    draw() {
        this.panel.ask('GET', `shorter?topic=${this.panel.topic}&words=${this.words}`, (told) => this.shown(told));
    }

    /** @param {{of: number, words: number, sentences: Sentence[]}} told */
    shown({ of, words, sentences }) {
        const { panel } = this;
        const length = element('select', { 'aria-label': 'How long', onchange: () => this.choose(Number(length.value)) });
        length.append(...LENGTHS.map((one) => element('option', { value: one, selected: one === this.words }, `to ${one} words`)));
        const list = element(
            'ol',
            { class: 'prompt-sentences' },
            ...sentences.map(({ text, from }) => element('li', {}, text, ' ', element('small', {}, panel.to(from)))),
        );
        const acts = element('div', { class: 'question-acts' });
        sentences.length && panel.mayWrite && acts.append(panel.act('Keep as an abstract to rewrite', 'k', () => this.keep(sentences)));
        sentences.length && acts.append(panel.act('Copy', 'c', () => this.copy(sentences)));
        return [
            element('p', { class: 'prompt-line' }, length, element('span', { class: 'quiet' }, ` ${words} of ${counted(of, 'word')}`)),
            element(
                'div',
                { 'data-card': '' },
                sentences.length ? list : element('p', { class: 'quiet' }, 'There are not enough sentences here to choose from.'),
                acts,
            ),
        ];
    }

    /** @param {number} words */
    choose(words) {
        this.words = words;
        localStorage.setItem(KEPT, String(words));
        this.draw();
    }

    /**
     * As the first part, marked to be rewritten: until then it does not print, so that nothing is said twice.
     * @param {Sentence[]} sentences
     */
    keep(sentences) {
        const { panel } = this;
        const topic = newId();
        const text = sentences.map((one) => one.text).join(' ');
        const isGerman = panel.page.tree.properties?.language?.startsWith('de');
        const first = panel.page.tree.partsOf(panel.topic)[0];
        const at = { parent: panel.topic === ROOT ? ROOT : panel.topic, after: null };
        panel.page.perform({
            type: 'compound',
            operations: [
                { type: 'add', at, topics: [{ id: topic, title: isGerman ? 'Kurz gesagt' : 'In short' }] },
                { type: 'note', topic, put: [panel.paragraph(text, [{ type: 'scaffold' }])], remove: [], order: null, was: {} },
            ],
        });
        tell(first ? 'Kept as the first part, to be rewritten' : 'Kept as a part, to be rewritten');
    }

    /** @param {Sentence[]} sentences */
    async copy(sentences) {
        await navigator.clipboard.writeText(sentences.map((one) => one.text).join(' ')).catch(() => null);
        tell('Copied');
    }
}
