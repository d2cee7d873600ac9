import { send } from '../../lib/http.js';
import { onEnter } from '../../state/places.js';
import { element } from '../../ui/element.js';

const PAUSE = 200;

/** Asks which number a topic would get at a place; '' where it would get none, or where nobody can say now. */
export async function numberAt(outline, place, topic = null) {
    const parameters = new URLSearchParams({
        parent: place.parent,
        ...(topic ? { topic } : {}),
        ...(place.after ? { after: place.after } : {}),
    });
    const answer = await send('GET', `${outline.address}/landing?${parameters}`).catch(() => null);
    return answer?.number ?? '';
}

/** The line that shows where the next topic will stand, before it is typed: while a title is written, and at the button for a new one. */
export class Landing {
    constructor(outline) {
        this.outline = outline;
        this.line = element('div', { class: 'landing next', hidden: true, 'aria-hidden': 'true' }, element('output'));
        outline.box.append(this.line);
        const add = document.querySelector('[data-bar=outline] [data-command=addTopic]');
        for (const [type, isOver] of [
            ['pointerenter', true],
            ['focus', true],
            ['pointerleave', false],
            ['blur', false],
        ]) {
            add.addEventListener(type, () => {
                this.isAdding = isOver;
                this.draw();
            });
        }
    }

    /** Where Enter would put the next topic, with its level. */
    place() {
        const { outline } = this;
        const { tree, titles, writing: id } = outline;
        const level = outline.list[outline.rows.index.get(id)]?.level;
        const { value, selectionStart: column } = titles.input;
        const { at, as } = onEnter(tree, id, { column, length: value.length, isFolded: outline.folds.has(id) });
        return { ...at, level: as === 'part' ? level + 1 : level, above: as === 'above' };
    }

    draw() {
        const { outline } = this;
        const { rows } = outline;
        const i = outline.page.view === 'map' ? undefined : rows.index.get(this.isAdding ? outline.active : outline.writing);
        this.line.hidden = i === undefined;
        if (i === undefined) {
            this.key = null;
            return;
        }
        const place = this.isAdding
            ? { parent: outline.tree.get(outline.active).parent, after: outline.active, level: rows.list[i].level }
            : this.place();
        // A split, and a topic after one with open parts, stand below all that is under this one.
        let gap = place.above ? i : i + 1;
        while (!place.above && place.after && rows.list[gap]?.level > rows.list[i].level) {
            gap++;
        }
        const key = JSON.stringify([place, gap, outline.queue.base]);
        if (key !== this.key) {
            this.line.style.top = `${rows.tops[gap] - 1}px`;
            this.line.style.setProperty('--l', place.level - 1);
            this.key = key;
            this.line.firstChild.textContent = '';
            clearTimeout(this.asking);
            this.asking = setTimeout(() => this.ask(place, key), PAUSE);
        }
    }

    async ask(place, key) {
        if (!this.outline.queue.isEmpty) {
            this.asking = setTimeout(() => this.key === key && this.ask(place, key), PAUSE);
            return;
        }
        const number = await numberAt(this.outline, place);
        if (this.key === key) {
            this.line.firstChild.textContent = number;
        }
    }
}
