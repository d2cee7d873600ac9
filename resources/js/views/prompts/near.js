import { send } from '../../lib/http.js';
import { newId } from '../../lib/ids.js';
import { plainText } from '../../lib/plain.js';
import { ROOT } from '../../state/plan.js';
import { element } from '../../ui/element.js';

/**
 * A passage as the server tells it; spots: from and length of the words that tie it.
 * @typedef {{plan: {id: string, title: string} | null, kind: string, topic?: string, source?: string, block?: string, called: string,
 *     text: string, spots: [number, number][], ties: string[], cites: any[], sources: {id: string}[]}} Passage
 */

const AGAIN = 400;

/** What else bears on the topic: passages of this plan, of others, of sources and of pages that were kept. */
export class Near {
    follows = true;

    /** @param {import('./panel.js').Prompts} panel */
    constructor(panel) {
        this.panel = panel;
    }

    get page() {
        return this.panel.page;
    }

    draw() {
        const { panel } = this;
        const { topic, marked } = panel;
        const words = marked?.topic === topic ? marked.words.text : '';
        panel.ask('POST', 'near', (told) => this.shown(told, words), { topic, marked: words });
    }

    /** @param {{passages: Passage[], unread: number}} told @param {string} words */
    shown({ passages, unread }, words) {
        if (unread) {
            // What is not read yet is read further with each time that one asks.
            const { turn } = this.panel;
            setTimeout(() => this.panel.isOpen && turn === this.panel.turn && this.draw(), AGAIN);
        }
        const cards = passages.map((passage) => this.card(passage));
        return [
            words ? element('p', { class: 'quiet' }, `Near “${words.length > 60 ? `${words.slice(0, 60)}…` : words}”`) : '',
            element('ul', { class: 'prompt-cards' }, ...cards),
            cards.length
                ? ''
                : element('p', { class: 'quiet' }, unread ? '' : 'Nothing else that was written or kept says much about this.'),
            unread ? element('p', { class: 'quiet', role: 'status' }, 'Your other plans are being read…') : '',
            this.panel.topic === ROOT
                ? element('button', { type: 'button', class: 'link', onclick: () => this.alike() }, 'What is here twice')
                : '',
        ];
    }

    /** @param {Passage} passage */
    card(passage) {
        const { panel, page } = this;
        const says = element('p', { class: 'prompt-text' }, ...withTies(passage));
        const card = element(
            'li',
            { 'data-card': '', class: `prompt-card is-${passage.kind}` },
            element('div', { class: 'prompt-from' }, this.from(passage), this.where(passage)),
            says,
            passage.kind !== 'title' && element('p', { class: 'prompt-ties' }, `Tied by ${passage.ties.slice(0, 6).join(', ')}`),
        );
        const acts = element('div', { class: 'question-acts', role: 'group', 'aria-label': passage.called });
        const may = panel.mayWrite && page.tree.noteBearer(panel.topic);
        if (may && passage.kind !== 'title') {
            acts.append(panel.act('Quote it', 'q', () => this.quote(passage, card)));
        }
        if (may && passage.topic && !passage.plan) {
            acts.append(panel.act('Refer to it', 'f', () => this.refer(passage, card)));
            panel.topic !== ROOT && passage.topic !== ROOT && acts.append(panel.act('Relate', 'r', () => this.relate(passage, card)));
        }
        passage.topic && passage.kind !== 'title' && acts.append(panel.act('Open', 'o', () => this.openNote(passage, card)));
        acts.append(panel.act('Let go', 'Delete', () => panel.done(card, '')));
        card.append(acts);
        return card;
    }

    /** @param {Passage} passage */
    from(passage) {
        const { plan, topic, called } = passage;
        if (plan) {
            return element(
                'a',
                { class: 'talk-act', href: `/plans/${plan.id}${topic && topic !== ROOT ? `#topic=${topic}` : ''}` },
                called,
            );
        }
        return topic ? this.panel.to([topic, called]) : element('strong', {}, called);
    }

    /** @param {Passage} passage */
    where({ plan, kind }) {
        const what = { title: 'title', note: '', source: 'source', page: 'kept page' }[kind] ?? '';
        const where = [what, plan ? `in ${plan.title}` : ''].filter(Boolean).join(', ');
        return where ? element('small', {}, where) : '';
    }

    /** As a quotation at the end of the note, with what it cites. @param {Passage} passage @param {Element} card */
    quote(passage, card) {
        const { panel, page } = this;
        const known = page.citations.sources;
        const sources = passage.sources.filter(({ id }) => !known.has(id));
        const content = passage.text
            .split('\n')
            .map((line) => ({ type: 'paragraph', content: line ? [{ type: 'text', text: line }] : [] }));
        if (passage.cites.length) {
            const last = content.at(-1) ?? content[0];
            last.content.push({ type: 'text', text: ' ' }, /** @type {any} */ ({ type: 'citation', attrs: { items: passage.cites } }));
        }
        const block = { type: 'blockquote', attrs: { id: newId() }, content };
        panel.intoNote(panel.topic, [block], sources.length ? [{ type: 'source', sources }] : []);
        panel.done(card, `Quoted in the note: ${passage.called}`);
    }

    /** As a reference at the end of the note. @param {Passage} passage @param {Element} card */
    refer(passage, card) {
        const { panel } = this;
        const content = [{ type: 'topicRef', attrs: { topic: passage.topic } }];
        panel.intoNote(panel.topic, [{ type: 'paragraph', attrs: { id: newId() }, content }]);
        panel.done(card, `Referred to in the note: ${passage.called}`);
    }

    /** @param {Passage} passage @param {Element} card */
    relate(passage, card) {
        const relation = { id: newId(), from: this.panel.topic, to: passage.topic, label: '', dye: null, arrows: 'end', bend: null };
        this.page.perform({ type: 'relate', relations: [relation] });
        this.panel.done(card, `Related: ${passage.called}`);
    }

    /** The whole note that it stands in, below it. @param {Passage} passage @param {Element} card */
    async openNote(passage, card) {
        const there = card.querySelector('.prompt-note');
        if (there) {
            there.remove();
            return;
        }
        const plan = passage.plan ? `/plans/${passage.plan.id}` : this.page.address;
        const note = await send('GET', `${plan}/topics/${passage.topic}/note`).catch(() => null);
        const blocks = (note?.blocks ?? []).map((/** @type {any} */ block) => element('p', {}, plainText(block)));
        card.append(element('div', { class: 'prompt-note', role: 'note' }, ...(blocks.length ? blocks : ['It cannot be read now.'])));
    }

    /** Titles that say nearly the same, and sections that speak of the same. */
    alike() {
        const { panel } = this;
        panel.ask('GET', 'alike', ({ titles, texts }) => [
            element('button', { type: 'button', class: 'link', onclick: () => panel.draw() }, '← What belongs near'),
            element('h2', {}, 'Titles that say nearly the same'),
            titles.length ? this.pairs(titles, true) : element('p', { class: 'quiet' }, 'None.'),
            element('h2', {}, 'Topics that speak of the same'),
            texts.length ? this.pairs(texts, false) : element('p', { class: 'quiet' }, 'None.'),
        ]);
    }

    /** @param {[[string, string], [string, string]][]} pairs @param {boolean} joins */
    pairs(pairs, joins) {
        const { panel, page } = this;
        return element(
            'ul',
            { class: 'prompt-cards' },
            ...pairs.map(([one, other]) => {
                const card = element('li', { 'data-card': '', class: 'prompt-card' }, panel.to(one), element('br'), panel.to(other));
                const acts = element('div', { class: 'question-acts', role: 'group', 'aria-label': `${one[1]} – ${other[1]}` });
                const mayJoin = joins && panel.mayWrite && one[0] !== ROOT && other[0] !== ROOT;
                mayJoin && acts.append(panel.act('Join them', 'j', () => this.join(one, other, card)));
                !joins && panel.mayWrite && one[0] !== ROOT && other[0] !== ROOT
                    ? acts.append(panel.act('Relate', 'r', () => this.relateTwo(one[0], other[0], card)))
                    : null;
                acts.append(panel.act('Let go', 'Delete', () => panel.done(card, '')));
                card.append(acts);
                return page.tree.get(one[0]) || one[0] === ROOT ? card : '';
            }),
        );
    }

    /**
     * Parts and note of the second go to the first, whose title stays.
     * @param {[string, string]} one
     * @param {[string, string]} other
     * @param {Element} card
     */
    join(one, other, card) {
        const title = this.page.tree.get(one[0]).title;
        const operations = [
            { type: 'join', upper: one[0], lower: other[0] },
            { type: 'retitle', topic: one[0], title },
        ];
        this.page.perform({ type: 'compound', operations });
        this.panel.done(card, `Joined: ${one[1]}`);
    }

    /** @param {string} from @param {string} to @param {Element} card */
    relateTwo(from, to, card) {
        this.page.perform({ type: 'relate', relations: [{ id: newId(), from, to, label: '', dye: null, arrows: 'both', bend: null }] });
        this.panel.done(card, 'Related');
    }
}

/** The text of a passage, the words that tie it set off. @param {Passage} passage */
function withTies({ text, spots }) {
    const signs = [...text];
    /** @type {(Node | string)[]} */
    const out = [];
    let at = 0;
    for (const [from, length] of spots) {
        out.push(signs.slice(at, from).join(''), element('b', { class: 'tie' }, signs.slice(from, from + length).join('')));
        at = from + length;
    }
    out.push(signs.slice(at).join(''));
    return out;
}
