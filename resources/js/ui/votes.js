import { byId, fieldOf, fieldsOf, firstOf } from '../lib/dom.js';
import { counted } from '../lib/counted.js';
import { reason, send } from '../lib/http.js';
import { ROOT } from '../state/plan.js';
import { classes, element } from './element.js';
import { named } from '../state/topics.js';

/**
 * A vote, as PHP tells it (app/Store/Votes.php).
 * @typedef {object} Vote
 * @property {string} id
 * @property {string} question
 * @property {number} signs that each person has
 * @property {boolean} isSecret
 * @property {boolean} isClosed
 * @property {string[]} topics
 * @property {Record<string, number>} own
 * @property {number} voters
 * @property {[string, number][]} [counts] most first; not while it is secret
 */

/** Votes on topics: each person gives their signs; the owner opens and closes. */
export class Votes {
    /** @param {import('../views/page.js').Page} page */
    constructor(page) {
        this.page = page;
        this.dialog = byId('votes', HTMLDialogElement);
        this.list = firstOf(this.dialog, '.votes');
        this.form = firstOf(this.dialog, 'form', HTMLFormElement);
        this.error = firstOf(this.dialog, '.error');
        /** @type {Vote[]} */
        this.votes = [];
        /** Vote → its topics as they are shown. @type {Map<string, string[]>} */
        this.orders = new Map();
        /** Vote → the signs that were given in it last, until that is answered. @type {Map<string, Record<string, number>>} */
        this.given = new Map();
        /** One after the other, so that what is told last is how it stands. @type {Promise<boolean>} */
        this.running = Promise.resolve(true);
        this.form.addEventListener('submit', (event) => {
            event.preventDefault();
            this.begin();
        });
    }

    async open() {
        const { page } = this;
        this.error.textContent = '';
        this.topics = this.chosen();
        this.form.hidden = !page.session.rights.owns;
        const marked = page.state.marked.get().size > 1;
        firstOf(this.form, '.hint').textContent = `On ${counted(this.topics.length, 'topic')}: ${
            marked ? 'those that are marked' : 'the main sections. Mark others first, to vote on those'
        }.`;
        this.dialog.showModal();
        await this.set('GET', 'votes');
    }

    /** What a new vote is on: what is marked, else the main sections. */
    chosen() {
        const { state, tree } = this.page;
        const marked = state.marked.get();
        return marked.size > 1 ? [...tree.branch(ROOT)].filter((id) => marked.has(id)) : [...tree.partsOf(ROOT)];
    }

    /** News of what others gave. */
    told() {
        return this.dialog.open ? this.set('GET', 'votes') : null;
    }

    /** @param {string} method @param {string} path @param {object | null} [body] @param {() => unknown} [ends] */
    set(method, path, body = null, ends = () => {}) {
        this.running = this.running.then(() => this.ask(method, path, body, ends));
        return this.running;
    }

    /** @param {string} method @param {string} path @param {object | null} body @param {() => unknown} ends it was answered, or refused */
    async ask(method, path, body, ends) {
        try {
            const known = new Map(this.votes.map((vote) => [vote.id, vote]));
            const { votes } = await send(method, `${this.page.address}/${path}`, body).finally(ends);
            // A field that stays knows its vote as it is now.
            this.votes = votes.map((/** @type {Vote} */ vote) => Object.assign(known.get(vote.id) ?? {}, vote));
            this.error.textContent = '';
            this.draw();
            return true;
        } catch (thrown) {
            this.error.textContent = reason(thrown);
            return false;
        }
    }

    async begin() {
        const { question, signs, secret } = fieldsOf(this.form);
        await this.page.queue.flush();
        const body = { question: question.value, topics: this.topics, signs: Number(signs.value), secret: secret.checked };
        if (await this.set('POST', 'votes', body)) {
            this.form.reset();
        }
    }

    draw() {
        const active = document.activeElement;
        const held = active instanceof HTMLInputElement ? active.dataset.held : null;
        const fresh = this.votes.map((vote) => this.vote(vote, !vote.isClosed && held?.startsWith(vote.id) === true));
        const next = held ? fresh.find((section) => section.querySelector(`[data-held="${held}"]`)) : null;
        const section = next ? /** @type {HTMLElement} */ (active?.closest('.vote')) : null;
        if (next && section && active instanceof HTMLInputElement && isAlike(section, next)) {
            // The field in which one is stays as it is, with what is typed and what is chosen in it; everything around it is told anew.
            around(active, section, next);
            const at = fresh.indexOf(next);
            [...this.list.children].filter((child) => child !== section).forEach((child) => child.remove());
            section.before(...fresh.slice(0, at));
            section.after(...fresh.slice(at + 1));
        } else {
            this.list.replaceChildren(...fresh);
        }
        firstOf(this.dialog, '.votes-none').hidden = this.votes.length > 0;
    }

    /** @param {Vote} vote @param {boolean} isGiving the keyboard is in it */
    vote(vote, isGiving) {
        const { rights } = this.page.session;
        const given = Object.values(vote.own).reduce((sum, signs) => sum + signs, 0);
        const counts = new Map(vote.counts ?? []);
        // By result, where it may be seen; but nothing jumps while one gives.
        const order = (isGiving && this.orders.get(vote.id)) || (counts.size ? [...counts.keys()] : vote.topics);
        this.orders.set(vote.id, order);
        const most = Math.max(1, ...counts.values());
        const may = rights.mayComment && !vote.isClosed;
        const left = vote.signs - given;
        const says = vote.isClosed
            ? `Closed; ${counted(vote.voters, 'person', 'people')} voted.`
            : `${counted(vote.voters, 'person', 'people')} voted${vote.isSecret ? '; counted when it is closed' : ''}. ` +
              `You have ${left} of ${counted(vote.signs, 'sign')} left.`;
        const act = (/** @type {string} */ name, /** @type {string} */ method, /** @type {string} */ path) =>
            element('button', { type: 'button', class: 'link', onclick: () => this.set(method, path, {}) }, name);
        return element(
            'section',
            { class: 'vote', 'aria-label': vote.question },
            element('h3', {}, vote.question),
            element('p', { class: 'hint' }, says),
            element(
                'ul',
                {},
                ...order.map((id) => {
                    const topic = this.page.tree.get(id);
                    const name = topic ? named(topic) : 'A topic that was removed';
                    const count = counts.get(id);
                    return element(
                        'li',
                        { class: classes(vote.isClosed && count === most && 'is-first'), '--w': count === undefined ? 0 : count / most },
                        element('span', {}, name),
                        count !== undefined && element('b', {}, String(count)),
                        may && this.field(vote, id, name),
                    );
                }),
            ),
            rights.owns &&
                element(
                    'p',
                    { class: 'vote-acts' },
                    !vote.isClosed && act('Close the vote', 'POST', `votes/${vote.id}/close`),
                    act('Delete it', 'DELETE', `votes/${vote.id}`),
                ),
        );
    }

    /** @param {Vote} vote @param {string} id @param {string} name */
    field(vote, id, name) {
        // An answer to what was asked before does not know what has been given since.
        const given = () => this.given.get(vote.id) ?? vote.own;
        const most = () => Object.entries(given()).reduce((left, [topic, signs]) => left - (topic === id ? 0 : signs), vote.signs);
        const give = (/** @type {Event} */ event) => {
            const signs = Math.max(0, Math.min(most(), Math.round(Number(fieldOf(event).value) || 0)));
            const own = { ...given(), [id]: signs };
            event.currentTarget instanceof HTMLInputElement && (event.currentTarget.defaultValue = event.currentTarget.value);
            this.given.set(vote.id, own);
            this.set('PUT', `votes/${vote.id}`, { signs: own }, () => given() === own && this.given.delete(vote.id));
        };
        return element('input', {
            type: 'number',
            class: 'box',
            min: 0,
            max: most(),
            value: given()[id] ?? 0,
            'aria-label': `Your signs for ${name}`,
            'data-held': `${vote.id} ${id}`,
            onchange: give,
        });
    }
}

/**
 * Whether two pieces of a page are built alike, whatever they say.
 * @param {Element} one @param {Element} other
 * @returns {boolean}
 */
function isAlike(one, other) {
    const [these, those] = [[...one.children], [...other.children]];
    return one.tagName === other.tagName && these.length === those.length && these.every((child, i) => isAlike(child, those[i]));
}

/**
 * Puts what a piece says now in the place of what it said, but for one field within it, which stays.
 * @param {HTMLInputElement} field @param {Element} piece @param {Element} next built alike
 */
function around(field, piece, next) {
    const others = [...next.children];
    [...piece.children].forEach((child, i) => {
        const other = others[i];
        if (child === field) {
            const { max, value } = /** @type {HTMLInputElement} */ (other);
            const isTyped = field.value !== field.defaultValue;
            field.max = max;
            field.defaultValue = value;
            isTyped || (field.value = value);
        } else if (child.contains(field)) {
            child.className = other.className;
            child.setAttribute('style', other.getAttribute('style') ?? '');
            around(field, child, other);
        } else {
            child.replaceWith(other);
        }
    });
}
