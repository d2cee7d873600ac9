import { newId } from '../ids.js';
import { send } from '../http.js';
import { Clock } from './clock.js';
import { element } from './element.js';
import { actionFor, digitOf } from './keys.js';
import { numberAt } from './landing.js';
import { fromHtml, fromText } from './lines.js';
import { Places } from './places.js';
import { ROOT, TRAY } from './tree.js';

const SECOND_DIGIT = 700;
const ID_DIGITS = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';

/** The gather view: ideas come in at the speed of typing, and one key sends each where it belongs. */
export class Gather {
    constructor(page) {
        this.page = page;
        this.input = document.getElementById('gather-input');
        this.inside = document.getElementById('gather-inside');
        this.list = document.getElementById('ideas');
        this.parents = [];
        this.last = null;
        this.active = null;
        this.marked = new Set();
        this.sources = [];
        this.places = new Places(this);
        this.clock = new Clock(document.getElementById('clock'), `embrel.clock.${page.data.plan}`, (minutes) => page.say(`${minutes} minutes are over. ${this.count()} ideas are waiting here.`));
        this.input.addEventListener('keydown', (event) => this.pressedInField(event));
        this.input.addEventListener('paste', (event) => this.pasted(event));
        document.getElementById('gather-form').addEventListener('submit', (event) => event.preventDefault());
        this.list.addEventListener('keydown', (event) => this.pressed(event));
        this.list.addEventListener('click', (event) => this.clicked(event));
        document.getElementById('gather-sources').addEventListener('click', () => this.showSources());
        setInterval(() => !document.hidden && page.view === 'gather' && this.drawTimes(), 30000);
    }

    get tree() {
        return this.page.tree;
    }

    enter() {
        this.loadSources();
        this.input.focus();
    }

    count() {
        return this.tree.branch(TRAY).length - 1;
    }

    async loadSources() {
        const answer = await send('GET', `${this.page.address}/sources`).catch(() => null);
        this.sources = answer?.sources ?? this.sources;
        this.places.draw();
        this.drawSources();
    }

    drawSources() {
        const button = document.getElementById('gather-sources');
        button.hidden = this.sources.length === 0;
        button.textContent = this.sources.length === 1 ? '1 source' : `${this.sources.length} sources`;
    }

    // ---- Drawing

    /** The ideas, the newest first; what is inside one stands under it. */
    rows() {
        return [...this.tree.partsOf(TRAY)].reverse().flatMap((id) => [{ id, level: 1 }, ...this.tree.rows(new Set(), id).map((row) => ({ id: row.id, level: row.level + 1 }))]);
    }

    draw() {
        const rows = this.rows();
        this.ids = rows.map((row) => row.id);
        if (this.active && !this.ids.includes(this.active)) {
            this.active = null;
        }
        this.list.replaceChildren(...rows.map(({ id, level }) => this.row(id, level)));
        this.list.hidden = rows.length === 0;
        document.getElementById('no-ideas').hidden = rows.length > 0;
        this.list.setAttribute('aria-activedescendant', this.active ? `idea-${this.active}` : '');
        document.getElementById('gather').classList.toggle('is-sorting', this.marked.size > 0);
        this.drawInside();
        this.places.draw();
    }

    row(id, level) {
        const topic = this.tree.get(id);
        return element('div', { class: `idea kind-${topic.kind}`, role: 'option', id: `idea-${id}`, 'data-id': id, 'aria-selected': String(this.marked.has(id)), '--l': level - 1 },
            element('span', { class: 'title' }, topic.title || 'Untitled'), topic.kind === 'section' ? null : element('span', { class: 'k' }, topic.kind), element('time', {}, ago(id)));
    }

    drawTimes() {
        for (const row of this.list.children) {
            row.querySelector('time').textContent = ago(row.dataset.id);
        }
    }

    drawInside() {
        const parent = this.parents.at(-1);
        this.inside.hidden = !parent;
        this.inside.textContent = parent ? `inside “${this.tree.get(parent)?.title ?? ''}”` : '';
    }

    retitled() {
        this.draw();
    }

    told() {
        this.marked = new Set([...this.marked].filter((id) => this.tree.get(id) && this.tree.home(id) === TRAY));
        this.parents = this.parents.filter((id) => this.tree.get(id) && this.tree.home(id) === TRAY);
    }

    /** Others, or an undo, may have changed the sources too. */
    toldByOthers() {
        if (this.page.view === 'gather') {
            this.loadSources();
        }
    }

    reveal(id) {
        if (this.tree.home(id) === TRAY) {
            this.mark(id);
        }
    }

    // ---- Ideas come in

    pressedInField(event) {
        const action = actionFor(event, 'gather-field');
        const title = this.input.value.trim();
        if (!action || (action === 'ideaOut' && !this.parents.length) || (action === 'ideaIn' && !this.last)) {
            return;
        }
        event.preventDefault();
        ({
            keepIdea: () => title && this.keep([{ id: newId(), title }]),
            ideaIn: () => { this.parents.push(this.last); this.drawInside(); },
            ideaOut: () => { this.last = this.parents.pop(); this.drawInside(); },
            markFirst: () => this.ids.length && this.mark(this.ids[0]),
        })[action]();
    }

    keep(topics) {
        this.page.catch(topics, this.parents.at(-1) ?? TRAY);
        this.last = topics.filter((topic) => !topic.parent).at(-1).id;
        this.input.value = '';
    }

    pasted(event) {
        const html = event.clipboardData.getData('text/html');
        const text = event.clipboardData.getData('text/plain');
        if (/\n\s*\S/.test(text)) {
            const topics = (html && fromHtml(html)) || fromText(text);
            event.preventDefault();
            if (topics.length) {
                this.keep(topics);
            }
        }
    }

    // ---- Ideas are marked

    mark(id) {
        this.marked = new Set([id]);
        this.active = this.anchor = id;
        this.draw();
        this.list.focus({ preventScroll: true });
        document.getElementById(`idea-${id}`)?.scrollIntoView({ block: 'nearest' });
    }

    toField() {
        this.marked.clear();
        this.active = null;
        this.places.parent = ROOT;
        this.draw();
        this.input.focus();
    }

    step(by) {
        const at = this.ids.indexOf(this.active) + by;
        if (at < 0) {
            this.toField();
        } else if (this.ids[at]) {
            this.mark(this.ids[at]);
        }
    }

    stretch(by) {
        const at = Math.max(0, Math.min(this.ids.length - 1, this.ids.indexOf(this.active) + by));
        this.active = this.ids[at];
        const [from, to] = [this.ids.indexOf(this.anchor), at].sort((a, b) => a - b);
        this.marked = new Set(this.ids.slice(from, to + 1));
        this.draw();
    }

    toggle(id) {
        this.marked.has(id) ? this.marked.delete(id) : this.marked.add(id);
        this.active = this.anchor = id;
        this.draw();
        this.list.focus({ preventScroll: true });
    }

    clicked(event) {
        const id = event.target.closest('.idea')?.dataset.id;
        if (!id) {
            return;
        }
        if (event.shiftKey) {
            this.anchor ??= id;
            this.active = id;
            this.stretch(0);
        } else if (event.ctrlKey || event.metaKey || (matchMedia('(pointer: coarse)').matches && this.marked.size)) {
            this.toggle(id);
        } else {
            this.mark(id);
        }
    }

    pressed(event) {
        const action = actionFor(event, this.places.isInside ? 'gather-place' : 'gather-idea');
        const digit = digitOf(event);
        if (digit) {
            event.preventDefault();
            this.digit(digit);
        } else if (action) {
            event.preventDefault();
            ({
                ideaAbove: () => this.step(-1), ideaBelow: () => this.step(1), markIdeaAbove: () => this.stretch(-1), markIdeaBelow: () => this.stretch(1),
                toggleIdea: () => this.toggle(this.active), allIdeas: () => { this.marked = new Set(this.ids); this.draw(); },
                toNewSection: () => this.toNewSection(), toQuote: () => this.toQuote(), toSource: () => this.toSource(), letGo: () => this.letGo(),
                placeAbove: () => this.choose(-1), placeBelow: () => this.choose(1), putHere: () => this.putHere(), leavePlaces: () => this.leavePlaces(),
            })[action]();
        } else if (event.key.length === 1 && !event.ctrlKey && !event.metaKey && !event.altKey && event.key !== ' ') {
            // Any other letter is the beginning of the next idea: it goes where the keyboard goes.
            this.toField();
        }
    }

    outwards() {
        if (this.places.isInside) {
            this.leavePlaces();
        } else if (this.marked.size) {
            this.toField();
        } else if (this.parents.length) {
            this.parents = [];
            this.drawInside();
        } else {
            document.querySelector('.modes [data-view=gather]').focus();
        }
    }

    // ---- Ideas are sent

    /** A number may have two digits: where it could go on, a moment is waited for the second. */
    digit({ digit, shift }) {
        clearTimeout(this.waiting);
        const number = this.typed ? Number(`${this.typed.digit}${digit}`) : digit;
        const opens = shift || this.typed?.shift;
        this.typed = null;
        const sections = this.places.numbered();
        const act = () => {
            this.typed = null;
            this.showTyped('');
            const id = sections[number - 1];
            if (id) {
                opens ? this.choosePlace(id) : this.toSection(id);
            } else {
                this.page.live.textContent = `There is no section ${number}.`;
            }
        };
        if (number > 0 && number * 10 <= sections.length) {
            this.typed = { digit: number, shift: opens };
            this.showTyped(`${number}…`);
            this.waiting = setTimeout(act, SECOND_DIGIT);
        } else {
            act();
        }
    }

    showTyped(text) {
        document.getElementById('typed').textContent = text;
    }

    /** What is marked, in the order in which the ideas came, without what is inside another of them. */
    heads() {
        const marked = this.marked.size ? this.marked : new Set(this.ids.slice(0, 1));
        return [...this.tree.rows(new Set(), TRAY)].map((row) => row.id).filter((id) => marked.has(id) && !marked.has(this.tree.get(id).parent));
    }

    /** Sends what is marked by an operation, and marks the next idea at once. */
    dispatch(operation, said) {
        const gone = new Set(this.heads().flatMap((id) => this.tree.branch(id)));
        const at = Math.max(...[...gone].map((id) => this.ids.indexOf(id)));
        const next = this.ids.slice(at + 1).find((id) => !gone.has(id)) ?? this.ids.slice(0, at).reverse().find((id) => !gone.has(id));
        this.places.parent = ROOT;
        this.marked.clear();
        this.page.perform(operation);
        this.page.live.textContent = said;
        if (next) {
            this.mark(next);
        } else {
            this.toField();
        }
    }

    toSection(id) {
        const ids = this.heads();
        if (ids.length) {
            const topic = this.tree.get(id);
            this.dispatch({ type: 'move', ids, at: this.tree.lastPlace(id) }, `Sent to ${topic.label} ${topic.title}`);
        }
    }

    choosePlace(id) {
        if (this.heads().length) {
            this.places.enter(id);
            this.list.focus({ preventScroll: true });
            this.tellPlace();
        }
    }

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
                this.page.live.textContent = number ? `Here: ${number}` : 'Here';
            }
        }, 120);
    }

    leavePlaces() {
        this.places.leave();
        this.list.focus({ preventScroll: true });
    }

    putHere() {
        this.dispatch({ type: 'move', ids: this.heads(), at: this.places.place() }, 'Put there');
    }

    toNewSection() {
        const ids = this.heads();
        if (ids.length) {
            this.dispatch({ type: 'move', ids, at: this.tree.lastPlace(ROOT) }, 'A new section at the end of the plan');
        }
    }

    /** It stays marked, so that a number can send it on as a quote. */
    toQuote() {
        const ids = this.heads();
        if (ids.length) {
            const isQuote = ids.every((id) => this.tree.get(id).kind === 'quote');
            this.page.perform({ type: 'kind', ids, value: isQuote ? 'section' : 'quote' });
            this.page.live.textContent = isQuote ? 'Not a quote any more' : 'Marked as a quote';
        }
    }

    toSource() {
        const ids = this.heads();
        if (ids.length) {
            const sources = ids.map((id) => ({ id: newId(), title: this.tree.get(id).title }));
            this.sources.push(...sources);
            this.drawSources();
            // What was inside an idea stays with the loose ideas.
            this.dispatch({ type: 'compound', operations: [{ type: 'source', sources }, { type: 'dissolve', ids }] }, 'Kept as a source');
        }
    }

    letGo() {
        const ids = this.heads();
        if (ids.length) {
            this.dispatch({ type: 'remove', ids }, 'Let go');
            this.page.say(ids.length === 1 ? 'Let one idea go.' : `Let ${ids.length} ideas go.`, { label: 'Undo', act: () => this.page.undo() });
        }
    }

    showSources() {
        const dialog = document.getElementById('sources');
        dialog.querySelector('ul').replaceChildren(...this.sources.map((source) => element('li', {}, element('span', {}, source.title),
            element('button', {
                type: 'button', class: 'plain', 'aria-label': `Back to the loose ideas: ${source.title}`, onclick: () => {
                    this.page.perform({ type: 'compound', operations: [{ type: 'unsource', ids: [source.id] }, { type: 'add', at: this.tree.lastPlace(TRAY), topics: [{ id: newId(), title: source.title }] }] });
                    this.sources = this.sources.filter((one) => one !== source);
                    this.drawSources();
                    this.places.draw();
                    this.sources.length ? this.showSources() : dialog.close();
                },
            }, 'Back to the ideas'))));
        if (!dialog.open) {
            dialog.showModal();
        }
    }
}

/** How long ago an idea came: its id begins with the time. */
function ago(id) {
    const time = [...id.slice(0, 10)].reduce((sum, digit) => sum * 32 + ID_DIGITS.indexOf(digit), 0);
    const minutes = Math.floor((Date.now() - time) / 60000);
    if (minutes < 1) {
        return 'just now';
    }
    return minutes < 60 ? `${minutes} min` : minutes < 1440 ? `${Math.floor(minutes / 60)} h` : minutes < 525600 ? `${Math.floor(minutes / 1440)} d` : '';
}
