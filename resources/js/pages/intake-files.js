import { component } from './component.js';
import { fieldOf } from '../lib/dom.js';
import { reason, send } from '../lib/http.js';
import { waiting } from '../lib/upload.js';

/** Files that are taken in: chosen or dropped, one or several; each goes up once and waits. */
export const files = component({
    /** @param {Event} event */
    pick(event) {
        this.choose([...(fieldOf(event).files ?? [])]);
        fieldOf(event).value = '';
    },
    /** @param {DragEvent} event */
    drop(event) {
        this.isOver = false;
        this.choose([...(event.dataTransfer?.files ?? [])]);
    },
    over() {
        this.isOver = true;
    },
    out() {
        this.isOver = false;
    },
    /** One file is shown before it is kept; several become plans one after the other. @param {FileList | File[]} files */
    async choose(files) {
        if (files.length === 1) {
            await this.one(files[0]);
        } else if (files.length > 1) {
            await this.all(files);
        }
    },
    /** @param {File} file */
    async one(file) {
        this.clearFile();
        this.error = '';
        try {
            const { token, name } = await this.work('Sending the file', () =>
                waiting(file, (worked) => {
                    this.worked = worked;
                }),
            );
            this.token = token;
            this.fileName = name;
            await this.look();
        } catch (error) {
            this.error = reason(error);
        }
    },
    /** A file that was dropped on another page, and has come up there. @param {string} token */
    async found(token) {
        try {
            const { name } = await send('GET', `/intake/files/${token}`);
            this.token = token;
            this.fileName = name;
            await this.look();
        } catch (error) {
            this.error = reason(error);
        }
    },
    /** @param {FileList | File[]} files */
    async all(files) {
        this.clearFile();
        this.several = [...files].map((file, key) => ({
            key,
            name: file.name,
            says: 'waits',
            state: '',
            address: '',
        }));
        for (const [i, file] of [...files].entries()) {
            const one = this.several[i];
            try {
                const { token } = await waiting(file, (worked) => {
                    one.says = `${worked} %`;
                });
                one.says = 'is read';
                const kept = await this.kept(
                    this.form({ token, title: '' }),
                    (/** @type {number} */ worked, /** @type {string} */ says) => {
                        one.says = says;
                    },
                );
                Object.assign(one, {
                    says: kept.repairs?.length ? kept.repairs.join(' ') : 'is a plan now',
                    state: 'is-done',
                    address: kept.address,
                });
            } catch (error) {
                Object.assign(one, { says: reason(error), state: 'is-refused' });
            }
        }
    },
    clearFile() {
        if (this.token) {
            send('DELETE', `/intake/files/${this.token}`).catch(() => {});
        }
        Object.assign(this, { token: '', fileName: '', several: [], seen: null, error: '', boldWasSet: false, titleWasSet: false });
        this.look();
    },
});
