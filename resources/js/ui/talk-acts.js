import { reason } from '../lib/http.js';
import { ROOT } from '../state/plan.js';
import { talkField } from './talk-field.js';
import { say } from './toast.js';

/** What can be done with what is said, and the fields in which that is written. */
export class TalkActs {
    /**
     * @param {import('../views/page.js').Page} page
     * @param {import('../sync/talking.js').Talking} talking
     */
    constructor(page, talking) {
        this.page = page;
        this.talking = talking;
        this.talk = talking.talk;
        /** The thread that is in hand. @type {string | null} */
        this.chosen = null;
        /** The one that is answered. @type {string | null} */
        this.answering = null;
        /** The suggestion that is declined. @type {string | null} */
        this.declining = null;
        /** The comment that is changed. @type {string | null} */
        this.editing = null;
    }

    get session() {
        return this.page.session;
    }
    get tree() {
        return this.page.tree;
    }
    get rights() {
        return this.page.session.rights;
    }

    /** @param {'answering' | 'declining'} what @param {string} id */
    open(what, id) {
        this.answering = this.declining = this.editing = null;
        this[what] = id;
        this.draw();
        /** @type {HTMLElement | null} */ (this.list.querySelector(`[data-thread="${id}"] textarea`))?.focus();
    }

    leave() {
        const id = this.answering ?? this.declining ?? this.chosen;
        this.answering = this.declining = this.editing = null;
        this.draw();
        id && this.card(id)?.focus();
    }

    /** @param {string | null} id */
    choose(id) {
        if (id !== this.chosen) {
            this.chosen = id;
            for (const node of this.list.children) {
                node.classList.toggle('is-chosen', /** @type {HTMLElement} */ (node).dataset.thread === id);
            }
            this.places.paint();
            const card = id && this.card(id);
            card && this.places.keepInSight(card);
        }
    }

    // ---- What is done

    /** @param {() => Promise<unknown>} act */
    async trying(act) {
        try {
            return await act();
        } catch (error) {
            say(reason(error));
            return null;
        }
    }

    /** @param {import('../state/talk.js').Comment} head */
    settle(head) {
        return this.trying(() => this.talking.settle(head.id, !head.settled));
    }

    /** @param {string} id */
    take(id) {
        return this.trying(async () => {
            if (await this.talking.take(id)) {
                say('Taken.', { label: 'Undo', act: () => this.session.undo() });
            }
        });
    }

    /** @param {string} id */
    edit(id) {
        this.answering = this.declining = null;
        this.editing = id;
        this.draw();
        /** @type {HTMLElement | null} */ (this.list.querySelector(`[data-comment="${id}"] textarea`))?.focus();
    }

    /** @param {string} id */
    takeBack(id) {
        return this.trying(() => this.talking.takeBack(id));
    }

    /** @param {string} id */
    copyLink(id) {
        return this.page.copyAddress(`comment=${id}`);
    }

    /** @param {import('../state/talk.js').Comment} head */
    goTo(head) {
        if (head.topic === ROOT || this.tree.get(head.topic)) {
            this.places.reveal(head);
        }
    }

    // ---- Fields

    get people() {
        return this.page.data.people.filter((/** @type {string} */ name) => name !== this.page.data.me);
    }

    /** @param {import('../state/talk.js').Comment} head */
    answerField(head) {
        const onSend = async (/** @type {string} */ body, /** @type {File | null} */ file) => {
            await this.talking.say({ topic: head.topic, thread: head.id, body }, file);
            this.leave();
        };
        return talkField({ label: 'Answer', send: 'Answer', people: this.people, onSend, onLeave: () => this.leave(), takesFile: true })
            .form;
    }

    /** @param {import('../state/talk.js').Comment} head */
    declineField(head) {
        const onSend = async (/** @type {string} */ why) => {
            await this.talking.decline(head.id, why);
            this.leave();
        };
        return talkField({
            label: 'Why (may stay empty)',
            send: 'Decline',
            people: [],
            onSend,
            onLeave: () => this.leave(),
            isEnough: () => true,
        }).form;
    }

    /** @param {import('../state/talk.js').Comment} one */
    editField(one) {
        const onSend = async (/** @type {string} */ body) => {
            await this.talking.edit(one.id, body);
            this.leave();
        };
        return talkField({ label: 'Comment', send: 'Save', text: one.body, people: this.people, onSend, onLeave: () => this.leave() }).form;
    }
}
