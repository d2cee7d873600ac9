import { around, childrenOf, firstOf } from '../../lib/dom.js';
import { element, icon } from '../../ui/element.js';
import { ROOT, TRAY } from '../../state/plan.js';

const ID_DIGITS = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';

/** The loose ideas as they are listed, the newest first, and which of them are marked. */
export class Ideas {
    /** The ideas, the newest first; what is inside one stands under it. */
    rows() {
        return [...this.tree.partsOf(TRAY)]
            .reverse()
            .flatMap((id) => [{ id, level: 1 }, ...this.tree.rows(new Set(), id).map((row) => ({ id: row.id, level: row.level + 1 }))]);
    }

    /** @param {string} id @param {number} level */
    row(id, level) {
        const topic = this.tree.get(id);
        return element(
            'div',
            {
                class: `idea kind-${topic.kind}`,
                role: 'option',
                id: `idea-${id}`,
                'data-id': id,
                'aria-selected': String(this.marked.has(id)),
                '--l': level - 1,
            },
            element('span', { class: 'title' }, topic.title || 'Untitled'),
            topic.kind === 'section' ? null : element('span', { class: 'k' }, topic.kind),
            topic.noted && element('span', { class: 'note-sign', title: 'Its note (Ctrl Enter)' }, icon('notebook-pen')),
            element('time', {}, ago(id)),
            element('span', { class: 'more-of', 'aria-hidden': 'true', title: 'More' }, icon('ellipsis')),
        );
    }

    drawTimes() {
        for (const row of childrenOf(this.list)) {
            firstOf(row, 'time').textContent = ago(row.dataset.id ?? '');
        }
    }

    /** @param {string} id */
    mark(id) {
        this.marked = new Set([id]);
        this.active = this.anchor = id;
        this.draw();
        this.list.focus({ preventScroll: true });
        document.getElementById(`idea-${id}`)?.scrollIntoView({ block: 'nearest' });
    }

    toField() {
        this.marked.clear();
        this.active = null;
        this.places.parent = ROOT;
        this.draw();
        this.input.focus();
    }

    /** @param {number} by */
    step(by) {
        const at = this.ids.indexOf(this.active ?? '') + by;
        if (at < 0) {
            this.toField();
        } else if (this.ids[at]) {
            this.mark(this.ids[at]);
        }
    }

    /** @param {number} by */
    stretch(by) {
        const at = Math.max(0, Math.min(this.ids.length - 1, this.ids.indexOf(this.active ?? '') + by));
        this.active = this.ids[at];
        const [from, to] = [this.ids.indexOf(this.anchor ?? ''), at].sort((a, b) => a - b);
        this.marked = new Set(this.ids.slice(from, to + 1));
        this.draw();
    }

    /** @param {string} id */
    toggle(id) {
        this.marked.has(id) ? this.marked.delete(id) : this.marked.add(id);
        this.active = this.anchor = id;
        this.draw();
        this.list.focus({ preventScroll: true });
    }

    /** @param {MouseEvent} event */
    clicked(event) {
        const id = around(event, '.idea')?.dataset.id;
        if (!id) {
            return;
        }
        if (around(event, '.more-of')) {
            this.ask(id, around(event, '.more-of'));
        } else if (around(event, '.note-sign')) {
            this.mark(id);
            this.page.note.open(id);
        } else if (event.shiftKey) {
            this.anchor ??= id;
            this.active = id;
            this.stretch(0);
        } else if (event.ctrlKey || event.metaKey || (matchMedia('(pointer: coarse)').matches && this.marked.size)) {
            this.toggle(id);
        } else {
            this.mark(id);
        }
    }

    /**
     * What can be done with an idea, and with those that are marked beside it: at its dots, the second button of a
     * mouse, or a long press.
     * @param {string} id
     * @param {any} point
     */
    ask(id, point) {
        if (!this.marked.has(id)) {
            this.mark(id);
        }
        const done = (/** @type {(...given: any[]) => unknown} */ does) => () => {
            this.menu.close(false);
            this.list.focus({ preventScroll: true });
            does();
        };
        const act = (/** @type {string} */ name, /** @type {string} */ key, /** @type {(...given: any[]) => unknown} */ does) =>
            element('button', { type: 'button', onclick: done(does) }, name, key && element('span', { class: 'kbd' }, key));
        const { sorting } = this;
        const sections = this.places.numbered().slice(0, 12);
        const to = (/** @type {any} */ section) => {
            const { label, title } = this.tree.get(section);
            return act(`${label} ${title || 'Untitled'}`.trim(), '', () => sorting.toSection(section));
        };
        const count = this.marked.size;
        this.menu.raise(
            count === 1 ? `Idea: ${this.tree.get(id).title || 'Untitled'}` : `${count} ideas`,
            point,
            sections.length > 0 && this.menu.group('Send it to', 'sections', ...sections.map(to)),
            element(
                'div',
                { class: 'acts-list' },
                act('Open its note', 'Ctrl Enter', () => this.page.note.open(id)),
                act('A new section', 'N', () => sorting.toNewSection()),
                act('Quote', 'Q', () => sorting.toQuote()),
                act('Keep as a source', 'S', () => sorting.toSource()),
                act('Let it go', 'X', () => sorting.letGo()),
            ),
        );
        this.menu.focus();
    }
}

/** How long ago an idea came: its id begins with the time. @param {string} id */
function ago(id) {
    const time = [...id.slice(0, 10)].reduce((sum, digit) => sum * 32 + ID_DIGITS.indexOf(digit), 0);
    const minutes = Math.floor((Date.now() - time) / 60000);
    if (minutes < 1) {
        return 'just now';
    }
    return minutes < 60
        ? `${minutes} min`
        : minutes < 1440
          ? `${Math.floor(minutes / 60)} h`
          : minutes < 525600
            ? `${Math.floor(minutes / 1440)} d`
            : '';
}
