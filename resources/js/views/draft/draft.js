import { around, byId, firstOf, held } from '../../lib/dom.js';
import { send } from '../../lib/http.js';
import { NoteEditor } from '../../note/editor.js';
import { plainText } from '../../lib/plain.js';
import { element } from '../../ui/element.js';
import { ROOT, TRAY } from '../../state/plan.js';

/** All notes in reading order on one page, numbered as the outline. The editor goes to the note that is written in. */
export class Draft {
    /** @param {import('../page.js').Page} page */
    constructor(page) {
        this.page = page;
        this.side = byId('draft');
        this.box = byId('notes-in-order');
        /** Topic → its note as PHP has printed it. @type {Map<string, string>} */
        this.html = new Map();
        /** The topic that is written in. @type {string | null} */
        this.open = null;
        /** What is drawn, so that it is not drawn again. @type {string | null} */
        this.drawn = null;
        this.text = element('div', { class: 'page' });
        this.tools = /** @type {HTMLElement} */ (firstOf(document, '#note .tools').cloneNode(true));
        /** One editor, which goes to the section that is written in; made when one first writes. @type {NoteEditor | null} */
        this.editor = null;
        this.side.addEventListener('keydown', (event) => this.pressed(event));
        byId('only-noted').addEventListener('change', () => this.draw());
    }

    enter() {
        this.load();
    }

    async load() {
        await this.page.queue.flush();
        const answer = await send('GET', `${this.page.address}/all-notes`).catch(() => null);
        this.html = answer ? new Map(Object.entries(answer.notes)) : await this.asKnown();
        this.drawn = null;
        this.draw();
    }

    /** The notes as they were told last, as plain text, where the server is not reached. */
    async asKnown() {
        const { session } = this.page;
        const known = new Map(this.html);
        for (const { id } of [{ id: ROOT }, ...this.page.tree.rows(new Set())]) {
            const note = !known.has(id) && session.tree.noteBearer(id).noted ? await session.noteOf(id) : null;
            if (note) {
                const box = element('div', {}, ...note.blocks.map((/** @type {any} */ one) => element('p', {}, plainText(one))));
                known.set(id, box.innerHTML);
            }
        }
        if (this.page.view === 'draft') {
            this.page.say('Not connected: the notes are shown as they were known last, without their look. They can be written.');
        }
        return known;
    }

    leave() {
        this.editor?.commit();
        this.editor?.take(null);
        this.open = null;
        this.drawn = null;
    }

    /** @param {import('../../state/topics.js').Answer} answer */
    told(answer) {
        this.editor?.told(answer);
        if (this.page.view !== 'draft') {
            return;
        }
        const touched = (answer?.topics ?? []).filter((/** @type {{id: string}} */ { id }) => id !== this.open);
        if (!answer || touched.length || answer.numbers?.runs.length) {
            this.load();
        }
    }

    /** @param {string} id */
    reveal(id) {
        this.box.querySelector(`[data-topic="${id}"]`)?.scrollIntoView({ block: 'nearest' });
    }

    /** The button that opens a section. @param {string} id @returns {HTMLElement | null} */
    writeHere(id) {
        return this.box.querySelector(`[data-topic="${id}"] .write-here`);
    }

    outwards() {
        if (this.open) {
            const { open } = this;
            this.close();
            this.writeHere(open)?.focus();
        } else {
            this.page.show('outline');
        }
    }

    /** The topics that are shown: those of the tree in order, then the loose ideas that have a note. */
    topics() {
        const { tree } = this.page;
        const all = [{ id: ROOT, level: 0 }, ...tree.rows(new Set())];
        const isNoted = (/** @type {{id: string}} */ { id }) => id === this.open || this.html.has(id);
        const loose = tree.rows(new Set(), TRAY).filter(isNoted);
        return [
            ...(byId('only-noted', HTMLInputElement).checked ? all.filter(isNoted) : all.filter((row) => row.id !== ROOT || isNoted(row))),
            ...loose,
        ];
    }

    draw() {
        const key = JSON.stringify(this.topics().map(({ id }) => [id, this.page.tree.get(id)?.label, this.page.tree.get(id)?.title]));
        if (this.drawn === key) {
            return;
        }
        this.drawn = key;
        const editor = this.open && this.box.querySelector(`[data-topic="${this.open}"]`);
        const here = this.box.contains(document.activeElement) ? held() : null;
        const isWriting = editor && here && editor.contains(here);
        const from = /** @type {HTMLElement | null | undefined} */ (here?.closest('[data-topic]'))?.dataset.topic;
        let depth = 0;
        const sections = this.topics().map(({ id, level }) => {
            // Where what stands above is not shown, no level of headings is skipped.
            depth = Math.min(Math.max(1, level), depth + 1);
            return id === this.open && editor ? editor : this.section(id, level, depth);
        });
        this.box.replaceChildren(...sections);
        // The keyboard stays where it was, though the page was drawn anew.
        if (isWriting) {
            this.editor?.editor.view.focus();
        } else if (from) {
            this.writeHere(from)?.focus({ preventScroll: true });
        }
        byId('notes-empty').hidden = this.box.children.length > 0;
    }

    /** @param {string} id @param {number} level @param {number} depth of its heading */
    section(id, level, depth) {
        const { tree } = this.page;
        const topic = tree.noteBearer(id);
        const title = id === ROOT ? 'Opening note' : topic.title || 'Untitled';
        const read = element('div', {
            class: 'read',
            onclick: (/** @type {MouseEvent} */ event) => !around(event, 'a') && !String(getSelection() ?? '') && this.edit(id),
        });
        if (this.html.has(id)) {
            // PHP has made it out of the note, and escaped it.
            read.innerHTML = this.html.get(id) ?? '';
        } else {
            read.append(element('p', { class: 'quiet' }, 'No note yet'));
        }
        const head = element(
            /** @type {'h2'} */ (`h${Math.min(6, depth + 1)}`),
            { id: `note-of-${id}` },
            topic.label && element('span', { class: 'n' }, topic.label),
            ' ',
            title,
        );
        return element(
            'section',
            { 'data-topic': id, 'aria-labelledby': head.id, class: `note-of level-${Math.min(3, Math.max(1, level))}` },
            element(
                'div',
                { class: 'note-of-head' },
                head,
                element(
                    'button',
                    {
                        type: 'button',
                        class: 'plain write-here',
                        'aria-label': `Write in the note of ${title}`,
                        onclick: () => this.edit(id),
                    },
                    'Write',
                ),
            ),
            read,
        );
    }

    /** Writes in the note of a topic, from this moment on. @param {string} id */
    edit(id) {
        if (!this.page.session.rights.mayWrite) {
            return;
        }
        if (this.open === id) {
            return;
        }
        this.close();
        const section = this.box.querySelector(`[data-topic="${id}"]`);
        if (!section) {
            return;
        }
        this.open = id;
        section.classList.add('is-open');
        firstOf(section, '.read').hidden = true;
        const place = section.appendChild(element('div', { class: 'write' }));
        this.begin(place, id);
    }

    /**
     * Lets one write in a section.
     * @param {HTMLElement} place
     * @param {string} id
     */
    begin(place, id) {
        this.editor ??= new NoteEditor(this.page.desk, {
            box: this.text,
            tools: this.tools,
            onState: () => {},
            onRemoved: () => this.outwards(),
        });
        place.append(this.text, this.tools);
        this.editor.take(id);
        this.editor.focus();
    }

    /** Reads the note again that was written in: as it stood in the editor, until PHP has printed it. */
    close() {
        if (!this.open) {
            return;
        }
        const { open, editor } = this;
        if (editor) {
            this.html.set(open, editor.html);
            editor.commit();
        }
        this.open = null;
        editor?.take(null);
        this.drawn = null;
        this.draw();
        this.load();
    }

    /** @param {KeyboardEvent} event */
    pressed(event) {
        if (event.key === 'Enter' && (event.ctrlKey || event.metaKey) && this.open) {
            event.preventDefault();
            event.stopPropagation();
            this.outwards();
        }
    }
}
