import { BESIDE } from '../../state/beside.js';
import { signsOf } from '../../state/labels.js';
import { byId } from '../../lib/dom.js';
import { counted } from '../../lib/counted.js';
import { words } from '../../lib/vocabulary.js';
import { Canvas } from '../../map/canvas.js';
import { Ways } from '../../map/ways.js';
import { withParents } from '../../state/rows.js';
import { classes, setAttributes } from '../../ui/element.js';
import { markLeaf } from './beside.js';
import { TitleField } from './title-field.js';

/**
 * The map of the plan: a tree for screen readers. It has the same doors as the rows of the outline
 * (list, index, drawn, layOut, draw, reveal, refresh), so that what is done with topics is done on
 * it in the same way.
 */
export class Picture extends Canvas {
    /** @param {import('./map.js').MapView} map */
    constructor(map) {
        const { tree, outline } = map;
        super(byId('ground'), {
            parentOf: (id) => tree.get(id).parent,
            hasParts: (id) => tree.partsOf(id).length > 0,
            keeps: (id) => id === outline.active,
            dress: () => this.fresh(),
            signs: words().mapSigns,
            pictureOf: (id) => `${map.page.address}/pictures/${id}`,
            backOf: (id) => `/map-styles/pictures/${id}`,
        });
        this.map = map;
        this.outline = outline;
        this.tree = tree;
        this.scroller = this.box;
        /** @type {Map<string | null, number>} */
        this.index = new Map();
        /** The ways from topic to topic, made when they are first asked for. @type {Ways | null} */
        this.way = null;
        this.field = new TitleField(this);
    }

    /** @param {any} told */
    take(told) {
        super.take(told);
        this.way = null;
    }

    get ways() {
        if (!this.way) {
            const shown = new Map();
            for (const { id } of this.list) {
                this.shapes.has(id) && shown.set(id, this.shapes.get(id));
            }
            this.way = new Ways(shown, (id) => this.parentOf(id));
        }
        return this.way;
    }

    // ---- The doors of the rows

    /** Which topics are shown, in reading order; those of which PHP has not told yet are drawn when it has. @param {any} list */
    layOut(list) {
        this.way = null;
        this.list = list;
        this.index = new Map(this.list.map((row, i) => [row.id, i]));
        this.isStale = true;
        this.draw();
    }

    refresh() {
        // A title that is being written stands in its field; PHP measures it when it is saved.
    }

    measure() {
        this.draw();
    }

    /** @param {string} id */
    reveal(id) {
        const shape = this.shapes.get(id);
        if (shape) {
            this.map.camera.reveal(shape.box, this.map.taken);
        }
        this.draw();
    }

    draw() {
        if (this.follow()) {
            this.fresh();
        }
    }

    /** Goes along with the camera, while the map is in sight. */
    follow() {
        return this.told && this.map.isShown ? this.move(this.map.camera) : false;
    }

    /** @param {string} id @param {HTMLInputElement} input */
    openField(id, input) {
        return this.field.open(id, input);
    }

    closeField() {
        this.field.close();
    }

    placeField() {
        this.field.place();
    }

    // ---- How topics look

    /** What is marked, active, dimmed; and what each topic is called. */
    fresh() {
        const { outline, tree } = this;
        const { only } = outline.state;
        const shown = only && withParents(tree, only);
        for (const [id, node] of this.drawn) {
            const topic = tree.get(id);
            if (!topic) {
                continue;
            }
            const shape = /** @type {import('../../map/shape.js').Shape} */ (node.shape);
            const parts = tree.partsOf(id);
            const siblings = tree.partsOf(topic.parent);
            const isDim = outline.looks.isDim(id) || (shown && !shown.has(id));
            const looks = classes(
                `leaf l${Math.min(shape.level, 3)} kind-${topic.kind}`,
                outline.marked.has(id) && 'is-marked',
                id === outline.active && 'is-active',
                isDim && 'is-dim',
                id === outline.writing && 'is-written',
                shape.isLoose && 'is-loose',
                this.found(id),
            );
            if (node.getAttribute('class') !== looks) {
                node.setAttribute('class', looks);
            }
            const [words] = tree.figures.get(id) ?? [0];
            const signs = signsOf(tree, topic);
            markLeaf(node, shape, signs);
            // What can be read, in the order in which it stands there; then what only a picture tells.
            const said = [
                shape.number,
                topic.title || 'Untitled topic',
                ...signs.filter(({ which }) => !BESIDE.has(which)).map(({ text }) => text),
                words ? counted(words, 'word') : '',
                topic.flag && 'flagged',
                topic.noted && 'with a note',
                shape.inside && `${shape.inside} inside`,
                ...signs.filter(({ which }) => BESIDE.has(which)).map(({ says }) => says),
            ]
                .filter(Boolean)
                .join(' ');
            setAttributes(node, {
                'aria-level': shape.level,
                'aria-setsize': siblings.length,
                'aria-posinset': siblings.indexOf(id) + 1,
                'aria-selected': outline.marked.has(id),
                'aria-expanded': parts.length ? !shape.inside : null,
                'aria-label': said,
            });
        }
        for (const [id, path] of this.lines.drawn) {
            path.classList.toggle('is-dim', outline.looks.isDim(id));
        }
        const isActive = outline.active && this.drawn.has(outline.active);
        isActive
            ? this.box.setAttribute('aria-activedescendant', `spot-${outline.active}`)
            : this.box.removeAttribute('aria-activedescendant');
    }

    /** Whether the search has found something in a topic, or shows it now. @param {string} id */
    found(id) {
        const { find } = this.map.page;
        const hits = find?.isOpen ? find.byTopic.get(id) : null;
        return !hits ? '' : hits.includes(find.hits[find.at]) ? 'is-found is-found-now' : 'is-found';
    }
}
