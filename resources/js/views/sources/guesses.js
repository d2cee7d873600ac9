import { around, byId } from '../../lib/dom.js';
import { element } from '../../ui/element.js';
import { ROOT } from '../../state/plan.js';
import { Filing } from './filing.js';

/** The guesses as they are listed, each with what will become of it. */
export class Guesses extends Filing {
    /** @param {any} row @param {number} i */
    row(row, i) {
        const { tree } = this.page;
        const topic = tree.get(row.topic);
        const parent = tree.get(topic?.parent);
        const above = parent ? `${parent.label} ${parent.title}`.trim() : topic?.parent === ROOT ? 'the plan' : 'the loose ideas';
        const onclick = (/** @type {Event} */ event) => {
            this.active = row.topic;
            row.marked = around(event, 'button') ? row.marked : !row.marked;
            this.draw();
            this.list.focus({ preventScroll: true });
        };
        return element(
            'div',
            {
                class: `guess${i === this.at ? ' is-active' : ''}`,
                role: 'option',
                id: `guess-${row.topic}`,
                'aria-selected': String(row.marked),
                onclick,
            },
            element('span', { class: 'tick', 'aria-hidden': 'true' }, row.marked ? '✓' : ''),
            element(
                'div',
                { class: 'what' },
                element('strong', {}, topic?.title || 'Untitled'),
                element('small', {}, `in ${above} · a guess: ${row.says}`.replace(' · a guess: chosen by you', '')),
            ),
            element('div', { class: 'filing' }, this.outcome(row, above)),
        );
    }

    /** What will become of it, in a few words. @param {any} row @param {any} above */
    outcome(row, above) {
        const into = this.page.tree.get(row.into);
        const failure = row.page && row.page !== 'read' ? ` (${row.page} The address alone is kept.)` : '';
        /** @type {Record<string, string>} */
        const says = {
            quote: `Quotation in the note of ${above}${row.from ? `, from ${row.from}` : ', without a source'}`,
            source: row.page === 'reading' ? 'Source; reading the page…' : `Source: ${row.makes ?? row.from ?? 'as it stands'}${failure}`,
            aside: 'Aside, not printed',
            note: into ? `Into the note of ${into.label} ${into.title}` : 'Into another note: choose which (I)',
            leave: 'Stays as it is',
        };
        return element('span', { class: row.as === 'leave' || (row.as === 'note' && !into) ? 'quiet' : '' }, says[row.as]);
    }

    drawPast() {
        byId('sorted-part').hidden = this.past.length === 0;
        byId('undo-sorted').hidden = this.past.length < 2;
        this.done.replaceChildren(
            ...this.past.map((one) =>
                element(
                    'li',
                    {},
                    element('span', {}, one.title),
                    element('small', {}, one.says),
                    element(
                        'button',
                        { type: 'button', class: 'plain', 'aria-label': `Undo: ${one.title}`, onclick: () => this.undo(one) },
                        'Undo',
                    ),
                ),
            ),
        );
    }
}
