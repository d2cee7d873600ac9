const INLINE = new Set([undefined, 'paragraph', 'heading', 'codeBlock', 'question']);

/** The words of a stored node, for showing a little of it; what counts and prints is PHP's. */
export const plainText = (/** @type {any} */ node) =>
    typeof node.text === 'string' ? node.text : (node.content ?? []).map(plainText).join(INLINE.has(node.type) ? '' : ' ');
