import { allOf, firstOf } from '../../lib/dom.js';
import { counted } from '../../lib/counted.js';
import { reason, send } from '../../lib/http.js';
import { newId } from '../../lib/ids.js';
import { plainText } from '../../lib/plain.js';
import { element } from '../../ui/element.js';
import { tell } from '../../ui/toast.js';
import { past, WISHES } from './letters.js';
import { streamed } from './streamed.js';

/**
 * @typedef {{allowed: boolean, mayAllow: boolean, helper: string, left: number, letters: import('./letters.js').Letter[]}} Told
 * @typedef {{id: string, topics: {title: string, level: number}[], blocks: any[]}} Answer
 */

/** A helper from outside, where the plan's owner allows one: what would go out is seen first, and what comes back is taken or left. */
export class Helper {
    follows = false;

    /** @param {import('./panel.js').Prompts} panel */
    constructor(panel) {
        this.panel = panel;
        this.wish = 'questions';
        /** By which what is sent is known to be what was shown. */
        this.print = '';
        this.looks = 0;
        /** What stops the answer that is on its way. @type {AbortController | null} */
        this.stopping = null;
    }

    get address() {
        return `${this.panel.page.address}/companion`;
    }

    draw() {
        const { panel } = this;
        if (!panel.mayWrite) {
            panel.say('');
            panel.body.replaceChildren(element('p', { class: 'quiet' }, 'A helper is for those who write in this plan.'));
            return;
        }
        panel.ask('GET', 'companion', (told) => (told.allowed ? this.allowed(told) : this.closed(told)));
    }

    // ---- Off, until the owner allows it

    /** @param {Told} told */
    closed({ mayAllow, helper }) {
        const says =
            'Nothing of this plan goes out. A helper asks about a branch, drafts it or sums it up; for that the plan’s title, ' +
            `the branch and the notes that you choose would be sent to ${helper}.`;
        return [
            element('p', {}, says),
            mayAllow
                ? element('button', { type: 'button', class: 'plain', onclick: () => this.allow(true) }, 'Allow a helper for this plan')
                : element('p', { class: 'quiet' }, 'Its owner has not allowed one.'),
        ];
    }

    /** @param {boolean} allowed */
    async allow(allowed) {
        await send('PUT', this.address, { allowed }).catch((error) => this.panel.say(reason(error)));
        this.draw();
    }

    // ---- What goes out

    /** @param {Told} told */
    allowed(told) {
        const choice = element('select', { 'aria-label': 'What to ask for', onchange: () => this.choose(choice.value) });
        choice.append(...WISHES.map(([value, name]) => element('option', { value, selected: value === this.wish }, name)));
        this.parcel = element('div', { class: 'prompt-parcel' });
        this.answer = element('div', { class: 'prompt-answer', role: 'region', 'aria-label': 'Answer', 'aria-live': 'polite' });
        this.told = told;
        this.look();
        return [
            element('p', { class: 'prompt-line' }, 'Ask for ', choice),
            this.parcel,
            this.answer,
            past(told.letters),
            told.mayAllow ? element('button', { type: 'button', class: 'link', onclick: () => this.allow(false) }, 'Allow it no more') : '',
        ];
    }

    /** @param {string} wish */
    choose(wish) {
        this.wish = wish;
        this.look();
    }

    /** Exactly what would go out, each piece to be taken out. */
    async look() {
        const { panel, parcel, told, wish } = this;
        const look = ++this.looks;
        // What is shown until then was for something else, or may be by now: it is not sent.
        const before = /** @type {HTMLButtonElement | null | undefined} */ (parcel?.querySelector('.primary'));
        before && (before.disabled = true);
        await panel.page.queue.flush();
        const shown =
            panel.isThere &&
            (await send('POST', `${this.address}/parcel`, { topic: panel.topic, wish }).catch((error) => {
                panel.say(reason(error));
                return null;
            }));
        // Only what was asked for last is shown, and sent.
        if (!parcel || !told || look !== this.looks || !panel.isThere) {
            return;
        }
        if (!shown) {
            const again = element('button', { type: 'button', class: 'plain', onclick: () => this.look() }, 'Show what would go out');
            parcel.replaceChildren(element('p', {}, again));
            return;
        }
        panel.say('');
        this.print = shown.print;
        const piece = (/** @type {{key: string, called: string, text: string}} */ { key, called, text }) =>
            element(
                'li',
                {},
                element('label', { class: 'check' }, element('input', { type: 'checkbox', checked: true, value: key }), ` ${called}`),
                element('p', { class: 'prompt-piece-text', tabindex: 0 }, text),
            );
        const go = element('button', { type: 'button', class: 'primary', onclick: () => this.send() }, 'Send this');
        parcel.replaceChildren(
            element('h2', {}, `This goes to ${told.helper}`),
            element('p', { class: 'quiet' }, shown.instruction),
            element('ul', { class: 'prompt-pieces' }, ...shown.pieces.map(piece)),
            element(
                'p',
                { class: 'prompt-foot prompt-line' },
                go,
                element('span', { class: 'quiet' }, `${counted(told.left, 'answer')} left today`),
            ),
        );
        go.disabled = told.left === 0;
    }

    // ---- What comes back

    async send() {
        const { panel, parcel, answer } = this;
        if (!parcel || !answer) {
            return;
        }
        const boxes = allOf(parcel, 'input[type=checkbox]', HTMLInputElement);
        const without = boxes.filter((box) => !box.checked).map((box) => box.value);
        const stopping = (this.stopping = new AbortController());
        const text = element('p', { class: 'prompt-coming' });
        const stop = element('button', { type: 'button', class: 'plain', onclick: () => stopping.abort() }, 'Stop');
        answer.replaceChildren(element('h2', {}, 'Answer'), text, stop);
        stop.focus();
        firstOf(parcel, '.primary', HTMLButtonElement).disabled = true;
        const asked = { topic: panel.topic, wish: this.wish, without, print: this.print };
        const end = await streamed(this.address, asked, stopping.signal, (piece) => text.append(piece));
        this.stopping = null;
        if (!answer.isConnected) {
            return;
        }
        stop.remove();
        if (end.failed) {
            answer.append(element('p', { class: 'error', role: 'alert' }, end.failed));
        } else {
            text.remove();
            answer.append(...this.shown(/** @type {Answer} */ (end)));
        }
        await this.refresh();
    }

    /** How much is left, and what was sent before, as it is now. */
    async refresh() {
        const told = await send('GET', this.address).catch(() => null);
        if (told && this.parcel?.isConnected) {
            this.told = told;
            firstOf(this.panel.body, '.prompt-past').replaceWith(past(told.letters));
            await this.look();
        }
    }

    /** As a tree, or as text that waits to be rewritten. @param {Answer} answer */
    shown(answer) {
        const acts = element('div', { class: 'question-acts', role: 'group', 'aria-label': 'What becomes of it', 'data-card': '' });
        const letGo = this.panel.act('Let go', 'Delete', () => this.answer?.replaceChildren());
        if (answer.topics.length) {
            const rows = answer.topics.map(({ title, level }, i) =>
                element(
                    'li',
                    { '--level': level },
                    element('label', { class: 'check' }, element('input', { type: 'checkbox', checked: true, value: i }), ` ${title}`),
                ),
            );
            acts.append(
                this.panel.act('Take as parts', 't', () => this.takeTopics(answer)),
                letGo,
            );
            return [element('ul', { class: 'prompt-tree' }, ...rows), acts];
        }
        const blocks = answer.blocks.map((block) => element('p', { class: 'scaffold' }, plainText(block)));
        acts.append(
            this.panel.act('Take into the note', 't', () => this.takeBlocks(answer)),
            letGo,
        );
        const says = 'In the note it is marked, and does not print until you rewrite it.';
        return [element('div', { class: 'prompt-draft' }, ...blocks), element('p', { class: 'quiet' }, says), acts];
    }

    /** @param {Answer} answer */
    takeTopics({ id, topics }) {
        const { panel, answer } = this;
        const chosen = allOf(answer ?? panel.body, '.prompt-tree input', HTMLInputElement).filter((box) => box.checked);
        /** The topics above the one at hand, by their level. @type {{level: number, id: string}[]} */
        const above = [];
        /** Nested as they were shown; what stands under one that was left stands under the one above that. @type {any[]} */
        const operations = [];
        for (const box of chosen) {
            const { title, level } = topics[Number(box.value)];
            while (above.length && above[above.length - 1].level >= level) {
                above.pop();
            }
            const parent = above.at(-1)?.id ?? panel.topic;
            const added = newId();
            const known = operations.findLast((one) => one.at.parent === parent)?.topics[0].id;
            const at = known ? { parent, after: known } : above.length ? { parent, after: null } : panel.page.tree.lastPlace(parent);
            operations.push({ type: 'add', at, topics: [{ id: added, title }] });
            above.push({ level, id: added });
        }
        operations.length && this.taken(id, operations, counted(operations.length, 'part'));
    }

    /** @param {Answer} answer */
    takeBlocks({ id, blocks }) {
        const note = { type: 'note', topic: this.panel.topic, put: blocks, remove: [], order: null, was: {} };
        this.taken(id, [note], 'a text that waits to be rewritten');
    }

    /** One step, which the history says where it comes from. @param {string} letter @param {any[]} operations @param {string} what */
    async taken(letter, operations, what) {
        this.panel.page.perform({ type: 'compound', from: 'helper', operations });
        tell(`Taken from the helper: ${what}`);
        this.answer?.replaceChildren();
        await send('POST', `${this.address}/${letter}/taken`).catch((error) => this.panel.say(reason(error)));
        await this.refresh();
    }
}
