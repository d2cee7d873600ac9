import { firstOf } from '../lib/dom.js';
import { ROOT } from '../state/plan.js';
import { element } from './element.js';
import { aboutSays, placeSays } from './talk-card.js';
import { talkField } from './talk-field.js';

/** Where a new comment is written, and a suggestion beside it: another wording, another title, another place. */
export class SayField {
    /** @param {import('./talk-panel.js').TalkPanel} panel */
    constructor(panel) {
        this.panel = panel;
        this.box = firstOf(panel.box, '.talk-write');
        /** @type {{kind: string, text?: string, at?: {parent: string, after: string | null}} | null} */
        this.proposal = null;
    }

    /**
     * @param {string} topic
     * @param {{text: string, nth: number} | null} words
     */
    open(topic, words) {
        this.topic = topic;
        this.words = words;
        this.proposal = null;
        this.draw();
    }

    close() {
        this.box.replaceChildren();
        this.box.hidden = true;
    }

    draw(text = '') {
        const { panel, words, topic = ROOT } = this;
        const { form, field } = talkField({
            label: 'What you want to say',
            send: 'Send',
            text,
            people: panel.people,
            onSend: (body, file) => this.send(body, file),
            onLeave: () => this.close(),
            takesFile: true,
            above: [
                element('p', { class: 'talk-about' }, aboutSays(panel.tree, topic)),
                ...(words ? [element('q', { class: 'talk-words' }, words.text)] : []),
                ...this.suggesting(),
            ],
            isEnough: () => this.proposal !== null,
        });
        this.field = field;
        this.box.replaceChildren(form);
        this.box.hidden = false;
        const other = this.box.querySelector('.talk-other');
        other instanceof HTMLElement ? other.focus() : field.focus();
        field.value = text;
    }

    /** What can be proposed of what it is about. @returns {Node[]} */
    suggesting() {
        const { topic = ROOT, words, proposal } = this;
        if (topic === ROOT && !words) {
            return [];
        }
        const offer = (/** @type {string} */ name, /** @type {() => unknown} */ act) =>
            element('button', { type: 'button', class: 'link', onclick: act }, name);
        if (!proposal) {
            return [
                element(
                    'p',
                    { class: 'talk-offers' },
                    'Suggest ',
                    words
                        ? offer('other words', () => this.propose({ kind: 'words', text: words.text }))
                        : offer('another title', () => this.propose({ kind: 'title', text: this.panel.tree.get(topic).title })),
                    !words && ' or ',
                    !words && offer('another place', () => this.askPlace()),
                ),
            ];
        }
        const drop = offer('No suggestion', () => this.propose(null));
        if (proposal.kind === 'move') {
            return [element('p', { class: 'talk-offers' }, `Move it ${placeSays(this.panel.tree, proposal.at)}. `, drop)];
        }
        const field = element('textarea', {
            class: 'box talk-other',
            rows: 2,
            'aria-label': proposal.kind === 'title' ? 'The title as you would have it' : 'The words as you would have them',
            oninput: (/** @type {Event} */ event) => (proposal.text = /** @type {HTMLTextAreaElement} */ (event.target).value),
        });
        field.value = proposal.text ?? '';
        return [field, element('p', { class: 'talk-offers' }, drop)];
    }

    /** @param {{kind: string, text?: string, at?: {parent: string, after: string | null}} | null} proposal */
    propose(proposal) {
        this.proposal = proposal;
        this.draw(this.field?.value ?? '');
    }

    askPlace() {
        const { topic = ROOT, panel } = this;
        const { choosing, tree } = panel.page;
        const find = choosing.finder((/** @type {string} */ id) => tree.isWithin(id, topic));
        const typed = this.field?.value ?? '';
        choosing.choose('Where it should stand', 'Number, or some letters of a title', (/** @type {any} */ wanted) =>
            find(wanted).map((/** @type {{id: string, name: string}} */ one) => [
                {
                    name: `Behind ${one.name}`,
                    act: () => {
                        choosing.close();
                        this.proposal = { kind: 'move', at: { parent: tree.get(one.id).parent, after: one.id } };
                        this.draw(typed);
                    },
                },
                {
                    name: 'Inside it',
                    act: () => {
                        choosing.close();
                        this.proposal = { kind: 'move', at: tree.lastPlace(one.id) };
                        this.draw(typed);
                    },
                },
            ]),
        );
    }

    /** @param {string} body @param {File | null} file */
    async send(body, file) {
        const { topic = ROOT, words = null, proposal, panel } = this;
        const id = await panel.talking.say({ topic, body, words, proposal }, file);
        this.close();
        panel.draw();
        panel.card(id)?.focus();
    }
}
