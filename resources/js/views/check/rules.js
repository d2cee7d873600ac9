import { byId, firstOf } from '../../lib/dom.js';
import { reason, send } from '../../lib/http.js';
import { element } from '../../ui/element.js';
import { WEIGHTS } from './found-rows.js';

/** Which rules look at this plan. Each is switched as it is ticked. */
export class RulesDialog {
    /** @param {import('../page.js').Page} page */
    constructor(page) {
        this.page = page;
        this.dialog = byId('rules-dialog', HTMLDialogElement);
        this.list = byId('rules');
        this.error = firstOf(this.dialog, '.error');
    }

    async open() {
        this.error.textContent = '';
        this.list.replaceChildren();
        this.dialog.showModal();
        await this.page.queue.flush();
        try {
            const { rules } = await send('GET', `${this.page.address}/rules`);
            this.draw(rules);
        } catch (error) {
            this.error.textContent = reason(error);
        }
    }

    /** @param {any[]} rules */
    draw(rules) {
        this.list.replaceChildren(
            ...Object.entries(WEIGHTS).map(([weight, name]) =>
                element(
                    'fieldset',
                    {},
                    element('legend', {}, name),
                    ...rules.filter((rule) => rule.weight === weight).map((rule) => this.row(rule)),
                ),
            ),
        );
    }

    /** @param {any} rule */
    row(rule) {
        const box = element('input', {
            type: 'checkbox',
            checked: rule.on,
            onchange: () => this.page.perform({ type: 'rule', rule: rule.code, on: box.checked }),
        });
        return element('label', { class: 'check' }, box, element('span', {}, rule.name, element('small', {}, rule.why)));
    }
}
