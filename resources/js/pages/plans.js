import { component } from './component.js';
import { allOf, around, byId, firstOf } from '../lib/dom.js';
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

/** Several plans are chosen, and something is done with all of them. */
export function choosePlans() {
    const opener = document.getElementById('choose-plans');
    if (!opener) {
        return;
    }
    const form = byId('several');
    const boxes = /** @type {HTMLInputElement[]} */ ([...allOf(document, '.choose-plan input')]);
    const tell = () => {
        const count = boxes.filter(({ checked }) => checked).length;
        byId('several-count').textContent = count === 0 ? 'None chosen' : `${count} chosen`;
        byId('choose-all').textContent = count === boxes.length ? 'Choose none' : 'Choose all';
    };
    opener.addEventListener('click', () => {
        form.hidden = !form.hidden;
        opener.setAttribute('aria-expanded', String(!form.hidden));
        boxes.forEach((box) => {
            box.checked = false;
            /** @type {HTMLElement} */ (box.parentElement).hidden = form.hidden;
        });
        tell();
    });
    byId('choose-all').addEventListener('click', () => {
        const isAll = boxes.every(({ checked }) => checked);
        boxes.forEach((box) => {
            box.checked = !isAll;
        });
        tell();
    });
    boxes.forEach((box) => box.addEventListener('change', tell));
}

/** In ms: the map of a plan is shown when one stays on it for so long. */
const STAYS = 450;

/** The map of a plan beside it, while the pointer or the keyboard is on it. */
export function smallMaps() {
    const box = element('div', { class: 'small-map', hidden: true, 'aria-hidden': 'true' });
    document.body.append(box);
    /** @type {ReturnType<typeof setTimeout> | undefined} */
    let waiting;
    /** @type {HTMLElement | null} */
    let now = null;
    const show = async (/** @type {HTMLElement} */ card) => {
        const answer = await fetch(card.dataset.map ?? '').catch(() => null);
        if (answer?.ok && now === card) {
            // PHP has drawn it, and escaped what is written in it.
            box.innerHTML = await answer.text();
            const at = card.getBoundingClientRect();
            box.hidden = false;
            const top = at.bottom + box.offsetHeight + 8 > innerHeight ? at.top - box.offsetHeight - 6 : at.bottom + 6;
            box.style.top = `${Math.max(8, top)}px`;
            box.style.left = `${at.left + 24}px`;
        }
    };
    const over = (/** @type {Event} */ event) => {
        const card = /** @type {HTMLElement | null} */ (around(event, '[data-map]'));
        if (card !== now) {
            clearTimeout(waiting);
            box.hidden = true;
            now = card;
            if (card) {
                waiting = setTimeout(() => show(card), STAYS);
            }
        }
    };
    const list = firstOf(document, '.list-wrap');
    list.addEventListener('mouseover', over);
    list.addEventListener('focusin', over);
    for (const leaving of ['mouseleave', 'focusout', 'click']) {
        list.addEventListener(leaving, () => {
            clearTimeout(waiting);
            box.hidden = true;
            now = null;
        });
    }
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
