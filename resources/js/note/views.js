import { element } from '../ui/element.js';
import { plainText } from '../lib/plain.js';
import { named } from '../state/topics.js';

/** A sign in the text that can be shown again as it is now. @typedef {HTMLElement & {redraw?: () => void}} Chip */

/** @type {[number | null, string][]} */
const WIDTHS = [
    [240, 'Small'],
    [400, 'Medium'],
    [640, 'Large'],
    [null, 'Its own size'],
];

/**
 * How the editor shows what is one sign in the text: citations, references to topics, footnotes;
 * and pictures with their caption and description.
 * @param {import('./editor.js').Desk} desk
 * @param {Record<'citation' | 'reference' | 'footnote', (at: number, node: any, editor: any) => unknown>} edit what a press on each opens
 */
export function noteViews({ session, citations }, edit) {
    const chip =
        (
            /** @type {string} */ kind,
            /** @type {(box: HTMLElement, node: any) => void} */ said,
            /** @type {(at: number, node: any, editor: any) => unknown} */ open,
        ) =>
        (/** @type {{node: any, getPos: any, editor: any}} */ { node, getPos, editor }) => {
            let current = node;
            /** @type {Chip} */
            const box = element('span', {
                class: `chip is-${kind}`,
                contenteditable: 'false',
                role: 'button',
                tabindex: -1,
                onclick: () => open(getPos(), current, editor),
            });
            const draw = () => {
                said(box, current);
            };
            box.redraw = draw;
            draw();
            return {
                dom: box,
                update: (/** @type {any} */ next) => {
                    const isSame = next.type === node.type;
                    current = isSame ? next : current;
                    isSame && draw();
                    return isSame;
                },
                selectNode: () => box.classList.add('is-marked'),
                deselectNode: () => box.classList.remove('is-marked'),
                ignoreMutation: () => true,
            };
        };
    return {
        citation: chip(
            'citation',
            (box, node) => {
                box.textContent = citations.label(node.attrs.items ?? []);
                box.setAttribute('aria-label', `Citation: ${box.textContent}`);
            },
            edit.citation,
        ),
        topicRef: chip(
            'reference',
            (box, node) => {
                const topic = session.tree.get(node.attrs.topic);
                box.textContent = topic ? named(topic) : 'This topic has been removed';
                box.classList.toggle('is-broken', !topic);
                box.setAttribute('aria-label', `Reference to ${box.textContent}`);
            },
            edit.reference,
        ),
        footnote: chip(
            'footnote',
            (box, node) => {
                const text = plainText({ content: node.attrs.content ?? [] });
                box.textContent = '*';
                box.title = text;
                box.setAttribute('aria-label', `Footnote: ${text}`);
            },
            edit.footnote,
        ),
        picture: (/** @type {{node: any, getPos: any, editor: any}} */ { node, getPos, editor }) =>
            picture(session.address, node, getPos, editor),
    };
}

/** @param {any} plan @param {any} first @param {any} getPos @param {any} editor */
function picture(plan, first, getPos, editor) {
    let node = first;
    const set = (/** @type {any} */ attrs) =>
        editor.view.dispatch(editor.state.tr.setNodeMarkup(getPos(), null, { ...node.attrs, ...attrs }));
    const image = element('img', { alt: '' });
    const caption = element('input', {
        class: 'caption',
        placeholder: 'Caption',
        'aria-label': 'Caption of the picture',
        maxlength: 2000,
        oninput: () => set({ caption: caption.value || null }),
    });
    const alt = element('input', {
        placeholder: 'What it shows, for those who cannot see it',
        'aria-label': 'Description of the picture',
        maxlength: 2000,
        oninput: () => set({ alt: alt.value || null }),
    });
    const size = element(
        'select',
        { 'aria-label': 'Size of the picture', onchange: () => set({ width: size.value ? Number(size.value) : null }) },
        ...WIDTHS.map(([value, name]) => element('option', { value: value ?? '' }, name)),
    );
    const box = element(
        'figure',
        { class: 'note-picture', contenteditable: 'false' },
        image,
        caption,
        element('div', { class: 'about' }, alt, size),
    );
    const draw = () => {
        const { picture: id, src, width } = node.attrs;
        const address = id ? `${plan}/pictures/${id}` : '';
        image.hidden = !address;
        if (address && image.getAttribute('src') !== address) {
            image.src = address;
        }
        image.alt = node.attrs.alt ?? '';
        image.style.width = width ? `${width}px` : '';
        box.dataset.from = src ?? '';
        for (const [field, value] of /** @type {[HTMLInputElement, string][]} */ ([
            [caption, node.attrs.caption ?? ''],
            [alt, node.attrs.alt ?? ''],
        ])) {
            if (document.activeElement !== field) {
                field.value = value;
            }
        }
        size.value = WIDTHS.some(([one]) => one === width) ? (width ?? '') : '';
    };
    draw();
    return {
        dom: box,
        stopEvent: (/** @type {Event} */ event) => event.target !== image && event.target !== box,
        ignoreMutation: () => true,
        update: (/** @type {any} */ next) => {
            if (next.type !== node.type) {
                return false;
            }
            node = next;
            draw();
            return true;
        },
        selectNode: () => box.classList.add('is-marked'),
        deselectNode: () => box.classList.remove('is-marked'),
    };
}
