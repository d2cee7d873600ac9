import { colour, svg } from '../ui/element.js';
import { plate } from './draw.js';

/** How far the ground reaches beyond what stands on it, as in core/Writer/MapDrawing. */
const MARGIN = 24;

/** @typedef {import('./canvas.js').Canvas} Canvas @typedef {import('./canvas.js').Told} Told */

/** What stands under the topics: tints, the lines that carry the main sections, the title. @param {Canvas} canvas @param {Told} told */
export function drawGround(canvas, told) {
    const { title, spine, look, sections } = told;
    dress(canvas, look);
    const tinted = look.tints ? sections.filter(({ id }) => !canvas.section(id).shapes[0].isLoose) : [];
    const tints = tinted.map(({ id }) => tint(canvas, id));
    const lines = spine.map(([x1, y1, x2, y2], i) => ({ d: `M${x1} ${y1}L${x2} ${y2}`, '--d': dyeOf(canvas, told, i) }));
    const back = look.back || look.paper ? told.bounds : null;
    const drawn = JSON.stringify([title, tints, lines, look.back, look.paper, back]);
    // Most changes are within one section.
    if (canvas.groundDrawn === drawn) {
        return;
    }
    canvas.groundDrawn = drawn;
    const [x, y] = title.at;
    const high = title.size * 1.34;
    const [width, height] = title.room;
    canvas.under.replaceChildren(
        ...(back ? printed(canvas, look, back) : []),
        svg('g', { class: 'tints' }, ...tints.map((one) => svg('rect', one))),
        svg('g', { class: 'spine' }, ...lines.map((one) => svg('path', one))),
        ...(look.back ? [plate(x - width / 2 - 8, y - height / 2 - 4, width + 16, height + 8)] : []),
        svg(
            'text',
            { class: 'map-title', 'font-size': title.size },
            ...title.lines.map((line, i) =>
                svg('tspan', { x, y: (y - title.room[1] / 2 + high * i + title.size * 1.02).toFixed(1) }, line),
            ),
        ),
    );
}

/** The colours and the type of a style. @param {Canvas} canvas @param {import('./canvas.js').Look} look */
function dress({ box }, { inks, lettering, tints }) {
    box.dataset.lettering = lettering;
    box.classList.toggle('is-tinted', tints);
    box.classList.toggle('is-coloured', 'sheet' in inks);
    for (const name of [...box.style].filter((one) => one.startsWith('--') && !(one.slice(2) in inks))) {
        box.style.removeProperty(name);
    }
    Object.entries(inks).forEach(([name, value]) => box.style.setProperty(`--${name}`, value));
}

/**
 * What is printed on the ground: a picture that covers all of it, the lines of paper.
 * @param {Canvas} canvas
 * @param {import('./canvas.js').Look} look
 * @param {import('./camera.js').Box} bounds
 */
function printed({ topics }, { back, paper }, [left, top, right, bottom]) {
    const room = { x: left - MARGIN, y: top - MARGIN, width: right - left + 2 * MARGIN, height: bottom - top + 2 * MARGIN };
    const nodes = [];
    if (back && topics.backOf) {
        nodes.push(svg('image', { ...room, class: 'back-picture', href: topics.backOf(back), preserveAspectRatio: 'xMidYMid slice' }));
    }
    if (paper) {
        const [of, step] = paper;
        const d = of === 'squared' ? `M0 0H${step}M0 0V${step}` : `M0 0H${step}`;
        const lines = { id: 'paper-lines', patternUnits: 'userSpaceOnUse', width: step, height: step };
        nodes.push(svg('pattern', lines, svg('path', { d })), svg('rect', { ...room, fill: 'url(#paper-lines)' }));
    }
    return nodes;
}

/** @param {Canvas} canvas @param {Told} told @param {number} line of those that carry the main sections */
function dyeOf(canvas, { look, sections }, line) {
    if (look.arrangement === 'spine' || (look.arrangement === 'both' && line === 0)) {
        return 'var(--ink)';
    }
    const { id } = sections[look.arrangement === 'both' ? line - 1 : line];
    return colour(canvas.section(id).shapes[0].dye);
}

/** @param {Canvas} canvas @param {string} id */
function tint(canvas, id) {
    const { shapes } = canvas.section(id);
    const [left, top, right, bottom] = canvas.bounds(shapes);
    return {
        class: 'tint',
        '--d': colour(shapes[0].dye),
        x: left - 12,
        y: top - 6,
        width: right - left + 24,
        height: bottom - top + 12,
        rx: 12,
    };
}
