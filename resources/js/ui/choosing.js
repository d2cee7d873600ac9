import { send } from '../lib/http.js';
import { element } from './element.js';

/** A list that letters narrow, for topics, plans and sources: Enter takes the first, arrows go through it. */
export class Choosing {
    /** @param {import('../sync/session.js').Session} session */
    constructor(session) {
        this.session = session;
        this.dialog = document.getElementById('choosing');
    }

    close() {
        this.dialog.close();
    }

    /**
     * A list that letters narrow and that has to be asked for: one can type at once, and it comes in
     * meanwhile. `rows` gives the rows of buttons that have the letters.
     */
    async chooseOf(title, label, ask, rows, { waiting, none }) {
        let all = null;
        let failure = null;
        const draw = this.choose(
            title,
            label,
            (wanted) => rows(all ?? [], wanted),
            () => failure ?? (all === null ? waiting : none),
        );
        all = await ask().catch((error) => {
            failure = error.message;
            return null;
        });
        draw();
    }

    /** Asks for another plan. `offers` gives the buttons of one. */
    async choosePlan(title, offers) {
        const ask = async () => (await send('GET', '/plan-names')).plans.filter((plan) => plan.id !== this.session.data.plan);
        const rows = (plans, wanted) =>
            plans
                .filter((plan) => plan.title.toLowerCase().includes(wanted))
                .slice(0, 8)
                .map(offers);
        await this.chooseOf(title, 'Some letters of its title', ask, rows, {
            waiting: 'Looking for your plans…',
            none: 'There is no other plan.',
        });
    }

    /** Finds topics of the tree by number or some letters of the title; those that are meant most surely come first. */
    finder(isOut = () => false) {
        const { tree } = this.session;
        const named = tree
            .rows(new Set())
            .filter(({ id }) => !isOut(id))
            .map(({ id }) => {
                const { label, title } = tree.get(id);
                return { id, label: label.toLowerCase(), name: `${label} ${title || 'Untitled'}`.trim() };
            });
        const rank = ({ label, name }, wanted) =>
            wanted === '' ? 2 : label === wanted || label === `${wanted}.` ? 0 : name.toLowerCase().startsWith(wanted) ? 1 : 2;
        return (wanted) =>
            named
                .filter(({ name }) => name.toLowerCase().includes(wanted))
                .sort((one, other) => rank(one, wanted) - rank(other, wanted))
                .slice(0, 8);
    }

    /**
     * A list that letters narrow: Enter takes the first, arrows go through it. `found` gives rows of buttons.
     * Returns how to look again.
     */
    choose(title, label, found, nothing = () => 'Nothing has these letters or this number.') {
        const { dialog } = this;
        const field = dialog.querySelector('input');
        const list = dialog.querySelector('ul');
        dialog.querySelector('h2').textContent = title;
        dialog.querySelector('label span').textContent = label;
        const button = ({ name, label: said, act }) =>
            element('button', { type: 'button', class: 'plain', 'aria-label': said, onclick: act }, name);
        const draw = () => {
            const rows = found(field.value.trim().toLowerCase());
            list.replaceChildren(
                ...(rows.length ? rows.map((row) => element('li', {}, ...row.map(button))) : [element('li', { class: 'hint' }, nothing())]),
            );
        };
        field.value = '';
        field.oninput = draw;
        dialog.onkeydown = (event) => {
            const buttons = [...list.querySelectorAll('button')];
            const at = buttons.indexOf(document.activeElement);
            const by = { ArrowDown: 1, ArrowUp: -1 }[event.key];
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
