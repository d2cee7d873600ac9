import { byId, fieldsOf, firstOf, whenClosed } from '../lib/dom.js';
import { newId } from '../lib/ids.js';
import { colour, element } from './element.js';
import { words } from '../lib/vocabulary.js';
import { named } from '../state/topics.js';

/** Relations between topics: made, named and drawn as a person wants, and listed on both topics. */
export class Relations {
    /** @param {import('../views/page.js').Page} page */
    constructor(page) {
        this.page = page;
        this.dialog = byId('relation', HTMLDialogElement);
        this.form = firstOf(this.dialog, 'form', HTMLFormElement);
        this.fields = fieldsOf(this.form);
        this.form.addEventListener('submit', (event) => {
            event.preventDefault();
            this.save();
        });
        byId('remove-relation').addEventListener('click', () => {
            this.dialog.close();
            this.page.perform({ type: 'unrelate', ids: [this.id] });
        });
        byId('straighten-relation').addEventListener('click', () => {
            this.dialog.close();
            this.page.perform({ type: 'relation', relation: this.id, set: { bend: null } });
        });
        whenClosed(this.dialog, () => this.page.outline.box.focus({ preventScroll: true }));
    }

    get tree() {
        return this.page.tree;
    }

    /** @param {string} id */
    name(id) {
        const topic = this.tree.get(id);
        return topic ? named(topic) : 'a removed topic';
    }

    /** Those of a topic that lead to topics which stand in the plan, as seen from it. @param {string} id */
    of(id) {
        return [...this.tree.relations.values()]
            .filter(({ from, to }) => (from === id || to === id) && this.tree.stands(from) && this.tree.stands(to))
            .map((relation) => ({ relation, other: relation.from === id ? relation.to : relation.from }));
    }

    /** Asks for the other topic by number or letters, then how the relation is called. @param {string} id */
    relate(id) {
        const { choosing } = this.page;
        const find = choosing.finder((other) => other === id);
        choosing.choose(`Relate ${this.name(id)} to`, 'Number, or some letters of a title', (/** @type {any} */ wanted) =>
            find(wanted).map((one) => [
                {
                    name: one.name,
                    act: () => {
                        choosing.close();
                        this.add(id, one.id);
                    },
                },
            ]),
        );
    }

    /** @param {any} from @param {any} to */
    add(from, to) {
        const id = newId();
        this.page.perform({ type: 'relate', relations: [{ id, from, to, label: '', dye: null, arrows: 'end', bend: null }] });
        this.edit(id);
    }

    /** @param {string} id */
    edit(id) {
        const relation = this.tree.relations.get(id);
        if (!relation) {
            return;
        }
        this.id = id;
        this.dye = relation.dye;
        firstOf(this.dialog, 'p').textContent = `${this.name(relation.from)} → ${this.name(relation.to)}`;
        this.fields.label.value = relation.label;
        this.fields.arrows.replaceChildren(
            ...Object.entries(words().arrows).map(([value, name]) =>
                element('option', { value, selected: value === relation.arrows }, name),
            ),
        );
        byId('straighten-relation').hidden = relation.bend === null;
        this.drawDyes();
        this.dialog.showModal();
        this.fields.label.focus();
    }

    drawDyes() {
        const box = firstOf(this.dialog, '.swatches');
        box.replaceChildren(
            element('legend', { class: 'legend' }, 'Dye'),
            ...words().dyes.map((/** @type {string} */ dye) =>
                element('button', {
                    type: 'button',
                    class: 'swatch',
                    '--d': colour(dye),
                    'aria-pressed': String(this.dye === dye),
                    'aria-label': dye,
                    title: dye,
                    onclick: () => this.choose(dye),
                }),
            ),
            element(
                'button',
                { type: 'button', class: 'plain', 'aria-pressed': String(this.dye === null), onclick: () => this.choose(null) },
                'ink',
            ),
        );
    }

    /** @param {string | null} dye */
    choose(dye) {
        this.dye = dye;
        this.drawDyes();
    }

    save() {
        /** @type {Record<string, any> | undefined} */
        const was = this.tree.relations.get(this.id ?? '');
        const given = { label: this.fields.label.value.trim(), arrows: this.fields.arrows.value, dye: this.dye };
        const set = Object.fromEntries(Object.entries(given).filter(([name, value]) => was?.[name] !== value));
        this.dialog.close();
        if (was && Object.keys(set).length) {
            this.page.perform({ type: 'relation', relation: this.id, set });
        }
    }
}
