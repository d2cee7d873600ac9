import { svg } from '../../map/draw.js';
import { colour } from '../../ui/element.js';

/** Which signs stand beside a topic of the map over what PHP has drawn. */
const SHOWN = new Set(['said', 'fresh', 'here']);
const SIZE = 8;

/**
 * Signs of what is beside the plan, over the end of a label: how much is said, what is new, who is there.
 * @param {import('../../map/canvas.js').Leaf} node
 * @param {import('../../map/shape.js').Shape} shape
 * @param {import('../../state/labels.js').Sign[]} signs
 */
export function markLeaf(node, shape, signs) {
    const shown = signs.filter(({ which }) => SHOWN.has(which));
    const key = JSON.stringify([shown, shape.textX, shape.width, shape.height]);
    const known = node.querySelector('.beside-signs');
    if ((known?.getAttribute('data-key') ?? '') === (shown.length ? key : '')) {
        return;
    }
    known?.remove();
    if (shown.length) {
        const box = svg('g', { class: 'beside-signs', 'aria-hidden': 'true', 'data-key': key });
        shown.forEach(({ which, text, dye }, i) => {
            const at = svg('g', {
                class: `beside-sign is-${which}`,
                transform: `translate(${shape.textX + shape.width + 4 - i * (2 * SIZE + 1)} ${-shape.height / 2 - 2})`,
                '--d': dye ? colour(dye) : null,
            });
            at.append(svg('circle', { r: SIZE }), svg('text', { y: 3, 'text-anchor': 'middle' }, which === 'fresh' ? '•' : text));
            box.append(at);
        });
        node.append(box);
    }
}
