/** So far, in pixels, a pointer goes before a press is a drag. */
const FAR = 6;

/** @typedef {{clientX: number, clientY: number}} Point of the window */

/** Whether a pointer has gone so far that its press is a drag. @param {Point} from @param {Point} to */
export const isDrag = (from, to) => Math.hypot(to.clientX - from.clientX, to.clientY - from.clientY) > FAR;

/**
 * Follows the pointer of a press, wherever it goes, until it is let go of, or the browser takes it away (`cancel`).
 * @param {PointerEvent} press
 * @param {{move: (event: PointerEvent) => void, up?: (event: PointerEvent) => void, cancel?: () => void}} on
 * @returns {AbortController} what ends it before
 */
export function follow(press, { move, up = () => {}, cancel = () => {} }) {
    const stop = new AbortController();
    /** @type {(type: 'pointermove' | 'pointerup' | 'pointercancel', act: (event: PointerEvent) => void) => void} */
    const on = (type, act) => addEventListener(type, (event) => event.pointerId === press.pointerId && act(event), { signal: stop.signal });
    const last = (/** @type {(event: PointerEvent) => void} */ act) => (/** @type {PointerEvent} */ event) => {
        stop.abort();
        act(event);
    };
    on('pointermove', move);
    on('pointerup', last(up));
    on('pointercancel', last(cancel));
    return stop;
}
