import { around } from '../lib/dom.js';
const LONG = 550;
const FAR = 8;

/**
 * What the second button of a mouse, the menu key and a long press open: `open(part, point)` with
 * what was pressed and where, as something that a menu can be opened at. `partOf` says what an
 * element belongs to; nothing: the browser's own menu.
 * @param {Element} box
 * @param {(pressed: any) => any} partOf
 * @param {(part: any, point: any) => void} open
 */
export function whenAsked(box, partOf, open) {
    const at = (/** @type {{clientX: number, clientY: number}} */ { clientX: x, clientY: y }) => ({
        getBoundingClientRect: () => new DOMRect(x, y, 0, 0),
        contains: () => false,
        isPoint: true,
    });
    let raised = -Infinity;
    box.addEventListener('contextmenu', (pressed) => {
        const event = /** @type {MouseEvent} */ (pressed);
        const part = around(event, 'input, textarea, [contenteditable=true]') ? null : partOf(event.target);
        if (part) {
            event.preventDefault();
            // A browser of a touch screen may tell of the same long press.
            if (event.timeStamp - raised > 1000) {
                open(part, event.clientX || event.clientY ? at(event) : part);
            }
        }
    });
    box.addEventListener('pointerdown', (pressed) => {
        const event = /** @type {PointerEvent} */ (pressed);
        const part = event.pointerType === 'touch' && !around(event, 'input, textarea') ? partOf(event.target) : null;
        if (!part) {
            return;
        }
        const stop = new AbortController();
        const timer = setTimeout(() => {
            stop.abort();
            raised = performance.now();
            // Lifting the finger is no press on what lies under the menu.
            const swallow = (/** @type {Event} */ click) => {
                click.preventDefault();
                click.stopPropagation();
            };
            addEventListener('click', swallow, { capture: true, once: true, signal: AbortSignal.timeout(1500) });
            open(part, at(event));
        }, LONG);
        const end = () => {
            clearTimeout(timer);
            stop.abort();
        };
        const options = { signal: stop.signal };
        addEventListener('pointermove', (e) => Math.hypot(e.clientX - event.clientX, e.clientY - event.clientY) > FAR && end(), options);
        ['pointerup', 'pointercancel'].forEach((type) => addEventListener(type, end, options));
    });
}
