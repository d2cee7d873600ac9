import { newId } from '../lib/ids.js';
import { today } from '../lib/days.js';
import { words } from '../lib/vocabulary.js';
import { namesIn } from '../state/work.js';
import { element } from './element.js';
import { say } from './toast.js';

/** Who does a topic, from when and by when, how often, and whether it is done: set in a menu, wherever that stands. */
export class WorkFields {
    /** @param {import('../sync/session.js').Session} session @param {string[]} people who can see the plan */
    constructor(session, people) {
        this.session = session;
        this.people = people;
    }

    get tree() {
        return this.session.tree;
    }

    /** @param {string[]} ids @returns {string[]} those that still stand */
    standing(ids) {
        return ids.filter((id) => this.tree.get(id));
    }

    /** @param {string[]} ids @param {Record<string, any>} set */
    set(ids, set) {
        const standing = this.standing(ids);
        standing.length && this.session.perform({ type: 'work', ids: standing, set });
    }

    /** Done today, or not done yet where it is. @param {string[]} ids */
    toggleDone(ids) {
        const standing = this.standing(ids);
        const isDone = standing.length > 0 && standing.every((id) => this.tree.get(id).done);
        if (isDone) {
            this.set(standing, { done: null });
        } else if (standing.length) {
            this.session.perform({ type: 'finish', ids: standing, on: today() }, newId());
        }
    }

    /**
     * The fields, of the first of some topics; what is set is set on all of them.
     * @param {import('./popover.js').Popover} popover
     * @param {string[]} ids
     */
    group(popover, ids) {
        const topic = this.tree.get(ids[0]);
        const again = () => popover.box?.querySelector('[data-part=work]')?.replaceWith(this.group(popover, ids));
        const hint = element('p', { class: 'error wide', role: 'status' });
        const who = element('input', {
            type: 'text',
            value: topic.who,
            maxlength: words().limits.who,
            placeholder: 'nobody',
            'aria-label': 'Who',
            list: 'work-names',
            autocomplete: 'off',
            onchange: () => this.set(ids, { who: who.value.trim() }),
        });
        const day = (/** @type {'begins' | 'due'} */ field, /** @type {string} */ name) => {
            const input = element('input', {
                type: 'date',
                value: topic[field] ?? '',
                max: '9999-12-31',
                'aria-label': name,
                onchange: () => {
                    const value = input.value || null;
                    const now = this.tree.get(ids[0]);
                    const [from, to] = field === 'begins' ? [value, now?.due] : [now?.begins, value];
                    const isReversed = !!from && !!to && from > to;
                    hint.textContent = isReversed ? 'It would end before it begins.' : '';
                    isReversed || this.set(ids, { [field]: value });
                },
            });
            return element('label', {}, name === 'First day' ? 'from' : 'by', input);
        };
        const often = element(
            'select',
            { 'aria-label': 'How often', onchange: () => this.set(ids, { again: often.value || null }) },
            element('option', { value: '' }, 'once'),
            ...Object.entries(words().again).map(([value, name]) =>
                element('option', { value, selected: topic.again === value }, /** @type {string} */ (name)),
            ),
        );
        return popover.group(
            'Work',
            'work',
            who,
            day('begins', 'First day'),
            day('due', 'Last day'),
            often,
            element(
                'button',
                {
                    type: 'button',
                    'aria-pressed': String(!!topic.done),
                    onclick: () => {
                        const was = this.tree.get(ids[0])?.due;
                        this.toggleDone(ids);
                        topic.again && was && say('It comes again, and is to be done anew by its next day.');
                        again();
                        popover.focus('[data-part=work] button');
                    },
                },
                'Done',
            ),
            element(
                'datalist',
                { id: 'work-names' },
                ...namesIn(this.tree.topics.values(), this.people).map((value) => element('option', { value })),
            ),
            hint,
        );
    }
}
