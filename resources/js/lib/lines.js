import { newId } from './ids.js';

const LONGEST = 1000;
const BULLET = /^(?:[-*+•–▪◦]|\[[ xX]\])\s+/;

/** Lines at depths as topics for one operation: deeper ones become parts of the one above. */
function topicsOf(lines) {
    const stack = [];
    const topics = [];
    for (const { depth, text } of lines) {
        const signs = [...text.replace(/\s+/g, ' ').trim()];
        const title = signs.slice(0, LONGEST).join('');
        if (!title) {
            continue;
        }
        while (stack.length && stack.at(-1).depth >= depth) {
            stack.pop();
        }
        const id = newId();
        // What is too long for a title runs on in the note.
        const rest = signs.slice(LONGEST).join('');
        topics.push({
            id, title, ...(stack.length ? { parent: stack.at(-1).id } : {}),
            ...(rest ? { note: [{ type: 'paragraph', attrs: { id: newId() }, content: [{ type: 'text', text: rest }] }] } : {}),
        });
        stack.push({ depth, id });
    }
    return topics;
}

/** Plain text: a topic for each line, indentation kept as parts, bullets left out. */
export function fromText(text) {
    const lines = text.split(/\r?\n/).filter((line) => line.trim());
    // A sign that stands alone among lines without one is no sign of a list.
    const isList = lines.length === 1 || lines.filter((line) => BULLET.test(line.trim())).length > 1;
    const depth = (line) => line.match(/^[\t \u00a0]*/)[0].replaceAll('\t', '    ').length;
    return topicsOf(lines.map((line) => ({ depth: depth(line), text: isList ? line.trim().replace(BULLET, '') : line.trim() })));
}

/** Lists and headings of a web page or word processor; null where there are none. Nothing of it is ever put into a page. */
export function fromHtml(html) {
    const page = new DOMParser().parseFromString(html, 'text/html');
    if (!page.querySelector('li, h1, h2, h3, h4, h5, h6')) {
        return null;
    }
    page.querySelectorAll('script, style, template').forEach((node) => node.remove());
    const lines = [];
    let heading = 0;
    for (const node of page.body.querySelectorAll('li, h1, h2, h3, h4, h5, h6, p')) {
        if (/^H\d$/.test(node.tagName)) {
            heading = Number(node.tagName[1]);
            lines.push({ depth: heading, text: node.textContent });
        } else if (node.tagName === 'LI') {
            let depth = 0;
            for (let at = node; at; at = at.parentElement) {
                depth += at.tagName === 'UL' || at.tagName === 'OL' ? 1 : 0;
            }
            const own = node.cloneNode(true);
            own.querySelectorAll('ul, ol').forEach((list) => list.remove());
            lines.push({ depth: heading + depth, text: own.textContent });
        } else if (!node.closest('li')) {
            lines.push({ depth: heading + 1, text: node.textContent });
        }
    }
    return topicsOf(lines);
}

/** Several lines, or a list, that are pasted into a field, as topics; none where it is one line, which the field takes itself. */
export function linesIn(event) {
    const html = event.clipboardData?.getData('text/html');
    const text = event.clipboardData?.getData('text/plain') ?? '';
    return /\n\s*\S/.test(text) ? (html && fromHtml(html)) || fromText(text) : [];
}

/** Branches as indented text. */
export function toText(tree, heads) {
    return heads.flatMap((head) => {
        const base = tree.level(head);
        return tree.branch(head).map((id) => '\t'.repeat(tree.level(id) - base) + tree.get(id).title);
    }).join('\n');
}

/** Branches as nested HTML lists. */
export function toHtml(tree, heads) {
    const list = (ids) => (ids.length ? `<ul>${ids.map((id) => `<li>${escaped(tree.get(id).title)}${list(tree.partsOf(id))}</li>`).join('')}</ul>` : '');
    return list(heads);
}

const escaped = (text) => text.replace(/[&<>"]/g, (sign) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[sign]);
