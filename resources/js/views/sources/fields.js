import { fieldOf, held } from '../../lib/dom.js';
import { words } from '../../lib/vocabulary.js';
import { element } from '../../ui/element.js';

const WIDE = new Set(['title', 'container', 'url', 'capitals', 'remark']);
/** A stored date as it is typed: 1890~ is about 1890. */
const shownDate = (/** @type {string} */ name, /** @type {any} */ value) =>
    ['date', 'accessed'].includes(name) && /~$/.test(value) ? `c. ${value.slice(0, -1)}` : value;

/** The fields of a source, each saved when it is left. */
export class Fields {
    /** @param {string} label @param {string} kind @param {any} field */
    field(label, kind, field) {
        return element('label', { class: `field ${kind}` }, element('span', {}, label), field);
    }

    /** @param {string} name @param {string} label */
    line(name, label) {
        const { source } = this;
        const value = source[name] ?? '';
        const set = (/** @type {Event} */ event) => {
            const given = fieldOf(event).value.trim();
            given ? (source[name] = given) : delete source[name];
            this.changed(source);
        };
        const onchange =
            name === 'date' || name === 'accessed' ? (/** @type {Event} */ event) => this.setDate(source, name, fieldOf(event)) : set;
        const field =
            name === 'remark'
                ? element('textarea', { name, rows: 3, maxlength: 20000, onchange })
                : element('input', {
                      name,
                      value: shownDate(name, value),
                      maxlength: 2000,
                      autocomplete: 'off',
                      placeholder: words().sourceFields[name].hint,
                      onchange,
                  });
        if (name === 'remark') {
            field.value = value;
        }
        return this.field(label, WIDE.has(name) ? 'wide' : '', field);
    }

    /** PHP reads what is typed as a date. @param {any} source @param {string} name @param {any} field */
    async setDate(source, name, field) {
        const typed = field.value.trim();
        const stored = typed === '' ? '' : ((await this.page.dateOf(typed)) ?? typed);
        stored ? (source[name] = stored) : delete source[name];
        if (document.activeElement !== field) {
            field.value = shownDate(name, stored);
        }
        this.changed(source);
    }

    /** @param {string} role @param {string} label */
    people(role, label) {
        const { source } = this;
        const all = source[role] ?? [];
        const rows = [...all, {}].map((person, i) => {
            const set = (/** @type {any} */ part) => (/** @type {Event} */ event) => {
                const list = [...(source[role] ?? [])];
                const changed = { ...list[i], [part]: fieldOf(event).value.trim() };
                Object.keys(changed).forEach((one) => changed[one] || delete changed[one]);
                list[i] = changed;
                const left = list.filter((one) => one.family || one.given);
                left.length ? (source[role] = left) : delete source[role];
                this.changed(source);
                const isAtEnd = i === all.length;
                const { name } = fieldOf(event);
                if (this.source === source && (isAtEnd || left.length < list.length)) {
                    const next = held().getAttribute('name');
                    this.draw();
                    /** @type {HTMLElement | null} */ (this.side.querySelector(`[name="${isAtEnd && next ? next : name}"]`))?.focus();
                }
            };
            const family = [person.particle, person.family].filter(Boolean).join(' ');
            return element(
                'div',
                { class: 'person' },
                element('input', {
                    name: `${role}-${i}-family`,
                    value: family,
                    placeholder: 'Family name, or organisation',
                    'aria-label': `${label} ${i + 1}: family name or organisation`,
                    maxlength: 300,
                    autocomplete: 'off',
                    onchange: set('family'),
                }),
                element('input', {
                    name: `${role}-${i}-given`,
                    value: [person.given, person.suffix].filter(Boolean).join(', '),
                    placeholder: 'Given names',
                    'aria-label': `${label} ${i + 1}: given names`,
                    maxlength: 300,
                    autocomplete: 'off',
                    onchange: set('given'),
                }),
            );
        });
        return element('fieldset', { class: 'field wide people' }, element('legend', { class: 'legend' }, label), ...rows);
    }
}
