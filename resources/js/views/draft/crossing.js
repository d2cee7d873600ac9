import { Plugin, Selection, TextSelection } from '@tiptap/pm/state';
import { always, when } from '../../commands/commands.js';
import { actionFor } from '../../lib/keys.js';
import { onShift } from '../../state/places.js';
import { ROOT } from '../../state/plan.js';

/** What is done from a title and from the midst of a text alike. */
const ANYWHERE = new Set(['sectionAfter', 'sectionUp', 'sectionDown', 'goToSection']);

/** The keyboard in the text: from a title into its text, from one section into the next and back; a section after it, and moving it. */
export class Crossing {
    /** @param {import('./draft.js').Draft} draft */
    constructor(draft) {
        this.draft = draft;
        this.page = draft.page;
    }

    /** A key in a title. @param {KeyboardEvent} event */
    pressed(event) {
        const id = event.isComposing || event.shiftKey ? null : this.draft.titles.at(event);
        if (id !== null && (this.acts(event, id) || this.inTitle(event, id))) {
            event.preventDefault();
            event.stopPropagation();
        }
    }

    /** A key in the text; the editor knows by then where the caret is. @returns {import('@tiptap/pm/state').Plugin} */
    get plugin() {
        return new Plugin({
            props: {
                handleKeyDown: (_, event) => {
                    const { open } = this.draft;
                    const isOurs = open !== null && !event.shiftKey && (this.acts(event, open) || this.outOfText(event, open));
                    isOurs && event.stopPropagation();
                    return isOurs;
                },
            },
        });
    }

    /** What can be done from a title and from a text, by the table of commands. */
    provide() {
        const { draft, page } = this;
        const inIt = (/** @type {(id: string) => unknown} */ run, /** @type {(id: string) => boolean} */ holds = () => true) =>
            when(
                () => this.here !== null && holds(this.here),
                () => run(/** @type {string} */ (this.here)),
            );
        const isNoRoot = (/** @type {string} */ id) => id !== ROOT;
        page.commands.provide('draft', {
            sectionAfter: inIt((id) => draft.titles.addAfter(id)),
            sectionUp: inIt((id) => this.shift(id, -1), isNoRoot),
            sectionDown: inIt((id) => this.shift(id, 1), isNoRoot),
            intoText: inIt((id) => this.into(id)),
            lineBelow: inIt((id) => this.into(id)),
            lineAbove: inIt((id) => this.back(id)),
            goToSection: always(() => draft.ask()),
        });
    }

    /** The section that the keyboard is in. */
    get here() {
        const here = /** @type {HTMLElement | null} */ (document.activeElement?.closest('#draft [data-topic]'));
        return here?.dataset.topic ?? this.draft.open;
    }

    /** @param {KeyboardEvent} event @param {string} id */
    acts(event, id) {
        const action = actionFor(event, 'draft') ?? '';
        return (
            ANYWHERE.has(action) &&
            (['sectionAfter', 'goToSection'].includes(action) || id !== ROOT) &&
            this.page.commands.run('draft', action, { event })
        );
    }

    /** Moves a section with everything under it, and stays in it. @param {string} id @param {-1 | 1} by */
    shift(id, by) {
        const { draft } = this;
        const isTitle = draft.open !== id;
        draft.titles.keep(id);
        const place = onShift(this.page.tree, [id], by, ROOT);
        if (place) {
            this.page.move([id], place);
            draft.draw();
            isTitle ? draft.titles.focus(id) : draft.editor?.editor.view.focus();
            draft.reveal(id);
        }
    }

    /** @param {KeyboardEvent} event @param {string} id */
    inTitle(event, id) {
        const { titles } = this.draft;
        const field = titles.of(id);
        if (!field || event.ctrlKey || event.metaKey || event.altKey) {
            return false;
        }
        const action = actionFor(event, 'draft');
        if (action === 'lineAbove' || (event.key === 'ArrowLeft' && titles.isAt(field, 'start'))) {
            return this.back(id);
        }
        const isOn = action === 'intoText' || action === 'lineBelow' || (event.key === 'ArrowRight' && titles.isAt(field, 'end'));
        isOn && this.into(id);
        return isOn;
    }

    /** From a title to the start of its text. @param {string} id */
    into(id) {
        const { titles } = this.draft;
        titles.isGoingIn = true;
        this.draft.edit(id, 'start');
        titles.isGoingIn = false;
    }

    /** Out of a text at its ends. @param {KeyboardEvent} event @param {string} id */
    outOfText(event, id) {
        const view = this.draft.editor?.editor.view;
        if (!view?.state.selection.empty || event.ctrlKey || event.metaKey || event.altKey) {
            return false;
        }
        const { doc } = view.state;
        // Where the caret is on the page: the editor may not have been told yet.
        const { focusNode, focusOffset = 0 } = getSelection() ?? {};
        const at = focusNode && view.dom.contains(focusNode) ? view.posAtDOM(focusNode, focusOffset) : view.state.selection.head;
        const caret = TextSelection.near(doc.resolve(at));
        const state = view.state.apply(view.state.tr.setSelection(caret));
        const [first, last] = [Selection.atStart(doc), Selection.atEnd(doc)];
        const isUp = event.key === 'ArrowUp' && caret.$head.pos <= first.$head.end() && view.endOfTextblock('up', state);
        const isDown = event.key === 'ArrowDown' && caret.$head.pos >= last.$head.start() && view.endOfTextblock('down', state);
        if (isUp || (event.key === 'ArrowLeft' && caret.eq(first))) {
            return this.draft.titles.focus(id) || this.back(id);
        }
        return (isDown || (event.key === 'ArrowRight' && caret.eq(last))) && this.on(id);
    }

    /** To the end of the text before a section. @param {string} id */
    back(id) {
        const before = this.draft.beside(id, -1);
        if (before !== null) {
            this.draft.edit(before, 'end');
        }
        return before !== null;
    }

    /** To the title of the section after. @param {string} id */
    on(id) {
        const after = this.draft.beside(id, 1);
        return after !== null && this.draft.titles.focus(after, 'start');
    }
}
