import { byId } from '../lib/dom.js';
import { element } from './element.js';

const STAYS = 7000;

/**
 * A sentence for a moment, at the lower edge; with what can be done about it.
 * @param {string} text
 * @param {{label: string, act: () => void} | null} [action]
 */
export function say(text, action = null) {
    unsay();
    const toast = element(
        'div',
        { class: 'toast', role: 'status' },
        text,
        action &&
            element(
                'button',
                {
                    type: 'button',
                    onclick: () => {
                        toast.remove();
                        action.act();
                    },
                },
                action.label,
            ),
    );
    document.body.append(toast);
    setTimeout(() => toast.remove(), STAYS);
}

/** Takes it away again, as when what it announced has come. */
export function unsay() {
    document.querySelector('.toast')?.remove();
}

/** Tells those who hear the page, and nobody else. @param {string} text */
export function tell(text) {
    byId('live').textContent = text;
}
