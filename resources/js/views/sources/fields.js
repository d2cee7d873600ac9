import { fieldOf, held } from '../../lib/dom.js';
import { words } from '../../lib/vocabulary.js';
import { element } from '../../ui/element.js';

const WIDE = new Set(['title', 'container', 'url', 'capitals', 'remark']);
/** A stored date as it is typed: 1890~ is about 1890. */
const shownDate = (/** @type {string} */ value) => (/~$/.test(value) ? `c. ${value.slice(0, -1)}` : value);

/** Fields that stand by themselves, and those that stand behind all that is said of a kind. */
const SHOWN = new Set(['title', 'date']);
const LAST = new Set(['url', 'accessed', 'doi', 'language', 'capitals', 'remark']);

/** The fields of a source, each saved when it is left. */
export class Fields {
    /** Whether what few sources of a kind need is open. */
    showsMore = false;

    /**
     * What this source says, whatever its kind, and what its kind may say. What few need can be opened.
     * @param {string} value the kind
     */
    ofKind(value) {
        const { source } = this;
        const kind = words().sourceKinds.find((/** @type {{value: string}} */ one) => one.value === value);
        const label = (/** @type {string} */ name) => kind.names[name] ?? words().sourceFields[name].name;
        const line = (/** @type {string} */ name) => this.line(name, label(name));
        const person = (/** @type {string} */ role) => this.people(role, words().sourceContributors[role], 'contributors');
        const detail = (/** @type {string} */ name) => this.detail(name);
        const [roles, details] = [Object.keys(source.contributors ?? {}), Object.keys(source.details ?? {})];
        const without = (/** @type {string[]} */ all, /** @type {string[]} */ these) => all.filter((one) => !these.includes(one));
        const rest = [...without(kind.contributors, roles).map(person), ...without(kind.details, details).map(detail)];
        const said = Object.keys(words().sourceFields).filter((name) => typeof source[name] === 'string' && !SHOWN.has(name));
        const all = /** @type {string[]} */ ([...new Set([...kind.fields, ...said])]).filter((name) => name !== 'editors');
        return [
            line('title'),
            this.people('authors', label('authors')),
            ...(kind.fields.includes('editors') || source.editors ? [this.people('editors', label('editors'))] : []),
            line('date'),
            ...roles.map(person),
            ...all.filter((name) => !LAST.has(name)).map(line),
            ...details.map(detail),
            ...(rest.length ? [this.more(rest)] : []),
            ...all.filter((name) => LAST.has(name)).map(line),
        ];
    }

    /** @param {HTMLElement[]} fields */
    more(fields) {
        const ontoggle = (/** @type {Event} */ event) => (this.showsMore = /** @type {HTMLDetailsElement} */ (event.target).open);
        return element(
            'details',
            { class: 'wide more-fields', open: this.showsMore, ontoggle },
            element('summary', {}, 'More that can be said of it'),
            element('div', { class: 'grid-2' }, ...fields),
        );
    }

    /** @param {string} label @param {string} kind @param {any} field */
    field(label, kind, field) {
        return element('label', { class: `field ${kind}` }, element('span', {}, label), field);
    }

    /** @param {string} name @param {string} label */
    line(name, label) {
        const { hint } = words().sourceFields[name];
        return this.written(name, label, { hint, date: ['date', 'accessed'].includes(name), long: name === 'remark' });
    }

    /** What few sources have. @param {string} name */
    detail(name) {
        const detail = words().sourceDetails[name];
        return this.written(name, detail.name, detail, 'details');
    }

    /**
     * @param {string} name @param {string} label
     * @param {{hint: string, date: boolean, long: boolean}} kind
     * @param {string} [within] where in the source it stands
     */
    written(name, label, { hint, date, long }, within) {
        const { source } = this;
        const value = within ? (source[within]?.[name] ?? '') : (source[name] ?? '');
        const shown = date ? shownDate(value) : value;
        const onchange = (/** @type {Event} */ event) =>
            date ? this.setDate(source, name, fieldOf(event), within) : this.put(source, name, fieldOf(event).value.trim(), within);
        const field = long
            ? element('textarea', { name, rows: 3, maxlength: 20000, onchange })
            : element('input', { name, value: shown, maxlength: 2000, autocomplete: 'off', placeholder: hint, onchange });
        if (long) {
            field.value = value;
        }
        return this.field(label, long || WIDE.has(name) ? 'wide' : '', field);
    }

    /**
     * Keeps a value of a source; an empty one is left out.
     * @param {any} source @param {string} name @param {any} value @param {string} [within]
     */
    put(source, name, value, within) {
        const box = within ? (source[within] ??= {}) : source;
        value?.length ? (box[name] = value) : delete box[name];
        if (within && !Object.keys(box).length) {
            delete source[within];
        }
        this.changed(source);
    }

    /** PHP reads what is typed as a date. @param {any} source @param {string} name @param {any} field @param {string} [within] */
    async setDate(source, name, field, within) {
        const typed = field.value.trim();
        const stored = typed === '' ? '' : ((await this.page.dateOf(typed)) ?? typed);
        if (document.activeElement !== field) {
            field.value = shownDate(stored);
        }
        this.put(source, name, stored, within);
    }

    /** @param {string} role @param {string} label @param {string} [within] where in the source they stand */
    people(role, label, within) {
        const { source } = this;
        const now = () => (within ? source[within]?.[role] : source[role]) ?? [];
        const all = now();
        const rows = [...all, {}].map((person, i) => {
            const set = (/** @type {any} */ part) => (/** @type {Event} */ event) => {
                const list = [...now()];
                const changed = { ...list[i], [part]: fieldOf(event).value.trim() };
                Object.keys(changed).forEach((one) => changed[one] || delete changed[one]);
                list[i] = changed;
                const left = list.filter((one) => one.family || one.given);
                this.put(source, role, left, within);
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
