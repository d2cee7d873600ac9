import { byId, firstOf } from '../../lib/dom.js';
import { counted } from '../../lib/counted.js';
import { element } from '../../ui/element.js';

/** How many changes are listed. */
const LISTED = 100;

/** Days that come back from a calendar or a table: what they change is shown first, and done in one step. */
export class BringingBack {
    /** @param {import('../page.js').Page} page @param {() => unknown} done */
    constructor(page, done) {
        this.page = page;
        this.done = done;
        this.dialog = byId('days-back', HTMLDialogElement);
        const file = byId('days-file', HTMLInputElement);
        byId('days-read').addEventListener('click', () => (page.session.rights.isKept() ? null : file.click()));
        file.addEventListener('change', () => {
            const [chosen] = file.files ?? [];
            chosen && this.read(chosen);
            file.value = '';
        });
        firstOf(this.dialog, '[data-do]').addEventListener('click', () => this.take());
    }

    /** @param {File} file */
    async read(file) {
        const body = new FormData();
        body.append('file', file);
        const answer = await this.page.upload('days/read', body);
        if (!answer) {
            return;
        }
        this.operation = answer.operation;
        const { changed, new: fresh, same } = answer;
        byId('days-back-says').textContent = this.operation
            ? [
                  changed.length && `${counted(changed.length, 'topic')} will have other days.`,
                  fresh.length && `${counted(fresh.length, 'entry', 'entries')} that no topic stands for will come to the loose ideas.`,
                  same && `${counted(same, 'entry', 'entries')} as in the plan.`,
              ]
                  .filter(Boolean)
                  .join(' ')
            : 'Nothing in it is other than in the plan.';
        byId('days-back-list').replaceChildren(
            ...changed
                .slice(0, LISTED)
                .map((/** @type {any} */ one) => element('li', {}, element('b', {}, one.title || 'Untitled'), ` ${one.says}`)),
            ...fresh.slice(0, LISTED).map((/** @type {string} */ title) => element('li', {}, element('b', {}, title), ' new')),
        );
        firstOf(this.dialog, '[data-do]').hidden = !this.operation;
        this.dialog.showModal();
    }

    take() {
        this.dialog.close();
        this.operation && this.page.perform(this.operation);
        this.done();
    }
}
