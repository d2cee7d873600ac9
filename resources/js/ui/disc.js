import { dyeOfPerson, initials } from '../state/work.js';
import { element } from './element.js';

/** The sign of a person: their initials on a disc of their own dye. @param {string} name @param {Record<string, any>} [attributes] */
export const disc = (name, attributes = {}) =>
    element('span', {
        class: 'disc',
        'data-sign': initials(name),
        '--d': `var(--${dyeOfPerson(name)})`,
        'aria-hidden': 'true',
        ...attributes,
    });
