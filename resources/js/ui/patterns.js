import { byId, fieldsOf, firstOf } from '../lib/dom.js';
import { reason, send } from '../lib/http.js';
import { newId } from '../lib/ids.js';
import { ROOT } from '../state/plan.js';
import { element } from './element.js';
import { say } from './toast.js';

/** Patterns: the plan or a branch kept as one, and one set below a topic. */
export class Patterns {
    /** @param {import('../views/page.js').Page} page */
    constructor(page) {
        this.page = page;
        this.of = ROOT;
        this.keeping = byId('keep-pattern', HTMLDialogElement);
        this.setting = byId('set-pattern', HTMLDialogElement);
        this.choices = byId('pattern-choices');
        for (const [dialog, act] of /** @type {[HTMLDialogElement, () => unknown][]} */ ([
            [this.keeping, () => this.keepIt()],
            [this.setting, () => this.setIt()],
        ])) {
            firstOf(dialog, 'form').addEventListener('submit', (event) => {
                event.preventDefault();
                act();
            });
        }
    }

    /** @param {string} id */
    name(id) {
        return id === ROOT ? this.page.tree.title : this.page.tree.get(id).title || 'Untitled';
    }

    /** @param {HTMLDialogElement} dialog @param {string} [says] */
    fail(dialog, says = '') {
        firstOf(dialog, '.error').textContent = says;
    }

    /** Whether all that was done here is with the server. @param {HTMLDialogElement} dialog */
    async isSaved(dialog) {
        const { page } = this;
        page.commit();
        await page.queue.flush();
        page.queue.isEmpty || this.fail(dialog, 'Not connected: this can be done once the changes here are saved.');
        return page.queue.isEmpty;
    }

    // ---- Keeping one

    /** @param {string} id the root: the whole plan */
    keep(id) {
        this.of = id;
        const form = firstOf(this.keeping, 'form', HTMLFormElement);
        form.reset();
        fieldsOf(form).name.value = this.name(id).slice(0, 120);
        this.fail(this.keeping);
        byId('keep-pattern-says').textContent =
            id === ROOT
                ? 'The topics of this plan, to start others from. Sources, pictures, flags, work and loose ideas stay here.'
                : `The parts of “${this.name(id)}”, to start from or set below topics. Sources, pictures, flags, work stay here.`;
        this.keeping.showModal();
    }

    async keepIt() {
        if (!(await this.isSaved(this.keeping))) {
            return;
        }
        const { name, notes, targets } = fieldsOf(firstOf(this.keeping, 'form', HTMLFormElement));
        const given = { name: name.value, from: this.of === ROOT ? null : this.of, notes: notes.checked, targets: targets.checked };
        try {
            const kept = await send('POST', `${this.page.address}/pattern`, given);
            this.keeping.close();
            say(`“${kept.name}” is kept as a pattern. It is there where a plan is started.`);
        } catch (error) {
            this.fail(this.keeping, reason(error));
        }
    }

    // ---- Setting one

    /** @param {string} id the root: at the end of the plan */
    async set(id) {
        this.of = id;
        this.fail(this.setting);
        byId('set-pattern-head').textContent =
            id === ROOT ? 'Set a pattern at the end of the plan' : `Set a pattern below “${this.name(id)}”`;
        const legend = element('legend', { class: 'visually-hidden' }, 'Pattern');
        this.choices.replaceChildren(legend);
        this.setting.showModal();
        const answer = await send('GET', '/patterns').catch((error) => this.fail(this.setting, reason(error)));
        // PHP has made it, and escaped what people wrote.
        answer && legend.insertAdjacentHTML('afterend', answer.choices);
        /** @type {HTMLElement | null} */ (this.choices.querySelector('input'))?.focus();
    }

    async setIt() {
        const chosen = /** @type {HTMLInputElement | null} */ (this.choices.querySelector('input:checked'));
        if (!chosen || !(await this.isSaved(this.setting))) {
            return;
        }
        const answer = await this.page.sent('patterns', { id: newId(), pattern: chosen.value, under: this.of });
        if (answer) {
            this.setting.close();
            this.page.outline.unfold(this.of);
            this.page.goTo(answer.first);
        }
    }
}
