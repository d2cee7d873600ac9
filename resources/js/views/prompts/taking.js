import { firstOf } from '../../lib/dom.js';
import { newId } from '../../lib/ids.js';
import { ROOT } from '../../state/plan.js';
import { element } from '../../ui/element.js';
import { tell } from '../../ui/toast.js';

/** What all that is offered has in common: the way to a topic, acts with their keys, and how something is taken. */
export class Taking {
    /**
     * @param {import('../page.js').Page} page
     * @param {HTMLElement} box
     */
    constructor(page, box) {
        this.page = page;
        this.box = box;
    }

    /** A topic by its name, that leads there. @param {[string, string]} topic id and how it is called */
    to([id, called]) {
        const go = () => (id === ROOT ? this.page.openOpening() : this.page.goTo(id));
        return element('button', { type: 'button', class: 'talk-act', onclick: go }, called || 'Untitled');
    }

    /** An act with its key. @param {string} name @param {string} key @param {() => unknown} does */
    act(name, key, does) {
        const shown = key === 'Delete' ? 'Del' : key.toUpperCase();
        return element(
            'button',
            { type: 'button', class: 'plain', 'data-key': key, onclick: does },
            name,
            element('kbd', { class: 'kbd' }, shown),
        );
    }

    /**
     * Puts blocks at the end of a note; `before` and `after` are operations of the same step.
     * @param {string} topic
     * @param {any[]} blocks
     * @param {any[]} [before]
     * @param {any[]} [after]
     */
    intoNote(topic, blocks, before = [], after = []) {
        const note = { type: 'note', topic, put: blocks, remove: [], order: null, was: {} };
        const operations = [...before, note, ...after];
        this.page.perform(operations.length === 1 ? note : { type: 'compound', operations });
    }

    /** @param {string} text @param {any[]} [marks] */
    paragraph(text, marks) {
        return { type: 'paragraph', attrs: { id: newId() }, content: text ? [{ type: 'text', text, ...(marks && { marks }) }] : [] };
    }

    /** A card is done with: the next one has the keyboard. @param {Element} card @param {string} says */
    done(card, says) {
        const next = card.nextElementSibling ?? card.previousElementSibling;
        card.remove();
        firstOf(next ?? this.box, 'button:not([disabled])').focus();
        says && tell(says);
    }
}
