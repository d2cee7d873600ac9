import { colour, element } from './element.js';

const KINDS = ['section', 'point', 'quote', 'aside'];
const DYES = ['madder', 'weld', 'woad', 'fern', 'walnut', 'orchil', 'verdigris', 'slate'];
const FLAGS = ['key', 'question', 'to-check', 'may-go', 'waiting', 'first', 'next', 'later'];
const NUMBERED = { usual: 'Number', none: 'No number', appendix: 'Appendix' };
const ACTIONS = [
    ['Add after', 'addAfter', 'Enter'], ['Write the note', 'openNote', 'N'], ['Move up', 'moveUp', 'Alt ↑'], ['Move down', 'moveDown', 'Alt ↓'],
    ['Move in', 'inward', 'Alt →'], ['Move out', 'outward', 'Alt ←'], ['Move to…', 'moveTo', 'M'], ['Duplicate', 'duplicate', 'Ctrl Shift D'],
    ['This branch alone', 'focusBranch', 'F'], ['Remove', 'remove', 'Delete'],
];

/** What can be set on a topic and done with it: one menu, opened at the part that a key asks for. */
export class Menu {
    constructor(outline) {
        this.outline = outline;
        document.addEventListener('pointerdown', (event) => {
            if (this.box && !this.box.contains(event.target)) {
                this.close(false);
            }
        });
    }

    get isOpen() {
        return !!this.box;
    }

    open(id, anchor, part = null) {
        this.close(false);
        const { outline } = this;
        if (!outline.marked.has(id)) {
            outline.marking.only(id);
        }
        outline.titles.end();
        const topic = outline.tree.get(id);
        this.box = element('div', { class: 'menu', role: 'dialog', 'aria-label': `Topic: ${topic.title || 'Untitled'}`, onkeydown: (event) => this.pressed(event) },
            this.choice('Prints as', 'kind', KINDS.map((kind) => [kind, kind, topic.kind === kind])),
            this.dyes(topic),
            this.choice('Flag', 'flag', [...FLAGS.map((flag) => [flag, flag.replace('-', ' '), topic.flag === flag]), [null, 'none', topic.flag === null]]),
            this.target(topic),
            this.choice('Numbering', 'numbered', Object.entries(NUMBERED).map(([value, label]) => [value, label, topic.numbered === value])),
            element('div', { class: 'acts-list' }, ...ACTIONS.map(([label, action, key]) => element('button', { type: 'button', onclick: () => this.act(action, id) }, label, element('span', { class: 'kbd' }, key)))));
        document.body.append(this.box);
        this.place(anchor ?? outline.box);
        const first = part ? this.box.querySelector(`[data-part=${part}]`) : this.box.querySelector('button');
        (first?.querySelector('[aria-pressed=true]') ?? first?.querySelector('button, input') ?? first)?.focus();
    }

    place(anchor) {
        const at = anchor.getBoundingClientRect();
        const { offsetWidth: width, offsetHeight: height } = this.box;
        this.box.style.left = `${Math.max(8, Math.min(innerWidth - width - 8, at.right - width))}px`;
        this.box.style.top = `${Math.max(8, at.bottom + height + 4 > innerHeight ? Math.max(8, Math.min(at.top - height - 4, innerHeight - height - 8)) : at.bottom + 4)}px`;
    }

    choice(legend, type, choices) {
        return element('fieldset', { 'data-part': type }, element('legend', {}, legend),
            ...choices.map(([value, label, on]) => element('button', { type: 'button', 'aria-pressed': String(on), onclick: () => this.set(type, value) }, label)));
    }

    dyes(topic) {
        const own = topic.dye?.startsWith('#') ? topic.dye : '#2f6690';
        return element('fieldset', { 'data-part': 'dye' }, element('legend', {}, 'Dye'),
            ...DYES.map((dye) => element('button', { type: 'button', class: 'swatch', '--d': colour(dye), 'aria-pressed': String(topic.dye === dye), 'aria-label': dye, title: dye, onclick: () => this.set('dye', dye) })),
            element('input', { type: 'color', value: own, 'aria-label': 'Another colour', title: 'Another colour', onchange: (event) => this.set('dye', event.target.value) }),
            element('button', { type: 'button', 'aria-pressed': String(topic.dye === null), onclick: () => this.set('dye', null) }, 'as above'));
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

    set(type, value) {
        this.outline.setField(type, value);
        this.close();
    }

    act(action, id) {
        this.close();
        if (action === 'addAfter') {
            this.outline.active = id;
            this.outline.addAtEnd();
        } else {
            this.outline.on(action, id, this.outline.rows.drawn.get(id));
        }
    }

    pressed(event) {
        if (!this.box) {
            return;
        }
        const fields = [...this.box.querySelectorAll('button, input')];
        const at = fields.indexOf(document.activeElement);
        const by = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key];
        if (event.key === 'Escape' || event.key === 'Tab') {
            event.preventDefault();
            event.stopPropagation();
            this.close();
        } else if (by && document.activeElement.type !== 'number') {
            event.preventDefault();
            fields[(at + by + fields.length) % fields.length].focus();
        }
    }

    close(back = true) {
        this.box?.remove();
        this.box = null;
        if (back) {
            this.outline.box.focus({ preventScroll: true });
        }
    }
}
