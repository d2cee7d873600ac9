import { confirm } from '../../ui/confirm.js';
import { element } from '../../ui/element.js';
import { reason } from '../../lib/http.js';
import { words } from '../../lib/vocabulary.js';
import { Popover } from '../../ui/popover.js';
import { OwnStyles } from './own-styles.js';
import { StyleMaker } from './style-maker.js';

/** How the map is drawn: its style, seen at once under the pointer, the width of titles, and what is hidden by level. */
export class LooksPanel {
    /** @param {import('./map.js').MapView} map */
    constructor(map) {
        this.map = map;
        this.panel = new Popover(() => this.button?.focus());
        /** How it looked before what is only shown for a moment. @type {Record<string, any> | null} */
        this.kept = null;
        this.styles = new OwnStyles();
        this.maker = new StyleMaker(map, this.styles, () => this.button?.focus());
        this.error = element('p', { class: 'error wide', role: 'alert' });
    }

    /** @param {HTMLElement} button */
    async toggle(button) {
        this.button = button;
        if (this.panel.isOpen) {
            this.panel.close();
            return;
        }
        this.open();
        // Those that were made elsewhere meanwhile; without the network, what is known.
        const known = JSON.stringify(this.styles.kept);
        await this.styles.load().catch(() => null);
        if (this.panel.isOpen && JSON.stringify(this.styles.kept) !== known) {
            this.open();
        }
    }

    open() {
        const { map, panel } = this;
        this.error.textContent = '';
        const look = this.kept ?? map.look;
        const set = (/** @type {string} */ name) => (/** @type {any} */ value) => {
            this.kept = null;
            map.setLook({ [name]: value }).then(() => this.panel.isOpen && this.open());
        };
        const styles = panel.choice(
            'Style',
            'style',
            this.styles.all.map(({ value, name, isOwn }) => [
                value,
                name,
                isOwn ? look.own === value : !(look.own in this.styles.kept) && look.style === value,
            ]),
            (value) => this.choose(value),
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
            this.acts(),
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
        // That which is seen: another would be shown under the keyboard.
        panel.focus('[data-part=style] [aria-pressed=true]');
    }

    /** What is done with styles of one's own. */
    acts() {
        const { own } = this.kept ?? this.map.look;
        const isOwn = own in this.styles.kept;
        const file = element('input', {
            type: 'file',
            accept: '.json,application/json',
            hidden: true,
            'aria-label': 'File of a map style',
            onchange: () => file.files?.[0] && this.takeIn(file.files[0]),
        });
        const act = (/** @type {string} */ name, /** @type {() => unknown} */ does) =>
            element('button', { type: 'button', onclick: does }, name);
        return element(
            'fieldset',
            { class: 'style-acts' },
            act(isOwn ? 'Change this style…' : 'Make a style…', () => this.make()),
            isOwn && element('a', { href: `/map-styles/${own}`, download: true }, 'Give as a file'),
            act('From a file…', () => file.click()),
            isOwn && act('Remove', () => this.remove(own)),
            file,
            this.error,
        );
    }

    make() {
        this.unpreviewed();
        this.panel.close(false);
        this.map.page.bars.open(false);
        this.maker.open(null);
    }

    /** @param {File} file */
    async takeIn(file) {
        try {
            await this.choose(await this.styles.takeIn(file));
        } catch (error) {
            this.error.textContent = reason(error);
        }
    }

    /** @param {string} id */
    async remove(id) {
        const { name } = this.styles.kept[id];
        this.panel.close();
        if (
            await confirm('Remove this style', `“${name}” is removed from your styles. Plans seen in it go back to one of ours.`, 'Remove')
        ) {
            await this.styles.forget(id).catch((error) => this.map.page.say(reason(error)));
            this.map.setLook({ own: '' });
        }
    }

    /** @param {string} value one of ours, or the id of one's own */
    async choose(value) {
        this.kept = null;
        await this.map.setLook(value in this.styles.kept ? { own: value } : { own: '', style: value });
        this.panel.isOpen && this.open();
    }

    /** @param {string | undefined} value */
    preview(value = '') {
        clearTimeout(this.back);
        const { look } = this.map;
        if (((look.own in this.styles.kept && look.own) || look.style) !== value) {
            this.kept ??= look;
            this.map.look = { ...look, ...(value in this.styles.kept ? { own: value } : { own: '', style: value }) };
            this.map.ask();
        }
    }

    unpreviewed() {
        clearTimeout(this.back);
        if (this.kept) {
            this.map.look = this.kept;
            this.kept = null;
            this.map.ask();
        }
    }

    unpreview() {
        clearTimeout(this.back);
        this.back = setTimeout(() => this.unpreviewed(), 60);
    }
}
