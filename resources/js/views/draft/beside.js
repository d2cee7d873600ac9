import { around, byId } from '../../lib/dom.js';
import { store } from '../../lib/stored.js';
import { ROOT } from '../../state/plan.js';
import { colour, element } from '../../ui/element.js';

const BESIDE = 'embrel.draft.outline';

/** The outline beside the text, narrow: it follows what is in sight, and leads there. */
export class OutlineBeside {
    /** @param {import('./draft.js').Draft} draft */
    constructor(draft) {
        this.draft = draft;
        this.box = byId('draft-outline');
        this.button = byId('draft-beside');
        this.shown = '';
        this.button.addEventListener('click', () => this.set(!this.isOn));
        this.box.addEventListener('click', (event) => {
            const id = around(event, 'button')?.dataset.to;
            id && draft.goTo(id);
        });
        draft.side.addEventListener('scroll', () => this.soon(), { passive: true });
        this.set(localStorage.getItem(BESIDE) === 'yes');
    }

    /** @param {boolean} isOn */
    set(isOn) {
        this.isOn = isOn;
        store(BESIDE, isOn ? 'yes' : 'no');
        this.button.setAttribute('aria-pressed', String(isOn));
        this.box.hidden = !isOn;
        this.draft.side.classList.toggle('has-outline', isOn);
        this.draw();
    }

    draw() {
        if (!this.isOn || this.draft.page.view !== 'draft') {
            return;
        }
        const { tree } = this.draft.page;
        const all = this.draft.alone.isOn ? tree.rows(new Set()) : this.draft.topics();
        const rows = all.filter(({ id }) => id !== ROOT && tree.get(id)?.kind === 'section');
        const from = JSON.stringify(rows.map(({ id, level }) => [id, level, tree.get(id).label, tree.get(id).title, tree.dye(id)]));
        if (from !== this.shown) {
            this.shown = from;
            this.box.replaceChildren(
                ...rows.map(({ id, level }) => {
                    const { label, title } = tree.get(id);
                    const style = { '--d': colour(tree.dye(id)), '--level': Math.min(level, 5) - 1 };
                    return element(
                        'button',
                        { type: 'button', 'data-to': id, class: level === 1 ? 'is-main' : null, ...style },
                        element('span', { class: 'n' }, label),
                        ` ${title || 'Untitled'}`,
                    );
                }),
            );
        }
        this.follow();
    }

    soon() {
        if (this.isOn && !this.waiting) {
            this.waiting = requestAnimationFrame(() => {
                this.waiting = 0;
                this.follow();
            });
        }
    }

    /** Marks the section that is read, and keeps it in sight. */
    follow() {
        const id = this.draft.open ?? this.inSight();
        const before = this.box.querySelector('[aria-current]');
        const now = /** @type {HTMLElement | null} */ (this.box.querySelector(`[data-to="${id}"]`));
        if (now && now !== before) {
            before?.removeAttribute('aria-current');
            now.setAttribute('aria-current', 'true');
            const { top, bottom } = now.getBoundingClientRect();
            const room = this.box.getBoundingClientRect();
            if (top < room.top || bottom > room.bottom) {
                this.box.scrollTop += top - room.top - room.height / 3;
            }
        }
    }

    /** The section at a third of the height. @returns {string | undefined} */
    inSight() {
        const { side } = this.draft;
        const box = side.getBoundingClientRect();
        const text = byId('notes-in-order').getBoundingClientRect();
        const at = document.elementFromPoint(text.left + text.width / 2, box.top + Math.min(120, box.height / 3));
        return /** @type {HTMLElement | null | undefined} */ (at?.closest('[data-topic]'))?.dataset.topic;
    }
}
