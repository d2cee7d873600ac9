import { download, toPng } from './map-picture.js';

/** The choices of one hand-over, and the preview that follows them. */
export default function handOver() {
    return {
        format: 'docx',
        kind: 'svg',
        busy: '',
        sheets: '',
        address: '',
        ticket: 0,
        error: '',
        init() {
            this.format = this.$root.dataset.format;
            this.$root.addEventListener('change', () => this.look());
            this.look();
        },
        get isOutline() {
            return this.format === 'opml';
        },
        get isMap() {
            return this.format === 'svg' || this.isPaper;
        },
        get isPaper() {
            return this.format === 'pdf';
        },
        get verb() {
            return this.isMap ? 'Download the map' : 'Download the draft';
        },
        get isText() {
            return this.format === 'txt';
        },
        get hasHeadings() {
            return this.format === 'docx' || this.format === 'md';
        },
        get hasContents() {
            return this.format === 'docx';
        },
        get isDraft() {
            return !this.isOutline && !this.isText;
        },
        query() {
            const form = this.$root.querySelector('form');
            const query = new URLSearchParams(new FormData(form));
            for (const box of form.querySelectorAll('input[type=checkbox]')) {
                query.set(box.name, box.checked ? '1' : '0');
            }
            return query.toString();
        },
        /** A map as PNG is drawn here; everything else comes as a file. */
        async leave(event) {
            const times = Number(this.kind);
            if (!this.isMap || this.isPaper || !times) {
                return;
            }
            event.preventDefault();
            this.busy = 'Drawing…';
            this.error = '';
            try {
                download(await toPng(this.address, times), `${this.$root.dataset.name}.png`);
            } catch (error) {
                this.error = error.message;
            }
            this.busy = '';
        },
        async look() {
            const ticket = ++this.ticket;
            const query = this.query();
            this.address = `${this.$root.dataset.address}/file?${query}${this.isMap && this.kind !== 'svg' ? '&fonts=1' : ''}`;
            this.sheets = `${this.$root.dataset.address}/sheets?${query}`;
            try {
                const response = await fetch(`${this.$root.dataset.address}/preview?${query}`, { headers: { Accept: 'text/html' } });
                if (!response.ok) {
                    throw new Error();
                }
                const page = new DOMParser().parseFromString(await response.text(), 'text/html');
                if (ticket === this.ticket) {
                    this.error = '';
                    this.$refs.preview.replaceChildren(...page.body.childNodes);
                }
            } catch {
                this.error = 'The preview cannot be shown: the server cannot be reached.';
            }
        },
    };
}
