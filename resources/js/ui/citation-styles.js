import { allOf, showOnce } from '../lib/dom.js';
import { reason, send } from '../lib/http.js';
import { tellStyle } from './style-names.js';
import { upload } from '../lib/upload.js';
import { element } from './element.js';
import { StyleList } from './style-list.js';
import { StyleLook } from './style-look.js';
import { say } from './toast.js';

/** How long it waits until what was typed is looked for, in ms. */
const PAUSE = 150;
const GROUPS = { all: 'All', text: 'In the text', notes: 'In notes', numbers: 'By numbers' };

/** @typedef {{key: string, label: string, as: string, group: string, own: boolean, mine: boolean, name?: string}} Style */

/** All styles of citations: found by name and by what they look like, seen with the plan's own sources, brought along as files. */
export class CitationStyles {
    /** @param {import('../sync/session.js').Session} session @param {(style: Style) => unknown} choose */
    constructor(session, choose) {
        this.session = session;
        this.choose = choose;
        this.address = `${session.address}/citation-styles`;
        this.group = 'all';
        this.asked = 0;
        /** @type {Style[]} */
        this.styles = [];
        /** @type {Style[]} */
        this.journals = [];
        /** @type {Style | null} */
        this.chosen = null;
    }

    /** @param {string} key the style that the plan has */
    open(key) {
        this.key = key;
        this.box = this.built();
        showOnce(this.box);
        this.field?.focus();
        this.find();
    }

    built() {
        this.field = element('input', {
            class: 'box',
            type: 'search',
            'aria-label': 'Name of a style or of a journal',
            placeholder: 'Name of a style or of a journal',
            maxlength: 100,
            autocomplete: 'off',
            oninput: () => {
                clearTimeout(this.waiting);
                this.waiting = setTimeout(() => this.find(), PAUSE);
            },
            onkeydown: (/** @type {KeyboardEvent} */ event) => event.key === 'ArrowDown' && this.list?.step(event, 1),
        });
        this.list = new StyleList(
            (style) => this.pick(style),
            () => this.take(),
            this.field,
        );
        this.look = new StyleLook(this.address, (/** @type {() => Promise<unknown>} */ does) => this.changed(does));
        this.error = element('p', { class: 'error mt-2', role: 'alert' });
        this.use = element('button', { class: 'primary', type: 'button', onclick: () => this.take() }, 'Print the plan in it');
        this.file = element('input', {
            type: 'file',
            accept: '.csl,application/xml,text/xml',
            hidden: true,
            'aria-label': 'The file of a style',
            onchange: () => this.bring(),
        });
        return element(
            'dialog',
            { class: 'wide citation-styles', 'aria-labelledby': 'citation-styles-head' },
            element('h2', { id: 'citation-styles-head' }, 'Citation styles'),
            element(
                'div',
                { class: 'styles-split' },
                element(
                    'div',
                    { class: 'styles-side' },
                    this.field,
                    element(
                        'div',
                        { class: 'filters', role: 'group', 'aria-label': 'Where citations stand' },
                        ...Object.entries(GROUPS).map(([group, name]) =>
                            element(
                                'button',
                                { type: 'button', 'data-group': group, 'aria-pressed': 'false', onclick: () => this.filter(group) },
                                name,
                            ),
                        ),
                    ),
                    this.list.box,
                    element(
                        'p',
                        { class: 'hint' },
                        'Yours is not here? A file of the Citation Style Language (.csl) says how it is. ',
                        element('button', { class: 'link', type: 'button', onclick: () => this.file?.click() }, 'Take in a style…'),
                    ),
                    this.file,
                ),
                this.look.box,
            ),
            this.error,
            element(
                'div',
                { class: 'dialog-foot' },
                element('button', { type: 'button', class: 'plain', onclick: () => this.box?.close() }, 'Cancel'),
                this.use,
            ),
        );
    }

    /** @param {string} group */
    filter(group) {
        this.group = group;
        this.draw();
    }

    async find() {
        const asked = ++this.asked;
        try {
            const found = await send('GET', `${this.address}?find=${encodeURIComponent(this.field?.value ?? '')}`);
            if (asked === this.asked) {
                this.styles = found.styles;
                this.journals = found.journals;
                found.styles.forEach(tellStyle);
                this.said('');
                this.draw();
            }
        } catch (error) {
            asked === this.asked && this.said(reason(error));
        }
    }

    /** @param {string} what */
    said(what) {
        this.error && (this.error.textContent = what);
    }

    draw() {
        const fits = (/** @type {Style} */ { group }) => this.group === 'all' || group === this.group;
        const [styles, journals] = [this.styles.filter(fits), this.journals.filter(fits)];
        for (const button of this.box ? allOf(this.box, '[data-group]') : []) {
            button.setAttribute('aria-pressed', String(button.dataset.group === this.group));
        }
        this.list?.draw(styles, journals, this.key ?? '');
        const all = [...styles, ...journals];
        const chosen =
            all.find(({ key, name }) => key === this.chosen?.key && name === this.chosen.name) ??
            all.find(({ key }) => key === this.key) ??
            all[0];
        chosen ? this.pick(chosen) : this.nothing();
    }

    nothing() {
        this.chosen = null;
        this.look?.clear();
        this.use?.setAttribute('disabled', '');
    }

    /** @param {Style} style */
    async pick(style) {
        this.chosen = style;
        this.use?.removeAttribute('disabled');
        this.list?.press(style);
        await this.look?.show(style).catch((/** @type {unknown} */ error) => this.said(reason(error)));
    }

    /** Does something with the list of one's own styles, and shows it as it is then. @param {() => Promise<unknown>} does */
    async changed(does) {
        try {
            await does();
            this.look?.clear();
            await this.find();
        } catch (error) {
            this.said(reason(error));
        }
    }

    async bring() {
        const file = this.file?.files?.[0];
        if (!file || !this.file || !this.field) {
            return;
        }
        this.file.value = '';
        const form = new FormData();
        form.append('file', file);
        await this.changed(async () => {
            const style = await upload('/citation-styles', form, () => undefined);
            tellStyle(style);
            this.chosen = style;
            this.group = 'all';
            this.field && (this.field.value = '');
            say(`“${style.label}” was taken in.`);
        });
    }

    take() {
        if (this.chosen) {
            this.choose(this.chosen);
            this.box?.close();
        }
    }
}
