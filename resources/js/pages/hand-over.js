import { component, joined } from './component.js';
import { allOf, firstOf } from '../lib/dom.js';
import { sendingDialog } from './hand-over-sending.js';
import { styleDialog } from './hand-over-style.js';
import { preview } from './hand-over-preview.js';
import { templateDialog } from './hand-over-template.js';
import { reason, send } from '../lib/http.js';
import { download, toPng } from './map-picture.js';
import { follow } from '../lib/task.js';

/** The choices of one hand-over, and the preview that follows them. */
export default function handOver() {
    return joined(
        preview,
        styleDialog,
        templateDialog,
        sendingDialog,
        component({
            format: 'docx',
            /** Format → what the choices depend on, as PHP tells it (Writer/Format). */
            features: {},
            kind: 'svg',
            draftStyle: 'report',
            template: '',
            busy: '',
            said: '',
            sheets: '',
            address: '',
            copied: '',
            ticket: 0,
            worked: 0,
            isWorking: false,
            isLong: false,
            error: '',
            isChoosing: false,
            init() {
                this.features = JSON.parse(this.$root.dataset.features ?? '{}');
                this.format = this.$root.dataset.format;
                this.draftStyle = firstOf(this.$root, '[name=draft_style]', HTMLSelectElement).value;
                this.template = firstOf(this.$root, '[name=template]', HTMLSelectElement).value;
                firstOf(this.$root, 'form.choices').addEventListener('change', () => this.look());
                this.$refs.stage.addEventListener('scroll', () => this.more(), { passive: true });
                this.$refs.preview.addEventListener('click', (/** @type {MouseEvent} */ event) => this.turnTo(event));
                this.look();
                // The keyboard begins at the first choice, unless something has taken it already.
                if (document.activeElement === document.body && matchMedia('(min-width: 768px)').matches) {
                    firstOf(this.$root, '[name=format]:checked').focus({ preventScroll: true });
                }
            },
            /** On a small screen the choices open over the pages. */
            openChoices() {
                this.isChoosing = true;
                this.$nextTick(() => firstOf(this.$root, '[name=format]:checked').focus({ preventScroll: true }));
            },
            closeChoices() {
                if (this.isChoosing) {
                    this.isChoosing = false;
                    this.$nextTick(() => this.$refs.opener.focus());
                }
            },
            /** @param {string} feature */
            is(feature) {
                return !!this.features[this.format]?.includes(feature);
            },
            get isOpml() {
                return this.is('tree');
            },
            get isMap() {
                return this.is('map');
            },
            get isPrinted() {
                return this.is('sheets');
            },
            get isPaper() {
                return this.isMap && this.isPrinted;
            },
            get isAlone() {
                return this.is('alone');
            },
            get isSlides() {
                return this.is('slides');
            },
            get isHandout() {
                return this.is('handout');
            },
            get verb() {
                return this.isMap
                    ? 'Download the map'
                    : this.isHandout
                      ? 'Download the handouts'
                      : this.isSlides
                        ? 'Download the slides'
                        : 'Download the draft';
            },
            get isText() {
                return this.is('lines');
            },
            get isNumberedOutline() {
                return this.is('titles');
            },
            get hasNotes() {
                return !this.isMap && !this.isNumberedOutline && (!this.isSlides || this.isAlone);
            },
            get hasContents() {
                return this.is('contents');
            },
            get isDraft() {
                return this.is('draft');
            },
            get isStyled() {
                return this.is('styled');
            },
            get isTemplated() {
                return this.is('paged');
            },
            get isOtherTemplate() {
                const kind = this.$root.querySelector(`[name=template] option[value="${this.template}"]`)?.dataset.kind;
                return this.isTemplated && !!this.template && kind !== this.format;
            },
            get isMarkable() {
                return this.is('marked');
            },
            get isMarkdown() {
                return this.is('markable');
            },
            get canCopy() {
                return this.is('copied');
            },
            get copyLabel() {
                return this.copied || (this.isDraft ? 'Copy the text' : 'Copy the outline');
            },
            query() {
                const form = firstOf(this.$root, 'form.choices', HTMLFormElement);
                const query = new URLSearchParams(/** @type {any} */ (new FormData(form)));
                for (const box of allOf(form, 'input[type=checkbox][name]', HTMLInputElement)) {
                    query.set(box.name, box.checked ? '1' : '0');
                }
                // Markdown is read by people as it is: it carries marks only where that is asked for.
                if (this.isMarkdown) {
                    query.set('marks', query.get('md_marks') ?? '0');
                }
                return query;
            },
            /** A map as PNG is drawn here, a long draft made in the queue; everything else comes as a file. @param {Event} event */
            async leave(event) {
                const times = Number(this.kind);
                if (this.isMap && !this.isPaper && times) {
                    event.preventDefault();
                    await this.work('Drawing…', async () => download(await toPng(this.address, times), `${this.$root.dataset.name}.png`));
                } else if (this.isLong && !this.isMap) {
                    event.preventDefault();
                    await this.work('Waiting for its turn', () => this.queued());
                }
            },
            /** @param {string} says @param {(...given: any[]) => unknown} does */
            async work(says, does) {
                this.busy = says;
                this.error = '';
                try {
                    await does();
                    this.busy = '';
                } catch (error) {
                    this.error = reason(error);
                    this.busy = '';
                }
                this.isWorking = false;
            },
            async queued() {
                this.isWorking = true;
                this.worked = 0;
                const { address } = await send('POST', `${this.$root.dataset.address}/task?${this.query()}`);
                const { file } = await follow(address, (worked, says) => {
                    this.worked = worked;
                    this.busy = says;
                });
                location.assign(file);
            },
            /** The formatted text of a draft, or the lines of an outline, for another program. */
            async copyText() {
                const as = (/** @type {any} */ format) => {
                    const query = this.query();
                    query.set('format', format);
                    // The plain words of a draft are all of it.
                    if (format !== this.format && query.get('notes') !== '0') {
                        query.set('text_notes', '1');
                    }
                    return fetch(`${this.$root.dataset.address}/file?${query}`).then((response) => response.text());
                };
                try {
                    const plain = await as(this.isStyled ? 'txt' : this.format);
                    if (this.isStyled) {
                        // A style sheet means nothing on the clipboard: what is pasted takes on that of where it goes.
                        const html = (await as('html')).replace(/<style\b[^]*?<\/style>/g, '');
                        await navigator.clipboard.write([
                            new ClipboardItem({
                                'text/html': new Blob([html], { type: 'text/html' }),
                                'text/plain': new Blob([plain], { type: 'text/plain' }),
                            }),
                        ]);
                    } else {
                        await navigator.clipboard.writeText(plain);
                    }
                    this.copied = 'Copied';
                } catch {
                    this.error = 'The browser did not let the text be copied. Download the draft instead.';
                }
            },
        }),
    );
}
