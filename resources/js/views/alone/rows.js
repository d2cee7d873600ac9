import { childrenOf } from '../../lib/dom.js';

const TOPIC = /^t/;

/** The outline of the page that stands alone: folding, opening notes, going by keys, finding. */
export class Rows {
    /** @param {HTMLElement} box */
    constructor(box) {
        this.box = box;
        this.rows = childrenOf(box);
        this.levels = this.rows.map((row) => Number(row.ariaLevel ?? row.getAttribute('aria-level')));
        /** What is looked for; empty for nothing. @type {string} */
        this.wanted = '';
        /** @type {Set<HTMLElement>} */
        this.found = new Set();
        /** @type {Element | null} */
        this.marked = null;
        this.rows[0]?.setAttribute('tabindex', '0');
        box.addEventListener('keydown', (event) => this.pressed(event));
        box.addEventListener('click', (event) => this.clicked(event));
        box.addEventListener('focusin', ({ target }) => this.mark(/** @type {HTMLElement} */ (target).closest('[role=treeitem]')));
    }

    /** @param {Element | null} row */
    mark(row) {
        if (row && row !== this.marked) {
            this.box.querySelectorAll('[tabindex="0"][role=treeitem]').forEach((one) => one.setAttribute('tabindex', '-1'));
            row.setAttribute('tabindex', '0');
            this.marked = row;
        }
    }

    /** @param {string} id of a topic */
    go(id) {
        const row = document.getElementById(`t${id}`);
        if (row) {
            this.unfoldTo(row);
            row.focus();
            row.scrollIntoView({ block: 'nearest' });
        }
    }

    /** @param {HTMLElement} row */
    idOf(row) {
        return row.id.replace(TOPIC, '');
    }

    // ---- What is seen

    /** Shows what no folded row hides, or, while something is looked for, what holds it with all above it. */
    draw() {
        this.wanted ? this.drawFound() : this.drawUnfolded();
    }

    drawUnfolded() {
        let folded = Infinity;
        this.rows.forEach((row, i) => {
            const level = this.levels[i];
            folded = level <= folded ? Infinity : folded;
            row.hidden = level > folded;
            if (folded === Infinity && row.getAttribute('aria-expanded') === 'false') {
                folded = level;
            }
        });
    }

    /** From below: above what is shown stands what it is part of. */
    drawFound() {
        let shown = 0;
        for (let i = this.rows.length - 1; i >= 0; i--) {
            const isShown = this.found.has(this.rows[i]) || this.levels[i] < shown;
            this.rows[i].hidden = !isShown;
            shown = isShown ? this.levels[i] : shown;
        }
    }

    /** @param {HTMLElement} row @returns {HTMLElement[]} */
    above(row) {
        const above = [];
        let i = this.rows.indexOf(row);
        for (let level = this.levels[i]; level > 1 && i >= 0; i--) {
            if (this.levels[i] < level) {
                level = this.levels[i];
                above.push(this.rows[i]);
            }
        }
        return above;
    }

    /** @param {HTMLElement} row @param {boolean} isOpen */
    fold(row, isOpen) {
        row.hasAttribute('aria-expanded') && row.setAttribute('aria-expanded', String(isOpen));
        this.draw();
    }

    /** Folds everything below a level; 0 unfolds all. @param {number} level */
    foldTo(level) {
        this.rows.forEach(
            (row, i) => row.hasAttribute('aria-expanded') && row.setAttribute('aria-expanded', String(!level || this.levels[i] < level)),
        );
        this.draw();
    }

    /** @param {HTMLElement} row */
    unfoldTo(row) {
        this.above(row).forEach((one) => one.setAttribute('aria-expanded', 'true'));
        this.draw();
    }

    /** How many hold a text in title or note. @param {string} text */
    find(text) {
        this.wanted = text.trim().toLowerCase();
        const holds = (/** @type {HTMLElement} */ row) => (row.textContent ?? '').toLowerCase().includes(this.wanted);
        this.found = new Set(this.wanted ? this.rows.filter(holds) : []);
        this.rows.forEach((row) => row.classList.toggle('is-found', this.found.has(row)));
        this.draw();
        return this.found.size;
    }

    /** @param {Element | null} row */
    openNote(row) {
        row?.querySelector('.note') && row.classList.toggle('is-open');
    }

    // ---- Keys and pointer

    /** @param {KeyboardEvent} event */
    pressed(event) {
        const row = /** @type {HTMLElement} */ (event.target);
        if (row.role !== 'treeitem' && row.getAttribute('role') !== 'treeitem') {
            return;
        }
        const seen = this.rows.filter((one) => !one.hidden);
        const at = seen.indexOf(row);
        const isOpen = row.getAttribute('aria-expanded') === 'true';
        const level = Number(row.getAttribute('aria-level'));
        /** @type {Record<string, () => unknown>} */
        const acts = {
            ArrowDown: () => seen[at + 1]?.focus(),
            ArrowUp: () => seen[at - 1]?.focus(),
            Home: () => seen[0].focus(),
            End: () => seen.at(-1)?.focus(),
            ArrowLeft: () =>
                isOpen
                    ? this.fold(row, false)
                    : seen
                          .slice(0, at)
                          .findLast((one) => Number(one.getAttribute('aria-level')) < level)
                          ?.focus(),
            ArrowRight: () => (isOpen ? seen[at + 1]?.focus() : this.fold(row, true)),
            Enter: () => this.openNote(row),
            ' ': () => this.openNote(row),
        };
        if (acts[event.key] && !event.ctrlKey && !event.metaKey && !event.altKey) {
            event.preventDefault();
            acts[event.key]();
        }
    }

    /** @param {MouseEvent} event */
    clicked(event) {
        const target = /** @type {HTMLElement} */ (event.target);
        const row = /** @type {HTMLElement | null} */ (target.closest('[role=treeitem]'));
        const link = /** @type {HTMLAnchorElement | null} */ (target.closest('a[href^="#_e"]'));
        if (link) {
            event.preventDefault();
            this.go(link.hash.slice(3, 29));
        } else if (row && target.closest('.row')) {
            row.focus();
            target.closest('.n') ? this.fold(row, row.getAttribute('aria-expanded') !== 'true') : this.openNote(row);
        }
    }
}
