import { byId, firstOf } from '../lib/dom.js';
import { words } from '../lib/vocabulary.js';
import { store } from '../lib/stored.js';
import { newId } from '../lib/ids.js';
import { element } from './element.js';
import { ROOT, TRAY } from '../state/plan.js';

/**
 * Changes that could not be made any more, because their topic had gone or had changed: each is
 * shown with what it held and can be put elsewhere. They stay here until the person has decided.
 */
export class Refusals {
    /** @param {import('../views/page.js').Page} page */
    constructor(page) {
        this.page = page;
        this.key = `embrel.${page.data.user}.${page.data.plan}:refused`;
        this.dialog = byId('refusals', HTMLDialogElement);
        this.list = firstOf(this.dialog, 'ul');
        this.open = byId('open-refusals');
        this.open.addEventListener('click', () => this.dialog.showModal());
        this.kept = JSON.parse(localStorage.getItem(this.key) ?? '[]');
        this.draw();
    }

    /** @param {any} refused */
    take(refused) {
        if (refused.length) {
            const made = new Map();
            for (const { message, change } of refused) {
                if (!joins(change, made)) {
                    const topics = topicsIn(change);
                    topics.forEach((/** @type {any} */ topic) => made.set(topic.id, topic));
                    this.kept.push({ message, what: this.called(change), topics });
                }
            }
            this.draw();
            if (!document.querySelector('dialog[open]')) {
                this.dialog.showModal();
            }
        }
    }

    draw() {
        store(this.key, JSON.stringify(this.kept));
        this.open.hidden = this.kept.length === 0;
        this.open.textContent = this.kept.length === 1 ? '1 change not made' : `${this.kept.length} changes not made`;
        this.list.replaceChildren(
            ...this.kept.map((/** @type {any} */ one, /** @type {number} */ i) =>
                element(
                    'li',
                    {},
                    element('p', {}, element('strong', {}, one.what), ` could not be made: ${one.message}`),
                    one.topics.length
                        ? element(
                              'blockquote',
                              {},
                              ...one.topics.map((/** @type {any} */ topic) => element('p', {}, topic.title || textOf(topic))),
                          )
                        : null,
                    element(
                        'div',
                        { class: 'dialog-foot' },
                        element(
                            'button',
                            { type: 'button', class: 'plain danger', onclick: () => this.settle(i) },
                            one.topics.length ? 'Let it go' : 'All right',
                        ),
                        one.topics.length
                            ? element(
                                  'button',
                                  { type: 'button', class: 'plain', onclick: () => this.put(i, this.page.outline.active) },
                                  'Put after the marked topic',
                              )
                            : null,
                        one.topics.length
                            ? element(
                                  'button',
                                  { type: 'button', class: 'primary', onclick: () => this.put(i, null) },
                                  'Keep as a loose idea',
                              )
                            : null,
                    ),
                ),
            ),
        );
        if (!this.kept.length && this.dialog.open) {
            this.dialog.close();
        }
    }

    /** What the change was, with the topics that it was about. @param {import('../sync/queue.js').Change} change */
    called(change) {
        const titles = (change.ids ?? [change.topic]).map((/** @type {string} */ id) => this.page.tree.get(id)?.title).filter(Boolean);
        const name = words().changes[change.type] ?? 'A change';
        const others = titles.length > 1 ? ` and ${titles.length - 1} more` : '';
        return titles.length && change.type !== 'retitle' ? `${name} of “${titles[0]}”${others}` : name;
    }

    /** @param {number} i @param {any} after */
    put(i, after) {
        const { tree } = this.page;
        const at = after && tree.get(after) ? { parent: tree.get(after).parent, after } : tree.lastPlace(after === null ? TRAY : ROOT);
        const ids = new Map(this.kept[i].topics.map((/** @type {any} */ topic) => [topic.id, newId()]));
        this.page.perform({
            type: 'add',
            at,
            topics: this.kept[i].topics.map((/** @type {{parent: any, [more: string]: any}} */ { parent, ...topic }) => ({
                ...topic,
                id: ids.get(topic.id),
                ...(ids.has(parent) ? { parent: ids.get(parent) } : {}),
            })),
        });
        this.settle(i);
    }

    /** @param {number} i */
    settle(i) {
        this.kept.splice(i, 1);
        this.draw();
    }
}

/**
 * Whether a change only wrote on in topics that another one was to make: then those carry it.
 * @param {import('../sync/queue.js').Change} change
 * @param {any} made
 */
function joins(change, made) {
    const topic = made.get(change.topic);
    if (topic && change.type === 'retitle') {
        topic.title = change.title;
    } else if (topic && change.type === 'note') {
        topic.note = change.put;
    }
    return (
        (topic && ['retitle', 'note'].includes(change.type)) ||
        (change.ids?.length > 0 && change.ids.every((/** @type {string} */ id) => made.has(id)))
    );
}

/** What a change held in words, as topics that can be put elsewhere. @param {import('../sync/queue.js').Change} change */
function topicsIn(change) {
    if (change.type === 'add') {
        return change.topics;
    }
    if (change.type === 'retitle' || change.type === 'wrap') {
        return change.title ? [{ id: newId(), title: change.title }] : [];
    }
    if (change.type === 'note') {
        return change.put.length
            ? [
                  {
                      id: newId(),
                      title: '',
                      note: change.put.map((/** @type {any} */ block) => ({ ...block, attrs: { ...block.attrs, id: newId() } })),
                  },
              ]
            : [];
    }
    return change.type === 'compound' ? change.operations.flatMap(topicsIn) : [];
}

/** @param {any} topic */
function textOf(topic) {
    const text = (/** @type {any} */ node) => node.text ?? (node.content ?? []).map(text).join(' ');
    return (topic.note ?? []).map(text).join(' ').slice(0, 300);
}
