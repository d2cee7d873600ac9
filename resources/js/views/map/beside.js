import { BESIDE } from '../../state/beside.js';
import { colour, svg } from '../../ui/element.js';

const SIZE = 7;
const BUBBLE = 'M-7-6h14a2 2 0 0 1 2 2v6a2 2 0 0 1-2 2h-8l-5 4v-4h-1a2 2 0 0 1-2-2v-6a2 2 0 0 1 2-2z';

/**
 * Signs of what is beside the plan, over the end of a label: how much is said, what is new, who is there.
 * @param {import('../../map/canvas.js').Leaf} node
 * @param {import('../../map/shape.js').Shape} shape
 * @param {import('../../state/labels.js').Sign[]} signs
 */
export function markLeaf(node, shape, signs) {
    const shown = signs.filter(({ which }) => BESIDE.has(which));
    const key = JSON.stringify([shown, shape.textX, shape.width, shape.height]);
    const known = node.querySelector('.beside-signs');
    if ((known?.getAttribute('data-key') ?? '') === (shown.length ? key : '')) {
        return;
    }
    known?.remove();
    if (shown.length) {
        const box = svg('g', { class: 'beside-signs', 'aria-hidden': 'true', 'data-key': key });
        shown.forEach(({ which, dye }, i) => {
            const at = svg('g', {
                class: `beside-sign is-${which}`,
                transform: `translate(${shape.textX + shape.width + 4 - i * (2 * SIZE + 1)} ${-shape.height / 2 - 2})`,
                '--d': dye ? colour(dye) : null,
            });
            at.append(which === 'said' ? svg('path', { d: BUBBLE }) : svg('circle', { r: which === 'fresh' ? SIZE - 2 : SIZE }));
            box.append(at);
        });
        node.append(box);
    }
}
