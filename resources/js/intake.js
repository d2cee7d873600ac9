import { send } from './http.js';

/** Taking in: pasted text or a file, shown as the tree that it makes before it is kept. */
export default function intake() {
    return {
        file: null,
        fileName: '',
        text: '',
        title: '',
        into: '',
        stripNumbers: false,
        descriptions: true,
        lists: false,
        markdown: false,
        seen: null,
        error: '',
        busy: false,
        isOver: false,
        ticket: 0,
        init() {
            this.into = this.$root.dataset.into ?? '';
            for (const name of ['stripNumbers', 'descriptions', 'lists', 'markdown']) {
                this.$watch(name, () => this.look());
            }
            this.$watch('title', () => this.lookSoon());
            this.$watch('text', () => this.lookSoon());
        },
        get isMarkdown() {
            return this.file ? /\.(md|markdown)$/i.test(this.fileName) : this.markdown;
        },
        get isOpml() {
            return /\.(opml|xml)$/i.test(this.fileName);
        },
        get isPasted() {
            return !this.file;
        },
        get hasInput() {
            return !!this.file || this.text.trim() !== '';
        },
        get canTake() {
            return !!this.seen && !this.busy;
        },
        get rows() {
            return (this.seen?.rows ?? []).map((row, i) => ({ ...row, key: i, name: row.title || 'Untitled', style: `--l:${row.level - 1};--d:var(--${row.dye})`, kind: row.level === 1 ? 'main' : '', note: row.words ? `note, ${row.words} ${row.words === 1 ? 'word' : 'words'}` : '' }));
        },
        get summary() {
            return `${this.seen.count.toLocaleString('en')} ${this.seen.count === 1 ? 'topic' : 'topics'}, ${this.seen.words.toLocaleString('en')} words in notes`;
        },
        get rest() {
            return this.seen.count > this.seen.rows.length ? `and ${(this.seen.count - this.seen.rows.length).toLocaleString('en')} more` : '';
        },
        get repairs() {
            return this.seen?.repairs ?? [];
        },
        get takeLabel() {
            return this.into ? 'Take it as a branch' : 'Take it as a new plan';
        },
        get dropLabel() {
            return this.file ? this.fileName : 'Choose a file, or drop one here';
        },
        pick(event) {
            this.choose(event.target.files[0]);
        },
        drop(event) {
            this.isOver = false;
            this.choose(event.dataTransfer.files[0]);
        },
        over() {
            this.isOver = true;
        },
        out() {
            this.isOver = false;
        },
        choose(file) {
            if (file) {
                this.file = file;
                this.fileName = file.name;
                this.look();
            }
        },
        clearFile() {
            this.file = null;
            this.fileName = '';
            this.seen = null;
            this.error = '';
            this.look();
        },
        form() {
            const form = new FormData();
            if (this.file) {
                form.append('file', this.file);
            } else {
                form.append('text', this.text);
            }
            form.append('title', this.title);
            form.append('strip_numbers', this.stripNumbers ? '1' : '0');
            form.append('descriptions', this.descriptions ? '1' : '0');
            form.append('lists', this.lists ? '1' : '0');
            form.append('markdown', this.markdown ? '1' : '0');
            if (this.into) {
                form.append('into', this.into);
            }
            return form;
        },
        lookSoon() {
            clearTimeout(this.timer);
            this.timer = setTimeout(() => this.look(), 350);
        },
        async look() {
            const ticket = ++this.ticket;
            this.error = '';
            if (!this.hasInput) {
                this.seen = null;
                return;
            }
            try {
                const seen = await send('POST', '/intake/preview', this.form());
                if (ticket === this.ticket) {
                    this.seen = seen;
                }
            } catch (error) {
                if (ticket === this.ticket) {
                    this.seen = null;
                    this.error = error.message;
                }
            }
        },
        async take() {
            this.busy = true;
            this.error = '';
            try {
                location.assign((await send('POST', '/intake', this.form())).address);
            } catch (error) {
                this.error = error.message;
                this.busy = false;
            }
        },
    };
}
