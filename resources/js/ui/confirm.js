import { byId, firstOf } from '../lib/dom.js';

/**
 * A question with two answers.
 * @param {string} title
 * @param {string} text
 * @param {string} yes what the one that does it is called
 * @returns {Promise<boolean>}
 */
export function confirm(title, text, yes) {
    const dialog = byId('question', HTMLDialogElement);
    firstOf(dialog, 'h2').textContent = title;
    firstOf(dialog, 'p').textContent = text;
    const button = firstOf(dialog, '.primary');
    button.textContent = yes;
    return new Promise((resolve) => {
        button.onclick = () => {
            dialog.close();
            resolve(true);
        };
        dialog.onclose = () => dialog.open || resolve(false);
        dialog.showModal();
        button.focus();
    });
}
