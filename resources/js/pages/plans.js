import { component } from './component.js';
import { allOf, firstOf } from '../lib/dom.js';
import { element } from '../ui/element.js';
import { whenAsked } from '../ui/context.js';
import { Popover } from '../ui/popover.js';

/** What can be done with a plan in the list, at the second button of a mouse or a long press: what its own buttons do, and ways into it. */
export function cardMenus() {
    const box = firstOf(document, '.list-wrap');
    /** @type {HTMLElement | null} */
    let card = null;
    const menu = new Popover(() => card && firstOf(card, 'a, button').focus());
    whenAsked(
        box,
        (node) => node.closest('.plan-card'),
        (part, point) => {
            card = part;
            const link = /** @type {HTMLAnchorElement | null} */ (part.querySelector('h2 a'));
            const name = firstOf(part, 'h2').textContent?.trim();
            const press = (/** @type {HTMLElement} */ button) => () => {
                menu.close(false);
                button.click();
            };
            const acts = allOf(part, '.card-acts button').map((button) =>
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
            menu.focus('a, button');
        },
    );
}

/** The field that starts a plan, with or without a pattern. */
export function start() {
    return component({
        title: '',
        choosing: false,
        get isNamed() {
            return this.title.trim() !== '';
        },
        togglePatterns() {
            this.choosing = !this.choosing;
        },
    });
}
