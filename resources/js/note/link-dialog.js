import { byId, fieldsOf, firstOf } from '../lib/dom.js';
import { isSafe } from './links.js';

const dialog = () => byId('link', HTMLDialogElement);
/** @type {((address: string, href: string) => void) | null} */
let given = null;

/**
 * Asks for the address of a link.
 * @param {string} address as it is now
 * @param {(address: string, href: string) => void} set what was typed, and the address that it means; empty for no link
 */
export function askLink(address, set) {
    const form = byId('link-form', HTMLFormElement);
    if (!given) {
        form.addEventListener('submit', (event) => {
            event.preventDefault();
            give(fieldsOf(form).address.value.trim());
        });
        byId('remove-link').addEventListener('click', () => give(''));
    }
    given = set;
    fieldsOf(form).address.value = address;
    firstOf(dialog(), '.error').textContent = '';
    dialog().showModal();
    fieldsOf(form).address.focus();
}

/** @param {string} address */
function give(address) {
    const href = address && !/^[a-z]+:/i.test(address) ? (address.includes('@') ? `mailto:${address}` : `https://${address}`) : address;
    if (href && !isSafe(href)) {
        firstOf(dialog(), '.error').textContent = 'This is not an address of the web, mail or telephone.';
        return;
    }
    dialog().close();
    given?.(address, href);
}
