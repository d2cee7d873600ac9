import { newId } from '../../lib/ids.js';
import { actionFor } from '../../lib/keys.js';
import { linesIn } from '../../lib/lines.js';
import { TRAY } from '../../state/plan.js';
import { Ideas } from './ideas.js';

/** The field of Gather: ideas come in at the speed of typing, one inside the other where one wants. */
export class IdeaField extends Ideas {
    drawInside() {
        // An idea that has been sent somewhere, or let go, takes no more parts here.
        this.parents = this.parents.filter((/** @type {string} */ id) => this.isLoose(id));
        const parent = this.parents.at(-1);
        this.inside.hidden = !parent;
        this.inside.textContent = parent ? `inside “${this.tree.get(parent)?.title ?? ''}”` : '';
    }

    /** @param {Event} event */
    pressedInField(event) {
        const action = actionFor(event, 'gather-field');
        // Where there is nothing to go into or out of, Tab goes on as everywhere.
        if (!action || !this.page.commands.may('gather-field', action)) {
            return;
        }
        event.preventDefault();
        this.page.commands.run('gather-field', action, { event });
    }

    keepTyped() {
        const title = this.input.value.trim();
        if (title) {
            this.keep([{ id: newId(), title }]);
        }
    }

    /** @param {any} topics */
    keep(topics) {
        this.drawInside();
        this.page.catch(topics, this.parents.at(-1) ?? TRAY);
        this.last = topics.filter((/** @type {any} */ topic) => !topic.parent).at(-1).id;
        this.input.value = '';
        this.asking.next();
    }

    /** @param {Event} event */
    pasted(event) {
        const topics = linesIn(event);
        if (topics.length) {
            event.preventDefault();
            this.keep(topics);
        }
    }
}
