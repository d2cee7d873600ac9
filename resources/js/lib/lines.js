import { newId } from './ids.js';
import { words } from './vocabulary.js';

const TAB = '    ';
/** One sign of a list at the start of a line, and the space after it, as PHP has it (Reader/TextOutline). */
const BULLET = /^[-*+•–◦▪‣·○●■]\s+(?=\S)/u;

/** A line on its way to be a topic. @typedef {{depth: number, text: string, note?: string[]}} Line */

/** @param {string} text */
const paragraph = (text) => ({ type: 'paragraph', attrs: { id: newId() }, content: [{ type: 'text', text }] });

/** Lines at depths as topics for one operation: deeper ones become parts of the one above. @param {Line[]} lines */
function topicsOf(lines) {
    /** @type {{depth: number, id: string}[]} */
    const stack = [];
    /** @type {Record<string, any>[]} */
    const topics = [];
    for (const { depth, text, note = [] } of lines) {
        const signs = [...text.trim()];
        const longest = words().limits.title;
        const title = signs.slice(0, longest).join('');
        if (!title) {
            continue;
        }
        while (stack.length && stack[stack.length - 1].depth >= depth) {
            stack.pop();
        }
        const id = newId();
        // What is too long for a title runs on in the note.
        const rest = signs.slice(longest).join('');
        const noted = [...(rest ? [rest] : []), ...note].map(paragraph);
        const parent = stack[stack.length - 1]?.id;
        topics.push({ id, title, ...(parent ? { parent } : {}), ...(noted.length ? { note: noted } : {}) });
        stack.push({ depth, id });
    }
    return topics;
}

/**
 * Plain text: a topic for each line, indentation kept as parts, bullets left out; what stands after a
 * bar below a line is its note.
 * @param {string} text
 */
export function fromText(text) {
    const lines = text.split(/\r\n?|\n/).filter((line) => line.trim());
    // A sign that stands alone among lines without one is no sign of a list.
    const isList = lines.length === 1 || lines.filter((line) => BULLET.test(line.trim())).length > 1;
    /** @type {Line[]} */
    const out = [];
    for (const line of lines) {
        const depth = line.slice(0, line.search(/[^\t ]|$/)).replaceAll('\t', TAB).length;
        const said = line.trim().replace(/\s*\t\s*/g, ' ');
        const above = out[out.length - 1];
        if (above && said.startsWith('| ') && depth > above.depth) {
            (above.note ??= []).push(said.slice(2));
        } else {
            out.push({ depth, text: isList ? said.replace(BULLET, '') : said });
        }
    }
    return topicsOf(out);
}

/** The words of an element, white space in them as a page shows it. @param {Element} node */
const oneLine = (node) => (node.textContent ?? '').replace(/\s+/g, ' ');

/**
 * Lists and headings of a web page or word processor; null where there are none. Nothing of it is ever put into a page.
 * @param {string} html
 */
export function fromHtml(html) {
    const page = new DOMParser().parseFromString(html, 'text/html');
    if (!page.querySelector('li, h1, h2, h3, h4, h5, h6')) {
        return null;
    }
    page.querySelectorAll('script, style, template').forEach((node) => node.remove());
    /** @type {Line[]} */
    const lines = [];
    let heading = 0;
    for (const node of page.body.querySelectorAll('li, h1, h2, h3, h4, h5, h6, p')) {
        if (/^H\d$/.test(node.tagName)) {
            heading = Number(node.tagName[1]);
            lines.push({ depth: heading, text: oneLine(node) });
        } else if (node.tagName === 'LI') {
            let depth = 0;
            for (let at = /** @type {Element | null} */ (node); at; at = at.parentElement) {
                depth += at.tagName === 'UL' || at.tagName === 'OL' ? 1 : 0;
            }
            const own = /** @type {Element} */ (node.cloneNode(true));
            own.querySelectorAll('ul, ol').forEach((list) => list.remove());
            lines.push({ depth: heading + depth, text: oneLine(own) });
        } else if (!node.closest('li')) {
            lines.push({ depth: heading + 1, text: oneLine(node) });
        }
    }
    return topicsOf(lines);
}

/**
 * Several lines, or a list, that are pasted into a field, as topics; none where it is one line, which the field takes itself.
 * @param {any} event
 */
export function linesIn(event) {
    const html = event.clipboardData?.getData('text/html');
    const text = event.clipboardData?.getData('text/plain') ?? '';
    return /\n\s*\S/.test(text) ? (html && fromHtml(html)) || fromText(text) : [];
}

/** Branches as indented text. @param {import('../state/plan.js').Tree} tree @param {string[]} heads */
export function toText(tree, heads) {
    return heads
        .flatMap((head) => {
            const base = tree.level(head);
            return tree.branch(head).map((id) => '\t'.repeat(tree.level(id) - base) + tree.get(id).title);
        })
        .join('\n');
}

/** Branches as nested HTML lists. @param {import('../state/plan.js').Tree} tree @param {string[]} heads */
export function toHtml(tree, heads) {
    /** @param {string[]} ids @returns {string} */
    const list = (ids) => {
        const items = ids.map((id) => `<li>${escaped(tree.get(id).title)}${list(tree.partsOf(id))}</li>`);
        return ids.length ? `<ul>${items.join('')}</ul>` : '';
    };
    return list(heads);
}

/** @type {Record<string, string>} */
const ENTITIES = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };
/** @param {string} text */
const escaped = (text) => text.replace(/[&<>"]/g, (sign) => ENTITIES[sign]);
