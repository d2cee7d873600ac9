import { byId } from '../../lib/dom.js';
import { reason } from '../../lib/http.js';

/** The link by which a screen on another machine follows. */
export class LinkDialog {
    /** @param {import('./following.js').Screens} screens @param {() => void} whenMade */
    constructor(screens, whenMade) {
        this.screens = screens;
        this.whenMade = whenMade;
        this.box = byId('present-screens', HTMLDialogElement);
        this.address = byId('link-address', HTMLInputElement);
        byId('make-link').addEventListener('click', () => this.make());
        byId('end-link').addEventListener('click', () => this.end());
    }

    open() {
        this.says('');
        this.box.showModal();
    }

    async make() {
        try {
            this.address.value = await this.screens.begin();
            byId('link-made').hidden = false;
            this.address.focus();
            this.address.select();
            this.whenMade();
        } catch (error) {
            this.says(reason(error));
        }
    }

    async end() {
        try {
            await this.screens.end();
            byId('link-made').hidden = true;
            this.says('The link leads nowhere any more.');
        } catch (error) {
            this.says(reason(error));
        }
    }

    /** @param {string} what */
    says(what) {
        byId('link-says').textContent = what;
    }
}
