import { element } from './element.js';
import { newId } from '../ids.js';
import { send } from '../http.js';
import { ROOT, TRAY } from './tree.js';

/** The plan's properties, the loose ideas, moving to a place, and questions. */
export class Dialogs {
    constructor(outline) {
        this.outline = outline;
        this.properties = document.getElementById('properties');
        document.getElementById('title').addEventListener('click', () => this.openProperties());
        document.getElementById('settings').addEventListener('click', () => this.openProperties());
        this.properties.querySelector('form').addEventListener('submit', (event) => this.saveProperties(event));
        document.getElementById('share-out').addEventListener('click', () => this.shareOut());
        document.getElementById('loose').addEventListener('click', () => this.openLoose());
        document.getElementById('show-keys').addEventListener('click', () => document.getElementById('keys').showModal());
        for (const closer of document.querySelectorAll('dialog [data-close]')) {
            closer.addEventListener('click', () => closer.closest('dialog').close());
        }
    }

    openProperties() {
        const { elements } = this.properties.querySelector('form');
        const values = { ...this.outline.tree.properties, title: this.outline.tree.title };
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

    given() {
        const { elements } = this.properties.querySelector('form');
        const given = {};
        for (const [name, was] of Object.entries(this.outline.tree.properties)) {
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
        if (title !== this.outline.tree.title) {
            this.outline.retitlePlan(title);
        }
        if (Object.keys(given).length) {
            Object.assign(this.outline.tree.properties, given);
            this.outline.setPlan(given);
        }
        this.properties.close();
    }

    /** Shares the plan's target out among the main sections that have none. */
    async shareOut() {
        const { outline } = this;
        const given = this.given();
        if (Object.keys(given).length) {
            Object.assign(outline.tree.properties, given);
            outline.setPlan(given);
        }
        await outline.queue.flush();
        const { shares } = await send('GET', `${outline.address}/shares`);
        const operations = Object.entries(shares).map(([id, value]) => ({ type: 'target', ids: [id], value }));
        const error = this.properties.querySelector('.error');
        if (!operations.length) {
            error.textContent = outline.tree.properties.target ? 'Every main section has a target already, or too few words are left to share.' : 'Set a target for the whole plan first.';
            return;
        }
        outline.perform({ type: 'compound', operations });
        this.properties.close();
        outline.say(`Shared out among ${operations.length} sections.`, { label: 'Undo', act: () => outline.undo() });
    }

    openLoose() {
        const dialog = document.getElementById('loose-ideas');
        this.drawLoose(dialog);
        dialog.showModal();
    }

    drawLoose(dialog) {
        const { outline } = this;
        const ids = outline.tree.partsOf(TRAY);
        dialog.querySelector('.loose-list').replaceChildren(...ids.map((id) => element('li', {},
            element('span', {}, outline.tree.get(id).title || 'Untitled'),
            element('span', { class: 'card-acts' },
                element('button', { type: 'button', class: 'plain', onclick: () => { outline.perform({ type: 'move', ids: [id], at: outline.tree.lastPlace(outline.start) }); this.drawLoose(dialog); } }, 'Put into the tree'),
                element('button', { type: 'button', class: 'plain danger', 'aria-label': `Remove ${outline.tree.get(id).title}`, onclick: () => { outline.perform({ type: 'remove', ids: [id] }); this.drawLoose(dialog); } }, 'Remove')))));
        dialog.querySelector('.no-loose').hidden = ids.length > 0;
    }

    /** Asks for a number or some letters of a title, and moves there. */
    moveTo(ids) {
        const { outline } = this;
        const dialog = document.getElementById('move-to');
        const field = dialog.querySelector('input');
        const list = dialog.querySelector('ul');
        const heads = outline.marking.heads(ids);
        const places = outline.tree.rows(new Set()).map((row) => row.id).filter((id) => !heads.some((head) => outline.tree.isWithin(id, head)));
        const go = (id) => {
            dialog.close();
            outline.folds.delete(id);
            outline.move(heads, outline.tree.lastPlace(id), newId());
            outline.show(heads[0]);
        };
        const draw = () => {
            const wanted = field.value.trim().toLowerCase();
            const found = [{ id: ROOT, name: 'The end of the plan' }, ...places.map((id) => ({ id, name: `${outline.tree.get(id).label} ${outline.tree.get(id).title}`.trim() }))]
                .filter(({ name }) => !wanted || name.toLowerCase().startsWith(wanted) || name.toLowerCase().includes(wanted)).slice(0, 8);
            list.replaceChildren(...found.map(({ id, name }) => element('li', {}, element('button', { type: 'button', class: 'plain', onclick: () => go(id) }, id === ROOT ? name : `Into ${name || 'Untitled'}`))));
        };
        field.value = '';
        field.oninput = draw;
        field.onkeydown = (event) => {
            if (event.key === 'Enter' && !event.isComposing) {
                event.preventDefault();
                list.querySelector('button')?.click();
            } else if (event.key === 'ArrowDown') {
                event.preventDefault();
                list.querySelector('button')?.focus();
            }
        };
        draw();
        dialog.showModal();
        field.focus();
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
