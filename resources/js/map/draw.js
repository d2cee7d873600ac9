import { signForm } from '../lib/sign-forms.js';
import { colour, svg } from '../ui/element.js';

/** How far from the end of a topic the handle of its relations stands. */
const HANDLE = 16;
/** Of the sign of a topic, as core/Layout/Map/Labelling has it. */
const SIGN = 16;

/** @typedef {import('./shape.js').Shape} Shape @typedef {{note: string, flags: Record<string, [string, string]>}} Signs */

/** A disc that is filled from below as far as a share. @param {number} radius @param {number} filled */
function floretPath(radius, filled) {
    const level = radius - 2 * radius * Math.min(1, filled);
    const half = Math.sqrt(Math.max(0, radius * radius - level * level));
    const [x, y] = [half.toFixed(2), level.toFixed(2)];
    return filled >= 0.999
        ? `M${-radius} 0a${radius} ${radius} 0 1 0 ${2 * radius} 0a${radius} ${radius} 0 1 0 ${-2 * radius} 0`
        : `M${-x} ${y}A${radius} ${radius} 0 ${filled > 0.5 ? 1 : 0} 0 ${x} ${y}Z`;
}

/**
 * What is drawn of a topic: everything but what changes as it is marked.
 *
 * @param {Shape} shape
 * @param {boolean} hasParts
 * @param {Signs} signs the forms of note and flags, as PHP has them
 * @param {(id: string) => string} pictureOf the address of a picture
 * @param {Form} form what stands around its title
 * @returns {SVGElement[]}
 */
export function label(shape, hasParts, signs, pictureOf, form) {
    const x = shape.textX;
    /** @type {SVGElement[]} */
    const nodes = [
        ...around(shape, form),
        svg('rect', { class: 'back', x: x - 5, y: -shape.height / 2, width: shape.width + 10, height: shape.height, rx: 2 }),
        svg('rect', { class: 'under', x: x - 5, y: shape.height / 2 - 3, width: shape.width + 10, height: 3 }),
    ];
    nodes.push(...(shape.isMain ? disc(shape) : floret(shape)));
    // That of a main section stands in its disc; with a word to it, before the title too.
    if (shape.number && shape.indent > 0) {
        nodes.push(
            svg(
                'text',
                { class: form.of === 'filled' ? 'number on-fill' : 'number', x, y: shape.baseline, 'font-size': shape.size },
                `${shape.number} `,
            ),
        );
    }
    if (shape.lines.length) {
        const at = shape.isRightToLeft ? x + shape.linesEnd : x + shape.indent;
        nodes.push(
            svg(
                'text',
                {
                    class: `title${shape.isUntitled ? ' is-empty' : ''}`,
                    'font-size': shape.size,
                    direction: shape.isRightToLeft ? 'rtl' : null,
                    x: at,
                    y: shape.baseline,
                },
                ...shape.lines.map((line, i) => (i === 0 ? `${line} ` : svg('tspan', { x: at, dy: shape.lineHeight }, `${line} `))),
            ),
        );
    }
    if (shape.picture) {
        const [id, left, top, width, height] = shape.picture;
        nodes.push(
            svg('image', { class: 'topic-picture', href: pictureOf(id), x: x + left, y: top, width, height }),
            svg(
                'g',
                { class: 'resize', transform: `translate(${x + left + width} ${top + height})` },
                svg('rect', { class: 'hit', x: -16, y: -16, width: 24, height: 20 }),
                svg('path', { d: 'M-10 0h10v-10z' }),
            ),
        );
    }
    shape.marks.forEach((mark) => nodes.push(sign(mark, x, signs)));
    // Beside the label, where no other label stands; a pointer comes to it over a bridge, which covers nothing else.
    const { out } = shape;
    const [end, at] = [out > 0 ? x + shape.width : x, shape.endX + out * HANDLE];
    nodes.push(
        svg('rect', { class: 'bridge', x: Math.min(end, at), y: -7, width: Math.abs(at - end), height: 14 }),
        svg('circle', { class: 'handle', cx: at, r: 5 }),
    );
    if (hasParts) {
        nodes.push(knob(shape));
    }
    return nodes;
}

/**
 * How the titles of a level stand: in what, how far from it, and whether on a plate of the ground, as they do on a picture.
 * @typedef {{of: string, room: number, isPlated: boolean}} Form
 */

/** @param {import('./canvas.js').Look} look @param {number} level @returns {Form} */
export function formOf(look, level) {
    const [of, room, isOpen] = look.forms[Math.min(level, look.forms.length) - 1];
    return { of, room, isPlated: look.back !== '' && isOpen };
}

/** A plate of the ground, on which text can be read. @param {number} x @param {number} y @param {number} width @param {number} height */
export const plate = (x, y, width, height) => svg('rect', { class: 'plate', x, y, width, height, rx: 5 });

/** @param {Shape} shape @param {Form} form @returns {SVGElement[]} */
function around(shape, { of, room, isPlated }) {
    const [x, y, width] = [shape.textX - room, -shape.height / 2, shape.width + 2 * room];
    /** @type {SVGElement[]} */
    const nodes = isPlated ? [plate(x - 3, y, width + 6, shape.height)] : [];
    if (of === 'underlined') {
        nodes.push(svg('path', { class: 'form-underlined', d: `M${x} ${y + shape.height - 1}h${width}` }));
    } else if (of !== 'plain') {
        nodes.push(svg('rect', { class: `form-${of}`, x, y, width, height: shape.height, rx: 5 }));
    }
    return nodes;
}

/** @param {Shape} shape */
function disc(shape) {
    const ring = svg('circle', { class: 'disc', r: 14 });
    return shape.start > 30 ? [svg('path', { class: 'tie', d: shape.isMirrored ? 'M-14 0H-28' : 'M14 0H28' }), ring] : [ring];
}

/**
 * Figures that nobody needs to hear with the name: the number in the disc of a main section, and how many are folded away.
 * @param {Shape} shape
 */
export function beside(shape) {
    return svg(
        'g',
        { class: 'beside' },
        shape.isMain && inDisc(svg('text', { class: 'in-disc', y: 5 }), shape),
        shape.inside > 0 && svg('text', { class: 'in-knob', x: shape.endX - (shape.out * knobWidth(shape)) / 2, y: 4.2 }, shape.inside),
    );
}

/** @param {Element} text @param {Shape} shape */
function inDisc(text, { number }) {
    const short = number.replace(/^.* /, '').replace(/\.$/, '');
    text.setAttribute('font-size', String(short.length > 3 ? 9 : short.length > 2 ? 11 : 14));
    text.textContent = short;
    return text;
}

/** Another number in a label that else looks as it did. @param {import('./canvas.js').Leaf} leaf @param {Shape} shape */
export function renumber(leaf, shape) {
    const before = leaf.querySelector('.number');
    const disc = leaf.badge?.querySelector('.in-disc');
    if (before) {
        before.textContent = `${shape.number} `;
    }
    if (disc) {
        inDisc(disc, shape);
    }
}

/** @param {Shape} shape @returns {SVGElement[]} */
function floret(shape) {
    if (!shape.hasFloret) {
        return [];
    }
    const ring = svg('circle', { class: 'floret-ring', r: 5.2 });
    return shape.filled > 0 ? [ring, svg('path', { class: 'floret-fill', d: floretPath(5.2, shape.filled) })] : [ring];
}

/** @param {Shape['marks'][number]} mark @param {number} x @param {Signs} signs */
function sign([which, text, at, y, dye, width], x, signs) {
    if (which === 'label') {
        return svg(
            'g',
            { class: 'label-sign', 'aria-hidden': 'true', '--d': colour(dye ?? 'slate') },
            svg('rect', { x: x + at, y: y - 12, width: width ?? 0, height: 16, rx: 8 }),
            svg('text', { class: 'mark', x: x + at + 7, y }, text),
        );
    }
    if (which === 'note') {
        return svg(
            'g',
            { class: 'note-sign', transform: `translate(${x + at} ${y - 10})` },
            svg('rect', { class: 'hit', x: -4, y: -5, width: 22, height: 22 }),
            svg('path', { d: signs.note }),
        );
    }
    if (which === 'sign') {
        const transform = `translate(${x + at} ${y - 12.5}) scale(${SIGN / 24})`;
        return svg('path', { class: 'topic-sign', 'aria-hidden': 'true', d: signForm(text), transform });
    }
    if (which === 'flag') {
        return svg(
            'g',
            { class: 'flag-sign', 'aria-hidden': 'true', '--d': `var(--${signs.flags[text][1]})` },
            svg('path', { d: signs.flags[text][0], transform: `translate(${x + at} ${y - 9}) scale(0.92)`, 'fill-rule': 'evenodd' }),
            svg('text', { class: 'mark', x: x + at + 14, y }, text),
        );
    }
    return svg('text', { class: `mark ${which}`, 'aria-hidden': 'true', x: x + at, y }, text);
}

/** @param {Shape} shape */
function knob(shape) {
    const { out } = shape;
    if (!shape.inside) {
        return svg(
            'g',
            { class: 'knob' },
            svg('circle', { class: 'hit', cx: shape.endX, r: 9 }),
            svg('circle', { class: 'dot', cx: shape.endX, r: shape.isMain ? 3.2 : 2.4 }),
        );
    }
    return svg(
        'g',
        { class: 'knob is-folded' },
        svg('rect', { x: out > 0 ? shape.endX - knobWidth(shape) : shape.endX, y: -9, width: knobWidth(shape), height: 18, rx: 9 }),
    );
}

const knobWidth = (/** @type {Shape} */ shape) => shape.reach - shape.start - shape.width - 10;
