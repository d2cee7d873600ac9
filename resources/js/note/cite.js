import { byKey } from '../lib/keys.js';
import { byId, childrenOf, fieldOf, firstOf, held } from '../lib/dom.js';
import { send } from '../lib/http.js';
import { element } from '../ui/element.js';
import { meanwhile } from '../lib/meanwhile.js';
import { Asking } from '../ui/asking.js';

/** Picks what is cited: a source by its letters, then pages and the words around it; several in one bracket. */
export class CiteDialog {
    /** @param {import('./editor.js').Desk} desk */
    constructor({ session, citations, say }) {
        this.session = session;
        this.citations = citations;
        this.say = say;
        this.dialog = byId('cite', HTMLDialogElement);
        this.form = firstOf(this.dialog, 'form');
        this.field = byId('cite-find', HTMLInputElement);
        this.list = byId('cite-list');
        /** What is cited: each with its source, pages and words. @type {any[]} */
        this.items = [];
        this.chosen = byId('cite-chosen');
        this.preview = byId('cite-preview');
        this.field.addEventListener('input', () => this.drawFound());
        this.field.addEventListener('keydown', (event) => this.inField(event));
        this.list.addEventListener('keydown', (event) => this.inList(event));
        this.asking = new Asking(this.dialog, () => this.asking.give(this.items));
        byId('cite-remove').addEventListener('click', () => {
            this.asking.give([]);
        });
    }

    /**
     * @returns {Promise<any[] | null>} the items of the citation, none to take it out, null when it was called off
     * @param {any} [items]
     */
    open(items = []) {
        this.items = structuredClone(items);
        byId('cite-remove').hidden = !items.length;
        this.field.value = '';
        this.draw();
        const given = this.asking.open();
        (this.items.length ? firstOf(this.chosen, 'input') : this.field).focus();
        return given;
    }

    found() {
        const words = this.field.value.toLowerCase().split(/\s+/).filter(Boolean);
        return [...this.citations.sources.values()]
            .filter(({ label, title }) => words.every((word) => `${label} ${title}`.toLowerCase().includes(word)))
            .slice(0, 8);
    }

    draw() {
        this.drawFound();
        this.chosen.replaceChildren(...this.items.map((item, i) => this.one(item, i)));
        firstOf(this.form, '.primary', HTMLButtonElement).disabled = !this.items.length;
        this.drawPreview();
    }

    drawFound() {
        const found = this.found();
        const typed = this.field.value.trim();
        const isOpen = !this.items.length || typed !== '';
        this.list.replaceChildren(
            ...(isOpen ? found : []).map((source) =>
                element(
                    'li',
                    {},
                    element(
                        'button',
                        { type: 'button', onclick: () => this.pick(source.id) },
                        element('strong', {}, source.label),
                        element('span', {}, source.title),
                    ),
                ),
            ),
            ...(typed.length > 3
                ? [
                      element(
                          'li',
                          {},
                          element(
                              'button',
                              { type: 'button', class: 'is-new', onclick: () => this.add() },
                              element('strong', {}, 'New source'),
                              element('span', {}, typed),
                          ),
                      ),
                  ]
                : []),
        );
        if (isOpen && !found.length && typed.length <= 3) {
            this.list.append(
                element(
                    'li',
                    { class: 'hint' },
                    this.citations.sources.size
                        ? 'No source has these letters.'
                        : 'There are no sources yet. Type one as in: Pell, Tides and Walls, 1994, p. 61',
                ),
            );
        }
    }

    /** @param {KeyboardEvent} event */
    inField(event) {
        if (event.key === 'Enter' && !event.isComposing) {
            event.preventDefault();
            const first = this.list.querySelector('button');
            if (first && this.field.value.trim()) {
                first.click();
            } else if (this.items.length) {
                this.asking.give(this.items);
            } else {
                first?.click();
            }
        } else if (event.key === 'ArrowDown') {
            event.preventDefault();
            this.list.querySelector('button')?.focus();
        }
    }

    /** @param {KeyboardEvent} event */
    inList(event) {
        const buttons = [...this.list.querySelectorAll('button')];
        const by = byKey(event, { ArrowDown: 1, ArrowUp: -1 });
        if (by) {
            event.preventDefault();
            (buttons[buttons.indexOf(/** @type {HTMLButtonElement} */ (held())) + by] ?? this.field).focus();
        }
    }

    /** @param {any} source */
    pick(source, pages = '') {
        this.field.value = '';
        this.put(source, pages);
        firstOf(childrenOf(this.chosen).at(-1) ?? this.chosen, 'input').focus();
    }

    /** @param {any} source @param {any} pages */
    put(source, pages) {
        this.items.push({ source, ...(pages && { pages }) });
        this.draw();
    }

    /** A source that is not there yet, out of what was typed. */
    async add() {
        const line = this.field.value.trim();
        const asked = this.asking.resolve;
        const isUnmoved = meanwhile();
        const typed = await send('POST', `${this.session.address}/source-list/typed`, { line }).catch(() => null);
        if (!typed) {
            this.say('The source could not be read: the server cannot be reached.');
            return;
        }
        if (!typed.like) {
            this.session.perform({ type: 'source', sources: [typed.source] });
            this.citations.sources.set(typed.source.id, { id: typed.source.id, title: typed.source.title, label: typed.label });
        }
        const source = typed.like ?? typed.source.id;
        if (isUnmoved()) {
            this.pick(source, typed.pages);
        } else if (this.asking.resolve === asked) {
            // Something else is being typed by now, and stays.
            this.field.value = this.field.value.startsWith(line) ? this.field.value.slice(line.length).trim() : this.field.value;
            this.put(source, typed.pages);
        }
    }

    /** @param {any} item @param {number} i */
    one(item, i) {
        const set = (/** @type {string} */ name) => (/** @type {Event} */ event) => {
            const { value, checked, type } = fieldOf(event);
            const given = type === 'checkbox' ? checked : value.trim();
            given ? (item[name] = given) : delete item[name];
            this.drawPreview();
        };
        const field = (/** @type {string} */ label, /** @type {string} */ name, more = {}) =>
            element(
                'label',
                { class: 'field' },
                element('span', {}, label),
                element('input', { value: item[name] ?? '', maxlength: 300, autocomplete: 'off', oninput: set(name), ...more }),
            );
        return element(
            'li',
            {},
            element(
                'div',
                { class: 'head' },
                element('strong', {}, this.citations.sources.get(item.source)?.label ?? 'source missing'),
                element(
                    'button',
                    {
                        type: 'button',
                        class: 'plain',
                        'aria-label': `Take out ${this.citations.sources.get(item.source)?.label ?? 'the missing source'}`,
                        onclick: () => {
                            this.items.splice(i, 1);
                            this.draw();
                            this.field.focus();
                        },
                    },
                    'Take out',
                ),
            ),
            element(
                'div',
                { class: 'cite-fields' },
                field('Pages', 'pages', { placeholder: '61, or ch. 3' }),
                field('Words before', 'prefix', { placeholder: 'see' }),
                field('Words after', 'suffix'),
            ),
            element(
                'label',
                { class: 'choice' },
                element('span', {}, 'The sentence names the author already'),
                element('input', { type: 'checkbox', checked: item.withoutAuthor ?? false, onchange: set('withoutAuthor') }),
            ),
        );
    }

    drawPreview() {
        clearTimeout(this.drawing);
        this.preview.textContent = '';
        this.drawing =
            this.items.length &&
            setTimeout(async () => {
                const told = await this.citations.ask(this.items);
                if (told && this.dialog.open) {
                    this.preview.innerHTML = told.printed;
                }
            }, 150);
    }
}
