import { element } from '../../ui/element.js';
import { words } from '../../lib/vocabulary.js';
import { meanwhile } from '../../lib/meanwhile.js';

const LABELS = {
    title: 'Title', container: 'Title of the whole', publisher: 'Publisher', place: 'Place', edition: 'Edition', volume: 'Volume', issue: 'Number', pages: 'Pages', url: 'Address', doi: 'DOI', isbn: 'ISBN', language: 'Language', capitals: 'Names in the title that keep their capitals', remark: 'Remark, for yourself',
    date: 'Date', accessed: 'Read on', editors: 'Editors',
};
const OF_KIND = {
    article: { container: 'Journal' }, newspaper: { container: 'Newspaper' }, chapter: { container: 'Book' }, web: { container: 'Site' }, thesis: { publisher: 'University' }, film: { publisher: 'Company', authors: 'Directors' }, interview: { authors: 'Who was asked' }, report: { publisher: 'Institution' },
};
const HINTS = { date: '1994, c. 1890, 3 May 2024', accessed: '3 May 2024', pages: '10-20', capitals: 'Harrow Creek', language: 'en', url: 'https://' };
const WIDE = new Set(['title', 'container', 'url', 'capitals', 'remark']);

/** The fields of one source. One that is in the plan is saved with each change; a new one is confirmed first. */
export class SourceForm {
    constructor(view) {
        this.view = view;
        this.page = view.page;
        this.side = document.getElementById('source-form');
        this.source = null;
        this.isNew = false;
        /** Sources that were read while this one waited to be confirmed. */
        this.next = [];
        // A field that is written in when the page is left has not told of its change yet.
        addEventListener('pagehide', () => this.side.contains(document.activeElement) && document.activeElement.dispatchEvent(new Event('change')));
    }

    get isOpen() {
        return this.source !== null;
    }

    open({ source }) {
        this.source = structuredClone(source);
        this.isNew = false;
        this.pages = '';
        this.raise();
    }

    /** A source that was read out of a line or a page: to be confirmed. */
    confirm({ source, like, pages = '', text = '' }, takesKeyboard = true) {
        this.source = source;
        this.isNew = true;
        this.like = like;
        this.pages = pages;
        this.text = text;
        this.raise();
        if (takesKeyboard) {
            this.side.querySelector('.primary').focus({ preventScroll: true });
        }
    }

    fresh() {
        this.confirm({ source: { id: this.view.newId(), kind: 'book', title: '' }, like: null });
        this.side.querySelector('[name=title]').focus();
    }

    close() {
        this.source = null;
        this.side.hidden = true;
        this.view.draw();
        this.view.field.focus();
        this.follow();
    }

    /** The next one to be confirmed. */
    follow() {
        const read = this.next.shift();
        if (read) {
            this.confirm(read);
        }
    }

    raise() {
        this.side.hidden = false;
        this.draw();
        this.side.scrollTop = 0;
        if (!this.isNew) {
            this.view.draw();
        }
    }

    /** After news from the plan: the files, and whether the source is there still. */
    drawAgain() {
        if (this.isOpen && !this.isNew) {
            const now = this.view.all.find(({ source }) => source.id === this.source.id);
            if (!now) {
                this.source = null;
                this.side.hidden = true;
            } else {
                this.view.files.draw(this.side.querySelector('.files'), this.source.id, now.files, () => this.view.load());
            }
        }
    }

    draw() {
        const { source } = this;
        const kind = source.kind ?? 'other';
        const { fields } = words().sourceKinds.find(({ value }) => value === kind);
        const label = (name) => OF_KIND[kind]?.[name] ?? LABELS[name] ?? name;
        const first = fields.filter((name) => name !== 'editors');
        const setKind = (event) => {
            source.kind = event.target.value;
            this.changed(source);
            this.draw();
        };
        const box = element('form', { onsubmit: (event) => { event.preventDefault(); this.done(); } },
            element('div', { class: 'form-head' }, element('h2', {}, this.isNew ? 'Is this right?' : 'Source'), element('button', { type: 'button', class: 'plain', onclick: () => this.close() }, this.isNew ? 'Cancel' : 'Close'), this.isNew && element('button', { class: 'primary' }, 'Add to the sources')),
            this.isNew && this.like && element('p', { class: 'said' }, 'The plan has this source already, it seems.', element('button', { type: 'button', class: 'plain', onclick: () => this.open(this.view.all.find(({ source }) => source.id === this.like)) }, 'Open it')),
            element('div', { class: 'grid-2' },
                this.field(
                    'Kind',
                    'wide',
                    element(
                        'select',
                        { name: 'kind', onchange: setKind },
                        ...words().sourceKinds.map(({ value, name }) => element('option', { value, selected: value === kind }, name)),
                    ),
                ),
                this.line('title', label('title')), this.people('authors', OF_KIND[kind]?.authors ?? 'Authors'), fields.includes('editors') && this.people('editors', label('editors')),
                this.line('date', label('date')), ...first.map((name) => this.line(name, label(name)))),
            element('p', { class: 'error mt-2', role: 'alert' }),
            !this.isNew && element('div', { class: 'files' }),
            element('div', { class: 'dialog-foot' },
                !this.isNew && element(
                    'button',
                    { type: 'button', class: 'plain danger', style: 'margin-right:auto', onclick: () => this.view.takeOut(this.source) },
                    'Take it out',
                ),
                this.isNew && this.text && element('label', { class: 'choice', style: 'width:auto;gap:0.6rem' }, element('span', {}, 'Keep the text of the page too'), element('input', { type: 'checkbox', name: 'keep-text', checked: true }))));
        this.side.replaceChildren(box);
        this.drawAgain();
    }

    field(label, kind, field) {
        return element('label', { class: `field ${kind}` }, element('span', {}, label), field);
    }

    line(name, label) {
        const { source } = this;
        const value = source[name] ?? '';
        const set = (event) => {
            const given = event.target.value.trim();
            given ? source[name] = given : delete source[name];
            this.changed(source);
        };
        const onchange = name === 'date' || name === 'accessed' ? (event) => this.setDate(source, name, event.target) : set;
        const field = name === 'remark'
            ? element('textarea', { name, rows: 3, maxlength: 20000, onchange })
            : element('input', { name, value: shownDate(name, value), maxlength: 2000, autocomplete: 'off', placeholder: HINTS[name], onchange });
        if (name === 'remark') {
            field.value = value;
        }
        return this.field(label, WIDE.has(name) ? 'wide' : '', field);
    }

    /** PHP reads what is typed as a date. */
    async setDate(source, name, field) {
        const typed = field.value.trim();
        const stored = typed === '' ? '' : (await this.page.dateOf(typed)) ?? typed;
        stored ? source[name] = stored : delete source[name];
        if (document.activeElement !== field) {
            field.value = shownDate(name, stored);
        }
        this.changed(source);
    }

    people(role, label) {
        const { source } = this;
        const all = source[role] ?? [];
        const rows = [...all, {}].map((person, i) => {
            const set = (part) => (event) => {
                const list = [...(source[role] ?? [])];
                const changed = { ...list[i], [part]: event.target.value.trim() };
                Object.keys(changed).forEach((one) => changed[one] || delete changed[one]);
                list[i] = changed;
                const left = list.filter((one) => one.family || one.given);
                left.length ? source[role] = left : delete source[role];
                this.changed(source);
                const isAtEnd = i === all.length;
                const { name } = event.target;
                if (this.source === source && (isAtEnd || left.length < list.length)) {
                    const next = document.activeElement?.name;
                    this.draw();
                    this.side.querySelector(`[name="${isAtEnd && next ? next : name}"]`)?.focus();
                }
            };
            const family = [person.particle, person.family].filter(Boolean).join(' ');
            return element('div', { class: 'person' }, element('input', { name: `${role}-${i}-family`, value: family, placeholder: 'Family name, or organisation', 'aria-label': `${label} ${i + 1}: family name or organisation`, maxlength: 300, autocomplete: 'off', onchange: set('family') }),
                element('input', { name: `${role}-${i}-given`, value: [person.given, person.suffix].filter(Boolean).join(', '), placeholder: 'Given names', 'aria-label': `${label} ${i + 1}: given names`, maxlength: 300, autocomplete: 'off', onchange: set('given') }));
        });
        return element('fieldset', { class: 'field wide people' }, element('legend', { class: 'legend' }, label), ...rows);
    }

    /** A field was written in: of the source that it shows, whichever is open by now. One that is not in the plan yet, or no more, is not saved. */
    changed(source) {
        if (this.view.all.some((one) => one.source.id === source.id)) {
            this.view.change(structuredClone(source));
        }
    }

    async done() {
        if (!this.isNew) {
            return;
        }
        if (!this.source.title && !this.source.authors) {
            this.side.querySelector('.error').textContent = 'A source needs a title or an author.';
            return;
        }
        const isUnmoved = meanwhile();
        const { source, text } = this;
        const keepsText = text && this.side.querySelector('[name=keep-text]').checked;
        this.source = null;
        this.side.hidden = true;
        this.view.keep(source);
        if (keepsText) {
            await this.page.queue.flush();
            await this.view.files.keepText(source.id, source.title, text);
            this.view.load();
        }
        if (isUnmoved()) {
            this.view.field.focus();
        }
        this.follow();
    }
}

/** A stored date as it is typed: 1890~ is about 1890. */
const shownDate = (name, value) => (['date', 'accessed'].includes(name) && /~$/.test(value) ? `c. ${value.slice(0, -1)}` : value);
