import { send } from '../../lib/http.js';
import { NoteEditor } from '../../note/editor.js';
import { plainText } from '../../lib/plain.js';
import { element } from '../../ui/element.js';
import { ROOT, TRAY } from '../../state/plan.js';

/** All notes in reading order on one page, numbered as the outline. The editor goes to the note that is written in. */
export class Draft {
    constructor(page) {
        this.page = page;
        this.side = document.getElementById('draft');
        this.box = document.getElementById('notes-in-order');
        this.html = new Map();
        this.side.addEventListener('keydown', (event) => this.pressed(event));
        document.getElementById('only-noted').addEventListener('change', () => this.draw());
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
                const box = element('div', {}, ...note.blocks.map((one) => element('p', {}, plainText(one))));
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

    told(answer) {
        this.editor?.told(answer);
        if (this.page.view !== 'draft') {
            return;
        }
        const touched = (answer?.topics ?? []).filter(({ id }) => id !== this.open);
        if (!answer || touched.length || answer.labels?.runs.length) {
            this.load();
        }
    }

    reveal(id) {
        this.box.querySelector(`[data-topic="${id}"]`)?.scrollIntoView({ block: 'nearest' });
    }

    outwards() {
        if (this.open) {
            const { open } = this;
            this.close();
            this.box.querySelector(`[data-topic="${open}"] .write-here`)?.focus();
        } else {
            this.page.show('outline');
        }
    }

    /** The topics that are shown: those of the tree in order, then the loose ideas that have a note. */
    topics() {
        const { tree } = this.page;
        const all = [{ id: ROOT, level: 0 }, ...tree.rows(new Set())];
        const isNoted = ({ id }) => id === this.open || this.html.has(id);
        const loose = tree.rows(new Set(), TRAY).filter(isNoted);
        return [
            ...(document.getElementById('only-noted').checked ? all.filter(isNoted) : all.filter((row) => row.id !== ROOT || isNoted(row))),
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
        const held = this.box.contains(document.activeElement) ? document.activeElement : null;
        const isWriting = editor && held && editor.contains(held);
        const from = held?.closest('[data-topic]')?.dataset.topic;
        this.box.replaceChildren(...this.topics().map(({ id, level }) => (id === this.open && editor ? editor : this.section(id, level))));
        // The keyboard stays where it was, though the page was drawn anew.
        if (isWriting) {
            this.editor.editor.view.focus();
        } else if (from) {
            this.box.querySelector(`[data-topic="${from}"] .write-here`)?.focus({ preventScroll: true });
        }
        document.getElementById('notes-empty').hidden = this.box.children.length > 0;
    }

    section(id, level) {
        const { tree } = this.page;
        const topic = tree.noteBearer(id);
        const title = id === ROOT ? 'Opening note' : topic.title || 'Untitled';
        const read = element('div', {
            class: 'read',
            onclick: (event) => !event.target.closest('a') && !getSelection().toString() && this.edit(id),
        });
        if (this.html.has(id)) {
            // PHP has made it out of the note, and escaped it.
            read.innerHTML = this.html.get(id);
        } else {
            read.append(element('p', { class: 'quiet' }, 'No note yet'));
        }
        const head = element(
            `h${Math.min(6, Math.max(2, level + 1))}`,
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

    /** Writes in the note of a topic, from this moment on. */
    edit(id) {
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
        section.querySelector('.read').hidden = true;
        const place = section.appendChild(element('div', { class: 'write' }));
        this.begin(place, id);
    }

    /** One editor, which goes to the section that is written in. */
    begin(place, id) {
        if (!this.editor) {
            this.text = element('div', { class: 'page' });
            this.tools = document.querySelector('#note .tools').cloneNode(true);
            this.editor = new NoteEditor(this.page.desk, {
                box: this.text,
                tools: this.tools,
                onState: () => {},
                onRemoved: () => this.outwards(),
            });
        }
        place.append(this.text, this.tools);
        this.editor.take(id);
        this.editor.focus();
    }

    /** Reads the note again that was written in: as it stood in the editor, until PHP has printed it. */
    close() {
        if (!this.open) {
            return;
        }
        const { open } = this;
        this.html.set(open, this.editor.html);
        this.editor.commit();
        this.open = null;
        this.editor.take(null);
        this.drawn = null;
        this.draw();
        this.load();
    }

    pressed(event) {
        if (event.key === 'Enter' && (event.ctrlKey || event.metaKey) && this.open) {
            event.preventDefault();
            event.stopPropagation();
            this.outwards();
        }
    }
}
