import { clock, figures } from '../lib/counted.js';
import { ROOT } from '../state/plan.js';
import { named as titled } from '../state/topics.js';
import { disc } from './disc.js';
import { classes, element } from './element.js';

const DAY = 86_400_000;
const DAYS = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long' });

/** When something was said, in few words. @param {string} at */
export function when(at) {
    const time = new Date(at);
    const now = new Date();
    const midnight = new Date(now.getFullYear(), now.getMonth(), now.getDate()).getTime();
    const before = midnight - time.getTime();
    return before <= 0 ? clock(time) : before <= DAY ? 'yesterday' : DAYS.format(time);
}

/**
 * What is said, with the people whom it names.
 * @param {import('../state/talk.js').Comment} one
 */
function body({ body: said = '', mentions = [] }) {
    /** @type {(string | HTMLElement)[]} */
    let parts = [said];
    for (const name of mentions) {
        parts = parts.flatMap((part) => (typeof part === 'string' ? named(part, name) : [part]));
    }
    return element('p', { class: 'talk-body' }, ...parts);
}

/** @param {string} text @param {string} name @returns {(string | HTMLElement)[]} */
function named(text, name) {
    const at = text.toLowerCase().indexOf(`@${name.toLowerCase()}`);
    if (at < 0) {
        return [text];
    }
    const end = at + name.length + 1;
    return [text.slice(0, at), element('b', { class: 'mention' }, text.slice(at, end)), ...named(text.slice(end), name)];
}

/**
 * What a suggestion would make of what is there.
 * @param {import('./talk-panel.js').TalkPanel} panel
 * @param {import('../state/talk.js').Comment} one
 */
function proposal({ tree }, { proposal: given, anchor, topic, outcome }) {
    if (!given) {
        return null;
    }
    const [was, is] =
        given.kind === 'move'
            ? ['', `Move it ${placeSays(tree, given.at)}`]
            : [given.kind === 'title' ? (tree.get(topic)?.title ?? '') : (anchor?.words ?? ''), given.text ?? ''];
    const says = outcome && `${outcome.what === 'taken' ? 'Taken' : 'Declined'} by ${outcome.by}${outcome.why ? `: ${outcome.why}` : ''}`;
    return element(
        'div',
        { class: 'talk-proposal' },
        was && !outcome && element('del', {}, was),
        was && !outcome && ' ',
        element(given.kind === 'move' ? 'span' : 'ins', {}, is || (given.kind === 'move' ? '' : 'nothing')),
        says && element('small', {}, says),
    );
}

/**
 * Where a move leads, in words.
 * @param {import('../state/plan.js').Tree} tree
 * @param {{parent: string, after: string | null} | undefined} at
 */
export function placeSays(tree, at) {
    const name = (/** @type {string | null | undefined} */ id) => {
        const topic = id ? tree.get(id) : null;
        return topic ? `“${titled(topic)}”` : '';
    };
    const after = name(at?.after);
    const inside = at?.parent === ROOT ? 'to the beginning' : `into ${name(at?.parent) || 'a section that has gone'}`;
    return after ? `behind ${after}` : inside;
}

/**
 * One comment: who, when, what.
 * @param {import('./talk-panel.js').TalkPanel} panel
 * @param {import('../state/talk.js').Comment} one
 */
export function comment(panel, one) {
    const { session, talk } = panel;
    const isWritten = panel.editing === one.id;
    const act = (/** @type {string} */ name, /** @type {() => unknown} */ does) =>
        element('button', { type: 'button', class: 'talk-act', onclick: does }, name);
    const own = one.isOwn && !one.isTakenBack;
    return element(
        'div',
        { class: classes('talk-one', talk.isNew(one) && 'is-new'), 'data-comment': one.id },
        element(
            'div',
            { class: 'talk-who' },
            disc(one.by),
            element('b', {}, one.by),
            element('small', {}, `${when(one.at)}${one.isEdited ? ', changed' : ''}${one.isGuest ? ', by the link' : ''}`),
            talk.isNew(one) && element('small', { class: 'k fresh' }, 'new'),
        ),
        one.isTakenBack ? element('p', { class: 'talk-body quiet' }, 'Taken back.') : isWritten ? panel.editField(one) : body(one),
        proposal(panel, one),
        ...(one.files ?? []).map(({ id, name, bytes }) =>
            element(
                'a',
                { class: 'link talk-file', href: `${session.address}/attachments/${id}`, download: name },
                `${name} (${figures(Math.ceil(bytes / 1024))} kB)`,
            ),
        ),
        own &&
            !isWritten &&
            element(
                'div',
                { class: 'talk-acts is-own' },
                act('Change', () => panel.edit(one.id)),
                act('Take back', () => panel.takeBack(one.id)),
            ),
    );
}

/** What a thread is about, by number and title. @param {import('../state/plan.js').Tree} tree @param {string} id */
export function aboutSays(tree, id) {
    const topic = tree.noteBearer(id);
    if (id === ROOT || !topic) {
        return topic ? 'The whole plan' : 'A topic that was removed';
    }
    return titled(topic);
}

/**
 * A thread as a card: what began it, the answers, and what can be done.
 * @param {import('./talk-panel.js').TalkPanel} panel
 * @param {import('../state/talk.js').Thread} thread
 */
export function card(panel, { head, answers }) {
    const { tree, rights } = panel;
    const about = aboutSays(tree, head.topic);
    const quote =
        head.anchor && !head.proposal
            ? element('q', { class: classes('talk-words', head.anchor.gone && 'is-gone') }, head.anchor.words)
            : null;
    const act = (/** @type {string} */ name, /** @type {() => unknown} */ does, /** @type {string} */ key = '') =>
        element('button', { type: 'button', class: 'talk-act', onclick: does, title: key ? `${name} (${key})` : null }, name);
    const isOpen = head.proposal && !head.outcome;
    return element(
        'article',
        {
            class: classes('talk-card', head.settled && 'is-settled', panel.chosen === head.id && 'is-chosen'),
            'data-thread': head.id,
            'aria-label': `${head.by} on ${about}`,
            tabindex: 0,
        },
        element('button', { type: 'button', class: 'talk-about', onclick: () => panel.goTo(head) }, about),
        quote,
        head.anchor?.gone && element('small', { class: 'quiet' }, 'These words are in the text no more.'),
        comment(panel, head),
        ...answers.map((one) => element('div', { class: 'talk-answer' }, comment(panel, one))),
        panel.answering === head.id && panel.answerField(head),
        panel.declining === head.id && panel.declineField(head),
        rights.mayComment &&
            panel.answering !== head.id &&
            panel.declining !== head.id &&
            element(
                'div',
                { class: 'talk-acts' },
                isOpen && rights.mayWrite && act('Take it', () => panel.take(head.id), 'T'),
                isOpen && rights.mayWrite && act('Decline', () => panel.open('declining', head.id)),
                act('Answer', () => panel.open('answering', head.id)),
                !isOpen && act(head.settled ? 'Open again' : 'Settle', () => panel.settle(head)),
                act('Link', () => panel.copyLink(head.id)),
            ),
        head.settled && element('small', { class: 'quiet' }, `Settled by ${head.settled}`),
    );
}
