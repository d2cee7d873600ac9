import { keyOf, nameOf } from '../commands/commands.js';
import { send } from '../lib/http.js';
import { words } from '../lib/vocabulary.js';
import { colour, element } from './element.js';
import { Popover } from './popover.js';

/** What is done with a topic, in the order of the menu; their names and keys stand in the table of commands. */
const ACTS = [
    ['openNote', 'moveUp', 'moveDown', 'inward', 'outward', 'moveTo', 'toAnotherPlan', 'loosen'],
    ['foldIn', 'dissolve', 'joinAbove', 'relate', 'sortOut', 'duplicate'],
    ['focusBranch', 'dimRest', 'markMore', 'handOverBranch', 'takeInBelow', 'remove'],
];
/** Where a new topic goes, seen from another: above it is a parent around it. */
const NEW = ['addBefore', 'addAfter', 'addInside', 'wrap'];
const SIZES = [['small', 'small'], [null, 'as its level'], ['large', 'large'], ['huge', 'huge']];

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
            element('div', { class: 'does' },
                this.group('New topic', 'new', ...NEW.map((command) => (
                    element('button', { type: 'button', 'aria-label': `New topic ${nameOf('row', command)}`, onclick: () => this.act(command, id) }, nameOf('row', command))))),
                ...ACTS.map((commands) => element('div', { class: 'acts-list one-column' }, ...commands.map((command) => this.entry(command, id))))),
            element('div', { class: 'looks' },
                this.choice('Prints as', 'kind', words().kinds.map((kind) => [kind, kind, topic.kind === kind]), set('kind')),
                this.dyes(topic),
                this.choice('Flag', 'flag', [...Object.entries(words().flags).map(([flag, name]) => [flag, name, topic.flag === flag, flag]), [null, 'none', topic.flag === null]], set('flag')),
                this.target(topic),
                this.choice('Numbering', 'numbered', Object.entries(words().numbered).map(([value, label]) => [value, label, topic.numbered === value]), set('numbered')),
                this.choice('Size on the map', 'size', SIZES.map(([value, label]) => [value, label, topic.size === value]), set('size')),
                (topic.dye || topic.size) && this.choice('For itself alone, not its parts', 'alone', [['dye', 'dye'], ['size', 'size']].filter(([field]) => topic[field]).map(([field, name]) => [field, name, [field, 'both'].includes(topic.alone)]), (field) => this.toggleAlone(topic, field)),
                parts > 1 && this.group('Sort its parts by', 'sort', ...Object.entries(words().sorts).map(([by, label]) => element('button', { type: 'button', onclick: () => { this.close(); outline.moving.sortParts(id, by); } }, label))),
                this.related(id),
                this.picture(id, topic),
                this.files(id)));
        this.box.classList.add('of-topic');
        this.place();
        const first = part ? this.box.querySelector(`[data-part=${part}]`) : this.box.querySelector('button');
        (first?.querySelector('[aria-pressed=true]') ?? first?.querySelector('button, input') ?? first)?.focus();
    }

    /** One thing to do, with its key. */
    entry(command, id) {
        const key = keyOf('row', command);
        return element('button', { type: 'button', onclick: () => this.act(command, id) }, nameOf('row', command), key && element('span', { class: 'kbd' }, key));
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
            ...words().dyes.map((dye) => element('button', { type: 'button', class: 'swatch', '--d': colour(dye), 'aria-pressed': String(topic.dye === dye), 'aria-label': dye, title: dye, onclick: () => this.set('dye', dye) })),
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
        const field = element('input', { type: 'number', min: 1, max: words().limits.target, step: 1, value: topic.target ?? '', id: 'topic-target' });
        const keep = () => {
            const given = Math.round(Number(field.value));
            this.set('target', given >= 1 && given <= words().limits.target ? given : null);
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

    act(command, id) {
        this.close();
        this.outline.on(command, id, this.outline.rows.drawn.get(id));
    }
}
