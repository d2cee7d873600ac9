import { byKey } from '../lib/keys.js';
import { allOf, around, byId } from '../lib/dom.js';

/** The bar with the tools of the view in sight. On a small screen one button opens it. */
export class Bars {
    /** @param {import('../commands/commands.js').Commands} commands */
    constructor(commands) {
        this.box = byId('bars');
        this.opener = byId('bar-opener');
        this.opener.addEventListener('click', () => this.open(!this.box.classList.contains('is-open')));
        this.box.addEventListener('click', (event) => {
            const { command } = around(event, '[data-command]')?.dataset ?? {};
            if (command) {
                commands.run('anywhere', command, { anchor: event.target });
            }
        });
        this.box.addEventListener('keydown', (event) => this.pressed(event));
        document.addEventListener(
            'pointerdown',
            (event) => !this.box.contains(/** @type {Node} */ (event.target)) && !around(event, '.menu') && this.open(false),
        );
    }

    /** Shows the bar of a view; `part` is which of those that share a bar. @param {string} bar @param {string} part */
    show(bar, part) {
        for (const one of allOf(this.box, '[data-bar]')) {
            one.hidden = one.dataset.bar !== bar;
        }
        for (const button of allOf(this.box, '[data-part]')) {
            button.setAttribute('aria-pressed', String(button.dataset.part === part));
        }
        this.open(false);
    }

    /** @param {boolean} isOpen */
    open(isOpen) {
        this.box.classList.toggle('is-open', isOpen);
        this.opener.setAttribute('aria-expanded', String(isOpen));
    }

    /** Arrows go through the tools; Tab leaves them one by one as everywhere. @param {KeyboardEvent} event */
    pressed(event) {
        const by = byKey(event, { ArrowRight: 1, ArrowLeft: -1 });
        const button = around(event, 'button');
        if (by && button && !event.altKey && !event.ctrlKey) {
            const all = [...allOf(this.box, 'button, select, input')].filter((one) => one.offsetParent);
            event.preventDefault();
            all[(all.indexOf(button) + by + all.length) % all.length].focus();
        }
    }

    /** Says on a button what it is set to, and whether that is something else than usual. @param {string} id @param {any} value */
    static say(id, value, isUsual = true) {
        const box = byId(id);
        box.classList.toggle('is-set', !isUsual);
        const said = box.querySelector('b');
        if (said && said.textContent !== value) {
            said.textContent = value;
        }
        const unset = /** @type {HTMLElement | null} */ (box.querySelector('.unset'));
        if (unset) {
            unset.hidden = isUsual;
        }
    }
}
