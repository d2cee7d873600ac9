import { allOf, byId, fieldsOf } from '../../lib/dom.js';
import { reason, send } from '../../lib/http.js';

/** What is shown, and how fast: a form whose choices stay with the person and the plan. */
export class ChoicesDialog {
    /** @param {string} address @param {(told: import('./deck.js').Told) => unknown} whenKept */
    constructor(address, whenKept) {
        this.address = address;
        this.whenKept = whenKept;
        this.box = byId('present-choices', HTMLDialogElement);
        this.form = byId('present-form', HTMLFormElement);
        this.error = byId('present-error');
        this.form.addEventListener('submit', (event) => {
            event.preventDefault();
            this.keep();
        });
    }

    open() {
        this.error.textContent = '';
        this.box.showModal();
    }

    /** @returns {import('./deck.js').Choices} */
    get choices() {
        const fields = fieldsOf(this.form);
        const sections = allOf(this.form, 'select[data-section]', HTMLSelectElement);
        const set = (/** @type {string} */ how) =>
            sections.filter(({ value }) => value === how).map(({ dataset }) => dataset.section ?? '');
        return {
            levels: Number(fields.levels.value),
            label: fields.label?.value ?? '',
            without: set('out'),
            whole: set('whole'),
            one_by_one: fields.one_by_one.checked,
            spoken: fields.pace.value === 'spoken',
            seconds: Number(fields.seconds.value),
            minutes: Number(fields.minutes.value),
        };
    }

    async keep() {
        try {
            this.whenKept(await send('PUT', this.address, this.choices));
            this.box.close();
        } catch (error) {
            this.error.textContent = reason(error);
        }
    }
}
