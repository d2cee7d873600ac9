import { around } from '../lib/dom.js';
import { send } from '../lib/http.js';
import { plainText } from '../lib/plain.js';
import { element } from './element.js';

const REST = 350;
const LINES = 260;

/** The first lines of a note, while the pointer rests on its sign. */
export class NotePeek {
    /**
     * @param {Element} side within which it is shown
     * @param {string} signs which signs stand for a note
     * @param {(sign: Element) => string} topicOf
     * @param {import('../views/page.js').Page} page
     */
    constructor(page, side, signs, topicOf) {
        this.page = page;
        this.side = side;
        this.topicOf = topicOf;
        this.card = element('div', { class: 'note-peek', role: 'tooltip', hidden: true });
        /** @type {ReturnType<typeof setTimeout> | undefined} */
        this.resting = undefined;
        side.append(this.card);
        side.addEventListener('pointerover', (event) => {
            const sign = around(event, signs);
            clearTimeout(this.resting);
            if (sign && /** @type {PointerEvent} */ (event).pointerType !== 'touch') {
                this.resting = setTimeout(() => this.show(sign), REST);
            } else {
                this.hide();
            }
        });
    }

    /** @param {Element} sign */
    async show(sign) {
        const note = await send('GET', `${this.page.address}/topics/${this.topicOf(sign)}/note`).catch(() => null);
        const text = (note?.blocks ?? []).map(plainText).filter(Boolean).join('\n');
        if (!text || !sign.isConnected) {
            return;
        }
        this.card.textContent = text.length > LINES ? `${text.slice(0, LINES).replace(/\s+\S*$/, '')}…` : text;
        this.card.hidden = false;
        const box = this.side.getBoundingClientRect();
        const at = sign.getBoundingClientRect();
        const left = Math.max(8, Math.min(box.width - this.card.offsetWidth - 8, at.left - box.left - 20));
        const below = at.bottom - box.top + 8;
        Object.assign(this.card.style, {
            left: `${left}px`,
            top: `${below + this.card.offsetHeight > box.height ? at.top - box.top - this.card.offsetHeight - 8 : below}px`,
        });
    }

    hide() {
        clearTimeout(this.resting);
        this.card.hidden = true;
    }
}
