import { colour } from '../ui/element.js';
import { svg } from './draw.js';

/** @typedef {import('./canvas.js').Canvas} Canvas @typedef {import('./canvas.js').Told} Told */

/** What stands under the topics: tints, the lines that carry the main sections, the title. @param {Canvas} canvas @param {Told} told */
export function drawGround(canvas, told) {
    const { title, spine, look, sections } = told;
    const tinted = look.ground ? sections.filter(({ id }) => !canvas.section(id).shapes[0].isLoose) : [];
    const tints = tinted.map(({ id }) => tint(canvas, id));
    const lines = spine.map(([x1, y1, x2, y2], i) => ({ d: `M${x1} ${y1}L${x2} ${y2}`, '--d': dyeOf(canvas, told, i) }));
    const drawn = JSON.stringify([title, tints, lines]);
    // Most changes are within one section.
    if (canvas.groundDrawn === drawn) {
        return;
    }
    canvas.groundDrawn = drawn;
    const [x, y] = title.at;
    const high = title.size * 1.34;
    canvas.under.replaceChildren(
        svg('g', { class: 'tints' }, ...tints.map((one) => svg('rect', one))),
        svg('g', { class: 'spine' }, ...lines.map((one) => svg('path', one))),
        svg(
            'text',
            { class: 'map-title', 'font-size': title.size },
            ...title.lines.map((line, i) =>
                svg('tspan', { x, y: (y - title.room[1] / 2 + high * i + title.size * 1.02).toFixed(1) }, line),
            ),
        ),
    );
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
