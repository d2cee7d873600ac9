import { dayAfter } from '../lib/days.js';
import { relabelled } from './labels.js';
import { ROOT, usual } from './topics.js';

/**
 * What each operation does to the page's mirror, as far as the page mirrors it: what moves rows about
 * and sets their fields. What needs a note, a sorting or a removed topic waits for the answer.
 * @typedef {import('./plan.js').Tree} Tree
 * @typedef {import('./plan.js').Operation} Operation
 * @type {Record<string, (tree: Tree, operation: Operation) => void>}
 */
export const mirrors = {
    add(tree, { topics, at }) {
        for (const topic of topics) {
            tree.topics.set(topic.id, { ...usual(), noted: !!topic.note, ...topic, parent: topic.parent ?? at.parent });
            if (topic.parent) {
                tree.partsOf(topic.parent).push(topic.id);
            }
        }
        const heads = topics.filter((/** @type {{parent?: string}} */ topic) => !topic.parent);
        tree.insert(
            heads.map((/** @type {{id: string}} */ topic) => topic.id),
            at,
        );
    },

    remove(tree, { ids }) {
        tree.detach(ids);
    },

    drop(tree, { ids }) {
        tree.detach(ids);
    },

    fold(tree, { ids }) {
        tree.detach(ids);
    },

    move(tree, { ids, at }) {
        let { after } = at;
        const parts = tree.partsOf(at.parent);
        while (after && ids.includes(after)) {
            after = parts[parts.indexOf(after) - 1] ?? null;
        }
        tree.detach(ids);
        tree.insert(ids, { ...at, after });
        for (const id of ids) {
            tree.branch(id).forEach((under) => hideNumber(tree, under));
        }
    },

    join(tree, operation) {
        const [upper, lower] = [tree.get(operation.upper), tree.get(operation.lower)];
        const at = lower.parent === upper.id ? { parent: upper.id, after: lower.id } : tree.lastPlace(upper.id);
        mirrors.move(tree, { type: 'move', ids: [...tree.partsOf(lower.id)], at });
        upper.title += (upper.title === '' || lower.title === '' || upper.title.endsWith(' ') ? '' : ' ') + lower.title;
        upper.noted ||= lower.noted;
        tree.detach([lower.id]);
    },

    wrap(tree, { ids, new: id, title }) {
        const { parent, dye } = tree.get(ids[0]);
        mirrors.add(tree, { type: 'add', at: tree.placeOf(ids[0]), topics: [{ id, title, dye: parent === ROOT ? dye : null }] });
        mirrors.move(tree, { type: 'move', ids, at: { parent: id, after: null } });
    },

    dissolve(tree, { ids }) {
        for (const id of ids) {
            mirrors.move(tree, { type: 'move', ids: [...tree.partsOf(id)], at: { parent: tree.get(id).parent, after: id } });
            tree.detach([id]);
        }
    },

    copy(tree, { new: copies, at }) {
        const topics = Object.entries(copies).map(([id, copy]) => ({
            ...tree.get(id),
            label: '',
            id: copy,
            parent: copies[tree.get(id).parent],
        }));
        mirrors.add(tree, { type: 'add', at, topics });
    },

    retitle(tree, { topic, title }) {
        // As the server keeps it: without what is nothing at its ends.
        if (topic === ROOT) {
            tree.title = title.trim();
        } else {
            tree.get(topic).title = title.trim();
        }
    },

    split(tree, { topic: id, new: fresh, at }) {
        const topic = tree.get(id);
        const signs = [...topic.title];
        const rest = signs.slice(at).join('').trim();
        topic.title = signs.slice(0, at).join('').trim();
        tree.topics.set(fresh, { ...usual(), id: fresh, title: rest, kind: topic.kind, parent: topic.parent });
        tree.insert([fresh], { parent: topic.parent, after: topic.id });
    },

    relate(tree, { relations }) {
        for (const relation of relations) {
            tree.relations.set(relation.id, { ...relation });
        }
    },

    unrelate(tree, { ids }) {
        for (const id of ids) {
            tree.relations.delete(id);
        }
    },

    relation(tree, { relation, set }) {
        Object.assign(tree.relations.get(relation) ?? {}, set);
    },

    plan(tree, { set }) {
        Object.assign(tree.properties, set);
    },

    label(tree, { ids, put, take }) {
        for (const id of ids) {
            const topic = tree.get(id);
            topic.labels = relabelled(topic.labels, put, take);
        }
    },

    work(tree, { ids, set }) {
        for (const id of ids) {
            Object.assign(tree.get(id), { ...set, ...('who' in set ? { who: set.who ?? '' } : {}) });
        }
    },

    finish(tree, { ids, on }) {
        for (const id of ids) {
            const topic = tree.get(id);
            // When it is to be done anew, PHP says.
            topic.done = topic.again && (topic.due ?? topic.begins) ? null : on;
        }
    },

    shift(tree, { ids, days }) {
        const moved = new Set(ids.flatMap((/** @type {string} */ id) => tree.branch(id)));
        for (const id of moved) {
            const topic = tree.get(id);
            topic.begins &&= dayAfter(topic.begins, days);
            topic.due &&= dayAfter(topic.due, days);
        }
    },

    'change-label'(tree, { label, name, dye = null }) {
        const was = new Map(tree.properties.labels);
        const of = dye ?? was.get(name) ?? was.get(label) ?? 'slate';
        was.delete(label);
        name !== null && was.set(name, of);
        tree.properties.labels = [...was];
        for (const topic of tree.topics.values()) {
            if (topic.labels.includes(label)) {
                topic.labels = relabelled(topic.labels, name === null ? [] : [name], [label]);
            }
        }
    },

    compound(tree, { operations }) {
        for (const one of operations) {
            tree.mirror(one);
        }
    },
};

/** A topic stands elsewhere: what number it has there is for PHP to say. @param {Tree} tree @param {string} id */
function hideNumber(tree, id) {
    const topic = tree.get(id);
    tree.hidden.has(id) || tree.hidden.set(id, topic.label);
    topic.label = '';
}

/**
 * A field of topics, by the operation of its name.
 * @param {import('./plan.js').Tree} tree
 * @param {import('./plan.js').Operation} operation
 */
export function mirrorField(tree, { type, ids, value }) {
    for (const id of ids) {
        Object.assign(tree.get(id), { [type]: value });
    }
}
