import { component } from './component.js';
import { reason, send } from '../lib/http.js';
import { around } from '../lib/dom.js';

/** The pages as they will be, fetched as they come into sight. */
export const preview = component({
    async look() {
        const ticket = ++this.ticket;
        const query = this.query();
        this.address = `${this.$root.dataset.address}/file?${this.asFile(query)}`;
        this.sheets = `${this.$root.dataset.address}/sheets?${query}`;
        this.copied = '';
        try {
            const page = await this.fetched(query);
            if (ticket !== this.ticket) {
                return;
            }
            this.error = '';
            const said = page.querySelector('#said');
            this.said = said?.textContent ?? '';
            this.isLong = said?.dataset.long === '1';
            said?.remove();
            this.$refs.preview.replaceChildren(...page.body.childNodes);
            this.$nextTick(() => this.more());
            await send('PUT', this.$root.dataset.address ?? '', Object.fromEntries(query));
        } catch (error) {
            this.error = reason(error) || 'The preview cannot be shown: the server cannot be reached.';
        }
    },
    /** What is asked for as a file: a map also as a picture made of pixels. @param {URLSearchParams} query */
    asFile(query) {
        const file = new URLSearchParams(query);
        if (this.isMap && !this.isPaper && this.kind !== 'svg') {
            ['jpeg', 'webp'].includes(this.kind) ? file.set('format', this.kind) : file.set('fonts', '1');
        }
        return file;
    },
    /** @param {any} query */
    async fetched(query) {
        const response = await fetch(`${this.$root.dataset.address}/preview?${query}`, { headers: { Accept: 'text/html' } });
        if (!response.ok) {
            throw new Error();
        }
        return new DOMParser().parseFromString(await response.text(), 'text/html');
    },
    /** The next pages, when the last ones come into sight. */
    async more() {
        const papers = this.$refs.preview.querySelector('.papers[data-next]');
        if (!papers || this.isFetching || papers.getBoundingClientRect().bottom > window.innerHeight * 2) {
            return;
        }
        this.isFetching = true;
        const ticket = this.ticket;
        const query = this.query();
        query.set('page', papers.dataset.next);
        const next = (await this.fetched(query)).querySelector('.papers');
        if (ticket === this.ticket && next) {
            papers.append(...next.children);
            next.dataset.next ? (papers.dataset.next = next.dataset.next) : delete papers.dataset.next;
        }
        this.isFetching = false;
        this.more();
    },
    /** A line of the contents leads to its page, which may have to come first. @param {Event} event */
    async turnTo(event) {
        const page = around(event, 'a[data-page]')?.dataset.page;
        if (!page) {
            return;
        }
        event.preventDefault();
        const papers = this.$refs.preview.querySelector('.papers');
        while (!document.getElementById(`page-${page}`) && papers.dataset.next) {
            const query = this.query();
            query.set('page', papers.dataset.next);
            const next = (await this.fetched(query)).querySelector('.papers');
            papers.append(...next.children);
            next.dataset.next ? (papers.dataset.next = next.dataset.next) : delete papers.dataset.next;
        }
        document.getElementById(`page-${page}`)?.scrollIntoView({ block: 'start' });
    },
});
