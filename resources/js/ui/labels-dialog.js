import { byId } from '../lib/dom.js';
import { counted } from '../lib/counted.js';
import { words } from '../lib/vocabulary.js';
import { labelsOf, sameLabel } from '../state/labels.js';
import { colour, element } from './element.js';
import { confirm } from './confirm.js';
import { say } from './toast.js';

/** The list of a plan's labels: how each is called and dyed, on how many topics it is; two are made one by calling them alike. */
export class LabelsDialog {
    /**
     * @param {import('../sync/session.js').Session} session
     * @param {(label: string) => void} showOnly
     */
    constructor(session, showOnly) {
        this.session = session;
        this.showOnly = showOnly;
        this.dialog = byId('labels', HTMLDialogElement);
        this.list = byId('labels-list');
        this.hint = byId('labels-hint');
        this.alike = byId('labels-alike');
    }

    open() {
        this.draw();
        this.dialog.showModal();
    }

    /** The plan is another one by now. */
    told() {
        this.dialog.open && !this.list.contains(document.activeElement) && this.draw();
    }

    draw() {
        const { tree } = this.session;
        const labels = labelsOf(tree);
        this.hint.hidden = labels.size > 0;
        this.alike.hidden = labels.size < 2;
        this.list.replaceChildren(...[...labels].map(([name, dye]) => this.entry(name, dye)));
    }

    /** @param {string} name @param {string} dye */
    entry(name, dye) {
        const uses = [...this.session.tree.topics.values()].filter((topic) => topic.labels.includes(name)).length;
        const field = element('input', {
            value: name,
            maxlength: words().limits.label,
            'aria-label': `Name of the label ${name}`,
            onchange: () => this.rename(name, field.value),
        });
        const dyes = element(
            'select',
            {
                'aria-label': `Dye of ${name}`,
                onchange: () => this.change({ type: 'change-label', label: name, name, dye: dyes.value }),
            },
            ...[...new Set([...words().dyes, dye])].map((one) => element('option', { value: one, selected: one === dye }, one)),
        );
        return element(
            'li',
            { '--d': colour(dye) },
            element('span', { class: 'dot', 'aria-hidden': 'true' }),
            field,
            dyes,
            element(
                'button',
                {
                    type: 'button',
                    class: 'link',
                    disabled: uses === 0 || null,
                    'aria-label': `Show only what is labelled ${name}: ${counted(uses, 'topic')}`,
                    onclick: () => {
                        this.dialog.close();
                        this.showOnly(name);
                    },
                },
                counted(uses, 'topic'),
            ),
            element(
                'button',
                { type: 'button', class: 'link', 'aria-label': `Take away the label ${name}`, onclick: () => this.takeAway(name, uses) },
                'Take away',
            ),
        );
    }

    /** @param {Record<string, any> & {type: string}} operation */
    change(operation) {
        this.session.perform(operation);
        this.draw();
    }

    /** @param {string} label @param {string} typed */
    rename(label, typed) {
        const name = typed.trim();
        if (!name || name === label || name.includes(',')) {
            name.includes(',') && say('A label has no comma: it divides labels.');
            this.draw();
            return;
        }
        const other = [...labelsOf(this.session.tree).keys()].find((one) => sameLabel(one) === sameLabel(name) && one !== label);
        this.change({ type: 'change-label', label, name: other ?? name });
        if (other) {
            say(`“${label}” and “${other}” are one label now. Undo makes them two again.`);
        }
    }

    /** @param {string} label @param {number} uses */
    async takeAway(label, uses) {
        const isMeant =
            uses === 0 ||
            (await confirm(`Take “${label}” away?`, `It is taken off ${counted(uses, 'topic')}. Undo brings it back.`, 'Take away'));
        if (isMeant) {
            this.change({ type: 'change-label', label, name: null });
        }
    }
}
