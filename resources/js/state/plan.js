import { Beside } from './beside.js';
import { hasWork } from './work.js';
import { renamedStrip, takeAnswer } from './answers.js';
import { rowsUnder } from './rows.js';
import { learnSigns } from '../lib/sign-forms.js';
import { words } from '../lib/vocabulary.js';
import { mirrorField, mirrors } from './operations.js';
import { ROOT, usual } from './topics.js';

export { ROOT, TRAY } from './topics.js';

/**
 * @typedef {import('./topics.js').Topic} Topic
 * @typedef {import('./topics.js').Relation} Relation @typedef {import('./topics.js').Place} Place
 * @typedef {import('./topics.js').Operation} Operation
 * @typedef {import('./topics.js').Row} Row
 * @typedef {import('./topics.js').NoteBearer} NoteBearer
 * @typedef {import('./topics.js').Answer} Answer
 */

/**
 * The page's mirror of the plan: what PHP has told, with the person's own changes shown at once.
 * It mirrors what only moves rows about and sets their fields; numbers, words and florets are only
 * shown, and what needs a note, a sorting or a removed topic waits for the answer.
 */
export class Tree {
    /** @param {Answer} data */
    constructor(data) {
        /** @type {Map<string, Topic>} */
        this.topics = new Map();
        /** @type {Map<string, string[]>} */
        this.parts = new Map();
        /** Topic → its words, and how full its floret is. @type {Map<string, [number, number]>} */
        this.figures = new Map();
        /** The numbers that topics were told, and have elsewhere until the next answer. @type {Map<string, string>} */
        this.hidden = new Map();
        /** @type {Map<string, Relation>} */
        this.relations = new Map();
        /** What is known of topics beside the plan. */
        this.beside = new Beside();
        /** The main sections, as they stand above the plan. @type {any[]} */
        this.strip = [];
        /** Whether it cannot be told from what is new how the plan stands: it must be told whole. */
        this.isAstray = false;
        this.fill(data);
    }

    /** Becomes the plan that is told whole, topics in reading order. @param {Answer} data */
    fill(data) {
        this.topics.clear();
        this.parts.clear();
        this.figures = new Map(Object.entries(data.figures));
        for (const topic of data.topics) {
            this.topics.set(topic.id, { ...usual(), ...topic });
            this.partsOf(topic.parent).push(topic.id);
        }
        this.tell(data);
    }

    /** @param {Answer} data */
    tell(data) {
        learnSigns(data.signs);
        if (data.relations) {
            this.relations = new Map(data.relations.map((/** @type {Relation} */ relation) => [relation.id, relation]));
        }
        this.strip = data.strip ?? renamedStrip(this);
        this.words = data.words ?? this.words;
        this.target = data.target;
        this.title = data.title;
        this.properties = data.properties ?? this.properties;
        this.noted = data.noted ?? this.noted;
        this.rootRevised = data.rootRevised ?? false;
        this.steps = data.steps ?? this.steps ?? { undo: null, redo: null };
    }

    /** @param {string} id @returns {string[]} */
    partsOf(id) {
        let parts = this.parts.get(id);
        if (!parts) {
            this.parts.set(id, (parts = []));
        }
        return parts;
    }

    /** @param {string | null | undefined} id @returns {Topic} */
    get(id) {
        return /** @type {any} */ (this.topics.get(/** @type {string} */ (id)));
    }

    /** What a note can stand on: a topic, or the plan itself. @param {string} id @returns {NoteBearer} */
    noteBearer(id) {
        return id === ROOT ? { title: this.title, noted: this.noted, target: this.target, parent: null } : this.get(id);
    }

    /** Where a topic stands: parent and the sibling before it. @param {string} id @returns {Place} */
    placeOf(id) {
        const { parent } = this.get(id);
        const parts = this.partsOf(parent);
        return { parent, after: parts[parts.indexOf(id) - 1] ?? null };
    }

    /** @param {string} parent @returns {Place} */
    lastPlace(parent) {
        return { parent, after: this.partsOf(parent).at(-1) ?? null };
    }

    /** @param {string} id */
    level(id) {
        let level = 0;
        for (let at = this.get(id); at; at = this.get(at.parent)) {
            level++;
        }
        return level;
    }

    /**
     * Whether a topic stands in the tree or the tray; one that was just removed is known until the answer comes, and stands nowhere.
     * @param {string} id
     */
    stands(id) {
        for (let at = this.get(id); at; at = this.get(at.parent)) {
            if (!this.partsOf(at.parent).includes(at.id)) {
                return false;
            }
        }
        return !!this.get(id);
    }

    /** Those of some topics that do not stand under another of them, in the same order. @param {string[]} ids */
    heads(ids) {
        const chosen = new Set(ids);
        return ids.filter((id) => {
            for (let at = this.get(id)?.parent; this.get(at); at = this.get(at).parent) {
                if (at && chosen.has(at)) {
                    return false;
                }
            }
            return this.topics.has(id);
        });
    }

    /** The main section that something stands in, or is. @param {string | null} id */
    mainSection(id) {
        let at = id;
        while (at && this.get(at) && this.get(at).parent !== ROOT) {
            at = this.get(at).parent;
        }
        return at;
    }

    /** Whether nobody has written anything on a topic, or set anything on it. @param {string} id */
    isBare(id) {
        const topic = this.get(id);
        const { title, noted, flag, sign, target, picture, labels } = topic;
        return !(title || noted || flag || sign || target || picture || labels.length || this.partsOf(id).length || hasWork(topic));
    }

    /** Takes out a topic of which the server was never told. @param {string} id */
    forget(id) {
        this.detach([id]);
        this.topics.delete(id);
    }

    /** @param {string} id @param {string} ancestor */
    isWithin(id, ancestor) {
        for (let at = id; at; at = this.get(at)?.parent) {
            if (at === ancestor) {
                return true;
            }
        }
        return false;
    }

    /** @param {string} id */
    branch(id) {
        /** @type {string[]} */
        const ids = [];
        const stack = [id];
        while (stack.length) {
            const at = /** @type {string} */ (stack.pop());
            ids.push(at);
            stack.push(...[...this.partsOf(at)].reverse());
        }
        return ids;
    }

    /**
     * The visible rows under a topic in reading order: [{id, level}], folded branches left out.
     * With `only`, a set of topics, these and what they stand under are shown, folded or not.
     * @param {ReadonlySet<string>} folds
     * @param {string} [start]
     * @param {ReadonlySet<string> | null} [only]
     * @returns {Row[]}
     */
    rows(folds, start = ROOT, only = null) {
        return rowsUnder(this, folds, start, only);
    }

    /** The fixed topic that something stands under: the plan itself or the tray. @param {string | null} id */
    home(id) {
        let at = id;
        while (this.get(at)) {
            at = this.get(at).parent;
        }
        return at;
    }

    /** The dye in force: its own, or that of what it is under. @param {string} id */
    dye(id) {
        for (let at = this.get(id); at; at = this.get(at.parent)) {
            if (at.dye && (at.id === id || !['dye', 'both'].includes(at.alone ?? ''))) {
                return at.dye;
            }
        }
        return 'slate';
    }

    /** @param {string[]} ids @param {Place} place */
    insert(ids, place) {
        const parts = this.partsOf(place.parent);
        const at = place.after === null ? 0 : parts.indexOf(place.after) + 1 || parts.length;
        parts.splice(at, 0, ...ids);
        for (const id of ids) {
            this.get(id).parent = place.parent;
        }
    }

    /** @param {string[]} ids */
    detach(ids) {
        for (const id of ids) {
            const parts = this.partsOf(this.get(id).parent);
            const at = parts.indexOf(id);
            if (at >= 0) {
                parts.splice(at, 1);
            }
        }
    }

    /** Shows an operation at once, as far as the page mirrors it. @param {Operation} operation */
    mirror(operation) {
        const mirror = mirrors[operation.type] ?? (words().fields?.includes(operation.type) ? mirrorField : null);
        mirror?.(this, operation);
    }

    /** Takes in what PHP says has changed. @param {Answer} answer */
    take(answer) {
        takeAnswer(this, answer);
        this.tell(answer);
    }
}
