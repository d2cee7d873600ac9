import { element } from '../../ui/element.js';
import { firstOf } from '../../lib/dom.js';
import { reason, send } from '../../lib/http.js';
import { words } from '../../lib/vocabulary.js';
import { styleFields } from './style-fields.js';

/** How long it waits until a change is drawn, in ms. */
const PAUSE = 120;

/** @typedef {import('./style-fields.js').Dress} Dress */

/**
 * Makes a style of the map out of another: every change is seen at once on the plan, which can be moved and zoomed meanwhile.
 * What was begun is still there when it is opened again.
 */
export class StyleMaker {
    /** @param {import('./map.js').MapView} map @param {import('./own-styles.js').OwnStyles} styles @param {() => void} whenClosed */
    constructor(map, styles, whenClosed) {
        this.map = map;
        this.styles = styles;
        this.whenClosed = whenClosed;
        /** @type {HTMLElement | null} */
        this.box = null;
        /** What is being made. @type {Dress | null} */
        this.dress = null;
        this.error = element('p', { class: 'error', role: 'alert' });
        const file = element('input', {
            type: 'file',
            accept: 'image/*',
            hidden: true,
            'aria-label': 'Picture of the ground',
            onchange: () => this.takePicture(file),
        });
        this.file = file;
    }

    /** @param {Dress | null} from what it begins with; null: what was begun last, else the style that is seen */
    open(from) {
        this.dress = from ?? this.dress ?? this.seen;
        if (!this.box) {
            this.before = this.map.look;
            this.box = element('section', {
                class: 'style-maker menu',
                role: 'dialog',
                'aria-label': 'A map style of your own',
                onkeydown: (/** @type {KeyboardEvent} */ event) => event.key === 'Escape' && this.close(event),
            });
            this.map.side.append(this.box);
        }
        this.draw();
        this.map.narrowed();
        this.show();
        this.box.querySelector('select')?.focus();
    }

    /** The style in which the map is seen, as one without a name. @returns {Dress} */
    get seen() {
        const { look } = this.map;
        return this.styles.kept[look.own] ?? { ...words().mapDresses[look.style], name: '' };
    }

    /** The keyboard stays where it was: in the field of the same name. */
    draw() {
        const dress = /** @type {Dress} */ (this.dress);
        const at = this.box?.contains(document.activeElement) && (document.activeElement?.getAttribute('aria-label') ?? 'Close');
        const from = element(
            'select',
            { 'aria-label': 'Begin from', onchange: () => this.begin(from.value) },
            element('option', { value: '' }, 'as it is'),
            ...this.styles.all.map(({ value, name }) => element('option', { value }, name)),
        );
        const name = element('input', {
            type: 'text',
            class: 'name',
            value: dress.name,
            maxlength: 60,
            'aria-label': 'Name',
            placeholder: 'Name',
            autocomplete: 'off',
            oninput: () => (this.dress = { .../** @type {Dress} */ (this.dress), name: name.value }),
        });
        const shut = element('button', { type: 'button', class: 'shut', 'aria-label': 'Close', onclick: () => this.close() }, '×');
        const keep = (/** @type {Event} */ event) => {
            event.preventDefault();
            this.keep();
        };
        const picture = { choose: () => this.file.click(), error: this.error };
        this.box?.replaceChildren(
            element('header', {}, element('h2', {}, 'A style of your own'), shut),
            element('label', { class: 'down' }, element('span', {}, 'Begin from'), from),
            ...styleFields(
                dress,
                () => /** @type {Dress} */ (this.dress),
                (change) => this.change(change),
                picture,
            ),
            this.file,
            element('form', { class: 'keep', onsubmit: keep }, name, element('button', { class: 'primary' }, 'Keep')),
        );
        at && firstOf(/** @type {HTMLElement} */ (this.box), `[aria-label="${at}"]`).focus();
    }

    /** @param {string} value one of ours, or the id of one's own */
    begin(value) {
        const chosen = this.styles.dress(value);
        if (chosen) {
            // One's own is changed under its name; of ours another is made.
            this.dress = { ...chosen, name: this.styles.kept[value] ? chosen.name : '' };
            this.draw();
            this.show();
        }
    }

    /** @param {Partial<Dress>} change */
    change(change) {
        this.dress = { .../** @type {Dress} */ (this.dress), ...change };
        this.error.textContent = '';
        if ('picture' in change) {
            this.draw();
        }
        clearTimeout(this.timer);
        this.timer = setTimeout(() => this.show(), PAUSE);
    }

    async show() {
        clearTimeout(this.timer);
        this.map.look = { ...this.map.look, dress: this.dress };
        (await this.map.ask()) && this.map.narrowed();
    }

    /** @param {HTMLInputElement} field */
    async takePicture(field) {
        const file = field.files?.[0];
        field.value = '';
        if (!file) {
            return;
        }
        const form = new FormData();
        form.append('file', file);
        try {
            const { id } = await send('POST', '/map-styles/pictures', form);
            this.change({ picture: id });
        } catch (error) {
            this.error.textContent = reason(error);
        }
    }

    async keep() {
        try {
            const id = await this.styles.keep(/** @type {Dress} */ (this.dress));
            clearTimeout(this.timer);
            await this.map.setLook({ own: id, dress: undefined });
            this.dress = null;
            this.end();
        } catch (error) {
            this.error.textContent = reason(error);
            this.error.scrollIntoView({ block: 'nearest' });
        }
    }

    /** Lets go of what is made: the map is as it was. @param {Event} [event] */
    close(event) {
        event?.preventDefault();
        event?.stopPropagation();
        if (this.box) {
            clearTimeout(this.timer);
            // Where it stands and what of it is shown may have been changed meanwhile; only the style goes back.
            const { own, style } = /** @type {Record<string, any>} */ (this.before);
            this.map.look = { ...this.map.look, own, style, dress: undefined };
            this.map.ask();
            this.end();
        }
    }

    end() {
        this.box?.remove();
        this.box = null;
        this.map.narrowed();
        this.whenClosed();
    }
}
