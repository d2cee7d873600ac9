import { keyOf, nameOf } from '../../commands/commands.js';
import { element } from '../../ui/element.js';

/** Whether it is one place where nothing is written, about which something can be asked. @param {{group: any, one: any}} found */
export const asks = ({ group, one }) => group.rule.startsWith('empty-') && (one !== null || group.count === 1);

/**
 * All that can be done with what was found.
 * @param {import('./findings.js').Findings} findings
 * @param {{group: any, one: any}} found one: null where it is all that a rule has found
 * @param {HTMLElement} anchor
 */
export function askWhatToDo(findings, found, anchor) {
    const { group, one } = found;
    const only = one ?? (group.count === 1 ? group.findings[0] : null);
    const act = (/** @type {string} */ id, /** @type {() => unknown} */ does, name = nameOf('check', id)) =>
        element(
            'button',
            {
                type: 'button',
                onclick: () => {
                    findings.menu.close(false);
                    does();
                },
            },
            name,
            keyOf('check', id) && element('kbd', { class: 'kbd' }, keyOf('check', id)),
        );
    const { mayWrite } = findings.page.session.rights;
    const mends = only ? nameOf('check', 'mend') : `Mend all ${group.count}`;
    findings.menu.raise(
        'What can be done with it',
        anchor,
        element(
            'div',
            { class: 'acts-list one-column' },
            only && act('goThere', () => findings.go(group, only)),
            mayWrite && group.mends && act('mend', () => findings.mend(group, one), mends),
            mayWrite && asks(found) && act('askAbout', () => findings.page.questions.open(only.topic)),
            mayWrite && only && act('setAside', () => findings.setAside(only)),
            mayWrite && act('ruleOff', () => findings.switchOff(group)),
        ),
    );
    findings.menu.focus();
}
