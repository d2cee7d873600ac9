import { atLength, dayAfter, shortly, today, weekday } from '../lib/days.js';

/** Days before its date on which work is said to be due soon, as PHP has it (core/Plan/Work.php). */
const SOON = 3;

/** What dyes the sign of a person: always the same for one name. */
const DYES = ['verdigris', 'walnut', 'woad', 'orchil', 'fern', 'madder', 'slate', 'weld'];

/** @typedef {import('./topics.js').Topic} Topic */

/** Whether its date has gone, and it is not done. @param {Topic} topic */
export const isLate = (topic) => !!topic.due && !topic.done && topic.due < today();

/** Two letters or one by which a name is known in little room. @param {string} who */
export function initials(who) {
    const parts = who.split(/[\s.-]+/u).filter(Boolean);
    const ends = parts.length > 1 ? [parts[0], parts[parts.length - 1]] : parts;
    return ends.map((part) => [...part][0].toUpperCase()).join('');
}

/** @param {string} who */
export const dyeOfPerson = (who) => DYES[[...who].reduce((sum, sign) => (sum * 31 + (sign.codePointAt(0) ?? 0)) % 9973, 7) % DYES.length];

/** Whether anything is said of work on it. @param {Topic} topic */
export const hasWork = ({ who, begins, due, done, again }) => !!(who || begins || due || done || again);

/** What is said of work beside a title. @param {Topic} topic @returns {import('./labels.js').Sign[]} */
export function signsOfWork(topic) {
    /** @type {import('./labels.js').Sign[]} */
    const signs = [];
    if (topic.who) {
        signs.push({ which: 'who', text: initials(topic.who), says: topic.who, dye: dyeOfPerson(topic.who) });
    }
    if (topic.done) {
        signs.push({ which: 'done', text: '✓ done', says: `done ${atLength(topic.done)}` });
    } else if (topic.due) {
        const which = topic.due <= dayAfter(today(), SOON) ? 'due-soon' : 'due';
        const late = isLate(topic) ? 'late, ' : '';
        signs.push({ which, text: `by ${shortly(topic.due)}`, says: `${late}by ${atLength(topic.due)}` });
    } else if (topic.begins) {
        signs.push({ which: 'due', text: `from ${shortly(topic.begins)}`, says: `from ${atLength(topic.begins)}` });
    }
    return signs;
}

/** What a filter of work lets through → how it is called. @type {Record<string, string>} */
export const WORK = { mine: 'mine', week: 'this week', late: 'late', open: 'not done' };

/**
 * Whether a filter lets a topic through.
 * @param {string} which
 * @param {Topic} topic
 * @param {string} me the person's own name
 */
export function isWork(which, topic, me) {
    const now = today();
    const sunday = dayAfter(now, 6 - weekday(now));
    const isOpen = !topic.done && !!(topic.who || topic.begins || topic.due);
    /** @type {Record<string, () => boolean>} */
    const does = {
        mine: () => !!topic.who && topic.who.toLowerCase() === me.toLowerCase(),
        week: () =>
            isOpen &&
            !!(topic.begins ?? topic.due) &&
            (topic.begins ?? topic.due ?? '') <= sunday &&
            (topic.due ?? sunday) >= dayAfter(sunday, -6),
        late: () => isLate(topic),
        open: () => isOpen,
    };
    return does[which]?.() ?? false;
}

/**
 * The names that work is given to: those of people who see the plan, and those that stand in it.
 * @param {Iterable<Topic>} topics
 * @param {string[]} people
 */
export const namesIn = (topics, people) =>
    [...new Set([...people, ...[...topics].map((topic) => topic.who)])].filter(Boolean).sort((a, b) => a.localeCompare(b));
