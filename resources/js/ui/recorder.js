import { today } from '../lib/days.js';
import { showOnce } from '../lib/dom.js';
import { minutes } from '../lib/span.js';
import { element } from './element.js';
import { say } from './toast.js';
import { player } from './player.js';

/** As much as a sound or a film may have. */
const MOST = 100 * 1024 * 1024;
const PIECE = 1000;
const FORMS = {
    sound: ['audio/webm;codecs=opus', 'audio/mp4', 'audio/ogg;codecs=opus'],
    film: ['video/webm;codecs=vp8,opus', 'video/mp4', 'video/webm'],
};
/** @type {Record<string, Record<What, string>>} */
const EXTENSIONS = { webm: { sound: 'weba', film: 'webm' }, mp4: { sound: 'm4a', film: 'mp4' }, ogg: { sound: 'ogg', film: 'ogv' } };
/** @type {Record<string, string>} */
const REFUSED = {
    NotAllowedError:
        'The browser was not allowed to record. Allow it the microphone for this page, and the camera for a film, and try again.',
    NotFoundError: 'There is no microphone here, or no camera. Connect one, and try again.',
    NotReadableError: 'Another program is using the microphone or the camera. Close it, and try again.',
};

/** @typedef {'sound' | 'film'} What */

/** Records a sound or a film on the spot: it is heard and seen before it is kept. */
export class Recorder {
    /** @param {(file: File) => unknown} kept */
    constructor(kept) {
        this.kept = kept;
        /** @type {What} */
        this.what = 'sound';
        /** @type {MediaRecorder | null} */
        this.recorder = null;
        /** @type {Blob[]} */
        this.pieces = [];
        /** @type {File | null} */
        this.file = null;
    }

    open() {
        this.stage = element('div', { class: 'recorded' });
        this.says = element('p', { class: 'hint', role: 'status' });
        this.acts = element('div', { class: 'dialog-foot' });
        const kind = (/** @type {What} */ what, /** @type {string} */ name) =>
            element(
                'label',
                { class: 'check' },
                element('input', { type: 'radio', name: 'recorded', checked: this.what === what, onchange: () => (this.what = what) }),
                ` ${name}`,
            );
        this.kinds = element('fieldset', { class: 'row-acts' }, kind('sound', 'A sound'), kind('film', 'A film'));
        this.box = element(
            'dialog',
            { class: 'recorder', 'aria-label': 'Record' },
            element('h2', {}, 'Record'),
            this.kinds,
            this.stage,
            this.says,
            this.acts,
        );
        // Escape ends a recording before it ends all of it.
        this.box.addEventListener('cancel', (event) => {
            if (this.recorder) {
                event.preventDefault();
                this.stop();
            }
        });
        this.offer();
        showOnce(this.box, () => this.end());
    }

    /** @param {[string, () => unknown, string?][]} acts name, what it does, class */
    draw(...acts) {
        this.acts?.replaceChildren(
            ...acts.map(([name, act, look]) => element('button', { type: 'button', class: look ?? 'plain', onclick: act }, name)),
        );
        this.acts?.querySelector('button')?.focus();
    }

    offer() {
        const canRecord = !!navigator.mediaDevices?.getUserMedia && typeof MediaRecorder !== 'undefined';
        if (!canRecord) {
            this.tell('This browser cannot record. Record with another program, and add the file.');
            this.kinds?.setAttribute('hidden', '');
            this.draw(['Close', () => this.box?.close()]);
            return;
        }
        this.draw(['Begin', () => this.begin(), 'primary'], ['Cancel', () => this.box?.close()]);
    }

    async begin() {
        this.tell('');
        try {
            this.stream = await navigator.mediaDevices.getUserMedia({ audio: true, video: this.what === 'film' });
        } catch (error) {
            const { name, message } = /** @type {DOMException} */ (error);
            this.tell(REFUSED[name] ?? `It cannot be recorded here: ${message}`);
            return;
        }
        if (!this.box?.open) {
            this.release();
            return;
        }
        const form = FORMS[this.what].find((one) => MediaRecorder.isTypeSupported(one));
        const recorder = new MediaRecorder(this.stream, form ? { mimeType: form } : {});
        this.recorder = recorder;
        this.pieces = [];
        recorder.addEventListener('dataavailable', ({ data }) => this.take(data));
        recorder.addEventListener('stop', () => this.show(recorder.mimeType));
        this.kinds?.setAttribute('hidden', '');
        if (this.what === 'film') {
            const live = element('video', { muted: true, playsinline: true, 'aria-label': 'What the camera sees' });
            live.srcObject = this.stream;
            this.stage?.replaceChildren(live);
            live.play().catch(() => {});
        }
        recorder.start(PIECE);
        this.begun = Date.now();
        this.clock = setInterval(() => this.tell(`Recording: ${minutes((Date.now() - (this.begun ?? 0)) / 1000)}`, true), 250);
        this.draw(['Stop', () => this.stop(), 'primary']);
    }

    /** @param {Blob} data */
    take(data) {
        const has = this.pieces.reduce((sum, { size }) => sum + size, 0);
        if (has + data.size > MOST) {
            this.isFull = true;
            this.stop();
            return;
        }
        data.size && this.pieces.push(data);
    }

    stop() {
        this.recorder?.state === 'inactive' || this.recorder?.stop();
        this.recorder = null;
        this.release();
    }

    /** @param {string} type */
    show(type) {
        const [, container] = /\/(webm|mp4|ogg)/.exec(type) ?? ['', 'webm'];
        const at = `${today()} ${new Date().toTimeString().slice(0, 5).replace(':', '.')}`;
        const extension = EXTENSIONS[container][this.what];
        const file = new File(this.pieces, `Recorded ${at}.${extension}`, { type });
        this.file = file;
        this.address = URL.createObjectURL(file);
        this.stage?.replaceChildren(player(this.address, 'What was recorded', this.what));
        this.tell(this.isFull ? 'It has become as large as it may be, 100 MB, and was stopped there.' : 'Listen to it before it is kept.');
        this.draw(['Keep', () => this.keep(file), 'primary'], ['Record again', () => this.again()], ['Let it go', () => this.box?.close()]);
    }

    again() {
        this.clear();
        this.file = null;
        this.tell('');
        this.kinds?.removeAttribute('hidden');
        this.offer();
    }

    /** @param {File} file */
    keep(file) {
        this.file = null;
        this.box?.close();
        this.kept(file);
    }

    /** @param {string} what @param {boolean} [isClock] what changes by the second is read out by nobody */
    tell(what, isClock = false) {
        this.says?.setAttribute('role', isClock ? 'timer' : 'status');
        this.says && (this.says.textContent = what);
    }

    release() {
        clearInterval(this.clock);
        this.stream?.getTracks().forEach((track) => track.stop());
        this.stream = undefined;
    }

    clear() {
        this.isFull = false;
        this.stage?.replaceChildren();
        this.address && URL.revokeObjectURL(this.address);
        this.address = '';
    }

    end() {
        const { file } = this;
        this.stop();
        this.clear();
        if (file) {
            this.file = null;
            say('The recording was let go.', { label: 'Keep it', act: () => this.kept(file) });
        }
    }
}
