import { fieldOf, firstOf } from '../lib/dom.js';
import { element } from './element.js';
import { say } from './toast.js';

/** What else a link may show or allow. */
const SWITCHES = [
    ['copies', 'may make a copy'],
    ['shows_loose', 'with loose ideas'],
    ['shows_asides', 'with asides'],
    ['shows_comments', 'with comments'],
];

/** The link by which anybody may read the plan: made, set, renewed and switched off by its owner. */
export class LinkSettings {
    /**
     * @param {HTMLElement} box
     * @param {(method: string, path: string, body?: object | null) => Promise<boolean>} set
     */
    constructor(box, set) {
        this.box = box;
        this.set = set;
        /** The address is told once, when it is made: only its hash is kept. */
        this.address = '';
    }

    /** @param {any} told */
    draw({ manages, link, address }) {
        this.box.hidden = !manages;
        if (address) {
            this.address = address;
        } else if (!link) {
            this.address = '';
        }
        const held = /** @type {HTMLElement | null} */ (document.activeElement)?.dataset?.name;
        this.box.replaceChildren(element('h3', {}, 'By a link'), ...(link ? this.made(link) : [this.making()]));
        if (held) {
            /** @type {HTMLElement | null} */ (this.box.querySelector(`[data-name="${held}"]`))?.focus();
        }
    }

    making() {
        const act = () => this.set('PUT', 'link', { role: 'reads' });
        return element(
            'p',
            { class: 'link-set' },
            element('span', {}, 'Nobody can read it without being asked.'),
            element('button', { type: 'button', class: 'plain', 'data-name': 'make', onclick: act }, 'Make a link'),
        );
    }

    /** @param {any} link */
    made(link) {
        const put = (/** @type {object} */ body) => this.set('PUT', 'link', body);
        return [
            this.addressLine(),
            element(
                'div',
                { class: 'link-set' },
                ...[
                    ['reads', 'may read'],
                    ['comments', 'may comment'],
                ].map(([role, says]) => this.choice('radio', role, says, link.role === role, () => put({ role }))),
                ...SWITCHES.map(([name, says]) => this.choice('checkbox', name, says, link[name], (isOn) => put({ [name]: isOn }))),
            ),
            element('div', { class: 'link-set' }, ...this.bounds(link, put)),
            this.framing(link, put),
        ];
    }

    addressLine() {
        const { address } = this;
        const renew = () => this.set('POST', 'link');
        const off = () => this.set('DELETE', 'link').then(() => say('The link leads nowhere any more.'));
        const copy = async () => {
            await navigator.clipboard?.writeText(address).catch(() => null);
            firstOf(this.box, 'input', HTMLInputElement).select();
            say('The address is copied.');
        };
        const line = address
            ? element(
                  'div',
                  { class: 'link-address' },
                  element('input', { class: 'box', readonly: true, value: address, 'aria-label': 'Address of the link' }),
                  element('button', { type: 'button', class: 'plain', 'data-name': 'copy', onclick: copy }, 'Copy'),
              )
            : null;
        const says = address
            ? 'Copy it now: it is shown this once, and only its print is kept.'
            : 'Its address was shown when it was made. If it is lost, make a new one; the old one dies.';
        return element(
            'div',
            {},
            line,
            element(
                'p',
                { class: 'link-set' },
                element('span', {}, says),
                element('button', { type: 'button', class: 'link', 'data-name': 'renew', onclick: renew }, 'New address'),
                element('button', { type: 'button', class: 'link', 'data-name': 'off', onclick: off }, 'Switch off'),
            ),
        );
    }

    /** @param {any} link @param {(body: object) => Promise<boolean>} put */
    framing(link, put) {
        const set = (/** @type {Event} */ event) => put({ framers: fieldOf(event).value });
        const says = link.framers ? 'There it stands at the address of the link with /page behind it.' : 'Nobody may.';
        return element(
            'div',
            { class: 'link-set' },
            element(
                'label',
                { class: 'grow' },
                'Sites that may show it within a page of theirs',
                element('input', {
                    class: 'box',
                    'data-name': 'framers',
                    value: link.framers,
                    placeholder: 'https://example.org',
                    spellcheck: 'false',
                    onchange: set,
                }),
            ),
            element('span', { class: 'hint' }, says),
        );
    }

    /** @param {any} link @param {(body: object) => Promise<boolean>} put */
    bounds(link, put) {
        const setPassword = (/** @type {Event} */ event) => put({ password: fieldOf(event).value || null });
        const forget = () => put({ password: null });
        const end = (/** @type {Event} */ event) => put({ ends_on: fieldOf(event).value || null });
        return [
            element(
                'label',
                {},
                'Password',
                element('input', {
                    type: 'password',
                    autocomplete: 'new-password',
                    'data-name': 'password',
                    placeholder: link.has_password ? 'one is set' : 'none',
                    onchange: setPassword,
                }),
            ),
            link.has_password &&
                element('button', { type: 'button', class: 'link', 'data-name': 'no-password', onclick: forget }, 'No password'),
            element(
                'label',
                {},
                link.is_over ? 'Ended' : 'Ends',
                element('input', { type: 'date', 'data-name': 'ends', value: link.ends_on, onchange: end }),
            ),
        ];
    }

    /**
     * @param {'radio' | 'checkbox'} type
     * @param {string} name
     * @param {string} says
     * @param {boolean} isOn
     * @param {(isOn: boolean) => unknown} set
     */
    choice(type, name, says, isOn, set) {
        const act = (/** @type {Event} */ event) => set(fieldOf(event).checked);
        return element(
            'label',
            {},
            element('input', { type, name: type === 'radio' ? 'link-role' : name, 'data-name': name, checked: isOn, onchange: act }),
            says,
        );
    }
}
