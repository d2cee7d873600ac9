/**
 * The plan's own menu at its title: opened by its button, as a popover of the browser's. Arrows go
 * through it; an entry that the page can do itself is done, any other is followed as a link.
 * @param {(command: string) => boolean} run whether it was done here
 */
export function planMenu(run = () => false) {
    const menu = document.getElementById('plan-menu');
    const button = document.getElementById('title');
    const entries = [...menu.querySelectorAll('[role=menuitem]')];
    menu.addEventListener('toggle', (event) => {
        button.setAttribute('aria-expanded', String(event.newState === 'open'));
        if (event.newState === 'open') {
            entries[0].focus();
        }
    });
    menu.addEventListener('keydown', (event) => {
        const at = entries.indexOf(document.activeElement);
        const to = { ArrowDown: at + 1, ArrowUp: at - 1, Home: 0, End: -1 }[event.key];
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
        const { command } = event.target.closest('[data-command]')?.dataset ?? {};
        if (event.target.closest('a')) {
            menu.hidePopover();
        }
        if (command && !event.ctrlKey && !event.metaKey && !event.shiftKey && run(command)) {
            event.preventDefault();
        }
    });
}
