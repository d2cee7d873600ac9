import { words } from '../lib/vocabulary.js';
import { counted } from '../lib/counted.js';
import { Shape } from './shape.js';
import { colour, setAttributes } from '../ui/element.js';
import { beside, label, svg } from './draw.js';
import { Ways } from './ways.js';

/** Under this size type cannot be read: branches are drawn as strokes. */
const COARSE = 0.34;
const SPARE = 0.3;
/** Of a topic that is not on the map yet: about where and how large it will be. */
const GUESS = { out: 1, isMirrored: false, start: 15, width: 0, height: 22, size: 15, reach: 20, isGuess: true };

/**
 * The map as it is drawn: a tree for screen readers, of which only what is in sight is in the page.
 * It has the same doors as the rows of the outline (list, index, drawn, layOut, draw, reveal,
 * refresh), so that what is done with topics is done on it in the same way.
 */
export class Picture {
    constructor(map) {
        this.map = map;
        this.box = document.getElementById('ground');
        this.scroller = this.box;
        this.stage = this.box.appendChild(svg('g', { class: 'stage', role: 'presentation' }));
        this.under = this.stage.appendChild(svg('g', { 'aria-hidden': 'true', class: 'under-labels' }));
        this.stalkLayer = this.stage.appendChild(svg('g', { 'aria-hidden': 'true', class: 'stalks' }));
        this.coarseLayer = this.stage.appendChild(svg('g', { 'aria-hidden': 'true', class: 'coarse' }));
        this.labels = this.stage.appendChild(svg('g', { role: 'presentation' }));
        this.over = this.stage.appendChild(svg('g', { 'aria-hidden': 'true', class: 'over-labels' }));
        this.drawn = new Map();
        this.stalks = new Map();
        this.shapes = new Map();
        this.sections = new Map();
        this.list = [];
        this.index = new Map();
    }

    get outline() { return this.map.outline; }
    get tree() { return this.map.tree; }

    // ---- What PHP tells

    get prints() {
        return Object.fromEntries([...this.sections].map(([id, section]) => [id, section.print]));
    }

    /** Takes in a map: sections that it does not tell anew are moved as a whole. */
    take(told) {
        this.told = told;
        const sections = new Map();
        const shapes = new Map();
        for (const { id, at, print, topics } of told.sections) {
            const known = this.sections.get(id);
            const section = { id, at, print, shapes: topics ? topics.map((topic) => new Shape(topic, at, id)) : known.shapes };
            if (!topics && String(known.at) !== String(at)) {
                section.shapes.forEach((shape) => shape.place(at));
            }
            sections.set(id, section);
            section.shapes.forEach((shape) => shapes.set(shape.id, shape));
        }
        this.sections = sections;
        this.shapes = shapes;
        this.way = null;
        this.isStale = true;
        this.frame();
    }

    get ways() {
        this.way ??= new Ways(new Map(this.list.filter(({ id }) => this.shapes.has(id)).map(({ id }) => [id, this.shapes.get(id)])), (id) => this.tree.get(id).parent);
        return this.way;
    }

    /** The title, the spine, and what is drawn when one is far away. */
    frame() {
        const { title, spine, look, sections } = this.told;
        const [x, y] = title.at;
        const high = title.size * 1.34;
        this.under.replaceChildren(
            look.ground && svg('g', { class: 'tints' }, ...sections.filter(({ id }) => !this.sections.get(id).shapes[0].isLoose).map(({ id }) => this.tint(id))),
            svg('g', { class: 'spine' }, ...spine.map(([x1, y1, x2, y2], i) => svg('path', { d: `M${x1} ${y1}L${x2} ${y2}`, '--d': this.spineDye(i) }))),
            svg('text', { class: 'map-title', 'font-size': title.size }, ...title.lines.map((line, i) => svg('tspan', { x, y: (y - title.room[1] / 2 + high * i + title.size * 1.02).toFixed(1) }, line))));
        this.hasCoarse = false;
    }

    spineDye(i) {
        const { look, sections } = this.told;
        if (look.arrangement === 'spine' || (look.arrangement === 'both' && i === 0)) {
            return 'var(--ink)';
        }
        const order = sections[look.arrangement === 'both' ? i - 1 : i];
        return colour(this.sections.get(order.id).shapes[0].dye);
    }

    tint(id) {
        const { shapes } = this.sections.get(id);
        const [left, top, right, bottom] = this.bounds(shapes);
        return svg('rect', { class: 'tint', '--d': colour(shapes[0].dye), x: left - 12, y: top - 6, width: right - left + 24, height: bottom - top + 12, rx: 12 });
    }

    bounds(shapes) {
        return shapes.reduce(([left, top, right, bottom], { box }) => [Math.min(left, box[0]), Math.min(top, box[1]), Math.max(right, box[2]), Math.max(bottom, box[3])], [Infinity, Infinity, -Infinity, -Infinity]);
    }

    // ---- The doors of the rows

    /** Which topics are shown, in reading order; those of which PHP has not told yet are drawn when it has. */
    layOut(list) {
        this.wanted = list;
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

    reveal(id) {
        const shape = this.shapes.get(id);
        if (shape) {
            this.map.camera.reveal(shape.box, this.map.taken);
        }
        this.draw();
    }

    draw() {
        if (this.move()) {
            this.fresh();
        }
    }

    /** Goes along with the camera: draws what has come into sight, and takes away what has gone out of it. */
    move() {
        if (!this.told || this.map.page.view !== 'map') {
            return false;
        }
        const { camera } = this.map;
        const { x, y, k } = camera.view;
        this.stage.setAttribute('transform', `translate(${x} ${y}) scale(${k})`);
        const isCoarse = k < COARSE;
        if (isCoarse !== this.isCoarse) {
            this.isCoarse = isCoarse;
            this.isStale = true;
        }
        const sight = camera.sight;
        if (this.isStale || !this.covers(sight)) {
            const [width, height] = [(sight[2] - sight[0]) * SPARE, (sight[3] - sight[1]) * SPARE];
            this.covered = [sight[0] - width, sight[1] - height, sight[2] + width, sight[3] + height];
            this.isStale = false;
            this.fillSight();
            this.fresh();
            return false;
        }
        return true;
    }

    covers(sight) {
        return this.covered && sight[0] >= this.covered[0] && sight[1] >= this.covered[1] && sight[2] <= this.covered[2] && sight[3] <= this.covered[3];
    }

    fillSight() {
        const [left, top, right, bottom] = this.covered;
        const { active } = this.outline;
        const seen = [];
        for (const { id } of this.list) {
            const shape = this.shapes.get(id);
            const isNear = shape && shape.box[2] > left && shape.box[0] < right && shape.box[3] > top && shape.box[1] < bottom;
            if ((isNear && (!this.isCoarse || shape.isMain)) || (shape && id === active)) {
                seen.push(shape);
            }
        }
        const ids = new Set(seen.map((shape) => shape.id));
        for (const [id, node] of this.drawn) {
            if (!ids.has(id)) {
                node.remove();
                node.badge?.remove();
                this.drawn.delete(id);
            }
        }
        let before = null;
        for (const shape of seen) {
            const node = this.leaf(shape);
            const next = before ? before.nextSibling : this.labels.firstChild;
            if (next !== node) {
                this.labels.insertBefore(node, next);
            }
            before = node;
        }
        this.drawStalks();
    }

    leaf(shape) {
        let node = this.drawn.get(shape.id);
        const isNew = !node;
        if (isNew) {
            node = svg('g', { class: 'leaf', role: 'treeitem', id: `spot-${shape.id}` });
            node.dataset.id = shape.id;
            this.drawn.set(shape.id, node);
        }
        if (node.shape !== shape || node.mirrored !== shape.isMirrored) {
            node.shape = shape;
            node.mirrored = shape.isMirrored;
            node.badge?.remove();
            node.badge = shape.isMain || shape.inside ? this.over.appendChild(beside(shape)) : null;
            node.badge?.style.setProperty('--d', colour(shape.dye));
            node.replaceChildren(...label(shape, shape.inside > 0 || this.tree.partsOf(shape.id).length > 0, words().mapSigns, this.map.page.address));
            node.style.setProperty('--d', colour(shape.dye));
        }
        if (node.style.transform !== shape.transform) {
            node.style.transform = shape.transform;
        }
        if (node.badge) {
            node.badge.style.transform = shape.transform;
        }
        return node;
    }

    /** A stalk is drawn when it may be in sight: as one line when near, all of a section as one when far away. */
    drawStalks() {
        this.coarseLayer.toggleAttribute('hidden', !this.isCoarse);
        this.stalkLayer.toggleAttribute('hidden', this.isCoarse);
        if (this.isCoarse) {
            this.drawCoarse();
            return;
        }
        const [left, top, right, bottom] = this.covered;
        const wanted = new Set();
        for (const { id } of this.list) {
            const shape = this.shapes.get(id);
            const parent = shape?.stalk && this.shapes.get(this.tree.get(id).parent);
            if (parent && Math.max(shape.box[2], parent.box[2]) > left && Math.min(shape.box[0], parent.box[0]) < right && Math.max(shape.box[3], parent.box[3]) > top && Math.min(shape.box[1], parent.box[1]) < bottom) {
                wanted.add(id);
                this.stalk(shape);
            }
        }
        for (const [id, path] of this.stalks) {
            if (!wanted.has(id)) {
                path.remove();
                this.stalks.delete(id);
            }
        }
    }

    stalk(shape) {
        let path = this.stalks.get(shape.id);
        if (!path) {
            path = this.stalkLayer.appendChild(svg('path', { class: 'stalk' }));
            this.stalks.set(shape.id, path);
        }
        const { at } = this.sections.get(shape.section);
        const [x, y, isMirrored] = at;
        const placed = `translate(${x}px, ${y}px) scale(${isMirrored ? -1 : 1}, 1)`;
        if (path.shape !== shape) {
            path.shape = shape;
            path.setAttribute('d', shape.stalk);
            path.style.stroke = colour(shape.dye);
            path.style.strokeWidth = this.told.look.lines[Math.min(shape.level, 3) - 1];
        }
        if (path.placed !== placed) {
            path.placed = placed;
            path.style.transform = placed;
        }
    }

    drawCoarse() {
        if (this.hasCoarse) {
            return;
        }
        this.hasCoarse = true;
        this.coarseLayer.replaceChildren(...[...this.sections.values()].flatMap(({ at: [x, y, isMirrored], shapes }) => {
            const strokes = new Map();
            const stalks = [];
            for (const shape of shapes) {
                const key = `${shape.dye} ${Math.round(shape.height)}`;
                const [from, to] = [shape.start, shape.start + shape.width].map((along) => `${(shape.x + along * shape.out).toFixed()} ${shape.y.toFixed()}`);
                strokes.set(key, `${strokes.get(key) ?? ''}M${from}L${to}`);
                stalks.push(shape.stalk);
            }
            return [
                svg('path', {
                    class: 'stalk', d: stalks.join(''), transform: `translate(${x} ${y}) scale(${isMirrored ? -1 : 1} 1)`,
                    style: `stroke: ${colour(shapes[0].dye)}; stroke-width: 3`,
                }),
                ...[...strokes].map(([key, d]) => svg('path', { class: 'blur', d, '--d': colour(key.split(' ')[0]), 'stroke-width': Number(key.split(' ')[1]) * 0.55 })),
            ];
        }));
    }

    /** What is marked, active, dimmed; and what each topic is called. */
    fresh() {
        const { outline, tree } = this;
        const { only } = outline.looks;
        const shown = only && tree.withParents(only);
        for (const [id, node] of this.drawn) {
            const topic = tree.get(id);
            if (!topic) {
                continue;
            }
            const { shape } = node;
            const parts = tree.partsOf(id);
            const siblings = tree.partsOf(topic.parent);
            const isDim = outline.looks.isDim(id) || (shown && !shown.has(id));
            const looks = `leaf l${Math.min(shape.level, 3)} kind-${topic.kind}${outline.marked.has(id) ? ' is-marked' : ''}${id === outline.active ? ' is-active' : ''}${isDim ? ' is-dim' : ''}${id === outline.writing ? ' is-written' : ''}${shape.isLoose ? ' is-loose' : ''}${this.found(id)}`;
            if (node.getAttribute('class') !== looks) {
                node.setAttribute('class', looks);
            }
            const [words] = tree.figures.get(id) ?? [0];
            // What can be read, in the order in which it stands there; then what only a picture tells.
            const said = [
                shape.number, topic.title || 'Untitled topic', topic.kind === 'section' ? '' : topic.kind, topic.flag?.replace('-', ' '),
                words ? counted(words, 'word') : '',
                topic.flag && 'flagged', topic.noted && 'with a note', shape.inside && `${shape.inside} inside`,
            ].filter(Boolean).join(' ');
            setAttributes(node, { 'aria-level': shape.level, 'aria-setsize': siblings.length, 'aria-posinset': siblings.indexOf(id) + 1, 'aria-selected': outline.marked.has(id), 'aria-expanded': parts.length ? !shape.inside : null, 'aria-label': said });
        }
        for (const [id, path] of this.stalks) {
            path.classList.toggle('is-dim', outline.looks.isDim(id));
        }
        const isActive = outline.active && this.drawn.has(outline.active);
        isActive ? this.box.setAttribute('aria-activedescendant', `spot-${outline.active}`) : this.box.removeAttribute('aria-activedescendant');
    }

    /** Whether the search has found something in a topic, or shows it now. */
    found(id) {
        const { find } = this.map.page;
        const hits = find?.isOpen ? find.byTopic.get(id) : null;
        return !hits ? '' : hits.includes(find.hits[find.at]) ? ' is-found is-found-now' : ' is-found';
    }

    // ---- A field in the place of a title

    /** Puts a field where a title stands; `false` where the topic is not on the map yet. */
    openField(id, input) {
        const shape = this.shapes.get(id) ?? this.shapeFor(id);
        if (!shape) {
            return false;
        }
        this.field = { id, input, shape };
        input.classList.add('on-map');
        this.map.side.append(input);
        if (shape.isGuess) {
            this.map.camera.reveal([shape.x, shape.y - 16, shape.x + 240, shape.y + 16], this.map.taken);
        }
        this.placeField();
        return true;
    }

    /** A topic of which PHP has not told stands, for a moment, after the one it follows or inside its parent. */
    shapeFor(id) {
        const spot = this.tree.get(id)?.spot?.split(',').map(Number);
        if (spot) {
            return { ...GUESS, x: spot[0], y: spot[1], level: 2 };
        }
        // After the nearest sibling that is on the map, one below the other; else inside its parent.
        const { parent } = this.tree.get(id);
        const before = this.tree.partsOf(parent).slice(0, this.tree.partsOf(parent).indexOf(id)).reverse();
        const distance = before.findIndex((one) => this.shapes.has(one));
        const known = this.shapes.get(before[distance]) ?? this.shapes.get(parent);
        if (!known) {
            return this.tree.get(id) ? { ...GUESS, x: 0, y: 60, level: 1 } : null;
        }
        const [along, aside] = distance < 0 ? [known.reach + 50, before.length * 28] : [0, known.height + 4 + distance * 28];
        return { ...known, width: 0, indent: 0, lines: [], x: known.x + along * known.out, y: known.y + aside, isGuess: true };
    }

    closeField() {
        this.field?.input.classList.remove('on-map');
        this.field?.input.removeAttribute('style');
        this.field?.input.remove();
        this.field = null;
    }

    placeField() {
        const { field } = this;
        if (!field) {
            return;
        }
        if (field.shape.isGuess || this.shapes.get(field.id) !== field.shape) {
            field.shape = this.shapes.get(field.id) ?? field.shape;
        }
        const { shape, input } = field;
        const { view } = this.map.camera;
        const scale = Math.max(0.8, Math.min(1.6, view.k));
        const indent = shape.indent || 0;
        const width = Math.max(200, Math.min(640, (shape.width - indent) * view.k + 60, 640));
        const along = shape.start + (shape.isMirrored ? shape.width : indent);
        const [x, y] = view.apply([shape.x + along * shape.out, shape.y]);
        const left = Math.max(4, Math.min(this.box.clientWidth - width - 4, x - 6));
        Object.assign(input.style, { left: `${left}px`, top: `${Math.max(2, y - 15 * scale)}px`, width: `${width}px`, fontSize: `${(shape.size * scale).toFixed(1)}px`, fontWeight: shape.level === 1 ? 680 : 400 });
    }
}
