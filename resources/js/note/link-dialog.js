import { isSafe } from './links.js';

const dialog = () => document.getElementById('link');
/** @type {((address: string, href: string) => void) | null} */
let given = null;

/**
 * Asks for the address of a link.
 * @param {string} address as it is now
 * @param {(address: string, href: string) => void} set what was typed, and the address that it means; empty for no link
 */
export function askLink(address, set) {
    const form = document.getElementById('link-form');
    if (!given) {
        form.addEventListener('submit', (event) => {
            event.preventDefault();
            give(form.elements.address.value.trim());
        });
        document.getElementById('remove-link').addEventListener('click', () => give(''));
    }
    given = set;
    form.elements.address.value = address;
    dialog().querySelector('.error').textContent = '';
    dialog().showModal();
    form.elements.address.focus();
}

function give(address) {
    const href = address && !/^[a-z]+:/i.test(address) ? (address.includes('@') ? `mailto:${address}` : `https://${address}`) : address;
    if (href && !isSafe(href)) {
        dialog().querySelector('.error').textContent = 'This is not an address of the web, mail or telephone.';
        return;
    }
    dialog().close();
    given(address, href);
}
