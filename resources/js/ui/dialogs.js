import { element } from './element.js';
import { newId } from '../lib/ids.js';
import { send } from '../lib/http.js';
import { ROOT, TRAY } from '../state/plan.js';

/** The plan's properties, the loose ideas, moving to a place, and questions. */
export class Dialogs {
    constructor(page) {
        this.page = page;
        this.properties = document.getElementById('properties');
        this.choosing = document.getElementById('choosing');
        this.version = document.getElementById('keep-version');
        this.version.querySelector('form').addEventListener('submit', (event) => { event.preventDefault(); this.saveVersion(); });
        this.properties.querySelector('form').addEventListener('submit', (event) => this.saveProperties(event));
        document.getElementById('share-out').addEventListener('click', () => this.shareOut());
        for (const closer of document.querySelectorAll('dialog [data-close]')) {
            closer.addEventListener('click', () => closer.closest('dialog').close());
        }
    }

    openProperties() {
        const { elements } = this.properties.querySelector('form');
        const values = { ...this.page.tree.properties, title: this.page.tree.title };
        for (const [name, value] of Object.entries(values)) {
            if (elements[name]?.type === 'checkbox') {
                elements[name].checked = value;
            } else if (elements[name]) {
                if (elements[name].tagName === 'SELECT' && ![...elements[name].options].some((option) => option.value === String(value))) {
                    elements[name].add(new Option(value, value));
                }
                elements[name].value = value ?? '';
            }
        }
        this.properties.querySelector('.error').textContent = '';
        this.properties.showModal();
    }

    /** Keeps the plan as it is now under a name. */
    keepVersion() {
        this.version.querySelector('form').reset();
        this.version.querySelector('.error').textContent = '';
        this.version.showModal();
    }

    async saveVersion() {
        const { page } = this;
        const form = this.version.querySelector('form');
        page.note.commit();
        await page.queue.flush();
        if (!page.queue.isEmpty) {
            this.version.querySelector('.error').textContent = 'Not connected: the version can be kept once the changes here are saved.';
            return;
        }
        try {
            const { said } = await send('POST', new URL(form.action).pathname, { name: form.elements.name.value });
            this.version.close();
            page.say(said);
        } catch (error) {
            this.version.querySelector('.error').textContent = error.message;
        }
    }

    given() {
        const { elements } = this.properties.querySelector('form');
        const given = {};
        for (const [name, was] of Object.entries(this.page.tree.properties)) {
            const field = elements[name];
            const value = field.type === 'checkbox' ? field.checked : ['target', 'numbering_depth'].includes(name) ? (field.value === '' ? null : Math.round(Number(field.value))) : name === 'due' ? field.value || null : field.value.trim();
            if (value !== was) {
                given[name] = value;
            }
        }
        return given;
    }

    saveProperties(event) {
        event.preventDefault();
        const title = this.properties.querySelector('form').elements.title.value.trim();
        if (!title) {
            this.properties.querySelector('.error').textContent = 'A plan needs a title.';
            return;
        }
        const given = this.given();
        if (title !== this.page.tree.title) {
            this.page.retitlePlan(title);
        }
        if (Object.keys(given).length) {
            Object.assign(this.page.tree.properties, given);
            this.page.setPlan(given);
        }
        this.properties.close();
    }

    /** Shares the plan's target out among the main sections that have none. */
    async shareOut() {
        const { page } = this;
        const given = this.given();
        if (Object.keys(given).length) {
            Object.assign(page.tree.properties, given);
            page.setPlan(given);
        }
        await page.queue.flush();
        const { shares } = await send('GET', `${page.address}/shares`);
        const operations = Object.entries(shares).map(([id, value]) => ({ type: 'target', ids: [id], value }));
        const error = this.properties.querySelector('.error');
        if (!operations.length) {
            error.textContent = page.tree.properties.target ? 'Every main section has a target already, or too few words are left to share.' : 'Set a target for the whole plan first.';
            return;
        }
        page.perform({ type: 'compound', operations });
        this.properties.close();
        page.say(`Shared out among ${operations.length} sections.`, { label: 'Undo', act: () => page.undo() });
    }

    /** Asks for a number or some letters of a title, and moves into that topic, before it or after it. */
    moveTo(heads) {
        const { page } = this;
        const { tree, outline } = page;
        const find = this.finder((id) => heads.some((head) => tree.isWithin(id, head)));
        const move = (place) => {
            this.choosing.close();
            outline.unfold(place.parent);
            outline.move(heads, place);
            outline.show(heads[0]);
            outline.box.focus({ preventScroll: true });
        };
        const before = ({ id }) => tree.placeOf(id);
        const after = ({ id }) => ({ parent: tree.get(id).parent, after: id });
        this.choose('Move to', 'Number, or some letters of a title', (wanted) => {
            return [
                ...find(wanted).map((one) => [{ name: `Into ${one.name}`, act: () => move(tree.lastPlace(one.id)) }, { name: 'Before', label: `Before ${one.name}`, act: () => move(before(one)) }, { name: 'After', label: `After ${one.name}`, act: () => move(after(one)) }]),
                ...(wanted === '' || 'the end of the plan'.includes(wanted) ? [[{ name: 'To the end of the plan', act: () => move(tree.lastPlace(ROOT)) }]] : []),
                ...(wanted === '' || 'loose ideas'.includes(wanted) ? [[{ name: 'To the loose ideas', act: () => move(tree.lastPlace(TRAY)) }]] : []),
            ];
        });
    }

    /**
     * A list that letters narrow and that has to be asked for: one can type at once, and it comes in
     * meanwhile. `rows` gives the rows of buttons that have the letters.
     */
    async chooseOf(title, label, ask, rows, { waiting, none }) {
        let all = null;
        let failure = null;
        const draw = this.choose(title, label, (wanted) => rows(all ?? [], wanted), () => failure ?? (all === null ? waiting : none));
        all = await ask().catch((error) => {
            failure = error.message;
            return null;
        });
        draw();
    }

    /** Asks for another plan. `offers` gives the buttons of one. */
    async choosePlan(title, offers) {
        const ask = async () => (await send('GET', '/plan-names')).plans.filter((plan) => plan.id !== this.page.data.plan);
        const rows = (plans, wanted) => plans.filter((plan) => plan.title.toLowerCase().includes(wanted)).slice(0, 8).map(offers);
        await this.chooseOf(title, 'Some letters of its title', ask, rows, { waiting: 'Looking for your plans…', none: 'There is no other plan.' });
    }

    /** Takes branches to another plan, or copies of them. */
    async toAnotherPlan(heads) {
        const { page } = this;
        const take = async (plan, move) => {
            this.choosing.close();
            await page.queue.flush();
            const answer = await send('POST', `/plans/${plan.id}/copies`, { id: newId(), base: 0, from: page.data.plan, topics: heads, parent: ROOT, last: true, move }).catch((error) => page.say(error.message));
            if (answer) {
                await page.ask();
                page.say(`${move ? 'Moved' : 'Copied'} to “${plan.title}”, at its end.`);
            }
        };
        await this.choosePlan('To another plan', (plan) => [
            { name: `Copy to ${plan.title || 'Untitled'}`, act: () => take(plan, false) },
            { name: 'Move', label: `Move to ${plan.title || 'Untitled'}`, act: () => take(plan, true) },
        ]);
    }

    /** Brings another plan in as a branch, with its notes. */
    async bringIn() {
        const { page } = this;
        const { outline } = page;
        const bring = (plan) => {
            this.choosing.close();
            outline.clipboard.fromPlan(plan.id, [], page.tree.lastPlace(outline.state.isAlone ? outline.start : ROOT));
        };
        await this.choosePlan('Bring in a plan', (plan) => [{ name: plan.title || 'Untitled', act: () => bring(plan) }]);
    }

    /** Finds topics of the tree by number or some letters of the title; those that are meant most surely come first. */
    finder(isOut = () => false) {
        const { tree } = this.page;
        const named = tree.rows(new Set()).filter(({ id }) => !isOut(id)).map(({ id }) => {
            const { label, title } = tree.get(id);
            return { id, label: label.toLowerCase(), name: `${label} ${title || 'Untitled'}`.trim() };
        });
        const rank = ({ label, name }, wanted) => (wanted === '' ? 2 : label === wanted || label === `${wanted}.` ? 0 : name.toLowerCase().startsWith(wanted) ? 1 : 2);
        return (wanted) => named.filter(({ name }) => name.toLowerCase().includes(wanted)).sort((one, other) => rank(one, wanted) - rank(other, wanted)).slice(0, 8);
    }

    /** A list that letters narrow: Enter takes the first, arrows go through it. `found` gives rows of buttons. Returns how to look again. */
    choose(title, label, found, nothing = () => 'Nothing has these letters or this number.') {
        const dialog = this.choosing;
        const field = dialog.querySelector('input');
        const list = dialog.querySelector('ul');
        dialog.querySelector('h2').textContent = title;
        dialog.querySelector('label span').textContent = label;
        const button = ({ name, label: said, act }) => element('button', { type: 'button', class: 'plain', 'aria-label': said, onclick: act }, name);
        const draw = () => {
            const rows = found(field.value.trim().toLowerCase());
            list.replaceChildren(...(rows.length ? rows.map((row) => element('li', {}, ...row.map(button))) : [element('li', { class: 'hint' }, nothing())]));
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

    /** A question with two answers. */
    confirm(title, text, yes) {
        const dialog = document.getElementById('question');
        dialog.querySelector('h2').textContent = title;
        dialog.querySelector('p').textContent = text;
        const button = dialog.querySelector('.primary');
        button.textContent = yes;
        return new Promise((resolve) => {
            button.onclick = () => dialog.close('yes');
            dialog.onclose = () => { resolve(dialog.returnValue === 'yes'); dialog.returnValue = ''; };
            dialog.showModal();
            button.focus();
        });
    }
}
