export const ROOT = '00000000000000000000000000';
export const TRAY = '00000000000000000000000001';
/** What most topics are: PHP leaves it out of a plan that is told whole. */
const USUAL = { title: '', kind: 'section', numbered: 'usual', dye: null, flag: null, target: null, noted: false, size: null, alone: null, spot: null, picture: null, label: '' };

/**
 * The page's mirror of the plan: what PHP has told, with the person's own changes shown at once.
 * It mirrors what only moves rows about and sets their fields; numbers, words and florets are only
 * shown, and what needs a note, a sorting or a removed topic waits for the answer.
 */
export class Tree {
    constructor(data) {
        this.topics = new Map();
        this.parts = new Map();
        this.figures = new Map(Object.entries(data.figures));
        for (const topic of data.topics) {
            this.topics.set(topic.id, { ...USUAL, ...topic });
            this.partsOf(topic.parent).push(topic.id);
        }
        this.tell(data);
    }

    tell(data) {
        if (data.relations) {
            this.relations = new Map(data.relations.map((relation) => [relation.id, relation]));
        }
        this.strip = data.strip ?? this.strip;
        this.words = data.words ?? this.words;
        this.target = data.target;
        this.title = data.title;
        this.properties = data.properties;
        this.noted = data.noted;
        this.rootRevised = data.rootRevised ?? false;
        this.steps = data.steps ?? this.steps ?? { undo: null, redo: null };
    }

    partsOf(id) {
        let parts = this.parts.get(id);
        if (!parts) {
            this.parts.set(id, (parts = []));
        }
        return parts;
    }

    get(id) {
        return this.topics.get(id);
    }

    /** What a note can stand on: a topic, or the plan itself. */
    noteBearer(id) {
        return id === ROOT ? { title: this.title, noted: this.noted, target: this.target, parent: null } : this.get(id);
    }

    /** Where a topic stands: parent and the sibling before it. */
    placeOf(id) {
        const { parent } = this.get(id);
        const parts = this.partsOf(parent);
        return { parent, after: parts[parts.indexOf(id) - 1] ?? null };
    }

    lastPlace(parent) {
        return { parent, after: this.partsOf(parent).at(-1) ?? null };
    }

    level(id) {
        let level = 0;
        for (let at = this.get(id); at; at = this.get(at.parent)) {
            level++;
        }
        return level;
    }

    /** Whether a topic stands in the tree or the tray; one that was just removed is known until the answer comes, and stands nowhere. */
    stands(id) {
        for (let at = this.get(id); at; at = this.get(at.parent)) {
            if (!this.partsOf(at.parent).includes(at.id)) {
                return false;
            }
        }
        return !!this.get(id);
    }

    /** Those of some topics that do not stand under another of them, in the same order. */
    heads(ids) {
        const chosen = new Set(ids);
        return ids.filter((id) => {
            for (let at = this.get(id)?.parent; this.get(at); at = this.get(at).parent) {
                if (chosen.has(at)) {
                    return false;
                }
            }
            return this.topics.has(id);
        });
    }

    /** The main section that something stands in, or is. */
    mainSection(id) {
        let at = id;
        while (at && this.get(at) && this.get(at).parent !== ROOT) {
            at = this.get(at).parent;
        }
        return at;
    }

    /** Whether nobody has written anything on a topic, or set anything on it. */
    isBare(id) {
        const topic = this.get(id);
        return topic.title === '' && !topic.noted && !topic.flag && !topic.target && !topic.picture && this.partsOf(id).length === 0;
    }

    /** Takes out a topic of which the server was never told. */
    forget(id) {
        this.detach([id]);
        this.topics.delete(id);
    }

    isWithin(id, ancestor) {
        for (let at = id; at; at = this.get(at)?.parent) {
            if (at === ancestor) {
                return true;
            }
        }
        return false;
    }

    branch(id) {
        const ids = [];
        const stack = [id];
        while (stack.length) {
            const at = stack.pop();
            ids.push(at);
            stack.push(...[...this.partsOf(at)].reverse());
        }
        return ids;
    }

    /**
     * The visible rows under a topic in reading order: [{id, level}], folded branches left out.
     * With `only`, a set of topics, these and what they stand under are shown, folded or not.
     */
    rows(folds, start = ROOT, only = null) {
        const rows = [];
        const visible = only && this.withParents(only);
        const stack = [];
        const push = (parent, level) => {
            const parts = this.parts.get(parent) ?? [];
            for (let i = parts.length - 1; i >= 0; i--) {
                if (!visible || visible.has(parts[i])) {
                    stack.push({ id: parts[i], level });
                }
            }
        };
        push(start, 1);
        while (stack.length) {
            const row = stack.pop();
            rows.push(row);
            if (visible || !folds.has(row.id)) {
                push(row.id, row.level + 1);
            }
        }
        return rows;
    }

    withParents(ids) {
        const all = new Set();
        for (const id of ids) {
            for (let at = id; at && !all.has(at); at = this.get(at)?.parent) {
                all.add(at);
            }
        }
        return all;
    }

    /** The fixed topic that something stands under: the plan itself or the tray. */
    home(id) {
        let at = id;
        while (this.get(at)) {
            at = this.get(at).parent;
        }
        return at;
    }

    /** The dye in force: its own, or that of what it is under. */
    dye(id) {
        for (let at = this.get(id); at; at = this.get(at.parent)) {
            if (at.dye && (at.id === id || !['dye', 'both'].includes(at.alone))) {
                return at.dye;
            }
        }
        return 'slate';
    }

    insert(ids, place) {
        const parts = this.partsOf(place.parent);
        const at = place.after === null ? 0 : parts.indexOf(place.after) + 1 || parts.length;
        parts.splice(at, 0, ...ids);
        for (const id of ids) {
            this.get(id).parent = place.parent;
        }
    }

    detach(ids) {
        for (const id of ids) {
            const parts = this.partsOf(this.get(id).parent);
            const at = parts.indexOf(id);
            if (at >= 0) {
                parts.splice(at, 1);
            }
        }
    }

    /** Shows an operation at once, as far as the page mirrors it. */
    mirror(operation) {
        switch (operation.type) {
            case 'add':
                for (const topic of operation.topics) {
                    this.topics.set(topic.id, { ...USUAL, noted: !!topic.note, ...topic, parent: topic.parent ?? operation.at.parent });
                    if (topic.parent) {
                        this.partsOf(topic.parent).push(topic.id);
                    }
                }
                this.insert(operation.topics.filter((topic) => !topic.parent).map((topic) => topic.id), operation.at);
                break;
            case 'remove': case 'drop':
                this.detach(operation.ids);
                break;
            case 'join': {
                const [upper, lower] = [this.get(operation.upper), this.get(operation.lower)];
                this.mirror({
                    type: 'move', ids: [...this.partsOf(lower.id)],
                    at: lower.parent === upper.id ? { parent: upper.id, after: lower.id } : this.lastPlace(upper.id),
                });
                upper.title += (upper.title === '' || lower.title === '' || upper.title.endsWith(' ') ? '' : ' ') + lower.title;
                upper.noted ||= lower.noted;
                this.detach([lower.id]);
                break;
            }
            case 'move': {
                let { after } = operation.at;
                const parts = this.partsOf(operation.at.parent);
                while (after && operation.ids.includes(after)) {
                    after = parts[parts.indexOf(after) - 1] ?? null;
                }
                this.detach(operation.ids);
                this.insert(operation.ids, { ...operation.at, after });
                operation.ids.forEach((id) => this.branch(id).forEach((under) => { this.get(under).label = ''; }));
                break;
            }
            case 'wrap':
                this.mirror({ type: 'add', at: this.placeOf(operation.ids[0]), topics: [{ id: operation.new, title: operation.title, dye: this.get(operation.ids[0]).parent === ROOT ? this.get(operation.ids[0]).dye : null }] });
                this.mirror({ type: 'move', ids: operation.ids, at: { parent: operation.new, after: null } });
                break;
            case 'fold':
                this.mirror({ type: 'remove', ids: operation.ids });
                break;
            case 'dissolve':
                for (const id of operation.ids) {
                    this.mirror({ type: 'move', ids: [...this.partsOf(id)], at: { parent: this.get(id).parent, after: id } });
                    this.detach([id]);
                }
                break;
            case 'copy':
                this.mirror({ type: 'add', at: operation.at, topics: Object.entries(operation.new).map(([id, copy]) => {
                    const { parent, label, ...topic } = this.get(id);
                    return { ...topic, id: copy, parent: operation.new[parent] };
                }) });
                break;
            case 'retitle':
                if (operation.topic === ROOT) {
                    this.title = operation.title;
                } else {
                    this.get(operation.topic).title = operation.title;
                }
                break;
            case 'split': {
                const topic = this.get(operation.topic);
                const signs = [...topic.title];
                const rest = signs.slice(operation.at).join('').trim();
                topic.title = signs.slice(0, operation.at).join('').trim();
                this.topics.set(operation.new, { ...USUAL, id: operation.new, title: rest, kind: topic.kind, parent: topic.parent });
                this.insert([operation.new], { parent: topic.parent, after: topic.id });
                break;
            }
            case 'relate':
                operation.relations.forEach((relation) => this.relations.set(relation.id, { ...relation }));
                break;
            case 'unrelate':
                operation.ids.forEach((id) => this.relations.delete(id));
                break;
            case 'relation':
                Object.assign(this.relations.get(operation.relation) ?? {}, operation.set);
                break;
            case 'kind': case 'flag': case 'dye': case 'target': case 'numbered': case 'size': case 'alone': case 'spot': case 'picture':
                operation.ids.forEach((id) => { this.get(id)[operation.type] = operation.value; });
                break;
            case 'compound':
                operation.operations.forEach((one) => this.mirror(one));
        }
    }

    /** Takes in what PHP says has changed: rows in reading order, each after its sibling. */
    take(answer) {
        for (const row of answer.topics) {
            const { after, ...topic } = row;
            const known = this.get(topic.id);
            if (known) {
                this.detach([topic.id]);
                Object.assign(known, topic);
            } else {
                this.topics.set(topic.id, { ...USUAL, ...topic });
            }
            this.insert([topic.id], { parent: topic.parent, after });
        }
        // Told the whole, what is not in it was never kept: a change that was refused.
        const told = answer.whole ? new Set(answer.topics.map((topic) => topic.id)) : null;
        const gone = told ? [...this.topics.keys()].filter((id) => !told.has(id)) : answer.removed.filter((id) => this.topics.has(id));
        this.detach(gone);
        gone.forEach((id) => this.topics.delete(id));
        if (answer.labels.all) {
            this.topics.forEach((topic) => { topic.label = ''; });
        }
        for (const { parent, from, own } of answer.labels.runs) {
            const parts = this.partsOf(parent);
            own.forEach((label, i) => {
                const topic = this.get(parts[from + i]);
                if (topic) {
                    topic.label = label;
                }
            });
        }
        Object.entries(answer.figures).forEach(([id, figure]) => this.figures.set(id, figure));
        this.tell(answer);
    }
}
