import { byId, firstOf } from '../../lib/dom.js';
import { send } from '../../lib/http.js';
import { newId } from '../../lib/ids.js';
import { element } from '../../ui/element.js';
import { numberAt } from '../outline/landing.js';
import { Places } from './places.js';
import { ROOT, TRAY } from '../../state/plan.js';
import { NumberEntry } from './number-entry.js';

/** Sends the marked ideas where they belong; the next one is marked at once. */
export class Sorting extends NumberEntry {
    /** @param {import('./gather.js').Gather} gather */
    constructor(gather) {
        super();
        this.gather = gather;
        this.page = gather.page;
        this.places = new Places(this);
        /** The digits of a number that Enter will end; null: none is written. */
        this.entry = /** @type {string | null} */ (null);
    }

    get tree() {
        return this.page.tree;
    }

    /** What is marked, in the order in which the ideas came, without what is inside another of them. */
    heads() {
        const marked = this.gather.marked.size ? this.gather.marked : new Set(this.gather.ids.slice(0, 1));
        return this.tree.heads(
            this.tree
                .rows(new Set(), TRAY)
                .map((row) => row.id)
                .filter((id) => marked.has(id)),
        );
    }

    /** Does something with what is to be sent, if there is anything. @param {(...given: any[]) => unknown} act */
    withHeads(act) {
        const ids = this.heads();
        if (ids.length) {
            act(ids);
        }
    }

    /**
     * Sends what is marked by an operation, and marks the next idea at once.
     * @param {import('../../state/topics.js').Operation} operation
     * @param {string} said
     */
    dispatch(operation, said, step = newId()) {
        const gone = new Set(this.heads().flatMap((id) => this.tree.branch(id)));
        const at = Math.max(...[...gone].map((id) => this.gather.ids.indexOf(id)));
        const next =
            this.gather.ids.slice(at + 1).find((id) => !gone.has(id)) ??
            this.gather.ids
                .slice(0, at)
                .reverse()
                .find((id) => !gone.has(id));
        this.places.parent = ROOT;
        this.gather.marked.clear();
        this.page.perform(operation, step);
        this.page.tell(said);
        if (next) {
            this.gather.mark(next);
        } else {
            this.gather.toField();
        }
    }

    /** @param {string} id */
    toSection(id) {
        const { label, title } = this.tree.get(id);
        this.move(this.tree.lastPlace(id), `Sent to ${label} ${title}`);
    }

    /** @param {any} at @param {string} said */
    move(at, said) {
        this.withHeads((ids) => this.dispatch({ type: 'move', ids, at }, said));
    }

    /** @param {string} id */
    choosePlace(id) {
        this.withHeads(() => {
            this.places.enter(id);
            this.gather.list.focus({ preventScroll: true });
            this.tellPlace();
        });
    }

    /** @param {number} by */
    choose(by) {
        this.places.moveGap(by);
        this.tellPlace();
    }

    /** Which number the idea would get at the place that is shown. */
    async tellPlace() {
        const place = this.places.place();
        this.places.number = '';
        clearTimeout(this.asking);
        this.asking = setTimeout(async () => {
            const number = await numberAt(this.page, place, this.heads()[0]);
            if (JSON.stringify(place) === JSON.stringify(this.places.place())) {
                this.places.number = number;
                this.places.draw();
                this.page.tell(number ? `Here: ${number}` : 'Here');
            }
        }, 120);
    }

    leavePlaces() {
        this.places.leave();
        this.gather.list.focus({ preventScroll: true });
    }

    putHere() {
        this.move(this.places.place(), 'Put there');
    }

    toNewSection() {
        this.move(this.tree.lastPlace(ROOT), 'A new section at the end of the plan');
    }

    /** It stays marked, so that a number can send it on as a quote. */
    toQuote() {
        this.withHeads((ids) => {
            const isQuote = ids.every((/** @type {string} */ id) => this.tree.get(id).kind === 'quote');
            this.page.perform({ type: 'kind', ids, value: isQuote ? 'section' : 'quote' });
            this.page.tell(isQuote ? 'Not a quote any more' : 'Marked as a quote');
        });
    }

    /** Kept at once by its title; what else the line tells is read out of it after that, in the same step. */
    toSource() {
        this.withHeads((ids) => {
            const step = newId();
            const sources = ids.map((/** @type {string} */ id) => ({ id: newId(), title: this.tree.get(id).title }));
            this.gather.sources.push(...sources);
            this.gather.drawSources();
            // What was inside an idea stays with the loose ideas.
            this.dispatch(
                {
                    type: 'compound',
                    operations: [
                        { type: 'source', sources },
                        { type: 'dissolve', ids },
                    ],
                },
                'Kept as a source',
                step,
            );
            sources.forEach((/** @type {any} */ source) => this.readFields(source, step));
        });
    }

    /** @param {any} source @param {any} step */
    async readFields(source, step) {
        const typed = await send('POST', `${this.page.address}/source-list/typed`, { line: source.title }).catch(() => null);
        if (typed && typed.source.title !== source.title && this.gather.sources.includes(source)) {
            source.title = typed.source.title;
            this.page.perform({ type: 'edit-source', source: { ...typed.source, id: source.id } }, step);
        }
    }

    letGo() {
        this.withHeads((ids) => {
            this.dispatch({ type: 'remove', ids }, 'Let go');
            this.page.say(ids.length === 1 ? 'Let one idea go.' : `Let ${ids.length} ideas go.`, {
                label: 'Undo',
                act: () => this.page.undo(),
            });
        });
    }

    showSources() {
        const dialog = byId('sources', HTMLDialogElement);
        firstOf(dialog, 'ul').replaceChildren(
            ...this.gather.sources.map((source) =>
                element(
                    'li',
                    {},
                    element('span', {}, source.title),
                    element(
                        'button',
                        {
                            type: 'button',
                            class: 'plain',
                            'aria-label': `Back to the loose ideas: ${source.title}`,
                            onclick: () => {
                                this.page.perform({
                                    type: 'compound',
                                    operations: [
                                        { type: 'unsource', ids: [source.id] },
                                        { type: 'add', at: this.tree.lastPlace(TRAY), topics: [{ id: newId(), title: source.title }] },
                                    ],
                                });
                                this.gather.sources = this.gather.sources.filter((one) => one !== source);
                                this.gather.drawSources();
                                this.places.draw();
                                this.gather.sources.length ? this.showSources() : dialog.close();
                            },
                        },
                        'Back to the ideas',
                    ),
                ),
            ),
        );
        if (!dialog.open) {
            dialog.showModal();
        }
    }
}
