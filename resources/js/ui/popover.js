import { allOf, held } from '../lib/dom.js';
import { byKey } from '../lib/keys.js';
import { colour, element } from './element.js';

/** A small panel at a control: arrows go through its buttons, Escape and a press elsewhere close it. */
export class Popover {
    /** @param {() => void} whenClosed where the keyboard goes on */
    constructor(whenClosed) {
        this.whenClosed = whenClosed;
        document.addEventListener('pointerdown', (event) => {
            if (this.box && !this.box.contains(/** @type {Node} */ (event.target)) && !this.opener?.contains?.(event.target)) {
                this.close(false);
            }
        });
        // Wherever the keyboard is by now: what was done from the panel may have taken it along.
        document.addEventListener('keydown', (event) => event.key === 'Escape' && this.box && this.escape(event), { capture: true });
    }

    /** @param {Event} event */
    escape(event) {
        event.preventDefault();
        event.stopPropagation();
        this.close();
    }

    get isOpen() {
        return !!this.box;
    }

    /** @param {string} label @param {any} anchor an element, or a point of the window @param {...import('./element.js').Child} children */
    raise(label, anchor, ...children) {
        this.close(false);
        this.opener = anchor;
        this.box = element(
            'div',
            { class: 'menu', role: 'dialog', 'aria-label': label, onkeydown: (/** @type {KeyboardEvent} */ event) => this.pressed(event) },
            ...children,
        );
        document.body.append(this.box);
        this.place();
    }

    /** At its control; on a small screen the styles make a sheet of it that comes from below. */
    place() {
        const { box, opener } = this;
        if (!box) {
            return;
        }
        const at = opener.getBoundingClientRect();
        const { offsetWidth: width, offsetHeight: height } = box;
        const left = opener.isPoint || opener.closest?.('.bar') ? (opener.isPoint ? at.right : at.left) : at.right - width;
        const above = Math.max(8, Math.min(at.top - height - 4, innerHeight - height - 8));
        box.style.left = `${Math.max(8, Math.min(innerWidth - width - 8, left))}px`;
        box.style.top = `${Math.max(8, at.bottom + height + 4 > innerHeight ? above : at.bottom + 4)}px`;
    }

    /** @param {string} legend @param {string} part what it is about @param {...import('./element.js').Child} children */
    group(legend, part, ...children) {
        return element('fieldset', { 'data-part': part }, element('legend', {}, legend), ...children);
    }

    /**
     * Buttons of which some are pressed: [[value, label, on, the flag whose sign stands before it, the dye of a label], …]
     * @param {string} legend
     * @param {string} part
     * @param {any[][]} choices
     * @param {(value: any) => unknown} act
     */
    choice(legend, part, choices, act) {
        return this.group(
            legend,
            part,
            ...choices.map(([value, label, on, flag, dye]) =>
                element(
                    'button',
                    {
                        type: 'button',
                        class: dye ? 'label-choice' : null,
                        '--d': dye && colour(dye),
                        'aria-pressed': String(on),
                        'data-value': value,
                        'data-flag': flag,
                        onclick: () => act(value),
                    },
                    label,
                ),
            ),
        );
    }

    /** @param {KeyboardEvent} event */
    pressed(event) {
        if (!this.box) {
            return;
        }
        const fields = [...allOf(this.box, 'button, input, select, a')].filter((field) => field.offsetParent);
        const at = fields.indexOf(held());
        const by = byKey(event, { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 });
        if (event.key === 'Tab') {
            this.escape(event);
        } else if (by && !held().matches('select, [type=number], [type=date], [type=text]:not(:placeholder-shown)')) {
            event.preventDefault();
            fields[(at + by + fields.length) % fields.length].focus();
        }
    }

    /** Gives the keyboard to what a selector describes, else to the first button. @param {string} [wanted] */
    focus(wanted = 'button') {
        const found = this.box?.querySelector(wanted) ?? this.box?.querySelector('button');
        /** @type {HTMLElement | null | undefined} */ (found)?.focus();
    }

    close(back = true) {
        if (this.box) {
            this.box.remove();
            this.box = null;
            if (back) {
                this.whenClosed();
            }
        }
    }
}
