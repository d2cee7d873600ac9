import { byKey } from '../lib/keys.js';
import { byId, firstOf, held } from '../lib/dom.js';
import { send } from '../lib/http.js';
import { element } from './element.js';

/** A list that letters narrow, for topics, plans and sources: Enter takes the first, arrows go through it. */
export class Choosing {
    /** @param {import('../sync/session.js').Session} session */
    constructor(session) {
        this.session = session;
        this.dialog = byId('choosing', HTMLDialogElement);
    }

    close() {
        this.dialog.close();
    }

    /**
     * A list that letters narrow and that has to be asked for: one can type at once, and it comes in
     * meanwhile. `rows` gives the rows of buttons that have the letters.
     * @param {string} title
     * @param {string} label
     * @param {any} ask
     * @param {any} rows
     */
    async chooseOf(title, label, ask, rows, /** @type {{waiting: any, none: any}} */ { waiting, none }) {
        /** @type {any[] | null} */
        let all = null;
        /** @type {string | null} */
        let failure = null;
        const draw = this.choose(
            title,
            label,
            (/** @type {any} */ wanted) => rows(all ?? [], wanted),
            () => failure ?? (all === null ? waiting : none),
        );
        all = await ask().catch((/** @type {any} */ error) => {
            failure = error.message;
            return null;
        });
        draw();
    }

    /** Asks for another plan. `offers` gives the buttons of one. @param {string} title @param {any} offers */
    async choosePlan(title, offers) {
        const ask = async () =>
            (await send('GET', '/plan-names')).plans.filter((/** @type {any} */ plan) => plan.id !== this.session.data.plan);
        const rows = (/** @type {any} */ plans, /** @type {any} */ wanted) =>
            plans
                .filter((/** @type {any} */ plan) => plan.title.toLowerCase().includes(wanted))
                .slice(0, 8)
                .map(offers);
        await this.chooseOf(title, 'Some letters of its title', ask, rows, {
            waiting: 'Looking for your plans…',
            none: 'There is no other plan.',
        });
    }

    /** Finds topics of the tree by number or some letters of the title; those that are meant most surely come first. */
    finder(isOut = /** @type {(id: string) => boolean} */ (() => false)) {
        const { tree } = this.session;
        const named = tree
            .rows(new Set())
            .filter(({ id }) => !isOut(id))
            .map(({ id }) => {
                const { label, title } = tree.get(id);
                return { id, label: label.toLowerCase(), name: `${label} ${title || 'Untitled'}`.trim() };
            });
        const rank = (/** @type {{label: string, name: string}} */ { label, name }, /** @type {any} */ wanted) =>
            wanted === '' ? 2 : label === wanted || label === `${wanted}.` ? 0 : name.toLowerCase().startsWith(wanted) ? 1 : 2;
        return (/** @type {any} */ wanted) =>
            named
                .filter(({ name }) => name.toLowerCase().includes(wanted))
                .sort((one, other) => rank(one, wanted) - rank(other, wanted))
                .slice(0, 8);
    }

    /**
     * A list that letters narrow: Enter takes the first, arrows go through it. `found` gives rows of buttons.
     * Returns how to look again.
     * @param {string} title
     * @param {string} label
     * @param {any} found
     */
    choose(title, label, found, nothing = () => 'Nothing has these letters or this number.') {
        const { dialog } = this;
        const field = firstOf(dialog, 'input', HTMLInputElement);
        const list = firstOf(dialog, 'ul');
        firstOf(dialog, 'h2').textContent = title;
        firstOf(dialog, 'label span').textContent = label;
        const button = (/** @type {{name: string, label: string, act: () => unknown}} */ { name, label: said, act }) =>
            element('button', { type: 'button', class: 'plain', 'aria-label': said, onclick: act }, name);
        const draw = () => {
            const rows = found(field.value.trim().toLowerCase());
            list.replaceChildren(
                ...(rows.length
                    ? rows.map((/** @type {any} */ row) => element('li', {}, ...row.map(button)))
                    : [element('li', { class: 'hint' }, nothing())]),
            );
        };
        field.value = '';
        field.oninput = draw;
        dialog.onkeydown = (event) => {
            const buttons = [...list.querySelectorAll('button')];
            const at = buttons.indexOf(/** @type {HTMLButtonElement} */ (held()));
            const by = byKey(event, { ArrowDown: 1, ArrowUp: -1 });
            if (event.key === 'Enter' && event.target === field && !event.isComposing) {
                event.preventDefault();
                buttons[0]?.click();
            } else if (by) {
                event.preventDefault();
                (buttons[at + by] ?? field).focus();
            }
        };
        draw();
        dialog.showModal();
        field.focus();
        return draw;
    }
}
