import { svg } from './element.js';
import { signForm } from '../lib/sign-forms.js';

/** A sign as an icon of the size of its text. @param {string} name */
export const signIcon = (name) =>
    svg('svg', { class: 'sign-icon', viewBox: '0 0 24 24', 'aria-hidden': 'true' }, svg('path', { d: signForm(name) }));
