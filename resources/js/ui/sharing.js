import { byId, fieldOf, fieldsOf, firstOf } from '../lib/dom.js';
import { reason, send, token } from '../lib/http.js';
import { disc } from './disc.js';
import { element } from './element.js';
import { LinkSettings } from './sharing-link.js';
import { say } from './toast.js';

/** @typedef {{id: number, name: string, role: string}} Person */

/** Role → what it is called where it is given. @type {Record<string, string>} */
export const ROLES = { writes: 'may write', comments: 'may comment', reads: 'may read' };

/** Who may see the plan: people by invitation, and anybody by a link. Its owner sets it; others see who is in. */
export class Sharing {
    /** @param {import('../sync/session.js').Session} session */
    constructor(session) {
        this.session = session;
        this.dialog = byId('share', HTMLDialogElement);
        this.form = firstOf(this.dialog, 'form', HTMLFormElement);
        this.error = firstOf(this.dialog, '.error');
        this.list = firstOf(this.dialog, '.people');
        this.link = new LinkSettings(firstOf(this.dialog, '.by-link'), (method, path, body) => this.set(method, path, body));
        byId('open-share').addEventListener('click', () => this.open());
        this.form.addEventListener('submit', (event) => {
            event.preventDefault();
            this.invite();
        });
    }

    async open() {
        this.fail('');
        byId('share-head').textContent = `Who may see “${this.session.tree.title || 'Untitled'}”`;
        this.list.replaceChildren();
        this.dialog.showModal();
        await this.set('GET', 'people');
    }

    /** @param {string} says */
    fail(says) {
        this.error.textContent = says;
    }

    /**
     * Sets something, and shows how it stands then.
     * @param {string} method
     * @param {string} path
     * @param {object | null} [body]
     */
    async set(method, path, body = null) {
        this.fail('');
        try {
            this.draw(await send(method, `${this.session.address}/${path}`, body));
            return true;
        } catch (error) {
            this.fail(reason(error));
            return false;
        }
    }

    async invite() {
        const { email, role } = fieldsOf(this.form);
        if (await this.set('POST', 'invitations', { email: email.value, role: role.value })) {
            email.value = '';
            email.focus();
        }
    }

    /** @param {any} told how it stands */
    draw(told) {
        this.told = told;
        this.form.hidden = !told.manages;
        const people = told.people.map((/** @type {Person} */ one) => this.person(one));
        const waiting = (told.waiting ?? []).map((/** @type {any} */ one) => this.waiting(one));
        const held = /** @type {HTMLElement | null} */ (document.activeElement)?.dataset?.who;
        this.list.replaceChildren(...people, ...waiting);
        if (held) {
            /** @type {HTMLElement | null} */ (this.list.querySelector(`[data-who="${held}"]`))?.focus();
        }
        this.link.draw(told);
        const letter = firstOf(this.dialog, '.letter-link');
        letter.hidden = !told.letter;
        if (told.letter) {
            const leads = element('a', { class: 'link', href: told.letter }, told.letter);
            letter.replaceChildren('This Embrel runs on your own machine and sends no letters. The link would be this: ', leads);
        } else if (told.said) {
            say(told.said);
        }
    }

    /** @param {Person} one */
    person({ id, name, role }) {
        const { you, manages, offered } = this.told;
        const isOwner = role === 'owner';
        const notes = [isOwner && 'owner', id === you && 'you', id === offered && 'asked to be its owner'].filter(Boolean).join(', ');
        const acts =
            manages && !isOwner ? [this.roles(`person-${id}`, name, role, (to) => this.chosen(id, name, to)), this.out(id, name)] : [];
        const own = isOwner || manages ? '' : ROLES[role];
        const leaves = id === you && !isOwner && !manages && this.leaving();
        return element(
            'li',
            {},
            disc(name),
            element('span', {}, name, element('small', {}, notes)),
            ...(acts.length ? acts : [leaves || element('span', {}, own), null]),
        );
    }

    /** @param {number} id @param {string} name @param {string} to */
    chosen(id, name, to) {
        if (to === 'owner' || to === 'not-owner') {
            return this.set('PUT', 'offer', { person: to === 'owner' ? id : null });
        }
        return this.set('PUT', `people/${id}`, { role: to });
    }

    /**
     * @param {string} who
     * @param {string} name
     * @param {string} role
     * @param {(to: string) => unknown} set
     */
    roles(who, name, role, set) {
        const isOffered = who === `person-${this.told.offered}`;
        const more = who.startsWith('person') ? { [isOffered ? 'not-owner' : 'owner']: isOffered ? 'stays as it is' : 'is to own it' } : {};
        return element(
            'select',
            { 'aria-label': `What ${name} may do`, 'data-who': who, onchange: (/** @type {Event} */ event) => set(fieldOf(event).value) },
            ...Object.entries({ ...ROLES, ...more }).map(([value, says]) => element('option', { value, selected: value === role }, says)),
        );
    }

    /** @param {number} id @param {string} name */
    out(id, name) {
        const act = () => this.set('DELETE', `people/${id}`).then((isDone) => isDone && say(`${name} is out. What ${name} wrote stays.`));
        return element('button', { type: 'button', class: 'ico', 'aria-label': `Take ${name} out`, title: 'Take out', onclick: act }, '×');
    }

    /** @param {{id: string, email: string, role: string, asked: string, isOver: boolean}} one */
    waiting({ id, email, role, asked, isOver }) {
        const again = (/** @type {string} */ to) => this.set('POST', 'invitations', { email, role: to });
        const back = () => this.set('DELETE', `invitations/${id}`);
        const says = isOver ? `asked on ${asked}; the letter is too old` : `asked on ${asked}, has not come yet`;
        return element(
            'li',
            {},
            disc(email),
            element(
                'span',
                {},
                email,
                element(
                    'small',
                    {},
                    `${says}. `,
                    element(
                        'button',
                        { type: 'button', class: 'link', 'aria-label': `Send again to ${email}`, onclick: () => again(role) },
                        'Send again',
                    ),
                ),
            ),
            this.roles(`waiting-${id}`, email, role, again),
            element(
                'button',
                { type: 'button', class: 'ico', 'aria-label': `Take back the invitation of ${email}`, title: 'Take back', onclick: back },
                '×',
            ),
        );
    }

    leaving() {
        // Who leaves is not told a moment later that they may see it no more.
        const form = element('form', {
            method: 'post',
            action: `${this.session.address}/people/me`,
            onsubmit: () => this.session.channel.stop(),
        });
        form.append(
            element('input', {
                type: 'hidden',
                name: '_token',
                value: token(),
            }),
            element('input', { type: 'hidden', name: '_method', value: 'DELETE' }),
            element('button', { class: 'plain' }, 'Leave this plan'),
        );
        return form;
    }
}
