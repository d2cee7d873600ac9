import { fieldOf } from '../lib/dom.js';
import { component } from './component.js';
import { reason, send } from '../lib/http.js';
import { waiting } from '../lib/upload.js';

/** @type {Record<string, string>} */
const SIGNS = { '=': 'stays', '-': 'went', '+': 'came' };
/** Words that stayed are shown only near those that changed. */
const NEAR = 90;

const shortened = (/** @type {string} */ text, /** @type {any} */ isFirst, /** @type {any} */ isLast) => {
    if (text.length <= NEAR * 2) {
        return text;
    }
    return `${isFirst ? '' : text.slice(0, NEAR)} … ${isLast ? '' : text.slice(-NEAR)}`;
};

/** What one of the two says: the words that stayed, and those that only it has. */
const side = (/** @type {import('../sync/queue.js').Change} */ change, /** @type {any} */ own, /** @type {string} */ label) => {
    const words = change.words.map((/** @type {any[]} */ [sign, text], /** @type {number} */ i, /** @type {any} */ all) => ({
        key: i,
        sign,
        text: sign === '=' ? shortened(text, i === 0, i === all.length - 1) : text,
    }));
    const said = words.filter((/** @type {{sign: string}} */ { sign }) => sign === '=' || sign === own);
    return {
        label,
        words: said.map((/** @type {{key: string, sign: string, text: string}} */ { key, sign, text }) => ({
            key,
            sign: SIGNS[sign],
            text,
        })),
        isEmpty: said.length === 0,
    };
};

/** What the plan said when the draft was made. */
const whole = (/** @type {string} */ text) => ({
    label: 'When it was handed over',
    words: text ? [{ key: 0, sign: 'stays', text }] : [],
    isEmpty: text === '',
});

/** A draft that comes home: what differs, and what of it is taken into the plan. */
export default function wayBack() {
    return component({
        token: '',
        fileName: '',
        changes: [],
        comments: [],
        taken: [],
        compared: null,
        error: '',
        isOver: false,
        isWorking: false,
        get dropLabel() {
            return this.fileName || 'Choose the document, or drop it here';
        },
        get hasChanges() {
            return this.changes.length > 0;
        },
        get hasComments() {
            return this.comments.length > 0;
        },
        get hasAny() {
            return this.hasChanges || this.hasComments;
        },
        get isIdle() {
            return !this.compared && !this.isWorking;
        },
        get isSame() {
            return !!this.compared && !this.hasAny;
        },
        get canAccept() {
            return (this.taken.length > 0 || this.comments.length > 0) && !this.isWorking;
        },
        get acceptLabel() {
            return this.taken.length || !this.comments.length
                ? this.taken.length
                    ? `Take in ${this.taken.length} of ${this.changes.length}`
                    : 'Take in'
                : 'Keep the comments';
        },
        get allLabel() {
            return this.taken.length === this.changes.length ? 'Take none' : 'Take all';
        },
        get sureness() {
            const { found = 0, byMarks = 0, sure = 0 } = this.compared ?? {};
            if (found === 0) {
                return 'No section of the plan was found again in it. Is it a draft of this plan?';
            }
            return byMarks === found
                ? `${found} sections were found again by their hidden marks: this is sure.`
                : `${byMarks} of ${found} sections were found again by their hidden marks, the others by title and text: ` +
                      `about ${Math.round(sure * 100)} % sure. Look before you take them in.`;
        },
        over() {
            this.isOver = true;
        },
        out() {
            this.isOver = false;
        },
        /** @param {Event} event */
        pick(event) {
            this.choose(fieldOf(event).files?.[0]);
            fieldOf(event).value = '';
        },
        /** @param {DragEvent} event */
        drop(event) {
            this.isOver = false;
            this.choose(event.dataTransfer?.files[0]);
        },
        /** @param {File} file */
        async choose(file) {
            if (!file) {
                return;
            }
            Object.assign(this, { error: '', changes: [], comments: [], taken: [], compared: null, isWorking: true, fileName: file.name });
            try {
                this.token = (await waiting(file, () => {})).token;
                this.compared = await send('POST', this.$root.dataset.address ?? '', { token: this.token });
                this.changes = this.compared.changes.map((/** @type {import('../sync/queue.js').Change} */ change) => ({
                    ...change,
                    isOfBoth: change.before !== null,
                    isOpen: !!change.by,
                    where: [
                        change.by ? `recorded by ${change.by}, still open` : '',
                        change.says,
                        change.before !== null ? 'changed in the plan too, since the draft was made' : '',
                        change.before !== null && !change.words.length ? `it was ${change.before} then` : '',
                        change.sure < 1 ? `${Math.round(change.sure * 100)} % sure` : '',
                    ]
                        .filter(Boolean)
                        .join(' · '),
                    sides: change.words.length
                        ? [
                              side(change, '-', 'In the plan'),
                              side(change, '+', 'In the draft'),
                              ...(change.before === null ? [] : [whole(change.before)]),
                          ]
                        : [],
                }));
                this.comments = this.compared.comments.map((/** @type {any} */ comment, /** @type {string} */ key) => ({
                    ...comment,
                    key,
                }));
                this.taken = this.changes
                    .filter(
                        (/** @type {Record<string, any>} */ change) =>
                            change.sure >= 0.9 && change.kind !== 'removed' && !change.isOfBoth && !change.isOpen,
                    )
                    .map((/** @type {{key: string}} */ { key }) => key);
            } catch (error) {
                this.error = reason(error);
            }
            this.isWorking = false;
        },
        toggleAll() {
            this.taken = this.taken.length === this.changes.length ? [] : this.changes.map((/** @type {{key: string}} */ { key }) => key);
        },
        async accept() {
            this.isWorking = true;
            this.error = '';
            try {
                location.assign(
                    (await send('POST', `${this.$root.dataset.address}/accept`, { token: this.token, keys: this.taken })).address,
                );
            } catch (error) {
                this.error = reason(error);
                this.isWorking = false;
            }
        },
    });
}
