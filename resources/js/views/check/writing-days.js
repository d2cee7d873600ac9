import { allOf, byId, firstOf } from '../../lib/dom.js';
import { reason, send } from '../../lib/http.js';
import { element } from '../../ui/element.js';

/** The days on which a person writes: of the week, and stretches that are left out. */
export class WritingDays {
    /** @param {import('../page.js').Page} page @param {() => void} changed */
    constructor(page, changed) {
        this.page = page;
        this.changed = changed;
        this.dialog = byId('days-dialog', HTMLDialogElement);
        this.list = byId('days-off');
        this.error = firstOf(this.dialog, '.error');
        byId('add-days-off').addEventListener('click', () => this.add('', '', true));
        firstOf(this.dialog, 'form', HTMLFormElement).addEventListener('submit', (event) => {
            event.preventDefault();
            this.save();
        });
    }

    get weekdays() {
        return /** @type {HTMLInputElement[]} */ ([...allOf(this.dialog, '[name=weekday]')]);
    }

    /** @param {{weekdays: number[], off: [string, string][]}} days */
    open({ weekdays, off }) {
        this.error.textContent = '';
        this.weekdays.forEach((box) => {
            box.checked = weekdays.includes(Number(box.value));
        });
        this.list.replaceChildren();
        off.forEach(([from, to]) => this.add(from, to));
        this.dialog.showModal();
    }

    /** @param {string} from @param {string} to */
    add(from, to, isNew = false) {
        const day = (/** @type {string} */ name, /** @type {string} */ value) =>
            element('label', {}, element('span', {}, name), element('input', { type: 'date', class: 'box', value, required: true }));
        const row = element(
            'li',
            {},
            day('From', from),
            day('to', to),
            element('button', { type: 'button', class: 'link', onclick: () => this.remove(row) }, 'Take out'),
        );
        this.list.append(row);
        isNew && row.querySelector('input')?.focus();
    }

    /** @param {HTMLElement} row */
    remove(row) {
        row.remove();
        byId('add-days-off').focus();
    }

    async save() {
        const off = [...this.list.children].map((row) =>
            /** @type {HTMLInputElement[]} */ ([...allOf(row, 'input')]).map(({ value }) => value),
        );
        const weekdays = this.weekdays.filter(({ checked }) => checked).map(({ value }) => Number(value));
        try {
            await send('PUT', `${this.page.address}/writing-days`, { weekdays, off });
            this.dialog.close();
            this.changed();
        } catch (error) {
            this.error.textContent = reason(error);
        }
    }
}
