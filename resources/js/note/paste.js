const KEPT = new Set(['P', 'H1', 'H2', 'H3', 'UL', 'OL', 'LI', 'BLOCKQUOTE', 'PRE', 'CODE', 'HR', 'BR', 'TABLE', 'TBODY', 'THEAD', 'TFOOT', 'TR', 'TD', 'TH', 'STRONG', 'B', 'EM', 'I', 'U', 'S', 'DEL', 'STRIKE', 'MARK', 'SUP', 'SUB', 'A']);
const DROPPED = new Set(['SCRIPT', 'STYLE', 'TEMPLATE', 'NOSCRIPT', 'IFRAME', 'OBJECT', 'EMBED', 'SVG', 'MATH', 'LINK', 'META', 'TITLE', 'HEAD', 'INPUT', 'BUTTON', 'SELECT', 'TEXTAREA', 'FORM', 'VIDEO', 'AUDIO', 'CANVAS']);
const LOWER_HEADINGS = { H4: 'H3', H5: 'H3', H6: 'H3' };

/**
 * HTML from a word processor or a page, as plain structure: paragraphs, headings, lists, tables,
 * emphasis and links. Styles go, but for those that mean emphasis. It is parsed in a document that
 * runs and fetches nothing.
 */
export function cleaned(html) {
    // Our own copies carry what no other program knows; they come as they went.
    if (/data-(citation|topicref|footnote|picture)=/.test(html) && html.includes('data-pm-slice')) {
        return html;
    }
    const source = new DOMParser().parseFromString(html.replace(/<!--\[if[\s\S]*?<!\[endif\]-->/gi, ''), 'text/html');
    const out = document.implementation.createHTMLDocument('').body;
    listed(source.body);
    copy(source.body, out);
    return out.innerHTML;
}

/** Lists that a word processor writes as paragraphs with a style become lists. */
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
        box.querySelectorAll('[style*="mso-list:Ignore" i], [style*="mso-list: Ignore" i]').forEach((bullet) => bullet.remove());
        if (!list || list.nextElementSibling !== box) {
            list = body.ownerDocument.createElement(isNumbered ? 'ol' : 'ul');
            box.before(list);
        }
        let at = list;
        for (let depth = 1; depth < Number(level) && at.lastElementChild; depth++) {
            const item = at.lastElementChild;
            at = [...item.children].find((child) => /^(UL|OL)$/.test(child.tagName)) ?? item.appendChild(body.ownerDocument.createElement(isNumbered ? 'ol' : 'ul'));
        }
        const item = at.appendChild(body.ownerDocument.createElement('li'));
        item.append(...box.childNodes);
        box.remove();
    }
}

function copy(from, to) {
    for (const node of from.childNodes) {
        if (node.nodeType === 3) {
            to.append(node.data);
        } else if (node.nodeType === 1 && !DROPPED.has(node.tagName.toUpperCase())) {
            copy(node, made(node, to));
        }
    }
}

/** Where the content of an element goes: into one of its kind, into marks that its style means, or into what is around it. */
function made(node, to) {
    const tag = LOWER_HEADINGS[node.tagName] ?? node.tagName;
    const { style } = node;
    let at = to;
    const isPlain = /^(normal|400)$/.test(style.fontWeight);
    if (KEPT.has(tag) && !((tag === 'B' || tag === 'STRONG') && isPlain)) {
        const box = to.ownerDocument.createElement(tag);
        if (tag === 'A') {
            const href = node.getAttribute('href') ?? '';
            if (!/^(https?:\/\/|mailto:|tel:)\S+$/i.test(href)) {
                return to;
            }
            box.setAttribute('href', href);
        }
        for (const name of tag === 'TD' || tag === 'TH' ? ['colspan', 'rowspan'] : tag === 'OL' ? ['start'] : []) {
            if (/^\d{1,3}$/.test(node.getAttribute(name) ?? '')) {
                box.setAttribute(name, node.getAttribute(name));
            }
        }
        at = to.appendChild(box);
    } else if (node.tagName === 'IMG') {
        // Nothing is fetched from elsewhere: a picture is its description.
        to.append(node.getAttribute('alt') ?? '');
        return to;
    } else if (/^(DIV|SECTION|ARTICLE|MAIN|FIGURE|FIGCAPTION|DD|DT|ADDRESS)$/.test(node.tagName) && ![...node.children].some((child) => /^(P|DIV|UL|OL|TABLE|H\d|BLOCKQUOTE|PRE|SECTION|ARTICLE)$/.test(child.tagName))) {
        at = to.appendChild(to.ownerDocument.createElement('p'));
    }
    if (node.tagName === 'SPAN' || node.tagName === 'FONT' || node.tagName === 'P') {
        const marks = [
            [/^(bold|bolder|[6-9]00)$/.test(style.fontWeight), 'strong'], [style.fontStyle === 'italic', 'em'], [/underline/.test(style.textDecoration), 'u'], [/line-through/.test(style.textDecoration), 's'],
            [style.verticalAlign === 'super', 'sup'], [style.verticalAlign === 'sub', 'sub'],
        ];
        for (const [isSet, mark] of marks) {
            at = isSet ? at.appendChild(to.ownerDocument.createElement(mark)) : at;
        }
    }
    return at;
}
