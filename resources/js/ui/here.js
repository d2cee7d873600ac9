import { byId, held } from '../lib/dom.js';
import { disc } from './disc.js';
import { element } from './element.js';
import { say } from './toast.js';

/** So many are shown by their signs; of more their number. */
const SHOWN = 5;

/**
 * Who is in the plan at this moment, and where: as discs in the frame, and beside the topic where each is. One of them can be
 * followed; whatever one does oneself ends that.
 */
export class HereNow {
    /** @param {import('../views/page.js').Page} page */
    constructor(page) {
        this.page = page;
        this.box = byId('here-now');
        /** @type {import('../sync/channel.js').Here[]} */
        this.people = [];
        /** The page of whom is followed. @type {string | null} */
        this.followed = null;
        page.session.channel.on.here = (people) => this.take(people);
        page.state.active.listen(() => this.tell());
        document.addEventListener('focusin', () => this.tell());
        document.addEventListener('selectionchange', () => this.tell());
        for (const kind of ['keydown', 'pointerdown', 'wheel']) {
            document.addEventListener(kind, (event) => this.moved(event), { capture: true, passive: true });
        }
    }

    /** Where one is oneself goes out. */
    tell() {
        const { page } = this;
        if (page.session.channel.isStopped) {
            return;
        }
        const node = held();
        const inDraft = /** @type {HTMLElement | null} */ (node.closest('#draft [data-topic]'))?.dataset.topic;
        const inNote = byId('note').contains(node) ? page.note.topic : null;
        const topic = inDraft ?? inNote ?? page.state.active.get();
        const writes = page.session.rights.mayWrite && (node.isContentEditable || node.matches('.title-input, .draft-title'));
        page.session.channel.tellPlace({ topic, view: page.view ?? '', writes });
    }

    /** @param {import('../sync/channel.js').Here[]} people */
    take(people) {
        this.people = people;
        const { tree, views } = this.page;
        /** @type {Map<string, string[]>} */
        const here = new Map();
        for (const { topic, name } of people) {
            topic && here.set(topic, [...new Set([...(here.get(topic) ?? []), name])]);
        }
        const isOther = JSON.stringify([...here]) !== JSON.stringify([...tree.beside.here]);
        tree.beside.here = here;
        this.draw();
        if (isOther) {
            views.drawBeside();
        }
        this.follow();
    }

    draw() {
        const { people, followed } = this;
        const known = new Map(people.map((one) => [one.name, one]));
        if (followed && !people.some(({ page }) => page === followed)) {
            this.followed = null;
        }
        this.box.hidden = known.size === 0;
        this.box.replaceChildren(
            ...[...known.values()].slice(0, SHOWN).map((one) => this.person(one)),
            ...(known.size > SHOWN ? [element('span', { class: 'here-more' }, `+${known.size - SHOWN}`)] : []),
        );
    }

    /** @param {import('../sync/channel.js').Here} one */
    person(one) {
        const isFollowed = one.page === this.followed;
        const says = `${one.name}: ${this.where(one)}`;
        return element(
            'button',
            {
                type: 'button',
                class: 'here',
                title: `${says}. ${isFollowed ? 'Press to follow no more.' : 'Press to follow.'}`,
                'aria-label': `Follow ${says}`,
                'aria-pressed': String(isFollowed),
                onclick: () => this.toggle(one),
            },
            disc(one.name),
        );
    }

    /** @param {import('../sync/channel.js').Here} one */
    where({ topic = '', writes, view = '' }) {
        const at = this.page.tree.get(topic);
        const named = at ? `${at.label || at.title || 'an untitled topic'}` : view;
        return at ? `${writes ? 'writes' : 'is'} in ${named}` : `is in ${named || 'the plan'}`;
    }

    /** @param {import('../sync/channel.js').Here} one */
    toggle(one) {
        this.followed = this.followed === one.page ? null : one.page;
        this.draw();
        say(this.followed ? `You follow ${one.name}. Whatever you do yourself ends that.` : `You follow ${one.name} no more.`);
        this.follow();
    }

    /** Goes where the one goes who is followed. */
    follow() {
        const one = this.people.find(({ page }) => page === this.followed);
        const { page } = this;
        if (!one) {
            return;
        }
        const topic = one.topic && page.tree.get(one.topic) ? one.topic : null;
        const view = ['gather', 'outline', 'map', 'draft', 'sources', 'check', 'schedule'].includes(one.view ?? '') ? one.view : null;
        Promise.resolve(view && view !== page.view ? page.show(view) : null).then(() => topic && page.views.now.reveal(topic));
    }

    /** What one does oneself ends the following. @param {Event} event */
    moved(event) {
        if (this.followed && !this.box.contains(/** @type {Node} */ (event.target))) {
            this.followed = null;
            this.draw();
        }
    }
}
