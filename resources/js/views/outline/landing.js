import { firstOf } from '../../lib/dom.js';
import { send } from '../../lib/http.js';
import { onEnter } from '../../state/places.js';
import { element } from '../../ui/element.js';

const PAUSE = 200;

/**
 * Asks which number a topic would get at a place; '' where it would get none, or where nobody can say now.
 * @param {{address: string}} plan
 * @param {import('../../state/topics.js').Place} place
 * @param {string | null} [topic] which is moved there; none: a new one
 */
export async function numberAt({ address }, place, topic) {
    const parameters = new URLSearchParams({ parent: place.parent });
    topic && parameters.set('topic', topic);
    place.after && parameters.set('after', place.after);
    const answer = await send('GET', `${address}/landing?${parameters}`).catch(() => null);
    return answer?.number ?? '';
}

/** The line that shows where the next topic will stand, before it is typed: while a title is written, and at the button for a new one. */
export class Landing {
    /** @param {import('./outline.js').Outline} outline */
    constructor(outline) {
        this.outline = outline;
        this.number = element('output');
        this.line = element('div', { class: 'landing next', hidden: true, 'aria-hidden': 'true' }, this.number);
        this.isAdding = false;
        /** What is shown, so that an answer that comes later knows. @type {string | null} */
        this.key = null;
        outline.box.append(this.line);
        const add = firstOf(document, '[data-bar=outline] [data-command=addTopic]');
        for (const [type, isOver] of /** @type {[string, boolean][]} */ ([
            ['pointerenter', true],
            ['focus', true],
            ['pointerleave', false],
            ['blur', false],
        ])) {
            add.addEventListener(type, () => {
                this.isAdding = isOver;
                this.draw();
            });
        }
    }

    /** Where Enter would put the next topic, with its level. @param {string} id */
    place(id) {
        const { outline } = this;
        const { tree, titles } = outline;
        const level = outline.list[outline.rows.index.get(id) ?? -1]?.level;
        const { value, selectionStart: column } = titles.input;
        const { at, as } = onEnter(tree, id, { column: column ?? 0, length: value.length, isFolded: outline.folds.has(id) });
        return { ...at, level: as === 'part' ? level + 1 : level, above: as === 'above' };
    }

    draw() {
        const { outline } = this;
        const rows = outline.sheet;
        const id = this.isAdding ? outline.active : outline.writing;
        const i = outline.isMap ? undefined : rows.index.get(id);
        this.line.hidden = i === undefined;
        if (i === undefined || id === null) {
            this.key = null;
            return;
        }
        const place = this.isAdding
            ? { parent: outline.tree.get(id).parent, after: id, level: rows.list[i].level, above: false }
            : this.place(id);
        // A split, and a topic after one with open parts, stand below all that is under this one.
        let gap = place.above ? i : i + 1;
        while (!place.above && place.after && rows.list[gap]?.level > rows.list[i].level) {
            gap++;
        }
        const key = JSON.stringify([place, gap, outline.queue.base]);
        if (key !== this.key) {
            this.line.style.top = `${rows.tops[gap] - 1}px`;
            this.line.style.setProperty('--l', String(place.level - 1));
            this.key = key;
            this.number.textContent = '';
            clearTimeout(this.asking);
            this.asking = setTimeout(() => this.ask(place, key), PAUSE);
        }
    }

    /** @param {import('../../state/topics.js').Place} place @param {string} key */
    async ask(place, key) {
        if (!this.outline.queue.isEmpty) {
            this.asking = setTimeout(() => this.key === key && this.ask(place, key), PAUSE);
            return;
        }
        const number = await numberAt(this.outline, place);
        if (this.key === key) {
            this.number.textContent = number;
        }
    }
}
