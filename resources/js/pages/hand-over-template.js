import { send } from '../lib/http.js';

/** A document of the writer's own as a template, and the table of which style is for what. */
export const templateDialog = {
    rows: [],
    knownStyles: [],
    isTaken(row, known) {
        return row.takes === known.id;
    },
    pickTemplate() {
        this.$refs.templateFile.click();
    },
    async uploadTemplate(event) {
        const form = new FormData();
        form.append('file', event.target.files[0]);
        event.target.value = '';
        this.error = '';
        try {
            const { id, name, kind } = await send('POST', '/templates', form);
            this.addOption('template', id, name).dataset.kind = kind;
            this.template = id;
            this.$nextTick(() => this.look());
            await this.editTemplate();
        } catch (error) {
            this.error = error.message;
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
            styles: Object.fromEntries(this.rows.map(({ style, takes }) => [style, takes])),
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
};
