import { element } from '../../ui/element.js';
import { words } from '../../lib/vocabulary.js';
import { Popover } from '../../ui/popover.js';

/** How the map is drawn: its style, seen at once under the pointer, the width of titles, and what is hidden by level. */
export class LooksPanel {
    /** @param {import('./map.js').MapView} map */
    constructor(map) {
        this.map = map;
        this.panel = new Popover(() => this.button?.focus());
        /** How it looked before what is only shown for a moment. @type {Record<string, any> | null} */
        this.kept = null;
    }

    /** @param {HTMLElement} button */
    toggle(button) {
        this.button = button;
        this.panel.isOpen ? this.panel.close() : this.open();
    }

    open() {
        const { map, panel } = this;
        const { look } = map;
        const set = (/** @type {string} */ name) => (/** @type {any} */ value) => {
            this.kept = null;
            map.setLook({ [name]: value }).then(() => this.panel.isOpen && this.open());
        };
        const styles = panel.choice(
            'Style',
            'style',
            Object.entries(words().mapStyles).map(([value, name]) => [value, name, look.style === value]),
            set('style'),
        );
        styles.classList.add('styles');
        styles.querySelectorAll('button').forEach((button) => {
            const { value } = button.dataset;
            button.addEventListener('pointerenter', () => this.preview(value));
            button.addEventListener('focus', () => this.preview(value));
            button.addEventListener('pointerleave', () => this.unpreview());
            button.addEventListener('blur', () => this.unpreview());
        });
        const wrap = element('input', {
            type: 'range',
            min: 120,
            max: 640,
            step: 20,
            value: look.wrap,
            'aria-label': 'Width of titles',
            onchange: () => map.setLook({ wrap: Number(wrap.value) }),
        });
        const down = (/** @type {string} */ label, /** @type {string} */ name) => {
            const select = element(
                'select',
                { 'aria-label': label, onchange: () => set(name)(Number(select.value)) },
                element('option', { value: 0, selected: look[name] === 0 }, 'to the last level'),
                ...words().levelsOnMap.map((/** @type {number} */ level) =>
                    element('option', { value: level, selected: look[name] === level }, `to level ${level}`),
                ),
            );
            return element('label', { class: 'down' }, element('span', {}, label), select);
        };
        panel.raise(
            'How the map is drawn',
            this.button,
            styles,
            element('fieldset', {}, element('span', { class: 'legend' }, 'Width of titles'), wrap),
            element(
                'fieldset',
                { class: 'levels' },
                element('span', { class: 'legend' }, 'Show'),
                down('Branches', 'branches'),
                down('Titles', 'titles'),
                down('Notes, words and flags', 'notes'),
            ),
        );
        panel.box?.append(
            element(
                'div',
                { class: 'acts-list' },
                element('a', { href: `${map.page.address}/hand-over?format=svg&seen=1` }, 'Hand over this map'),
                element('a', { href: `${map.page.address}/hand-over?format=pdf&seen=1` }, 'Print this map'),
            ),
        );
        panel.focus();
    }

    /** @param {string | undefined} style */
    preview(style) {
        clearTimeout(this.back);
        if (this.map.look.style !== style) {
            this.kept ??= this.map.look;
            this.map.look = { ...this.map.look, style };
            this.map.ask();
        }
    }

    unpreview() {
        clearTimeout(this.back);
        this.back = setTimeout(() => {
            if (this.kept) {
                this.map.look = this.kept;
                this.kept = null;
                this.map.ask();
            }
        }, 60);
    }
}
