import { byId, fieldsOf, firstOf } from '../lib/dom.js';
import { reason, send } from '../lib/http.js';
import { say } from './toast.js';

/** Keeps the plan as it is now under a name. */
export class VersionDialog {
    /** @param {import('../sync/session.js').Session} session @param {() => void} commit lets what is being written go out */
    constructor(session, commit) {
        this.session = session;
        this.commit = commit;
        this.dialog = byId('keep-version', HTMLDialogElement);
        this.form = firstOf(this.dialog, 'form', HTMLFormElement);
        this.error = firstOf(this.dialog, '.error');
        this.form.addEventListener('submit', (event) => {
            event.preventDefault();
            this.save();
        });
    }

    open() {
        this.form.reset();
        this.error.textContent = '';
        this.dialog.showModal();
    }

    async save() {
        const { queue } = this.session;
        this.commit();
        await queue.flush();
        if (!queue.isEmpty) {
            this.error.textContent = 'Not connected: the version can be kept once the changes here are saved.';
            return;
        }
        try {
            const { said } = await send('POST', new URL(this.form.action).pathname, { name: fieldsOf(this.form).name.value });
            this.dialog.close();
            say(said);
        } catch (error) {
            this.error.textContent = reason(error);
        }
    }
}
