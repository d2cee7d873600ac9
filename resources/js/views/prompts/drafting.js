import { allOf } from '../../lib/dom.js';
import { element } from '../../ui/element.js';
import { tell } from '../../ui/toast.js';

const KEPT = 'embrel.prompts.aside';

/**
 * What is told of a section's draft: pieces of its paragraphs, each with what it is and where it comes from; its blocks for the note.
 * @typedef {{sections: [string, string][], section: [string, string] | null, isWritten: boolean, hasOwn: boolean,
 *     paragraphs: {what: string, text: string, from: [string, string]}[][], blocks: any[], used: string[]}} Told
 */

/** A first draft, section by section: taken into the note, taken and changed, passed over or left. */
export class Drafting {
    follows = false;

    /** @param {import('./panel.js').Prompts} panel */
    constructor(panel) {
        this.panel = panel;
        /** The section that is shown; '' the first of the branch. */
        this.section = '';
        this.branch = '';
        /** Sections that were taken. @type {Set<string>} */
        this.taken = new Set();
    }

    draw() {
        const { topic } = this.panel;
        if (topic !== this.branch) {
            [this.branch, this.section] = [topic, ''];
        }
        this.panel.ask('GET', `first-draft?topic=${topic}&section=${this.section}`, (told) => this.shown(told));
    }

    /** @param {Told} told */
    shown(told) {
        const { panel } = this;
        const { sections, section } = told;
        if (!section) {
            return [element('p', { class: 'quiet' }, 'There is no section here to draft. Add some topics first.')];
        }
        this.section = section[0];
        this.told = told;
        const at = sections.findIndex(([id]) => id === section[0]);
        const head = element(
            'p',
            { class: 'prompt-line' },
            element('strong', {}, panel.to(section)),
            element('span', { class: 'quiet' }, ` ${at + 1} of ${sections.length}`),
        );
        const shown = told.paragraphs.length ? this.draft(told) : '';
        return [sections.length > 1 || section[0] !== panel.topic ? head : '', this.said(told), shown, this.acts(told, at)];
    }

    /** @param {Told} told */
    said({ section, isWritten, hasOwn, paragraphs }) {
        const says = this.taken.has(section?.[0] ?? '')
            ? 'Taken.'
            : isWritten && !paragraphs.length
              ? 'Something is written here already, and there is nothing beside it to write more from.'
              : isWritten
                ? 'Something is written here already: it stays as it is, and this comes after it.'
                : hasOwn
                  ? 'What is grey and in italics is scaffolding: it does not print until you rewrite it.'
                  : 'There are no points, quotations or notes here to write from yet.';
        return element('p', { class: 'quiet' }, says);
    }

    /** Each piece with a letter that says where it comes from. @param {Told} told */
    draft({ paragraphs }) {
        /** @type {Map<string, string>} */
        const letters = new Map();
        /** @type {Map<string, string>} */
        const names = new Map();
        const letter = (/** @type {[string, string]} */ [id, called]) => {
            names.set(id, called);
            letters.has(id) || letters.set(id, letters.size < 26 ? String.fromCharCode(97 + letters.size) : String(letters.size + 1));
            return String(letters.get(id));
        };
        const piece = (/** @type {{what: string, text: string, from: [string, string]}} */ { what, text, from }) =>
            what === 'scaffold'
                ? element('span', { class: 'scaffold' }, text)
                : element('span', { class: `prompt-piece is-${what}`, title: `From ${from[1]}` }, text, element('sup', {}, letter(from)));
        const text = paragraphs.map((pieces) => {
            const isOther = pieces.length === 1 && !['title', 'note', 'quotation', 'scaffold'].includes(pieces[0].what);
            const tag = isOther && pieces[0].what === 'blockquote' ? 'blockquote' : 'p';
            return element(
                tag,
                { class: isOther ? `prompt-block is-${pieces[0].what}` : '' },
                ...pieces.flatMap((one) => [piece(one), ' ']),
            );
        });
        const from = [...letters].map(([id, sign]) =>
            element('li', {}, element('sup', {}, sign), ' ', this.panel.to([id, names.get(id) ?? ''])),
        );
        return element(
            'div',
            { class: 'prompt-draft', role: 'region', 'aria-label': 'First draft' },
            ...text,
            from.length ? element('ul', { class: 'prompt-origins', 'aria-label': 'Where it comes from' }, ...from) : '',
        );
    }

    /** @param {Told} told @param {number} at */
    acts(told, at) {
        const { panel } = this;
        const acts = element('div', { class: 'question-acts', role: 'group', 'aria-label': 'What becomes of it', 'data-card': '' });
        const isOffered = panel.mayWrite && told.blocks.length > 0 && !this.taken.has(this.section);
        if (isOffered) {
            acts.append(
                panel.act('Take', 't', () => this.take()),
                panel.act('Take and change', 'c', () => this.change()),
            );
        }
        at + 1 < told.sections.length && acts.append(panel.act('Next', 'n', () => this.go(at + 1)));
        at > 0 && acts.append(panel.act('Back', 'b', () => this.go(at - 1)));
        acts.append(panel.act('Leave', 'l', () => panel.close()));
        const box = element('input', { type: 'checkbox', checked: localStorage.getItem(KEPT) === 'yes' });
        box.addEventListener('change', () => localStorage.setItem(KEPT, box.checked ? 'yes' : 'no'));
        const aside = element(
            'label',
            { class: 'check prompt-aside' },
            box,
            ' What goes into it becomes an aside, and prints in the text alone',
        );
        return element('div', { class: 'prompt-foot' }, isOffered && told.used.length ? aside : '', acts);
    }

    /** @param {number} at */
    async go(at) {
        this.section = this.told?.sections[at][0] ?? '';
        await this.draw();
        allOf(this.panel.body, '.question-acts button')[0]?.focus();
    }

    /** Into the note, after what stands there; one step. */
    take() {
        const { panel, told, section } = this;
        if (!told) {
            return;
        }
        const aside = localStorage.getItem(KEPT) === 'yes' && told.used.length;
        panel.intoNote(section, told.blocks, [], aside ? [{ type: 'kind', ids: told.used, value: 'aside' }] : []);
        this.taken.add(section);
        tell(`Taken into the note of ${told.section?.[1]}`);
        const at = told.sections.findIndex(([id]) => id === section);
        at + 1 < told.sections.length ? this.go(at + 1) : this.draw();
    }

    /** Taken, and gone to where it is changed. */
    change() {
        const { panel, section } = this;
        this.take();
        panel.page.view === 'draft' ? panel.page.goTo(section) : panel.page.openNoteOf(section);
    }
}
