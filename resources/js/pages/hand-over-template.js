import { component } from './component.js';
import { chosen, fieldOf } from '../lib/dom.js';
import { reason, send } from '../lib/http.js';

/** A document of the writer's own as a template, and the table of which style is for what. */
export const templateDialog = component({
    rows: [],
    knownStyles: [],
    /** @param {any} row @param {any} known */
    isTaken(row, known) {
        return row.takes === known.id;
    },
    pickTemplate() {
        this.$refs.templateFile.click();
    },
    /** @param {Event} event */
    async uploadTemplate(event) {
        const form = new FormData();
        form.append('file', chosen(event));
        fieldOf(event).value = '';
        this.error = '';
        try {
            const { id, name, kind } = await send('POST', '/templates', form);
            this.addOption('template', id, name).dataset.kind = kind;
            this.template = id;
            this.$nextTick(() => this.look());
            await this.editTemplate();
        } catch (error) {
            this.error = reason(error);
        }
    },
    async editTemplate() {
        const { rows, known } = await send('GET', `/templates/${this.template}`);
        this.knownStyles = known;
        this.rows = rows;
        this.$refs.templateTable.showModal();
    },
    closeTemplate() {
        this.$refs.templateTable.close();
    },
    async saveTemplate() {
        await send('PUT', `/templates/${this.template}`, {
            styles: Object.fromEntries(this.rows.map((/** @type {{style: string, takes: string}} */ { style, takes }) => [style, takes])),
        });
        this.closeTemplate();
        this.look();
    },
    async removeTemplate() {
        await send('DELETE', `/templates/${this.template}`);
        this.$root.querySelector(`select[name=template] option[value="${this.template}"]`)?.remove();
        this.template = '';
        this.closeTemplate();
        this.$nextTick(() => this.look());
    },
});
