import { allOf, around, byId, held } from '../lib/dom.js';
import { byKey } from '../lib/keys.js';

/**
 * The plan's own menu at its title: opened by its button, as a popover of the browser's. Arrows go
 * through it; an entry that the page can do itself is done, any other is followed as a link.
 * @param {(command: string) => boolean} run whether it was done here
 */
export function planMenu(run) {
    const menu = byId('plan-menu');
    const button = byId('title');
    const entries = allOf(menu, '[role=menuitem]:not([hidden])');
    menu.addEventListener('toggle', (event) => {
        button.setAttribute('aria-expanded', String(event.newState === 'open'));
        if (event.newState === 'open') {
            entries[0].focus();
        }
    });
    menu.addEventListener('keydown', (event) => {
        const at = entries.indexOf(held());
        const to = byKey(event, { ArrowDown: at + 1, ArrowUp: at - 1, Home: 0, End: -1 });
        if (to !== undefined) {
            event.preventDefault();
            entries.at(to % entries.length)?.focus();
        } else if (event.key === 'Escape' || event.key === 'Tab') {
            event.preventDefault();
            event.stopPropagation();
            menu.hidePopover();
            button.focus();
        }
    });
    menu.addEventListener('click', (event) => {
        const { command } = around(event, '[data-command]')?.dataset ?? {};
        if (around(event, 'a')) {
            menu.hidePopover();
        }
        if (command && !event.ctrlKey && !event.metaKey && !event.shiftKey && run(command)) {
            event.preventDefault();
        }
    });
}
