import { allOf, byId } from '../../lib/dom.js';
import { fullScreen } from '../../lib/full-screen.js';
import { store } from '../../lib/stored.js';
import { words } from '../../lib/vocabulary.js';
import { element } from '../../ui/element.js';
import { labelsOf } from '../../state/labels.js';
import { ROOT } from '../../state/plan.js';

const WIDTH = 'embrel.draft.width';
const LEVEL = 'embrel.draft.level';

/** What of the text is shown, how wide, and whether the line that is written stays at one height. */
export class Shown {
    /** @param {import('./draft.js').Draft} draft */
    constructor(draft) {
        this.draft = draft;
        this.page = draft.page;
        this.select = byId('draft-show', HTMLSelectElement);
        this.noted = byId('only-noted', HTMLInputElement);
        this.level = byId('draft-level');
        for (const field of [this.select, this.noted]) {
            field.addEventListener('change', () => {
                draft.alone.isOn && draft.alone.begin();
                draft.draw();
            });
        }
        for (const button of allOf(byId('bars'), '[data-width]')) {
            button.addEventListener('click', () => this.setWidth(button.dataset.width ?? 'middle'));
        }
        this.setWidth(localStorage.getItem(WIDTH) ?? 'middle');
        this.setLevel(localStorage.getItem(LEVEL) === 'yes');
        this.level.addEventListener('click', () => this.setLevel(!this.isLevel));
        document.addEventListener('selectionchange', () => this.keepLevel());
        byId('draft-go').addEventListener('click', () => draft.ask());
        byId('draft-full').addEventListener('click', () => this.full());
        document.addEventListener('fullscreenchange', () => {
            byId('draft-full').setAttribute('aria-pressed', String(document.fullscreenElement !== null));
        });
    }

    /** The choices: all, what is empty, a branch, what carries a flag or a label. */
    offer() {
        const { tree } = this.page;
        const chosen = this.select.value;
        const option = (/** @type {string} */ value, /** @type {string} */ name) => element('option', { value }, name);
        const group = (/** @type {string} */ label, /** @type {[string, string][]} */ of) =>
            of.length ? [element('optgroup', { label }, ...of.map(([value, name]) => option(value, name)))] : [];
        const sections = tree.partsOf(ROOT).map((id) => {
            const { label, title } = tree.get(id);
            return /** @type {[string, string]} */ ([`branch ${id}`, `${label} ${title || 'Untitled'}`.trim()]);
        });
        const topics = [...tree.topics.values()];
        const flags = /** @type {[string, string][]} */ (Object.entries(words().flags)).filter(([flag]) =>
            topics.some((topic) => topic.flag === flag),
        );
        this.select.replaceChildren(
            option('all', 'Everything'),
            option('one', 'One section alone'),
            option('empty', 'Only what is empty'),
            ...group('One branch', sections),
            ...group(
                'A flag',
                flags.map(([flag, name]) => [`flag ${flag}`, name]),
            ),
            ...group(
                'A label',
                [...labelsOf(tree).keys()].map((name) => [`label ${name}`, name]),
            ),
        );
        this.select.value = [...this.select.options].some(({ value }) => value === chosen) ? chosen : 'all';
    }

    /** @param {string} id */
    has(id) {
        const { draft } = this;
        const { tree } = this.page;
        if (id === draft.open || draft.titles.fresh?.id === id) {
            return true;
        }
        if (this.noted.checked && !draft.html.has(id)) {
            return false;
        }
        const [what, of] = [this.select.value.split(' ')[0], this.select.value.replace(/^\w+ /, '')];
        const topic = tree.get(id);
        /** @type {Record<string, () => boolean>} */
        const holds = {
            all: () => id !== ROOT || draft.html.has(id),
            one: () => id === draft.alone.id,
            empty: () => id !== ROOT && isUnwritten(draft.html.get(id)) && topic?.kind === 'section',
            branch: () => id !== ROOT && tree.isWithin(id, of),
            flag: () => topic?.flag === of,
            label: () => (topic?.labels ?? []).includes(of),
        };
        return (holds[what] ?? holds.all)();
    }

    /** @param {string} width */
    setWidth(width) {
        this.draft.side.dataset.width = width;
        store(WIDTH, width);
        for (const button of allOf(byId('bars'), '[data-width]')) {
            button.setAttribute('aria-pressed', String(button.dataset.width === width));
        }
    }

    /** @param {boolean} isLevel */
    setLevel(isLevel) {
        this.isLevel = isLevel;
        store(LEVEL, isLevel ? 'yes' : 'no');
        this.level.setAttribute('aria-pressed', String(isLevel));
        this.draft.side.classList.toggle('is-level', isLevel);
    }

    /** The line that is written stands in the middle, and the text moves behind it. */
    keepLevel() {
        const { side, editor } = this.draft;
        const view = editor?.editor.view;
        if (this.isLevel && this.page.view === 'draft' && view?.hasFocus()) {
            const box = side.getBoundingClientRect();
            side.scrollTop += view.coordsAtPos(view.state.selection.head).top - (box.top + box.height * 0.45);
        }
    }

    full() {
        fullScreen(() => this.page.say('This browser does not let it fill the screen.'));
    }
}

/** Whether nothing stands there, or nothing but questions that wait for an answer. @param {string | undefined} html as PHP prints it */
const isUnwritten = (html) => html === undefined || /^(?:<p class="question">[^<]*<\/p>)+$/.test(html);
