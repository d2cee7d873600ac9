import { keyOf, nameOf } from '../commands/commands.js';
import { words } from '../lib/vocabulary.js';
import { element } from './element.js';
import { Files } from './files.js';
import { signField } from './sign-field.js';
import { TopicFields } from './topic-fields.js';

/** What is done with a topic, in the order of the menu; their names and keys stand in the table of commands. */
const ACTS = [
    ['openNote', 'moveUp', 'moveDown', 'inward', 'outward', 'moveTo', 'toAnotherPlan', 'loosen'],
    ['foldIn', 'dissolve', 'joinAbove', 'relate', 'sortOut', 'duplicate', 'askAbout', 'promptsOf'],
    ['sayAbout', 'copyLink', 'focusBranch', 'dimRest', 'markMore', 'handOverBranch', 'keepPattern', 'setPattern', 'takeInBelow', 'remove'],
];
/** Where a new topic goes, seen from another: above it is a parent around it. */
const NEW = ['addBefore', 'addAfter', 'addInside', 'wrap'];

/** What can be set on a topic and done with it: one menu, opened at the part that a key asks for. */
export class Menu extends TopicFields {
    /** @param {import('../views/outline/outline.js').Outline} outline */
    constructor(outline) {
        super(() => outline.page.back());
        this.outline = outline;
        this.attached = new Files(outline.page.session);
        /** @type {string[]} */
        this.ids = [];
    }

    /** @param {string} id @param {any} anchor @param {string | null} [part] the field that is asked for */
    open(id, anchor, part) {
        const { outline } = this;
        this.close(false);
        if (!outline.marked.has(id)) {
            outline.marking.only(id);
        }
        outline.titles.end(true, id);
        // What is marked now is what is meant, whatever news may come in while one chooses.
        this.ids = outline.markedInOrder();
        const topic = outline.tree.get(id);
        const set = (/** @type {string} */ type) => (/** @type {any} */ value) => this.set(type, value);
        const parts = outline.tree.partsOf(id).length;
        this.raise(
            `Topic: ${topic.title || 'Untitled'}`,
            anchor ?? outline.box,
            element(
                'div',
                { class: 'does' },
                this.group(
                    'New topic',
                    'new',
                    ...NEW.map((command) =>
                        element(
                            'button',
                            { type: 'button', 'aria-label': `New topic ${nameOf('row', command)}`, onclick: () => this.act(command, id) },
                            nameOf('row', command),
                        ),
                    ),
                ),
                ...ACTS.map((commands) =>
                    element('div', { class: 'acts-list one-column' }, ...commands.map((command) => this.entry(command, id))),
                ),
            ),
            element(
                'div',
                { class: 'looks' },
                this.choice(
                    'Prints as',
                    'kind',
                    words().kinds.map((/** @type {string} */ kind) => [kind, kind, topic.kind === kind]),
                    set('kind'),
                ),
                this.target(topic),
                this.dyes(topic),
                this.choice(
                    'Flag',
                    'flag',
                    [
                        ...Object.entries(words().flags).map(([flag, name]) => [flag, name, topic.flag === flag, flag]),
                        [null, 'none', topic.flag === null],
                    ],
                    set('flag'),
                ),
                this.group('Sign', 'sign', ...signField(topic.sign, set('sign'))),
                this.labels(topic),
                this.outline.page.work.group(this, this.ids),
                this.choice(
                    'Numbering',
                    'numbered',
                    Object.entries(words().numbered).map(([value, label]) => [value, label, topic.numbered === value]),
                    set('numbered'),
                ),
                this.choice(
                    'Size on the map',
                    'size',
                    words().sizes.map((/** @type {any[]} */ [value, label]) => [value, label, topic.size === value]),
                    set('size'),
                ),
                (topic.dye || topic.size) &&
                    this.choice(
                        'For itself alone, not its parts',
                        'alone',
                        [
                            ['dye', 'dye'],
                            ['size', 'size'],
                        ]
                            .filter(([field]) => topic[/** @type {'dye' | 'size'} */ (field)])
                            .map(([field, name]) => [field, name, [field, 'both'].includes(topic.alone ?? '')]),
                        (field) => this.toggleAlone(topic, field),
                    ),
                parts > 1 &&
                    this.group(
                        'Sort its parts by',
                        'sort',
                        ...Object.entries(words().sorts).map(([by, label]) =>
                            element(
                                'button',
                                {
                                    type: 'button',
                                    onclick: () => {
                                        this.close();
                                        outline.moving.sortParts(id, by);
                                    },
                                },
                                label,
                            ),
                        ),
                    ),
                this.related(id),
                this.picture(id, topic),
                this.files(id),
            ),
        );
        this.box?.classList.add('of-topic');
        this.place();
        const first = part ? this.box?.querySelector(`[data-part=${part}]`) : this.box?.querySelector('button');
        // Where a label is asked for, one can be typed at once.
        const typed = part === 'labels' || part === 'work' ? first?.querySelector('input') : null;
        const usual = typed ?? first?.querySelector('[aria-pressed=true]') ?? first?.querySelector('button, input') ?? first;
        /** @type {HTMLElement | null | undefined} */ (usual)?.focus();
    }

    /** One thing to do, with its key. @param {any} command @param {string} id */
    entry(command, id) {
        const key = keyOf('row', command);
        return element(
            'button',
            { type: 'button', onclick: () => this.act(command, id) },
            nameOf('row', command),
            key && element('span', { class: 'kbd' }, key),
        );
    }

    /** Whether its dye, or its size, goes on to what is under it. @param {any} topic @param {any} field */
    toggleAlone(topic, field) {
        const held = new Set(topic.alone === 'both' ? ['dye', 'size'] : [topic.alone]);
        held.has(field) ? held.delete(field) : held.add(field);
        this.set('alone', held.has('dye') && held.has('size') ? 'both' : held.has('dye') ? 'dye' : held.has('size') ? 'size' : null);
    }

    /** @param {string} type @param {any} value */
    set(type, value) {
        this.outline.setField(
            type,
            value,
            this.ids.filter((id) => this.outline.tree.get(id)),
        );
        this.close();
    }

    /** @param {any} command @param {string} id */
    act(command, id) {
        this.close();
        this.outline.on(command, id, this.outline.rows.drawn.get(id));
    }
}
