/**
 * The places of hits in a printed text, in their order: each the next that reads so.
 * @param {Element} box
 * @param {import('./given.d.ts').Hit[]} hits
 * @returns {Generator<[Range, import('./given.d.ts').Hit]>}
 */
export function* inOrder(box, hits) {
    /** @type {[Text, number][]} */
    const nodes = [];
    let text = '';
    const walker = document.createTreeWalker(box, NodeFilter.SHOW_TEXT);
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
        nodes.push([/** @type {Text} */ (node), text.length]);
        text += /** @type {Text} */ (node).data;
    }
    const place = (/** @type {number} */ at) => {
        const [node, from] = nodes.findLast(([, start]) => start <= at) ?? nodes[0];
        return /** @type {[Text, number]} */ ([node, at - from]);
    };
    let from = 0;
    for (const hit of hits) {
        const at = text.indexOf(hit.match, from);
        if (at >= 0) {
            from = at + hit.match.length;
            const range = new Range();
            range.setStart(...place(at));
            const [node, end] = place(from - 1);
            range.setEnd(node, end + 1);
            yield [range, hit];
        }
    }
}

/**
 * The range of a hit over text nodes that follow each other; what is not text counts as one sign.
 * @param {Node[] | null} nodes
 * @param {import('./given.d.ts').Hit} hit
 */
export function rangeIn(nodes, hit) {
    const range = new Range();
    let at = 0;
    let started = false;
    for (const node of nodes ?? []) {
        const signs = node instanceof Text ? [...node.data] : ['\ufffc'];
        const offset = (/** @type {number} */ sign) => signs.slice(0, sign - at).join('').length;
        if (!started && hit.from < at + signs.length && node.nodeType === 3) {
            range.setStart(node, offset(hit.from));
            started = true;
        }
        if (started && hit.from + hit.length <= at + signs.length && node.nodeType === 3) {
            range.setEnd(node, offset(hit.from + hit.length));
            return range.toString().toLowerCase() === hit.match.toLowerCase() ? range : null;
        }
        at += signs.length;
    }
    return null;
}
