import { classes, element, icon } from '../../ui/element.js';

/** How much a finding weighs, in words. @type {Record<string, string>} */
export const WEIGHTS = { serious: 'Serious', doubtful: 'Worth a look', slight: 'Small' };

/**
 * All that one rule has found.
 * @param {any} group @param {boolean} isOpen whether each is shown
 */
export function groupRow(group, isOpen) {
    const isOne = group.count === 1;
    const key = isOne ? group.findings[0].key : '';
    const act = isOne ? group.act : isOpen ? 'Close' : 'One by one';
    return element(
        'li',
        { class: classes('finding', `is-${group.weight}`), 'data-finding': key || group.rule, 'data-rule': group.rule },
        element(
            'span',
            { class: 'weight', title: WEIGHTS[group.weight] },
            element('span', { class: 'visually-hidden' }, `${WEIGHTS[group.weight]}: `),
        ),
        element(
            'button',
            { type: 'button', class: 'finding-head', 'data-act': 'go', 'aria-expanded': isOne ? null : String(isOpen) },
            group.heading,
        ),
        element('button', { type: 'button', class: 'link', 'data-act': isOne ? 'go' : 'unfold', tabindex: -1, 'aria-hidden': 'true' }, act),
        more(group.heading),
        element('p', {}, group.detail),
        isOpen &&
            !isOne &&
            element(
                'ul',
                { class: 'finding-each', 'aria-label': group.heading },
                ...group.findings.map((/** @type {any} */ one) => oneRow(group, one)),
            ),
    );
}

/** @param {any} group @param {any} one */
function oneRow(group, one) {
    return element(
        'li',
        { 'data-finding': one.key, 'data-rule': group.rule },
        element('button', { type: 'button', class: 'finding-line', 'data-act': 'go' }, one.says),
        more(one.says),
    );
}

/** @param {string} says */
function more(says) {
    return element(
        'button',
        { type: 'button', class: 'ico more-of', 'data-act': 'more', 'aria-label': `More for ${says}`, title: 'More' },
        icon('ellipsis'),
    );
}

/** One that is set aside. @param {any} one */
export function asideRow(one) {
    return element(
        'li',
        { class: 'finding' },
        element('span', {}, `${one.rule}: ${one.says}`),
        element('button', { type: 'button', class: 'link', 'data-back': one.key, 'aria-label': `Bring back: ${one.says}` }, 'Bring back'),
        one.why && element('p', {}, one.why),
    );
}
