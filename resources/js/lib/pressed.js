/**
 * Knows when a button of the mouse or a finger is down in a box: what is pressed must still be there when it is let go, or the press
 * is lost. What would draw the box anew meanwhile is done after that.
 */
export class Pressed {
    /** @param {HTMLElement} box */
    constructor(box) {
        this.isDown = false;
        /** @type {(() => void) | null} */
        this.later = null;
        box.addEventListener(
            'pointerdown',
            () => {
                this.isDown = true;
            },
            { capture: true },
        );
        for (const type of ['pointerup', 'pointercancel']) {
            addEventListener(type, () => this.up(), { capture: true });
        }
        // Of the window itself: what has the keyboard within it may change.
        addEventListener('blur', () => this.up());
        // It was let go outside the window.
        addEventListener('pointermove', ({ buttons }) => buttons === 0 && this.up(), { capture: true });
    }

    up() {
        const { later } = this;
        this.isDown = false;
        this.later = null;
        // The click comes in the same breath.
        later && setTimeout(later);
    }

    /** @param {() => void} act what waits until it is let go: the last that was asked for @returns {boolean} whether it waits */
    holds(act) {
        this.later = this.isDown ? act : null;
        return this.isDown;
    }
}
