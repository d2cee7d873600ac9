import { showOnce } from '../lib/dom.js';
import { reason, send } from '../lib/http.js';
import { newId } from '../lib/ids.js';
import { element } from './element.js';
import { say } from './toast.js';

/** @typedef {{id: string, title: string, author: string, licence: string}} Found */

/** Looks for a picture by words, and puts the chosen one on a topic; whose it is is kept as a source. */
export class PictureFinder {
    /** @param {import('../sync/session.js').Session} session @param {string} topic */
    constructor(session, topic) {
        this.session = session;
        this.topic = topic;
        this.address = `${session.address}/picture-finder`;
        this.asked = 0;
    }

    open() {
        const words = element('input', {
            type: 'search',
            'aria-label': 'Words',
            maxlength: 200,
            value: this.session.tree.get(this.topic)?.title ?? '',
        });
        this.says = element('p', { class: 'hint', role: 'status' });
        this.list = element('ul', { class: 'found-pictures' });
        this.box = element(
            'dialog',
            { class: 'wide picture-finder', 'aria-labelledby': 'picture-finder-head' },
            element('h2', { id: 'picture-finder-head' }, 'Find a picture'),
            element(
                'form',
                {
                    class: 'row-acts',
                    role: 'search',
                    onsubmit: (/** @type {Event} */ event) => {
                        event.preventDefault();
                        this.find(words.value);
                    },
                },
                words,
                element('button', { class: 'primary' }, 'Find'),
            ),
            this.says,
            this.list,
            element(
                'div',
                { class: 'dialog-foot' },
                element('button', { type: 'button', class: 'plain', onclick: () => this.box?.close() }, 'Close'),
            ),
        );
        showOnce(this.box);
        words.focus();
        words.select();
    }

    /** @param {string} words */
    async find(words) {
        if (!words.trim()) {
            this.tell('Say in a word or two what it shows.', []);
            return;
        }
        const asked = ++this.asked;
        this.tell('Looking for pictures…', []);
        try {
            const { pictures } = await send('GET', `${this.address}?words=${encodeURIComponent(words)}`);
            asked === this.asked && this.tell(said(pictures.length), pictures);
        } catch (error) {
            asked === this.asked && this.tell(reason(error), []);
        }
    }

    /** @param {string} what @param {Found[]} pictures */
    tell(what, pictures) {
        this.says && (this.says.textContent = what);
        this.list?.replaceChildren(
            ...pictures.map((one) =>
                element(
                    'li',
                    {},
                    element(
                        'button',
                        { type: 'button', onclick: () => this.take(one) },
                        element('img', { src: `${this.address}/${one.id}/small`, alt: '', loading: 'lazy' }),
                        element('b', {}, one.title),
                        element('small', {}, `${one.author} · ${one.licence}`),
                    ),
                ),
            ),
        );
    }

    /** @param {Found} one */
    async take(one) {
        const { session, topic } = this;
        if (session.rights.isKept()) {
            return;
        }
        this.says && (this.says.textContent = `Taking over “${one.title}”…`);
        await session.queue.flush();
        try {
            const answer = await send('POST', `${this.address}/${one.id}`, {});
            this.box?.close();
            if (!session.tree.get(topic)) {
                say('The topic is no longer in this plan.');
                return;
            }
            // One step: what is undone takes the picture off, and its source away.
            const step = newId();
            answer.source && session.perform({ type: 'source', sources: [answer.source] }, step);
            session.perform({ type: 'picture', ids: [topic], value: answer.picture }, step);
            say(`“${one.title}” by ${one.author} (${one.licence}) is on the topic, and among the sources.`);
        } catch (error) {
            this.says && (this.says.textContent = reason(error));
        }
    }
}

const said = (/** @type {number} */ count) =>
    count === 0
        ? 'No picture was found. Try another word.'
        : count === 1
          ? 'One picture. Choose it to put it on the topic.'
          : `${count} pictures. Choose one to put it on the topic.`;
