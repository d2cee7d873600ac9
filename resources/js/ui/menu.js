import { send } from '../lib/http.js';
import { colour, element } from './element.js';
import { Popover } from './popover.js';

export const FLAGS = ['key', 'question', 'to-check', 'may-go', 'waiting', 'first', 'next', 'later'];
const KINDS = ['section', 'point', 'quote', 'aside'];
export const DYES = ['madder', 'weld', 'woad', 'fern', 'walnut', 'orchil', 'verdigris', 'slate'];
const NUMBERED = { usual: 'Number', none: 'No number', appendix: 'Appendix' };
const SORTS = [['title', 'Title'], ['words', 'Words'], ['target', 'Target']];
const ACTIONS = [
    ['Write the note', 'openNote', 'N'], ['Move up', 'moveUp', 'Alt ↑'], ['Move down', 'moveDown', 'Alt ↓'],
    ['Move in', 'inward', 'Alt →'], ['Move out', 'outward', 'Alt ←'], ['Move to…', 'moveTo', 'M'], ['Another plan…', 'toAnotherPlan', ''],
    ['Relate to…', 'relate', 'R'], ['Sort it out of the outline…', 'sortOut', 'X'], ['Into the note above', 'foldIn', 'I'],
    ['Dissolve', 'dissolve', 'U'], ['Join with above', 'joinAbove', 'J'], ['Loose idea', 'loosen', 'L'],
    ['This branch alone', 'focusBranch', 'F'], ['Dim the rest', 'dimRest', 'Shift F'], ['Mark more', 'markMore', ''], ['Duplicate', 'duplicate', 'Ctrl Shift D'],
    ['Hand over this branch…', 'handOverBranch', ''], ['Take in below it…', 'takeInBelow', ''], ['Remove', 'remove', 'Delete'],
];
/** Where a new topic goes, seen from another: above it is a parent around it. */
const NEW = [['before', 'addBefore'], ['after', 'addAfter'], ['inside', 'addInside'], ['above', 'wrap']];

/** What can be set on a topic and done with it: one menu, opened at the part that a key asks for. */
export class Menu extends Popover {
    constructor(outline) {
        super(() => outline.box.focus({ preventScroll: true }));
        this.outline = outline;
    }

    open(id, anchor, part = null) {
        const { outline } = this;
        this.close(false);
        if (!outline.marked.has(id)) {
            outline.marking.only(id);
        }
        outline.titles.end(true, id);
        // What is marked now is what is meant, whatever news may come in while one chooses.
        this.ids = outline.markedInOrder();
        const topic = outline.tree.get(id);
        const set = (type) => (value) => this.set(type, value);
        const parts = outline.tree.partsOf(id).length;
        this.raise(`Topic: ${topic.title || 'Untitled'}`, anchor ?? outline.box,
            this.group('New topic', 'new', ...NEW.map(([name, action]) => (
                element('button', { type: 'button', 'aria-label': `New topic ${name}`, onclick: () => this.act(action, id) }, name)))),
            this.choice('Prints as', 'kind', KINDS.map((kind) => [kind, kind, topic.kind === kind]), set('kind')),
            this.dyes(topic),
            this.choice('Flag', 'flag', [...FLAGS.map((flag) => [flag, flag.replace('-', ' '), topic.flag === flag, flag]), [null, 'none', topic.flag === null]], set('flag')),
            this.target(topic),
            this.related(id),
            this.choice('Numbering', 'numbered', Object.entries(NUMBERED).map(([value, label]) => [value, label, topic.numbered === value]), set('numbered')),
            this.choice('Size on the map', 'size', [['small', 'small', topic.size === 'small'], [null, 'as its level', topic.size === null], ['large', 'large', topic.size === 'large'], ['huge', 'huge', topic.size === 'huge']], set('size')),
            (topic.dye || topic.size) && this.choice('For itself alone, not its parts', 'alone', [['dye', 'dye'], ['size', 'size']].filter(([field]) => topic[field]).map(([field, name]) => [field, name, [field, 'both'].includes(topic.alone)]), (field) => this.toggleAlone(topic, field)),
            this.picture(id, topic),
            this.files(id),
            parts > 1 && this.group('Sort its parts by', 'sort', ...SORTS.map(([by, label]) => element('button', { type: 'button', onclick: () => { this.close(); outline.moving.sortParts(id, by); } }, label))),
            element('div', { class: 'acts-list' }, ...ACTIONS.map(([label, action, key]) => element('button', { type: 'button', onclick: () => this.act(action, id) }, label, key && element('span', { class: 'kbd' }, key)))));
        const first = part ? this.box.querySelector(`[data-part=${part}]`) : this.box.querySelector('button');
        (first?.querySelector('[aria-pressed=true]') ?? first?.querySelector('button, input') ?? first)?.focus();
    }

    dyes(topic) {
        const own = topic.dye?.startsWith('#') ? topic.dye : null;
        const warning = element('p', { class: 'error wide', role: 'status' });
        const hex = element('input', { type: 'text', value: own ?? '', placeholder: '#2f6690', maxlength: 7, 'aria-label': 'Another colour, as hex', class: 'hex' });
        const wheel = element('input', { type: 'color', value: own ?? '#2f6690', 'aria-label': 'Another colour', title: 'Another colour', oninput: () => { hex.value = wheel.value; this.judge(wheel.value, warning); } });
        const keep = () => {
            const value = /^#?[0-9a-f]{6}$/i.test(hex.value.trim()) ? `#${hex.value.trim().replace('#', '').toLowerCase()}` : null;
            if (value) {
                this.set('dye', value);
            } else {
                warning.textContent = 'Six digits from 0 to 9 and a to f, such as #2f6690.';
            }
        };
        hex.addEventListener('input', () => this.judge(hex.value.trim(), warning));
        hex.addEventListener('keydown', (event) => {
            if (event.key === 'Enter') {
                event.preventDefault();
                keep();
            }
        });
        if (own) {
            this.judge(own, warning);
        }
        return this.group('Dye', 'dye',
            ...DYES.map((dye) => element('button', { type: 'button', class: 'swatch', '--d': colour(dye), 'aria-pressed': String(topic.dye === dye), 'aria-label': dye, title: dye, onclick: () => this.set('dye', dye) })),
            wheel, hex, element('button', { type: 'button', onclick: keep }, 'Set'),
            element('button', { type: 'button', 'aria-pressed': String(topic.dye === null), onclick: () => this.set('dye', null) }, 'as above'), warning);
    }

    /** The relations of a topic: each opens to be changed. */
    related(id) {
        const { relations } = this.outline.page;
        const all = relations.of(id);
        return all.length > 0 && this.group('Relations', 'relations', ...all.map(({ relation, other }) => element('button', { type: 'button', onclick: () => { this.close(false); relations.edit(relation.id); } },
            `${relation.from === id ? '→' : '←'} ${relation.label ? `${relation.label}: ` : ''}${relations.name(other)}`)));
    }

    /** Says when a colour is hard to see on the page, light or dark. */
    judge(value, warning) {
        clearTimeout(this.judging);
        this.judging = setTimeout(async () => {
            const answer = await send('GET', `/dye?value=${encodeURIComponent(value)}`).catch(() => null);
            warning.textContent = answer?.warning ?? '';
        }, 150);
    }

    target(topic) {
        const field = element('input', { type: 'number', min: 1, max: 10000000, step: 1, value: topic.target ?? '', id: 'topic-target' });
        const keep = () => {
            const words = Math.round(Number(field.value));
            this.set('target', words >= 1 && words <= 10000000 ? words : null);
        };
        field.addEventListener('keydown', (event) => {
            if (event.key === 'Enter') {
                event.preventDefault();
                keep();
            }
        });
        return element('fieldset', { 'data-part': 'target' }, element('label', { class: 'legend', for: 'topic-target' }, 'Target in words'), field,
            element('button', { type: 'button', onclick: keep }, 'Set'), element('button', { type: 'button', onclick: () => this.set('target', null) }, 'None'));
    }

    /** The files that hang on a topic. */
    files(id) {
        const box = element('div', { class: 'files' });
        const { files } = this.outline.page.sources;
        const load = async () => {
            const answer = await send('GET', `${this.outline.page.address}/attachments`).catch(() => null);
            files.draw(box, id, answer?.files[id] ?? [], load);
        };
        load();
        return element('fieldset', { 'data-part': 'files' }, box);
    }

    /** A picture on a topic: chosen from a file, or taken off. */
    picture(id, topic) {
        const { pictures } = this.outline.page.map;
        const file = element('input', { type: 'file', accept: 'image/png,image/jpeg,image/webp,image/gif', 'aria-label': 'Picture', hidden: true, onchange: () => { const [chosen] = file.files; this.close(); pictures.put(chosen, id); } });
        return this.group('Picture', 'picture', file, element('button', { type: 'button', onclick: () => file.click() }, topic.picture ? 'Another…' : 'Choose…'),
            topic.picture && element('button', { type: 'button', onclick: () => this.set('picture', null) }, 'Take it off'));
    }

    /** Whether its dye, or its size, goes on to what is under it. */
    toggleAlone(topic, field) {
        const held = new Set(topic.alone === 'both' ? ['dye', 'size'] : [topic.alone]);
        held.has(field) ? held.delete(field) : held.add(field);
        this.set('alone', held.has('dye') && held.has('size') ? 'both' : held.has('dye') ? 'dye' : held.has('size') ? 'size' : null);
    }

    set(type, value) {
        this.outline.setField(type, value, this.ids.filter((id) => this.outline.tree.get(id)));
        this.close();
    }

    act(action, id) {
        this.close();
        this.outline.on(action, id, this.outline.rows.drawn.get(id));
    }
}
