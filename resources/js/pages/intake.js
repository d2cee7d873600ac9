import { component, joined } from './component.js';
import { counted, figures } from '../lib/counted.js';
import { reason, send } from '../lib/http.js';
import { follow } from '../lib/task.js';
import { files } from './intake-files.js';
import { leftOut } from './intake-left-out.js';

/** What takes longer than this is shown to be going on. */
const SOON = 600;

/** Taking in: pasted text or files, shown as the tree that they make before anything is kept. */
export default function intake() {
    return joined(
        files,
        leftOut,
        component({
            token: '',
            fileName: '',
            text: '',
            title: '',
            into: '',
            under: '',
            places: [],
            depth: '60',
            stripNumbers: false,
            descriptions: true,
            lists: false,
            markdown: false,
            markdownWasSet: false,
            asWritten: false,
            notes: true,
            keepsLeftOut: false,
            firstIsTitle: false,
            titleWasSet: false,
            boldLines: false,
            boldWasSet: false,
            several: [],
            seen: null,
            error: '',
            busy: false,
            isOver: false,
            isWorking: false,
            works: '',
            worked: 0,
            ticket: 0,
            init() {
                this.into = this.$root.dataset.into ?? '';
                for (const name of ['stripNumbers', 'descriptions', 'lists', 'notes', 'keepsLeftOut', 'depth', 'asWritten']) {
                    this.$watch(name, () => this.look());
                }
                // What is recognised by itself is shown as recognised, and holds as chosen once it was chosen.
                for (const [name, wasSet] of [
                    ['boldLines', 'boldWasSet'],
                    ['markdown', 'markdownWasSet'],
                    ['firstIsTitle', 'titleWasSet'],
                ]) {
                    this.$watch(name, () => this.chose(name, wasSet));
                }
                this.$watch('into', () => this.findPlaces(''));
                this.findPlaces(this.$root.dataset.under ?? '');
                this.$watch('title', () => this.lookSoon());
                this.$watch('text', () => this.lookSoon());
                if (this.$root.dataset.waits) {
                    this.found(this.$root.dataset.waits);
                }
            },
            get isGenerated() {
                return this.isPasted && (this.asWritten || !!this.seen?.isGenerated);
            },
            get isMarkdown() {
                return this.token ? /\.(md|markdown|zip)$/i.test(this.fileName) : this.markdown;
            },
            get isOpml() {
                return /\.(opml|xml)$/i.test(this.fileName);
            },
            get isDocument() {
                return this.isMarkdown || !!this.seen?.isDocument;
            },
            get hasBoldLines() {
                return !!this.seen?.boldLines;
            },
            get boldLabel() {
                return `${this.seen?.boldLines ?? 0} found`;
            },
            get isFile() {
                return !!this.token || this.isSeveral;
            },
            get isPasted() {
                return !this.isFile;
            },
            get isSeveral() {
                return this.several.length > 0;
            },
            get isOne() {
                return !this.isSeveral;
            },
            get isIdle() {
                return !this.seen && !this.isSeveral && !this.isWorking;
            },
            get hasInput() {
                return !!this.token || this.text.trim() !== '';
            },
            get canTake() {
                return !!this.seen && !this.busy;
            },
            get rows() {
                return (this.seen?.rows ?? []).map((/** @type {any} */ row, /** @type {number} */ i) => ({
                    ...row,
                    key: i,
                    name: row.title || 'Untitled',
                    style: `--l:${row.level - 1};--d:var(--${row.dye})`,
                    kind: row.level === 1 ? 'main' : '',
                    note: row.words ? `note, ${counted(row.words, 'word')}` : '',
                }));
            },
            get summary() {
                const pictures = this.seen.pictures ? `, ${counted(this.seen.pictures, 'picture')}` : '';
                return `${counted(this.seen.count, 'topic')}, ${counted(this.seen.words, 'word')} in notes${pictures}`;
            },
            get opening() {
                return this.seen.opening ? `Opening note, ${counted(this.seen.opening, 'word')}` : '';
            },
            get rest() {
                return this.seen.count > this.seen.rows.length ? `and ${figures(this.seen.count - this.seen.rows.length)} more` : '';
            },
            get takeLabel() {
                return this.under ? 'Take it in there' : this.into ? 'Take it as a branch' : 'Take it as a new plan';
            },
            get dropLabel() {
                return this.token ? this.fileName : 'Choose files, or drop them here';
            },
            /** @param {string} name @param {string} wasSet the name of what says that it was set by hand */
            chose(name, wasSet) {
                if (this.shown?.[name] !== this[name]) {
                    this[wasSet] = true;
                    this.look();
                }
            },
            /** The topics below which it can come. @param {any} under */
            async findPlaces(under) {
                const { into } = this;
                this.places = [];
                this.under = '';
                const answer = into ? await send('GET', `/plans/${into}/place-names`).catch(() => null) : null;
                if (answer && this.into === into) {
                    const short = (/** @type {string} */ name) => (name.length > 60 ? `${name.slice(0, 59)}…` : name);
                    this.places = answer.places.map((/** @type {{id: string, level: number, name: string}} */ { id, level, name }) => ({
                        id,
                        name: '\u2003'.repeat(Math.min(level, 6) - 1) + short(name),
                    }));
                    // The list must stand before one of it can be chosen.
                    this.$nextTick(() => {
                        this.under = under;
                    });
                }
            },
            form(others = {}) {
                const form = new FormData();
                const given = {
                    ...(this.token ? { token: this.token } : { text: this.text }),
                    title: this.title,
                    depth: this.depth,
                    strip_numbers: this.stripNumbers,
                    descriptions: this.descriptions,
                    lists: this.lists,
                    notes: this.notes,
                    left_out: this.keepsLeftOut,
                    as_written: this.asWritten,
                    ...(this.markdownWasSet && { markdown: this.markdown }),
                    ...(this.titleWasSet && { first_is_title: this.firstIsTitle }),
                    ...(this.boldWasSet && { bold_lines: this.boldLines }),
                    ...(this.into && { into: this.into }),
                    ...(this.under && { under: this.under }),
                    ...others,
                };
                for (const [name, value] of Object.entries(given)) {
                    form.append(name, value === true ? '1' : value === false ? '0' : value);
                }
                return form;
            },
            lookSoon() {
                clearTimeout(this.timer);
                this.timer = setTimeout(() => this.look(), 350);
            },
            /** Shows that something goes on, where it does for more than a moment. @param {string} says @param {() => Promise<any>} does */
            async work(says, does) {
                this.works = says;
                this.worked = 0;
                const timer = setTimeout(() => {
                    this.isWorking = true;
                }, SOON);
                try {
                    return await does();
                } finally {
                    clearTimeout(timer);
                    this.isWorking = false;
                }
            },
            async look() {
                const ticket = ++this.ticket;
                this.error = '';
                if (!this.hasInput) {
                    this.seen = null;
                    return;
                }
                try {
                    const seen = await this.work('Reading', () => send('POST', '/intake/preview', this.form()));
                    if (ticket === this.ticket) {
                        this.seen = seen;
                        this.shown = {
                            boldLines: this.boldWasSet ? this.boldLines : seen.boldAreTaken,
                            markdown: this.markdownWasSet ? this.markdown : seen.isMarkdown,
                            firstIsTitle: this.titleWasSet ? this.firstIsTitle : seen.firstIsTitle,
                        };
                        Object.assign(this, this.shown);
                    }
                } catch (error) {
                    if (ticket === this.ticket) {
                        this.seen = null;
                        this.error = reason(error);
                    }
                }
            },
            /** Keeps it; a large file goes through the queue. @param {any} form @param {any} tell */
            async kept(form, tell) {
                const answer = await send('POST', '/intake', form);
                return answer.task ? follow(answer.task, tell) : answer;
            },
            async take() {
                this.busy = true;
                this.error = '';
                try {
                    const { address } = await this.work('Taking it in', () =>
                        this.kept(this.form(), (/** @type {number} */ worked, /** @type {string} */ says) =>
                            Object.assign(this, { worked, works: says }),
                        ),
                    );
                    location.assign(address);
                } catch (error) {
                    this.error = reason(error);
                    this.busy = false;
                }
            },
        }),
    );
}
