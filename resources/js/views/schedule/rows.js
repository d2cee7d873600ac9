import { atLength } from '../../lib/days.js';
import { colour, element } from '../../ui/element.js';
import { dyeOfPerson, initials } from '../../state/work.js';
import { named } from '../../state/topics.js';

/**
 * The days of a topic, as PHP tells them.
 * @typedef {object} Stretch
 * @property {string} id
 * @property {string} from
 * @property {string} to
 * @property {boolean} [own]
 * @property {boolean} [late]
 * @property {boolean} [done]
 * @property {boolean} [reversed]
 * @property {string} [outside] the topic within whose days it does not lie
 * @property {[string, string][]} [times] when it comes again
 */

/** A row of the schedule: what it is about, and its days. @param {string} id */
export function buildRow(id) {
    return element(
        'li',
        { class: 'days-row', 'data-id': id },
        element(
            'div',
            { class: 'days-name' },
            element('span', { class: 'n' }),
            element('span', { class: 'days-title' }),
            element('span', { class: 'k who', hidden: true }),
        ),
        element('div', { class: 'days-lane', role: 'button', tabindex: -1 }),
    );
}

/**
 * @param {HTMLElement} row
 * @param {import('../../state/plan.js').Tree} tree
 * @param {{id: string, level: number}} at
 * @param {Stretch | undefined} stretch
 * @param {import('./scale.js').Days} days
 */
export function fillRow(row, tree, { id, level }, stretch, days) {
    const topic = tree.get(id);
    const [name, lane] = /** @type {HTMLElement[]} */ ([...row.children]);
    const [number, title, who] = /** @type {HTMLElement[]} */ ([...name.children]);
    row.style.setProperty('--d', colour(tree.dye(id)));
    row.style.setProperty('--level', String(Math.min(level, 8) - 1));
    row.classList.toggle('is-main', level === 1);
    number.textContent = topic.label;
    title.textContent = topic.title || 'Untitled';
    title.title = topic.title;
    who.hidden = !topic.who;
    who.textContent = topic.who && initials(topic.who);
    who.title = topic.who;
    who.style.setProperty('--d', colour(dyeOfPerson(topic.who)));
    lane.setAttribute('aria-label', spoken(tree, topic, stretch));
    // Drawn anew only where it is another one: a bar may be held.
    const drawn = JSON.stringify([stretch, days.from, days.width]);
    if (lane.dataset.drawn !== drawn) {
        lane.dataset.drawn = drawn;
        lane.replaceChildren(...(stretch ? [bar(stretch, days), ...later(stretch, days)] : []));
    }
}

/** @param {Stretch} stretch @param {import('./scale.js').Days} days */
function bar(stretch, days) {
    const is = ['own', 'late', 'done', 'reversed', 'outside']
        .filter((which) => /** @type {any} */ (stretch)[which])
        .map((which) => `is-${which}`);
    return element(
        'span',
        { class: ['days-bar', ...is].join(' '), style: place(stretch.from, stretch.to, days) },
        ...(stretch.own ? [element('i', { 'data-end': 'begins' }), element('i', { 'data-end': 'due' })] : []),
        ...(stretch.done ? ['✓'] : stretch.outside ? ['!'] : []),
    );
}

/** The times that come again, faintly. @param {Stretch} stretch @param {import('./scale.js').Days} days */
const later = (stretch, days) =>
    (stretch.times ?? []).map(([from, to]) => element('span', { class: 'days-bar is-again', style: place(from, to, days) }));

/** @param {string} from @param {string} to @param {import('./scale.js').Days} days */
export const place = (from, to, days) => `left:${days.left(from)}px;width:${days.length(from, to)}px`;

/**
 * @param {import('../../state/plan.js').Tree} tree
 * @param {import('../../state/topics.js').Topic} topic
 * @param {Stretch | undefined} stretch
 */
function spoken(tree, topic, stretch) {
    const above = stretch?.outside ? tree.get(stretch.outside) : null;
    return [
        named(topic),
        topic.who,
        stretch
            ? stretch.from === stretch.to
                ? atLength(stretch.from)
                : `${atLength(stretch.from)} to ${atLength(stretch.to)}`
            : 'no days',
        stretch && !stretch.own && 'the days of its parts',
        stretch?.late && 'late',
        stretch?.done && 'done',
        stretch?.reversed && 'ends before it begins',
        above && `not within the days of ${above.label || above.title}`,
        topic.again && `again each ${topic.again}`,
    ]
        .filter(Boolean)
        .join(', ');
}
