const LINE = 'p, h1, h2, h3, h4, h5, h6, li, td, th, pre, blockquote, figcaption';
/** Where the text of notes stands: in the draft as it is read, or in an editor. */
const TEXT = '.read, .ProseMirror';

/**
 * The text nodes of a box, with the text of all; lines apart.
 * @param {Element} box
 */
function textOf(box) {
    /** @type {[Text, number][]} */
    const nodes = [];
    let text = '';
    /** @type {Element | null} */
    let line = null;
    const walker = document.createTreeWalker(box, NodeFilter.SHOW_TEXT);
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
        const own = node.parentElement?.closest(LINE) ?? null;
        text += line && own !== line ? '\n' : '';
        line = own;
        nodes.push([/** @type {Text} */ (node), text.length]);
        text += /** @type {Text} */ (node).data;
    }
    return { nodes, text };
}

/**
 * Where words stand for the nth time in a text.
 * @param {Element} box
 * @param {string} words
 * @param {number} nth from 0
 * @returns {Range | null}
 */
export function nthRange(box, words, nth) {
    const { nodes, text } = textOf(box);
    let at = text.indexOf(words);
    for (let i = 0; i < nth && at >= 0; i++) {
        const next = text.indexOf(words, at + words.length);
        if (next < 0) {
            break;
        }
        at = next;
    }
    if (at < 0 || !nodes.length) {
        return null;
    }
    const range = new Range();
    const [first, from] = /** @type {[Text, number]} */ (nodes.findLast(([, start]) => start <= at));
    const end = at + words.length;
    const [last, start] = /** @type {[Text, number]} */ (nodes.findLast(([, begins]) => begins < end));
    range.setStart(first, at - from);
    range.setEnd(last, end - start);
    return range;
}

/**
 * The words of a note that are marked, as far as they stand in one line: with the topic, and how often the same stand before.
 * @param {string | null} noteTopic of the note beside the plan
 * @returns {{topic: string, words: {text: string, nth: number}} | null}
 */
export function markedWords(noteTopic) {
    const selection = getSelection();
    const range = selection?.rangeCount ? selection.getRangeAt(0) : null;
    const start = range?.startContainer;
    const from = start instanceof Element ? start : (start?.parentElement ?? null);
    const box = from?.closest(TEXT);
    if (!range || range.collapsed || !from || !box) {
        return null;
    }
    const line = from.closest(LINE) ?? box;
    const part = range.cloneRange();
    line.contains(part.endContainer) || part.setEnd(line, line.childNodes.length);
    const text = part.toString().trim();
    const topic = /** @type {HTMLElement | null} */ (box.closest('[data-topic]'))?.dataset.topic ?? noteTopic;
    if (!text || !topic) {
        return null;
    }
    const before = new Range();
    before.setStart(box, 0);
    before.setEnd(part.startContainer, part.startOffset);
    const copy = document.createElement('div');
    copy.append(before.cloneContents());
    return { topic, words: { text, nth: textOf(copy).text.split(text).length - 1 } };
}
