import { byId } from '../../lib/dom.js';
import { newId } from '../../lib/ids.js';
import { byKey } from '../../lib/keys.js';
import { classes, colour, element } from '../../ui/element.js';

const STEP = 10;
/** How far beyond the longest bar a target can be dragged. */
const BEYOND = 1.25;

/** The main sections as bars: what each has, and what it is to have, which can be dragged. */
export class Balance {
    /** @param {import('../page.js').Page} page */
    constructor(page) {
        this.page = page;
        this.list = byId('balance');
        /** @type {{sections: any[], even: number, scale: number}} */
        this.told = { sections: [], even: 0, scale: 1 };
        /** @type {{id: string, target: number} | null} what is being dragged, and where it is by now */
        this.dragged = null;
    }

    /** @param {any} told */
    take(told) {
        const isSame = JSON.stringify(told) === JSON.stringify(this.told);
        this.told = told;
        isSame || this.draw();
    }

    get most() {
        return this.told.scale * BEYOND;
    }

    draw() {
        const held = document.activeElement?.closest('#balance li') ?? null;
        const at = held ? [...this.list.children].indexOf(held) : -1;
        const which = document.activeElement?.className.split(' ')[0];
        this.list.replaceChildren(...this.told.sections.map((section) => this.row(section)));
        byId('balance-empty').hidden = this.told.sections.length > 0;
        byId('balance-hint').hidden = this.told.sections.length === 0;
        if (at >= 0) {
            /** @type {HTMLElement | null | undefined} */ (
                /** @type {Element | undefined} */ (this.list.children[at])?.querySelector(`.${which}`)
            )?.focus();
        }
    }

    /** @param {any} section */
    row(section) {
        const { title } = this.page.tree.get(section.id) ?? section;
        const { dragged } = this;
        const target = dragged && dragged.id === section.id ? dragged.target : section.target;
        const part = (/** @type {number} */ words) => `${(100 * words) / this.most}%`;
        const named = title || 'Untitled';
        return element(
            'li',
            { '--d': colour(section.dye), 'data-section': section.id },
            element('span', { class: 'balance-number' }, section.label),
            element('button', { type: 'button', class: 'balance-title', onclick: () => this.page.goTo(section.id) }, named),
            element(
                'span',
                { class: 'balance-bar' },
                element('i', { class: 'balance-target', '--w': part(target) }),
                element('i', { class: 'balance-words', '--w': part(section.words) }),
                this.told.even > 0 && element('i', { class: 'balance-even', '--w': part(this.told.even) }),
                this.page.session.rights.mayWrite && this.handle(section, target, named, part),
            ),
            element(
                'span',
                { class: classes('balance-count', target > 0 && section.words > target && 'is-over') },
                target > 0 ? `${section.words.toLocaleString('en')} of ${target.toLocaleString('en')}` : section.words.toLocaleString('en'),
            ),
        );
    }

    /** @param {any} section @param {number} target @param {string} named @param {(words: number) => string} part */
    handle(section, target, named, part) {
        const handle = element('span', {
            class: 'balance-handle',
            role: 'slider',
            tabindex: 0,
            'aria-label': `Target of ${named}`,
            'aria-valuemin': 0,
            'aria-valuemax': Math.round(this.most),
            'aria-valuenow': target,
            'aria-valuetext': target > 0 ? `${target} words` : 'no target',
            '--w': part(target > 0 ? target : section.words),
        });
        handle.addEventListener('keydown', (event) => {
            const by = byKey(event, {
                ArrowRight: STEP,
                ArrowUp: STEP,
                ArrowLeft: -STEP,
                ArrowDown: -STEP,
                PageUp: 10 * STEP,
                PageDown: -10 * STEP,
            });
            if (by) {
                event.preventDefault();
                this.set(section, this.rounded((target || section.words) + by), `target ${section.id}`);
            }
        });
        handle.addEventListener('pointerdown', (event) => this.drag(event, section));
        return handle;
    }

    /** @param {number} words */
    rounded(words) {
        return Math.max(0, Math.min(10_000_000, Math.round(words / STEP) * STEP));
    }

    /** @param {PointerEvent} event @param {any} section */
    drag(event, section) {
        event.preventDefault();
        const bar = /** @type {HTMLElement} */ (/** @type {HTMLElement} */ (event.target).closest('.balance-bar')).getBoundingClientRect();
        const { pointerId } = event;
        const move = (/** @type {PointerEvent} */ moved) => {
            if (moved.pointerId === pointerId) {
                this.dragged = { id: section.id, target: this.rounded((this.most * (moved.clientX - bar.left)) / bar.width) };
                this.draw();
            }
        };
        const end = (/** @type {PointerEvent | KeyboardEvent} */ ended) => {
            if (ended instanceof KeyboardEvent) {
                if (ended.key !== 'Escape') {
                    return;
                }
                // It calls off the dragging, and leads nowhere else.
                ended.preventDefault();
                ended.stopPropagation();
            }
            removeEventListener('pointermove', move);
            removeEventListener('pointerup', end);
            removeEventListener('pointercancel', end);
            removeEventListener('keydown', end, true);
            const { dragged } = this;
            this.dragged = null;
            if (dragged && ended.type === 'pointerup') {
                this.set(section, dragged.target, newId());
            } else {
                this.draw();
            }
        };
        addEventListener('pointermove', move);
        addEventListener('pointerup', end);
        addEventListener('pointercancel', end);
        addEventListener('keydown', end, true);
    }

    /** @param {any} section @param {number} words none: 0 @param {string} burst presses of one are one step */
    set(section, words, burst) {
        if (words !== section.target || !section.own) {
            section.target = words;
            section.own = words > 0;
            this.page.perform({ type: 'target', ids: [section.id], value: words || null }, this.page.stepFor(burst));
            this.draw();
        }
    }
}
