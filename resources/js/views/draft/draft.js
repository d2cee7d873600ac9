import { around, byId, firstOf, held } from '../../lib/dom.js';
import { send } from '../../lib/http.js';
import { Pressed } from '../../lib/pressed.js';
import { beginIn } from './begin.js';
import { element } from '../../ui/element.js';
import { Alone } from './alone.js';
import { OutlineBeside } from './beside.js';
import { Crossing } from './crossing.js';
import { asKnown } from './as-known.js';
import { arrange, drawnFrom, inParts, renumber, section, wordsOf } from './section.js';
import { markSections } from './marks.js';
import { Sections } from './sections.js';
import { Shown } from './shown.js';
import { WrittenToday } from './today.js';
import { DraftParting } from './parting.js';
import { rangesOf } from './found.js';
import { DraftTitles } from './titles.js';

/** More notes than these are asked for with all. */
const MANY = 100;

/** The whole text in reading order, written where it stands. One editor goes to the section that is written in. */
export class Draft extends Sections {
    /** @param {import('../page.js').Page} page */
    constructor(page) {
        super(page);
        this.text = element('div', { class: 'page' });
        this.tools = /** @type {HTMLElement} */ (firstOf(document, '#note .tools').cloneNode(true));
        /** Goes to the section that is written in; made when one first writes. @type {import('../../note/editor.js').NoteEditor | null} */
        this.editor = null;
        this.titles = new DraftTitles(this);
        this.pressed = new Pressed(this.box);
        this.crossing = new Crossing(this);
        this.shown = new Shown(this);
        this.alone = new Alone(this);
        this.outline = new OutlineBeside(this);
        this.today = new WrittenToday(this.page);
        new DraftParting(this);
        this.crossing.provide();
        this.side.addEventListener('keydown', (event) => this.crossing.pressed(event), { capture: true });
        this.side.addEventListener('click', (event) => this.clicked(event));
    }

    enter() {
        this.shown.offer();
        this.load();
        this.today.load();
    }

    /** Asks for the notes as they print: all of them, or some. @param {string[] | null} [only] */
    async load(only = null) {
        await this.page.queue.flush();
        const address = `${this.page.address}/all-notes${only ? `?only=${only.join(',')}` : ''}`;
        const answer = await send('GET', address).catch(() => null);
        if (answer && only) {
            only.forEach((id) => this.take(id, answer.notes[id]));
        } else {
            const notes = answer ? new Map(Object.entries(answer.notes)) : await asKnown(this);
            [...new Set([...this.html.keys(), ...notes.keys()])].forEach((id) => this.take(id, notes.get(id)));
        }
        this.draw();
    }

    /** @param {string} id @param {string | undefined} html */
    take(id, html) {
        if (this.html.get(id) !== html) {
            html === undefined ? this.html.delete(id) : this.html.set(id, html);
            this.read.set(id, (this.read.get(id) ?? 0) + 1);
        }
    }

    /** What is written in a title goes out now. */
    commit() {
        this.titles.commit();
    }

    leave() {
        this.titles.commit();
        this.titles.isDrawn = true;
        this.editor?.commit();
        this.editor?.take(null);
        this.open = null;
        this.made.clear();
        this.parts.clear();
        this.box.replaceChildren();
        this.titles.isDrawn = false;
    }

    /** @param {import('../../state/topics.js').Answer} answer */
    told(answer) {
        this.editor?.told(answer);
        this.page.view === 'draft' && this.today.soon();
        if (this.page.view !== 'draft' || !answer) {
            return;
        }
        const touched = answer.topics
            .map((/** @type {{id: string}} */ { id }) => id)
            .filter((/** @type {string} */ id) => id !== this.open);
        // References in other notes name the numbers that are others now.
        const isMuch = answer.whole || answer.numbers?.runs.length || touched.length > MANY;
        isMuch ? this.load() : touched.length && this.load(touched);
    }

    /** Where hits of Find stand. @param {Map<string, import('../../ui/given.d.ts').Hit[]>} byTopic */
    rangesOf(byTopic) {
        return rangesOf(this, byTopic);
    }

    outwards() {
        const { open } = this;
        if (open) {
            this.close();
            this.writeHere(open)?.focus();
        } else {
            this.page.show('outline');
        }
    }

    draw() {
        if (this.page.view !== 'draft' || this.pressed.holds(() => this.draw())) {
            return;
        }
        const here = this.box.contains(document.activeElement) ? held() : null;
        const from = /** @type {HTMLElement | null | undefined} */ (here?.closest('[data-topic]'))?.dataset.topic;
        const isTitle = here?.matches('.draft-title');
        let depth = 0;
        const sections = this.topics().map(({ id, level }) => {
            // Where what stands above is not shown, no level of headings is skipped.
            depth = Math.min(Math.max(1, level), depth + 1);
            const drawn = drawnFrom(this, id, { level, depth });
            const known = this.made.get(id);
            // What is being written in stays as it is.
            if (known && (known.from === drawn || id === this.open || (isTitle && id === from))) {
                renumber(known.node, this.page.tree, id);
                this.titles.refresh(id, known.node);
                return known.node;
            }
            const node = section(this, id, level, depth);
            this.made.set(id, { from: drawn, node });
            return node;
        });
        // What is taken away or moved loses the keyboard: that is no leaving of a title.
        this.titles.isDrawn = true;
        arrange(this.box, inParts(this, sections));
        this.titles.isDrawn = false;
        byId('notes-empty').hidden = sections.length > 0;
        // The keyboard stays where it was, though its section was moved or made anew.
        if (here && from && document.activeElement !== here) {
            isTitle
                ? this.titles.focus(from)
                : from === this.open
                  ? this.editor?.editor.view.focus()
                  : this.writeHere(from)?.focus({ preventScroll: true });
        }
        this.tellHere(this.open ?? from ?? null);
        this.alone.draw();
        this.outline.draw();
        this.drawBeside();
        this.page.find.isOpen && this.page.find.paint();
    }

    /** What stands beside the sections. */
    drawBeside() {
        markSections(this);
        this.page.fresh?.watch();
        this.page.talk?.places.soon();
    }

    /** The words of the section that one is in. @param {string | null} id */
    tellHere(id) {
        const words = id && this.page.tree.noteBearer(id) ? wordsOf(this.page.tree, id) || '0' : '';
        byId('draft-here').textContent = words ? `${words} words here` : '';
    }

    /** @param {MouseEvent} event */
    clicked(event) {
        const id = around(event, '[data-topic]')?.dataset.topic;
        const act = around(event, '[data-act]');
        if (!id) {
            return;
        }
        if (act?.dataset.act === 'write') {
            this.edit(id);
        } else if (act?.dataset.act === 'ask') {
            this.page.questions.open(id);
        } else if (act?.dataset.act === 'sketch') {
            this.page.prompts().then((prompts) => prompts.open('draft', id));
        } else if (act) {
            this.asked = id;
            this.page.outline.menu.open(id, act);
        } else if (around(event, '.read') && !around(event, 'a') && !String(getSelection() ?? '')) {
            this.edit(id, { left: event.clientX, top: event.clientY });
        }
    }

    /**
     * Writes in the text of a topic, from this moment on.
     * @param {string} id
     * @param {'start' | 'end' | {left: number, top: number}} [where]
     */
    edit(id, where = 'end') {
        if (!this.page.session.rights.mayWrite) {
            return;
        }
        if (this.open !== id) {
            this.close();
            const place = this.box.querySelector(`[data-topic="${id}"]`);
            if (!place) {
                return;
            }
            this.open = id;
            place.classList.add('is-open');
            firstOf(place, '.read').hidden = true;
            beginIn(this, place.appendChild(element('div', { class: 'write' })), id);
        }
        this.editor?.focusAt(where);
        this.tellHere(id);
    }

    /** Reads the text again that was written in: as it stood in the editor, until PHP has printed it. */
    close() {
        const { open, editor } = this;
        if (!open) {
            return;
        }
        if (editor) {
            this.take(open, editor.body.isBlank ? undefined : editor.html);
            editor.commit();
        }
        this.open = null;
        editor?.take(null);
        this.made.delete(open);
        this.draw();
        this.load([open]);
    }
}
