import { element } from '../ui/element.js';
import { whenAsked } from '../ui/context.js';
import { Popover } from '../ui/popover.js';

/** What can be done with a plan in the list, at the second button of a mouse or a long press: what its own buttons do, and ways into it. */
export function cardMenus() {
    const box = document.querySelector('.list-wrap');
    let card = null;
    const menu = new Popover(() => card?.querySelector('a, button')?.focus());
    whenAsked(
        box,
        (node) => node.closest('.plan-card'),
        (part, point) => {
            card = part;
            const link = card.querySelector('h2 a');
            const name = card.querySelector('h2').textContent.trim();
            const press = (button) => () => {
                menu.close(false);
                button.click();
            };
            const acts = [...card.querySelectorAll('.card-acts button')].map((button) =>
                element('button', { type: 'button', onclick: press(button) }, button.title),
            );
            const ways = link
                ? [
                      ['Open', ''],
                      ['Open its map', '/map'],
                      ['Hand over', '/hand-over'],
                  ].map(([says, view]) => element('a', { href: `${link.href}${view}` }, says))
                : [];
            const inNewTab = link && element('a', { href: link.href, target: '_blank', rel: 'noopener' }, 'Open in a new tab');
            menu.raise(`Plan: ${name}`, point, element('div', { class: 'acts-list one-column' }, ...ways, inNewTab, ...acts));
            menu.box.querySelector('a, button').focus();
        },
    );
}

/** The field that starts a plan, with or without a pattern. */
export function start() {
    return {
        title: '',
        choosing: false,
        get isNamed() {
            return this.title.trim() !== '';
        },
        togglePatterns() {
            this.choosing = !this.choosing;
        },
    };
}
