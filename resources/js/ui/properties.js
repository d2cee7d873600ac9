import { byId, fieldsOf, firstOf } from '../lib/dom.js';
import { send } from '../lib/http.js';
import { offerStyles } from './style-names.js';
import { CitationStyles } from './citation-styles.js';
import { say } from './toast.js';

/** The plan's properties, and its target shared out among the sections. */
export class PropertiesDialog {
    /** @param {import('../sync/session.js').Session} session */
    constructor(session) {
        this.session = session;
        this.dialog = byId('properties', HTMLDialogElement);
        this.form = firstOf(this.dialog, 'form', HTMLFormElement);
        this.error = firstOf(this.dialog, '.error');
        this.form.addEventListener('submit', (event) => this.save(event));
        byId('share-out').addEventListener('click', () => this.shareOut());
        this.style = byId('property-style', HTMLSelectElement);
        byId('property-styles').addEventListener('click', () =>
            new CitationStyles(this.session, ({ key }) => offerStyles(this.style, key)).open(this.style.value),
        );
    }

    open() {
        const fields = fieldsOf(this.form);
        offerStyles(this.style, this.session.tree.properties.citation_style);
        const values = { ...this.session.tree.properties, title: this.session.tree.title };
        for (const [name, value] of Object.entries(values)) {
            const field = fields[name];
            if (field?.type === 'checkbox') {
                field.checked = value;
            } else if (field) {
                if (field instanceof HTMLSelectElement && ![...field.options].some((option) => option.value === String(value))) {
                    field.add(new Option(value, value));
                }
                field.value = value ?? '';
            }
        }
        this.error.textContent = '';
        this.dialog.showModal();
    }

    given() {
        const fields = fieldsOf(this.form);
        /** @type {Record<string, any>} */
        const given = {};
        for (const [name, was] of Object.entries(this.session.tree.properties)) {
            const field = fields[name];
            if (!field) {
                continue;
            }
            const value =
                field.type === 'checkbox'
                    ? field.checked
                    : ['target', 'numbering_depth'].includes(name)
                      ? field.value === ''
                          ? null
                          : Math.round(Number(field.value))
                      : name === 'due'
                        ? field.value || null
                        : field.value.trim();
            if (value !== was) {
                given[name] = value;
            }
        }
        return given;
    }

    /** @param {Event} event */
    save(event) {
        event.preventDefault();
        const title = fieldsOf(this.form).title.value.trim();
        if (!title) {
            this.error.textContent = 'A plan needs a title.';
            return;
        }
        const given = this.given();
        if (title !== this.session.tree.title) {
            this.session.retitlePlan(title);
        }
        if (Object.keys(given).length) {
            this.session.setPlan(given);
        }
        this.dialog.close();
    }

    /** Shares the plan's target out among the main sections that have none. */
    async shareOut() {
        const { session } = this;
        const given = this.given();
        if (Object.keys(given).length) {
            session.setPlan(given);
        }
        await session.queue.flush();
        const { shares } = await send('GET', `${session.address}/shares`);
        const operations = Object.entries(shares).map(([id, value]) => ({ type: 'target', ids: [id], value }));
        const error = this.error;
        if (!operations.length) {
            error.textContent = session.tree.properties.target
                ? 'Every main section has a target already, or too few words are left to share.'
                : 'Set a target for the whole plan first.';
            return;
        }
        session.perform({ type: 'compound', operations });
        this.dialog.close();
        say(`Shared out among ${operations.length} sections.`, { label: 'Undo', act: () => session.undo() });
    }
}
