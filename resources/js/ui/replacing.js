import { allOf, firstOf } from '../lib/dom.js';
import { element } from './element.js';

/** Where a hit is in a label, and not in a note: a label is called otherwise in the list of labels. */
export const LABEL = 'label';

/** Replaces what was found: each change is shown before it is made, and can be left out. */
export class Replacing {
    /** Shows each change before it is made; each can be left out. */
    async preview() {
        await this.look();
        const hits = this.hits.filter(({ block }) => block !== LABEL);
        if (!hits.length) {
            return;
        }
        const { tree } = this.page;
        firstOf(this.changes, 'ul').replaceChildren(
            ...hits.map((hit) => {
                const topic = tree.noteBearer(hit.topic);
                return element(
                    'li',
                    {},
                    element(
                        'label',
                        {},
                        element('input', { type: 'checkbox', checked: true, value: hit.key }),
                        element(
                            'span',
                            {},
                            element(
                                'small',
                                {},
                                `${hit.block ? 'Note of ' : ''}${topic?.label ?? ''} ${topic?.title || 'Untitled'}`.trim(),
                            ),
                            element(
                                'span',
                                { class: 'change' },
                                hit.before,
                                element('del', {}, hit.match),
                                element('ins', {}, this.with.value),
                                hit.after,
                            ),
                        ),
                    ),
                );
            }),
        );
        firstOf(this.changes, '.more').textContent =
            this.total > this.hits.length
                ? `The first ${this.hits.length} of ${this.total} places are listed; the others stay as they are.`
                : '';
        const label = () => {
            const chosen = this.changes.querySelectorAll('li :checked').length;
            const button = firstOf(this.changes, '.primary', HTMLButtonElement);
            button.textContent = chosen === 1 ? 'Replace in 1 place' : `Replace in ${chosen} places`;
            button.disabled = chosen === 0;
        };
        firstOf(this.changes, 'ul').onchange = label;
        label();
        this.changes.showModal();
    }

    async replace() {
        const chosen = allOf(this.changes, 'li :checked', HTMLInputElement).map((box) => box.value);
        this.changes.close();
        const answer = await this.page.sent('find', {
            ...this.query,
            whole: this.isOn('whole'),
            case: this.isOn('case'),
            with: this.with.value,
            chosen,
        });
        if (answer) {
            this.page.say(`Replaced in ${answer.replaced} ${answer.replaced === 1 ? 'place' : 'places'}.`, {
                label: 'Undo',
                act: () => this.page.undo(),
            });
            this.look();
        }
    }
}
