import { allOf } from '../lib/dom.js';
import { element } from './element.js';

/** @typedef {import('./citation-styles.js').Style} Style */

const idOf = (/** @type {Style} */ { key, name }) => `${key} ${name ?? ''}`;

/** The styles that were found, and journals that are printed in one: arrows go through them from the field above. */
export class StyleList {
    /** @param {(style: Style) => unknown} pick @param {() => unknown} take @param {HTMLElement} field */
    constructor(pick, take, field) {
        this.pick = pick;
        this.take = take;
        this.field = field;
        this.box = element('ul', {
            class: 'styles-found',
            'aria-label': 'Styles',
            onkeydown: (/** @type {KeyboardEvent} */ event) =>
                ['ArrowDown', 'ArrowUp'].includes(event.key) && this.step(event, event.key === 'ArrowUp' ? -1 : 1),
        });
    }

    get buttons() {
        return allOf(this.box, '[data-style]');
    }

    /** @param {Style[]} styles @param {Style[]} journals @param {string} current the style that the plan has */
    draw(styles, journals, current) {
        const own = styles.filter((style) => style.own);
        const part = (/** @type {string} */ name, /** @type {Style[]} */ all) =>
            all.length
                ? [
                      ...(name ? [element('li', { class: 'styles-part' }, name)] : []),
                      ...all.map((one) => this.row(one, one.key === current)),
                  ]
                : [];
        this.box.replaceChildren(
            ...part('Brought along', own),
            ...part(
                own.length ? 'Shipped with Embrel' : '',
                styles.filter((style) => !style.own),
            ),
            ...part('Journals', journals),
            ...(styles.length + journals.length
                ? []
                : [element('li', { class: 'hint' }, 'No style and no journal is called so. The name of its publisher may find it.')]),
        );
    }

    /** @param {Style} style @param {boolean} isCurrent */
    row(style, isCurrent) {
        const says = style.name ? `printed as ${style.label}` : style.as;
        return element(
            'li',
            {},
            element(
                'button',
                {
                    type: 'button',
                    'data-style': idOf(style),
                    'aria-pressed': 'false',
                    onclick: () => this.pick(style),
                    ondblclick: () => this.take(),
                },
                element('b', {}, style.name ?? style.label),
                element('small', {}, isCurrent && !style.name ? `${says} · the plan has it` : says),
            ),
        );
    }

    /** @param {Style} style */
    press(style) {
        for (const button of this.buttons) {
            const isIt = button.dataset.style === idOf(style);
            button.setAttribute('aria-pressed', String(isIt));
            isIt && button.scrollIntoView({ block: 'nearest' });
        }
    }

    /** @param {KeyboardEvent} event @param {number} by */
    step(event, by) {
        const all = this.buttons;
        const at = all.indexOf(/** @type {HTMLElement} */ (document.activeElement)) + by;
        event.preventDefault();
        if (at < 0) {
            this.field.focus();
        } else if (all[at]) {
            all[at].focus();
            all[at].click();
        }
    }
}
