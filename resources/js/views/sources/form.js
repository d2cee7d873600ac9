import { byId, fieldOf, firstOf, held } from '../../lib/dom.js';
import { element } from '../../ui/element.js';
import { words } from '../../lib/vocabulary.js';
import { meanwhile } from '../../lib/meanwhile.js';
import { Fields } from './fields.js';

/** The fields of one source. One that is in the plan is saved with each change; a new one is confirmed first. */
export class SourceForm extends Fields {
    /** @param {import('./sources.js').SourcesView} view */
    constructor(view) {
        super();
        this.view = view;
        this.page = view.page;
        this.side = byId('source-form');
        this.source = null;
        this.isNew = false;
        /** Sources that were read while this one waited to be confirmed. */
        this.next = /** @type {any[]} */ ([]);
        // A field that is written in when the page is left has not told of its change yet.
        addEventListener('pagehide', () => this.side.contains(held()) && held().dispatchEvent(new Event('change')));
    }

    get isOpen() {
        return this.source !== null;
    }

    open(/** @type {{source: any}} */ { source }) {
        this.source = structuredClone(source);
        this.isNew = false;
        this.pages = '';
        this.raise();
    }

    /** A source that was read out of a line or a page: to be confirmed. */
    confirm(
        /** @type {{source: any, like: any, pages?: any, text?: string}} */ { source, like, pages = '', text = '' },
        takesKeyboard = true,
    ) {
        this.source = source;
        this.isNew = true;
        this.like = like;
        this.pages = pages;
        this.text = text;
        this.raise();
        if (takesKeyboard) {
            firstOf(this.side, '.primary').focus({ preventScroll: true });
        }
    }

    fresh() {
        this.confirm({ source: { id: this.view.newId(), kind: 'book', title: '' }, like: null });
        firstOf(this.side, '[name=title]').focus();
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
        const setKind = (/** @type {Event} */ event) => {
            source.kind = fieldOf(event).value;
            this.changed(source);
            this.draw();
        };
        const box = element(
            'form',
            {
                onsubmit: (/** @type {Event} */ event) => {
                    event.preventDefault();
                    this.done();
                },
            },
            element(
                'div',
                { class: 'form-head' },
                element('h2', {}, this.isNew ? 'Is this right?' : 'Source'),
                element('button', { type: 'button', class: 'plain', onclick: () => this.close() }, this.isNew ? 'Cancel' : 'Close'),
                this.isNew && element('button', { class: 'primary' }, 'Add to the sources'),
            ),
            this.isNew &&
                this.like &&
                element(
                    'p',
                    { class: 'said' },
                    'The plan has this source already, it seems.',
                    element(
                        'button',
                        {
                            type: 'button',
                            class: 'plain',
                            onclick: () => this.open(this.view.all.find(({ source }) => source.id === this.like)),
                        },
                        'Open it',
                    ),
                ),
            element(
                'div',
                { class: 'grid-2' },
                this.field(
                    'Kind',
                    'wide',
                    element(
                        'select',
                        { name: 'kind', onchange: setKind },
                        ...[...new Set(words().sourceKinds.map((/** @type {{group: string}} */ one) => one.group))].map((group) =>
                            element(
                                'optgroup',
                                { label: group },
                                ...words()
                                    .sourceKinds.filter((/** @type {{group: string}} */ one) => one.group === group)
                                    .map((/** @type {{value: string, name: string}} */ { value, name }) =>
                                        element('option', { value, selected: value === kind }, name),
                                    ),
                            ),
                        ),
                    ),
                ),
                ...this.ofKind(kind),
            ),
            element('p', { class: 'error mt-2', role: 'alert' }),
            !this.isNew && element('div', { class: 'files' }),
            element(
                'div',
                { class: 'dialog-foot' },
                !this.isNew &&
                    element(
                        'button',
                        {
                            type: 'button',
                            class: 'plain danger',
                            style: 'margin-right:auto',
                            onclick: () => this.view.takeOut(this.source),
                        },
                        'Take it out',
                    ),
                this.isNew &&
                    this.text &&
                    element(
                        'label',
                        { class: 'choice', style: 'width:auto;gap:0.6rem' },
                        element('span', {}, 'Keep the text of the page too'),
                        element('input', { type: 'checkbox', name: 'keep-text', checked: true }),
                    ),
            ),
        );
        this.side.replaceChildren(box);
        this.drawAgain();
    }

    /**
     * A field was written in: of the source that it shows, whichever is open by now. One that is not in the plan
     * yet, or no more, is not saved.
     * @param {any} source
     */
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
            firstOf(this.side, '.error').textContent = 'A source needs a title or an author.';
            return;
        }
        const isUnmoved = meanwhile();
        const { source, text } = this;
        const keepsText = text && firstOf(this.side, '[name=keep-text]', HTMLInputElement).checked;
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
