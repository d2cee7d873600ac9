import { allOf, byId, firstOf } from '../lib/dom.js';
import { reason, send } from '../lib/http.js';
import { element } from './element.js';

/** How long it waits until what was typed is shown, in ms. */
const PAUSE = 200;
/** Levels that have a field. */
const LEVELS = 5;

/** @typedef {{name: string, forms: string[], own: boolean}} Kept */

/** Numbers in forms of one's own: typed level by level, shown as they will be, kept under a name. */
export class NumberForms {
    /** @param {import('../sync/session.js').Session} session @param {(set: object) => void} setPlan */
    constructor(session, setPlan) {
        this.session = session;
        this.setPlan = setPlan;
        this.dialog = byId('number-forms', HTMLDialogElement);
        this.form = firstOf(this.dialog, 'form', HTMLFormElement);
        this.error = firstOf(this.dialog, '.error');
        this.from = byId('number-forms-from', HTMLSelectElement);
        this.name = byId('number-forms-name', HTMLInputElement);
        /** @type {Kept[]} */
        this.kept = [];
        byId('number-forms-levels').append(...Array.from({ length: LEVELS }, (_, i) => this.field(i)));
        this.form.addEventListener('submit', (event) => {
            event.preventDefault();
            this.use();
        });
        this.from.addEventListener('change', () => this.take());
        byId('number-forms-keep').addEventListener('click', () => this.keep());
        byId('number-forms-forget').addEventListener('click', () => this.forget());
    }

    /** @param {number} i */
    field(i) {
        const input = element('input', {
            class: 'box',
            maxlength: 60,
            'aria-label': `Level ${i + 1}`,
            spellcheck: 'false',
            autocomplete: 'off',
        });
        input.addEventListener('input', () => this.later());
        return element('label', { class: 'number-form' }, element('span', {}, `Level ${i + 1}`), input, element('output', {}));
    }

    get inputs() {
        return allOf(this.dialog, '.number-form input', HTMLInputElement);
    }

    /** Up to the last level that has one. */
    get forms() {
        const all = this.inputs.map(({ value }) => value.trim());
        return all.slice(0, all.findLastIndex(Boolean) + 1);
    }

    async open() {
        this.error.textContent = this.from.value = '';
        byId('number-forms-forget').hidden = true;
        this.fill(this.session.tree.properties.number_forms ?? []);
        this.dialog.showModal();
        await this.told(() => send('GET', '/number-forms'));
        if (!this.forms.length && this.kept.length) {
            this.from.value = this.kept[0].name;
            this.take();
        } else {
            await this.show();
        }
    }

    /** @param {string[]} forms */
    fill(forms) {
        this.inputs.forEach((input, i) => (input.value = forms[i] ?? ''));
    }

    /** @param {() => Promise<{kept: Kept[]}>} ask */
    async told(ask) {
        try {
            this.offer((await ask()).kept);
            this.error.textContent = '';
            return true;
        } catch (error) {
            this.error.textContent = reason(error);
            return false;
        }
    }

    /** @param {Kept[]} kept what one can begin from; what is chosen stays so */
    offer(kept) {
        const { value } = this.from;
        this.kept = kept;
        this.from.replaceChildren(
            element('option', { value: '' }, 'as it is'),
            ...kept.map(({ name }) => element('option', { value: name, selected: name === value }, name)),
        );
    }

    take() {
        const chosen = this.kept.find(({ name }) => name === this.from.value);
        byId('number-forms-forget').hidden = !chosen?.own;
        if (chosen) {
            this.fill(chosen.forms);
            this.name.value = chosen.own ? chosen.name : '';
            this.show();
        }
    }

    later() {
        clearTimeout(this.timer);
        this.timer = setTimeout(() => this.show(), PAUSE);
    }

    /** The first numbers of each level, as PHP writes them; an answer that a later question has overtaken is not shown. */
    async show() {
        const { forms } = this;
        const turn = (this.turn = {});
        let shown = [];
        let why = '';
        try {
            const { language } = this.session.tree.properties;
            shown = forms.length ? (await send('POST', '/number-forms/preview', { forms, language })).shown : [];
        } catch (error) {
            why = reason(error);
        }
        if (turn === this.turn) {
            this.error.textContent = why;
            const whole = (/** @type {string[]} */ some) => some.map((one) => one.replaceAll(' ', '\u00A0')).join('   ');
            allOf(this.dialog, 'output').forEach((output, i) => (output.textContent = whole(shown[i] ?? [])));
        }
        return !why;
    }

    async use() {
        if (!this.forms.length) {
            this.error.textContent = 'Type how the first level is numbered, as {1}.';
            return;
        }
        clearTimeout(this.timer);
        const { forms } = this;
        if (await this.show()) {
            this.setPlan({ numbering: 'own', number_forms: forms });
            this.dialog.close();
        }
    }

    async keep() {
        const name = this.name.value.trim();
        if (await this.told(() => send('POST', '/number-forms', { name, forms: this.forms }))) {
            this.from.value = name;
            byId('number-forms-forget').hidden = false;
        }
    }

    async forget() {
        await this.told(() => send('DELETE', '/number-forms', { name: this.from.value }));
        byId('number-forms-forget').hidden = true;
    }
}
