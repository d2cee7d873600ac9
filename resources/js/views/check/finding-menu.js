import { keyOf, nameOf } from '../../commands/commands.js';
import { element } from '../../ui/element.js';

/**
 * All that can be done with what was found.
 * @param {import('./findings.js').Findings} findings
 * @param {{group: any, one: any}} found one: null where it is all that a rule has found
 * @param {HTMLElement} anchor
 */
export function askWhatToDo(findings, { group, one }, anchor) {
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
            mayWrite && only && act('setAside', () => findings.setAside(only)),
            mayWrite && act('ruleOff', () => findings.switchOff(group)),
        ),
    );
    findings.menu.focus();
}
