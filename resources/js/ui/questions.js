import { byId, firstOf, held } from '../lib/dom.js';
import { byKey } from '../lib/keys.js';
import { QuestionList } from './question-list.js';

/** Questions of a topic in a dialog. */
export class Questions extends QuestionList {
    /** @param {import('../views/page.js').Page} page */
    constructor(page) {
        super(page, byId('questions-list'), {
            says: (text) => (byId('questions-said').textContent = text),
            told: ({ title, asked }) => {
                title && (byId('questions-head').textContent = `Questions about “${title}”`);
                byId('questions-again').hidden = asked === 0;
            },
            empty: () => firstOf(this.dialog, '.dialog-foot button').focus(),
        });
        this.dialog = byId('questions', HTMLDialogElement);
        this.list.addEventListener('keydown', (event) => this.pressed(event));
        byId('questions-again').addEventListener('click', () => this.askAgain());
    }

    /** @param {string | null} topic null: what is to be written next */
    async open(topic) {
        this.page.commit();
        this.list.replaceChildren();
        byId('questions-head').textContent = 'Questions';
        byId('questions-said').textContent = '';
        byId('questions-again').hidden = true;
        this.dialog.showModal();
        await this.ask(topic ?? '');
        this.focus();
    }

    /** Arrows go from question to question; a letter takes the one at hand. @param {KeyboardEvent} event */
    pressed(event) {
        const row = held().closest('li');
        const by = byKey(event, { ArrowDown: 1, ArrowUp: -1 });
        if (!row || event.ctrlKey || event.altKey || event.metaKey) {
            return;
        }
        if (by) {
            event.preventDefault();
            const other = by > 0 ? row.nextElementSibling : row.previousElementSibling;
            other?.querySelector('button')?.focus();
            return;
        }
        const button = /** @type {HTMLElement | null} */ (row.querySelector(`[data-key="${CSS.escape(event.key)}"]`));
        if (button) {
            event.preventDefault();
            button.click();
        }
    }
}
