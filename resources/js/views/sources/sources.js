import { send } from '../../lib/http.js';
import { newId } from '../../lib/ids.js';
import { element, icon } from '../../ui/element.js';
import { words } from '../../lib/vocabulary.js';
import { meanwhile } from '../../lib/meanwhile.js';
import { ROOT } from '../../state/plan.js';
import { whenAsked } from '../../ui/context.js';
import { Popover } from '../../ui/popover.js';
import { SourceForm } from './form.js';
import { Files } from './files.js';

/** The sources of the plan: how each will be printed, where it is cited, what is doubled, and what quotes nothing. */
export class SourcesView {
    constructor(page) {
        this.page = page;
        this.side = document.getElementById('sources-view');
        this.list = document.getElementById('source-entries');
        this.field = document.getElementById('source-line');
        this.all = [];
        this.unsourced = [];
        this.filter = 'all';
        this.form = new SourceForm(this);
        this.files = new Files(page);
        document.getElementById('source-line-form').addEventListener('submit', (event) => { event.preventDefault(); this.typed(); });
        this.field.addEventListener('paste', (event) => this.pasted(event));
        const file = document.getElementById('source-file');
        document.getElementById('source-take').addEventListener('click', () => file.click());
        file.addEventListener('change', () => { this.takeIn(file.files[0]); file.value = ''; });
        document.getElementById('source-elsewhere').addEventListener('click', () => this.elsewhere());
        const hand = document.querySelector('#source-hand > button');
        this.formats = new Popover(() => hand.focus());
        hand.addEventListener('click', () => (this.formats.isOpen ? this.formats.close() : this.handOver(hand)));
        this.menu = new Popover(() => this.list.querySelector('.open-source')?.focus());
        whenAsked(this.list, (node) => node.closest('li')?.querySelector('[data-source]'), (button, point) => this.ask(button.dataset.source, point));
        const style = document.getElementById('source-style');
        style.replaceChildren(...Object.entries(words().citationStyles).map(([value, name]) => element('option', { value }, name)));
        style.addEventListener('change', () => { page.setPlan({ citation_style: style.value }); this.load(); });
        for (const button of this.side.querySelectorAll('[data-filter]')) {
            button.addEventListener('click', () => { this.filter = button.dataset.filter; this.draw(); });
        }
    }

    enter() {
        this.load();
        this.page.research.look();
        this.field.focus();
    }

    async load() {
        const ticket = this.ticket = (this.ticket ?? 0) + 1;
        await this.page.queue.flush();
        const answer = await send('GET', `${this.page.address}/source-list`).catch(() => null);
        if (answer && ticket === this.ticket) {
            this.all = answer.sources;
            this.unsourced = answer.unsourced;
            this.draw();
        }
    }

    told() {
        if (this.page.view === 'sources') {
            this.load();
        }
    }

    outwards() {
        this.form.isOpen ? this.form.close() : this.page.show('outline');
    }

    // ---- Drawing

    shown() {
        const wanted = { all: () => true, uncited: (one) => !Object.keys(one.cited).length, double: (one) => one.like };
        return this.all.filter(wanted[this.filter] ?? (() => false));
    }

    draw() {
        document.getElementById('source-style').value = this.page.tree.properties.citation_style;
        const counts = { all: this.all.length, uncited: this.all.filter((one) => !Object.keys(one.cited).length).length, double: this.all.filter((one) => one.like).length, unsourced: this.unsourced.length };
        for (const button of this.side.querySelectorAll('[data-filter]')) {
            const { filter } = button.dataset;
            button.setAttribute('aria-pressed', String(filter === this.filter));
            button.querySelector('b').textContent = counts[filter];
            button.hidden = filter !== 'all' && filter !== this.filter && counts[filter] === 0;
        }
        const held = this.list.contains(document.activeElement) ? document.activeElement.closest('li').querySelector('.open-source').dataset.source : null;
        const rows = this.filter === 'unsourced' ? this.unsourced.map((one) => this.quotation(one)) : this.shown().map((one) => this.entry(one));
        this.list.replaceChildren(...rows);
        if (held) {
            this.list.querySelector(`[data-source="${held}"]`)?.focus({ preventScroll: true });
        }
        document.getElementById('sources-empty').hidden = this.all.length > 0 || this.filter === 'unsourced';
        this.form.drawAgain();
    }

    entry(one) {
        const cited = Object.entries(one.cited).filter(([topic]) => this.page.tree.noteBearer(topic));
        const like = one.like && this.all.find(({ source }) => source.id === one.like);
        const printed = element('span', { class: 'entry' });
        // PHP has escaped it; it holds emphasis and nothing else.
        printed.innerHTML = one.entry || `<em></em>`;
        if (!one.entry) {
            printed.textContent = `${one.label}: named in the text, not listed`;
        }
        const more = ({ currentTarget }) => this.ask(one.source.id, currentTarget);
        return element('li', { class: this.form.source?.id === one.source.id ? 'is-open' : '' },
            element('button', { type: 'button', class: 'open-source', 'data-source': one.source.id, onclick: () => this.form.open(one) }, printed),
            element('button', { type: 'button', class: 'ico more-of', 'aria-label': `More for ${one.label}`, title: 'More', onclick: more }, icon('ellipsis')),
            element('p', { class: 'of-source' },
                cited.length ? 'Cited in ' : element('span', { class: 'quiet' }, 'Never cited'),
                ...cited.slice(0, 12).flatMap(([topic, times], i) => [i ? ', ' : '', element('button', { type: 'button', class: 'link', onclick: () => this.page.openNoteOf(topic) }, this.name(topic)), times > 1 ? ` (${times} times)` : '']),
                cited.length > 12 && ` and ${cited.length - 12} more`,
                like && element('span', { class: 'warning' }, ` May be the same as ${like.label}`),
                one.files.length > 0 && element('span', { class: 'quiet' }, ` · ${one.files.length} ${one.files.length === 1 ? 'file' : 'files'}`)));
    }

    /** What can be done with a source: at its dots, the second button of a mouse, or a long press. */
    ask(id, point) {
        const one = this.all.find(({ source }) => source.id === id);
        const done = (does) => () => {
            this.menu.close(false);
            does();
        };
        const act = (name, does) => element('button', { type: 'button', onclick: done(does) }, name);
        const cited = Object.keys(one.cited).filter((topic) => this.page.tree.noteBearer(topic)).slice(0, 6);
        this.menu.raise(`Source: ${one.label}`, point, element('div', { class: 'acts-list one-column' },
            act('Open it', () => this.form.open(one)),
            ...cited.map((topic) => act(`Go to ${this.name(topic)}`, () => this.page.openNoteOf(topic))),
            one.entry && act('Copy its entry', () => this.copyEntry(one.entry)),
            act('Take it out', () => this.takeOut(one.source))));
        this.menu.box.querySelector('button').focus();
    }

    /** All sources as a file, in one of the formats that other programs read. */
    handOver(button) {
        this.formats.raise('Hand over the sources as', button, element('div', { class: 'acts-list one-column' }, ...Object.entries(words().sourceFormats)
            .map(([format, name]) => element('a', { href: `${this.page.address}/source-list/file?format=${format}`, download: true, onclick: () => this.formats.close() }, name))));
        this.formats.box.querySelector('a').focus();
    }

    copyEntry(html) {
        const text = new DOMParser().parseFromString(html, 'text/html').body.textContent;
        const [done, refused] = ['The entry was copied.', 'This browser does not let it be copied.'].map((says) => () => this.page.say(says));
        navigator.clipboard?.writeText(text).then(done, refused);
    }

    takeOut(source) {
        if (this.form.source?.id === source.id) {
            this.form.close();
        }
        this.remove(source);
    }

    quotation({ topic, text }) {
        return element('li', {}, element('button', { type: 'button', class: 'open-source', onclick: () => this.page.openNoteOf(topic) }, element('span', { class: 'entry' }, text)), element('p', { class: 'of-source' }, 'In ', element('span', {}, this.name(topic))));
    }

    name(topic) {
        const { label, title } = this.page.tree.noteBearer(topic) ?? {};
        return topic === ROOT ? 'the opening note' : `${label ?? ''} ${title || 'Untitled'}`.trim();
    }

    // ---- What comes in

    typed() {
        const line = this.field.value.trim();
        if (!line) {
            this.form.fresh();
            return;
        }
        // The field is free for the next line at once; each is read in its turn.
        this.field.value = '';
        this.reading = (this.reading ?? Promise.resolve()).then(() => this.read(line, meanwhile()));
    }

    async read(line, isUnmoved) {
        const isAddress = /^(https?:\/\/|www\.)\S+$/i.test(line);
        this.page.say(isAddress ? 'Reading the page…' : 'Reading the line…');
        const answer = await send('POST', `${this.page.address}/source-list/${isAddress ? 'page' : 'typed'}`, isAddress ? { address: line } : { line }).catch((error) => error);
        document.querySelector('.toast')?.remove();
        // The address alone is a source already.
        const typed = answer instanceof Error && isAddress ? await send('POST', `${this.page.address}/source-list/typed`, { line }).catch(() => null) : null;
        if (answer instanceof Error) {
            this.page.say(typed ? `${answer.message} The address alone is kept.` : answer.message);
        }
        if (answer instanceof Error && !typed) {
            this.field.value = [line, this.field.value].filter(Boolean).join(' ');
        } else {
            this.offer(typed ?? answer, isUnmoved());
        }
    }

    /** Shows what was read, to be confirmed; after one that waits to be confirmed. */
    offer(read, takesKeyboard) {
        if (this.form.isOpen && this.form.isNew) {
            this.form.next.push(read);
        } else {
            this.form.confirm(read, takesKeyboard);
        }
    }

    /** Several lines, or a file's text, are taken in whole. */
    pasted(event) {
        const text = event.clipboardData.getData('text/plain');
        if (/^\s*@\w+\s*[{(]|^TY {1,2}-|^\s*\[\s*\{/m.test(text)) {
            event.preventDefault();
            this.takeIn(null, text);
        }
    }

    async takeIn(file, text = '') {
        if (!file && !text) {
            return;
        }
        const body = new FormData();
        body.append('base', this.page.queue.base);
        file ? body.append('file', file) : body.append('text', text);
        const answer = await this.page.upload('source-list', body);
        if (answer) {
            this.page.session.taken(answer);
            this.load();
            this.report(answer);
        }
    }

    report({ added, said }) {
        const dialog = document.getElementById('report');
        dialog.querySelector('h2').textContent = added === 0 ? 'No source was taken in' : `${added} ${added === 1 ? 'source was' : 'sources were'} taken in`;
        dialog.querySelector('ul').replaceChildren(...said.map((sentence) => element('li', {}, sentence)));
        if (said.length) {
            dialog.showModal();
        } else {
            this.page.say(dialog.querySelector('h2').textContent + '.', { label: 'Undo', act: () => this.page.undo() });
        }
    }

    async elsewhere() {
        const { dialogs } = this.page;
        const ask = async () => (await send('GET', `${this.page.address}/source-list/elsewhere?typed=`)).sources;
        const take = (source) => () => {
            dialogs.choosing.close();
            this.keep(source);
        };
        const rows = (sources, wanted) => sources
            .filter(({ label, source, plan }) => `${label} ${source.title} ${plan}`.toLowerCase().includes(wanted)).slice(0, 12)
            .map(({ label, source }) => [{ name: `${label}: ${source.title}`, act: take(source) }]);
        const says = { waiting: 'Looking through your plans…', none: 'No other plan has such a source.' };
        await dialogs.chooseOf('Sources of your other plans', 'Letters of the author or title', ask, rows, says);
    }

    keep(source) {
        this.page.perform({ type: 'source', sources: [source] });
        this.page.tell('Kept as a source');
        this.load();
    }

    change(source) {
        this.page.perform({ type: 'edit-source', source });
        clearTimeout(this.loading);
        this.loading = setTimeout(() => this.load(), 400);
    }

    remove(source) {
        const one = this.all.find(({ source: { id } }) => id === source.id);
        this.page.perform({ type: 'unsource', ids: [source.id] });
        this.load();
        this.page.say(one && Object.keys(one.cited).length ? 'The source was taken out. Where it is cited, it is missing now.' : 'The source was taken out.', { label: 'Undo', act: () => this.page.undo().then(() => this.load()) });
    }

    newId() {
        return newId();
    }
}
