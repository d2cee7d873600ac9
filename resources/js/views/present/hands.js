import { around } from '../../lib/dom.js';
import { actionFor } from '../../lib/keys.js';

/** How far a finger goes that turns to the next, and how far one that only taps may, in pixels. */
const TURN = 40;
const STILL = 10;
/** The part of the screen, from its left, that leads back. */
const BACK = 0.25;

/**
 * Keys, a presenter's remote (which sends the keys of pages), pointer and touch.
 * @param {HTMLElement} stage
 * @param {{on: () => void, back: () => void, run: (action: string) => boolean, isMap: () => boolean}} show
 */
export function hands(stage, show) {
    document.addEventListener('keydown', (event) => {
        // Outwards, as on every page.
        const action = event.key === 'Escape' ? 'presentLeave' : actionFor(event, 'present');
        const isElsewhere = around(event, 'dialog, input, select, textarea');
        // A button that has the keyboard is pressed by these two.
        const presses = [' ', 'Enter'].includes(event.key) && around(event, 'button, a');
        if (action && !isElsewhere && !presses && show.run(action)) {
            event.preventDefault();
        }
    });
    /** @type {PointerEvent | null} */
    let down = null;
    stage.addEventListener('pointerdown', (event) => (down = event.isPrimary && !event.button ? event : null));
    stage.addEventListener('pointercancel', () => (down = null));
    stage.addEventListener('pointerup', (event) => {
        if (!down || event.pointerId !== down.pointerId || around(event, 'a, button')) {
            return;
        }
        const [dx, dy] = [event.clientX - down.clientX, event.clientY - down.clientY];
        down = null;
        if (Math.hypot(dx, dy) < STILL) {
            event.clientX < stage.getBoundingClientRect().width * BACK ? show.back() : show.on();
        } else if (!show.isMap() && Math.abs(dx) > TURN && Math.abs(dx) > Math.abs(dy)) {
            dx > 0 ? show.back() : show.on();
        }
    });
}
