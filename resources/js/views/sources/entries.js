import { element, icon } from '../../ui/element.js';
import { ROOT } from '../../state/plan.js';
import { TakingIn } from './taking-in.js';

/** The sources as they are listed, each as it will be printed and where it is cited. */
export class Entries extends TakingIn {
    shown() {
        /** @type {Record<string, (one: import('../given.d.ts').Source) => unknown>} */
        const wanted = {
            all: () => true,
            uncited: (one) => !Object.keys(one.cited).length,
            double: (one) => one.like,
        };
        return this.all.filter(wanted[this.filter] ?? (() => false));
    }

    /** @param {any} one */
    entry(one) {
        const cited = Object.entries(one.cited).filter(([topic]) => this.page.tree.noteBearer(topic));
        const like = one.like && this.all.find(({ source }) => source.id === one.like);
        const printed = element('span', { class: 'entry' });
        // PHP has escaped it; it holds emphasis and nothing else.
        printed.innerHTML = one.entry || `<em></em>`;
        if (!one.entry) {
            printed.textContent = `${one.label}: named in the text, not listed`;
        }
        const more = (/** @type {{currentTarget: any}} */ { currentTarget }) => this.ask(one.source.id, currentTarget);
        return element(
            'li',
            { class: this.form.source?.id === one.source.id ? 'is-open' : '' },
            element(
                'button',
                { type: 'button', class: 'open-source', 'data-source': one.source.id, onclick: () => this.form.open(one) },
                printed,
            ),
            element(
                'button',
                { type: 'button', class: 'ico more-of', 'aria-label': `More for ${one.label}`, title: 'More', onclick: more },
                icon('ellipsis'),
            ),
            element(
                'p',
                { class: 'of-source' },
                cited.length ? 'Cited in ' : element('span', { class: 'quiet' }, 'Never cited'),
                ...cited
                    .slice(0, 12)
                    .flatMap(([topic, times], i) => [
                        i ? ', ' : '',
                        element('button', { type: 'button', class: 'link', onclick: () => this.page.openNoteOf(topic) }, this.name(topic)),
                        times > 1 ? ` (${times} times)` : '',
                    ]),
                cited.length > 12 && ` and ${cited.length - 12} more`,
                like && element('span', { class: 'warning' }, ` May be the same as ${like.label}`),
                one.files.length > 0 &&
                    element('span', { class: 'quiet' }, ` · ${one.files.length} ${one.files.length === 1 ? 'file' : 'files'}`),
            ),
        );
    }

    quotation(/** @type {{topic: any, text: string}} */ { topic, text }) {
        return element(
            'li',
            {},
            element(
                'button',
                { type: 'button', class: 'open-source', onclick: () => this.page.openNoteOf(topic) },
                element('span', { class: 'entry' }, text),
            ),
            element('p', { class: 'of-source' }, 'In ', element('span', {}, this.name(topic))),
        );
    }

    /** @param {any} topic */
    name(topic) {
        const { label, title } = this.page.tree.noteBearer(topic) ?? {};
        return topic === ROOT ? 'the opening note' : `${label ?? ''} ${title || 'Untitled'}`.trim();
    }
}
