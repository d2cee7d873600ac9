import { whenClosed } from '../lib/dom.js';

/** A dialog that is opened to get something from the person: what is given, or null where it was called off. */
export class Asking {
    /**
     * @param {HTMLDialogElement} dialog with one form
     * @param {() => void} done its form was sent: something is to be given now
     */
    constructor(dialog, done) {
        this.dialog = dialog;
        /** @type {((given: any) => void) | null} */
        this.resolve = null;
        dialog.querySelector('form')?.addEventListener('submit', (event) => {
            event.preventDefault();
            done();
        });
        dialog.addEventListener('cancel', (event) => {
            event.preventDefault();
            this.give(null);
        });
        // Its own buttons close it too.
        whenClosed(dialog, () => this.give(null));
    }

    /** @returns {Promise<any>} */
    open() {
        this.resolve?.(null);
        this.dialog.showModal();
        return new Promise((resolve) => {
            this.resolve = resolve;
        });
    }

    /** @param {any} given */
    give(given) {
        const { resolve } = this;
        this.resolve = null;
        this.dialog.close();
        resolve?.(given);
    }
}
