import { send } from '../lib/http.js';
import { element } from './element.js';
import { say } from './toast.js';

/** @typedef {import('./citation-styles.js').Style} Style */

/** What a style looks like with the sources of the plan, and what can be done with one that was brought along. */
export class StyleLook {
    /** @param {string} address @param {(does: () => Promise<unknown>) => unknown} change does something with one's own list */
    constructor(address, change) {
        this.address = address;
        this.change = change;
        this.box = element('section', { class: 'style-look', 'aria-label': 'What it looks like', tabindex: 0 });
        this.key = '';
    }

    clear() {
        this.key = '';
        this.box.replaceChildren();
    }

    /** @param {Style} style */
    async show(style) {
        if (style.key === this.key) {
            return;
        }
        this.key = style.key;
        const look = await send('GET', `${this.address}/${style.key}`);
        if (style.key !== this.key) {
            return;
        }
        this.box.replaceChildren(
            element('h3', {}, style.label),
            element('h4', {}, look.notes ? 'In notes' : 'In the text'),
            element(look.notes ? 'ol' : 'ul', { class: 'style-cites' }, ...look.citations.map(printed)),
            element('h4', {}, look.heading),
            element('ul', { class: 'style-entries' }, ...look.entries.map(printed)),
            ...(style.own ? [this.acts(style, look.mine)] : []),
        );
        this.box.scrollTop = 0;
    }

    /** @param {Style} style @param {boolean} isMine */
    acts(style, isMine) {
        const act = (/** @type {string} */ name, /** @type {string} */ method, /** @type {string} */ address, /** @type {string} */ says) =>
            element(
                'button',
                { class: 'link', type: 'button', onclick: () => this.change(() => send(method, address).then(() => say(says))) },
                name,
            );
        const { key, label } = style;
        return element(
            'p',
            { class: 'style-acts' },
            isMine
                ? element('a', { class: 'link', href: `/citation-styles/${key}`, download: true }, 'Hand over the file')
                : act('Keep it on my list', 'POST', `${this.address}/${key}`, `“${label}” is on your list in every plan now.`),
            isMine &&
                act(
                    'Take it off my list',
                    'DELETE',
                    `/citation-styles/${key}`,
                    `“${label}” is off your list. Plans that are printed in it keep it.`,
                ),
        );
    }
}

/** What is printed comes as HTML that the server has made of runs of text. @param {string} html */
function printed(html) {
    const line = element('li', {});
    line.innerHTML = html;
    return line;
}
