import { firstOf } from '../lib/dom.js';
import { words } from '../lib/vocabulary.js';
import { reason } from '../lib/http.js';
import { element } from './element.js';

/** So many people are offered behind an @. */
const OFFERED = 6;

/**
 * A field in which a comment is written: Ctrl+Enter sends it, Escape lets go of it, @ offers the people of the plan. What
 * could not be sent stays in it.
 * @param {object} of
 * @param {string} of.label
 * @param {string} of.send what its button says
 * @param {string} [of.text] what stands in it at first
 * @param {string[]} of.people
 * @param {(text: string, file: File | null) => Promise<unknown>} of.onSend
 * @param {() => void} [of.onLeave]
 * @param {boolean} [of.takesFile]
 * @param {Node[]} [of.above]
 * @param {() => boolean} [of.isEnough] whether it may be sent without words
 */
export function talkField({ label, send, text = '', people, onSend, onLeave, takesFile = false, above = [], isEnough = () => false }) {
    const file = element('input', { type: 'file', 'aria-label': 'A file or picture with it', hidden: true, onchange: () => named() });
    const field = element('textarea', {
        class: 'box',
        rows: 3,
        maxlength: words().limits.comment,
        'aria-label': label,
        placeholder: label,
    });
    field.value = text;
    const error = element('p', { class: 'error', role: 'alert' });
    const offers = element('ul', { class: 'talk-people', role: 'listbox', 'aria-label': 'People', hidden: true });
    const attach = element('button', { type: 'button', class: 'link', onclick: () => file.click() }, 'A file…');
    const named = () => (attach.textContent = file.files?.[0]?.name ?? 'A file…');
    const form = element(
        'form',
        { class: 'talk-field', onsubmit: (/** @type {Event} */ event) => (event.preventDefault(), go()) },
        ...above,
        field,
        offers,
        error,
        element(
            'div',
            { class: 'talk-foot' },
            takesFile && attach,
            takesFile && file,
            onLeave && element('button', { type: 'button', class: 'link', onclick: onLeave }, 'Cancel'),
            element('button', { class: 'primary' }, send),
        ),
    );
    const go = async () => {
        const button = firstOf(form, '.primary', HTMLButtonElement);
        if (button.disabled || (!field.value.trim() && !isEnough())) {
            error.textContent = button.disabled ? '' : 'Write something first.';
            return;
        }
        button.disabled = true;
        error.textContent = '';
        try {
            await onSend(field.value.trim(), file.files?.[0] ?? null);
        } catch (thrown) {
            error.textContent = reason(thrown);
        }
        button.disabled = false;
    };
    field.addEventListener('keydown', (event) => {
        if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) {
            event.preventDefault();
            event.stopPropagation();
            go();
        } else if (event.key === 'Escape') {
            event.stopPropagation();
            offers.hidden ? onLeave?.() : (offers.hidden = true);
        } else if (!offers.hidden && (event.key === 'Enter' || event.key === 'Tab')) {
            event.preventDefault();
            /** @type {HTMLElement | null} */ (offers.querySelector('[role=option]'))?.click();
        }
    });
    field.addEventListener('input', () => offer(field, offers, people));
    return { form, field };
}

/**
 * Offers the people whose names begin with what is typed behind an @.
 * @param {HTMLTextAreaElement} field
 * @param {HTMLElement} offers
 * @param {string[]} people
 */
function offer(field, offers, people) {
    const before = field.value.slice(0, field.selectionStart);
    const typed = /(?:^|[\s(])@([\p{L}\p{N} .'-]{0,40})$/u.exec(before)?.[1];
    const found = typed === undefined ? [] : people.filter((name) => name.toLowerCase().startsWith(typed.toLowerCase())).slice(0, OFFERED);
    offers.hidden = found.length === 0;
    offers.replaceChildren(
        ...found.map((name, i) =>
            element(
                'li',
                {
                    role: 'option',
                    'aria-selected': String(i === 0),
                    // Not to lose the caret.
                    onmousedown: (/** @type {Event} */ event) => event.preventDefault(),
                    onclick: () => {
                        const start = before.length - (typed ?? '').length;
                        field.setRangeText(`${name} `, start, before.length, 'end');
                        offers.hidden = true;
                        field.focus();
                    },
                },
                name,
            ),
        ),
    );
}
