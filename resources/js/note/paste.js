import { isSafe } from './links.js';

const KEPT = new Set([
    'P',
    'H1',
    'H2',
    'H3',
    'UL',
    'OL',
    'LI',
    'BLOCKQUOTE',
    'PRE',
    'CODE',
    'HR',
    'BR',
    'TABLE',
    'TBODY',
    'THEAD',
    'TFOOT',
    'TR',
    'TD',
    'TH',
    'STRONG',
    'B',
    'EM',
    'I',
    'U',
    'S',
    'DEL',
    'STRIKE',
    'MARK',
    'SUP',
    'SUB',
    'A',
]);
const DROPPED = new Set([
    'SCRIPT',
    'STYLE',
    'TEMPLATE',
    'NOSCRIPT',
    'IFRAME',
    'OBJECT',
    'EMBED',
    'SVG',
    'MATH',
    'LINK',
    'META',
    'TITLE',
    'HEAD',
    'INPUT',
    'BUTTON',
    'SELECT',
    'TEXTAREA',
    'FORM',
    'VIDEO',
    'AUDIO',
    'CANVAS',
]);
/** By these our own copies carry what no other program knows. */
const OURS = ['data-citation', 'data-topicref', 'data-footnote', 'data-picture'];
/** @type {Record<string, string>} */
const LOWER_HEADINGS = { H4: 'H3', H5: 'H3', H6: 'H3' };

/**
 * HTML from a word processor or a page, as plain structure: paragraphs, headings, lists, tables,
 * emphasis and links. Styles go, but for those that mean emphasis. It is parsed in a document that
 * runs and fetches nothing.
 * @param {string} html
 */
export function cleaned(html) {
    const signs = spare(html);
    const source = new DOMParser().parseFromString(disarmed(html.replace(/<!--\[if[\s\S]*?<!\[endif\]-->/gi, ''), signs), 'text/html');
    const out = document.implementation.createHTMLDocument('').body;
    listed(source.body);
    copy(source.body, out, (text) => text.replaceAll(signs[0], 'o').replaceAll(signs[1], 'O'));
    return out.innerHTML;
}

/** Two signs of the private area that the text does not hold. @param {string} html */
function spare(html) {
    const signs = [];
    for (let code = 0xe000; signs.length < 2; code++) {
        if (!html.includes(String.fromCharCode(code))) {
            signs.push(String.fromCharCode(code));
        }
    }
    return signs;
}

/**
 * With what could be the name of an event's attribute spelled otherwise, so that the browser never takes it for
 * one (the text gets its letters back), and with styles and scripts as templates, which are dropped.
 */
const disarmed = (/** @type {string} */ html, /** @type {any[]} */ [small, capital]) =>
    html
        .replace(/<(\/?)(?:style|script)(?![a-z0-9])/gi, '<$1template')
        .replace(/<base(?![a-z0-9])/gi, '<wbr')
        .replace(/(?<![a-z0-9])o(?=n[a-z])/gi, (/** @type {any} */ letter) => (letter === 'o' ? small : capital));

/** Lists that a word processor writes as paragraphs with a style become lists. @param {any} body */
function listed(body) {
    let list = null;
    for (const box of [...body.querySelectorAll('p')]) {
        const level = /mso-list:[^;"]*level(\d)/i.exec(box.getAttribute('style') ?? '')?.[1];
        if (!level) {
            list = null;
            continue;
        }
        const text = box.textContent.trim();
        const isNumbered = /^(\d+|[a-z]|[ivx]+)[.)]/i.test(text);
        box.querySelectorAll('[style*="mso-list:Ignore" i], [style*="mso-list: Ignore" i]').forEach((/** @type {any} */ bullet) =>
            bullet.remove(),
        );
        if (!list || list.nextElementSibling !== box) {
            list = body.ownerDocument.createElement(isNumbered ? 'ol' : 'ul');
            box.before(list);
        }
        let at = list;
        for (let depth = 1; depth < Number(level) && at.lastElementChild; depth++) {
            const item = at.lastElementChild;
            at =
                [...item.children].find((child) => /^(UL|OL)$/.test(child.tagName)) ??
                item.appendChild(body.ownerDocument.createElement(isNumbered ? 'ol' : 'ul'));
        }
        const item = at.appendChild(body.ownerDocument.createElement('li'));
        item.append(...box.childNodes);
        box.remove();
    }
}

/** @param {any} from @param {any} to @param {(text: string) => string} spelled */
function copy(from, to, spelled) {
    for (const node of from.childNodes) {
        if (node.nodeType === 3) {
            to.append(spelled(node.data));
        } else if (node.nodeType === 1 && !DROPPED.has(node.tagName.toUpperCase())) {
            const own = OURS.find((name) => node.hasAttribute(name));
            if (own) {
                to.appendChild(to.ownerDocument.createElement(node.tagName)).setAttribute(own, spelled(node.getAttribute(own)));
            } else {
                copy(node, made(node, to, spelled), spelled);
            }
        }
    }
}

/**
 * Where the content of an element goes: into one of its kind, into marks that its style means, or into what is around it.
 * @param {any} node
 * @param {any} to
 * @param {(text: string) => string} spelled
 */
function made(node, to, spelled) {
    const tag = LOWER_HEADINGS[node.tagName] ?? node.tagName;
    const { style } = node;
    let at = to;
    const isPlain = /^(normal|400)$/.test(style.fontWeight);
    if (KEPT.has(tag) && !((tag === 'B' || tag === 'STRONG') && isPlain)) {
        const box = to.ownerDocument.createElement(tag);
        if (tag === 'A') {
            const href = node.getAttribute('href') ?? '';
            if (!isSafe(href)) {
                return to;
            }
            box.setAttribute('href', spelled(href));
        }
        if (node.getAttribute('data-type') === 'taskList' || node.getAttribute('data-type') === 'taskItem') {
            box.setAttribute('data-type', node.getAttribute('data-type'));
            box.setAttribute('data-checked', String(node.getAttribute('data-checked') === 'true'));
        }
        for (const name of tag === 'TD' || tag === 'TH' ? ['colspan', 'rowspan'] : tag === 'OL' ? ['start'] : []) {
            if (/^\d{1,3}$/.test(node.getAttribute(name) ?? '')) {
                box.setAttribute(name, node.getAttribute(name));
            }
        }
        at = to.appendChild(box);
    } else if (node.tagName === 'IMG') {
        // Nothing is fetched from elsewhere: a picture is its description.
        to.append(spelled(node.getAttribute('alt') ?? ''));
        return to;
    } else if (
        /^(DIV|SECTION|ARTICLE|MAIN|FIGURE|FIGCAPTION|DD|DT|ADDRESS)$/.test(node.tagName) &&
        ![...node.children].some((child) => /^(P|DIV|UL|OL|TABLE|H\d|BLOCKQUOTE|PRE|SECTION|ARTICLE)$/.test(child.tagName))
    ) {
        at = to.appendChild(to.ownerDocument.createElement('p'));
    }
    if (node.tagName === 'SPAN' || node.tagName === 'FONT' || node.tagName === 'P') {
        const marks = [
            [/^(bold|bolder|[6-9]00)$/.test(style.fontWeight), 'strong'],
            [style.fontStyle === 'italic', 'em'],
            [/underline/.test(style.textDecoration), 'u'],
            [/line-through/.test(style.textDecoration), 's'],
            [style.verticalAlign === 'super', 'sup'],
            [style.verticalAlign === 'sub', 'sub'],
        ];
        for (const [isSet, mark] of marks) {
            at = isSet ? at.appendChild(to.ownerDocument.createElement(mark)) : at;
        }
    }
    return at;
}
