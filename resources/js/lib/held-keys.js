/**
 * Holds what is pressed while a place for it is still being fetched, and gives it to that place when it is
 * there: no key reaches something else meanwhile. A page that is slow to come can still be loaded anew.
 * @returns {() => void} lets go: what was held is pressed where the keyboard is then
 */
export function holdKeys() {
    /** @type {KeyboardEvent[]} */
    const held = [];
    const hold = (/** @type {KeyboardEvent} */ event) => {
        if (event.key === 'F5' || ((event.ctrlKey || event.metaKey) && event.code === 'KeyR')) {
            return;
        }
        event.preventDefault();
        event.stopImmediatePropagation();
        held.push(event);
    };
    addEventListener('keydown', hold, { capture: true });
    return () => {
        removeEventListener('keydown', hold, { capture: true });
        held.forEach(press);
    };
}

/** Presses a key again: as the event, and, where nobody takes it, with what a browser does by itself then. @param {KeyboardEvent} event */
function press(event) {
    const at = /** @type {HTMLElement} */ (document.activeElement ?? document.body);
    const { key, code, ctrlKey, altKey, shiftKey, metaKey } = event;
    const isTaken = !at.dispatchEvent(
        new KeyboardEvent('keydown', { key, code, ctrlKey, altKey, shiftKey, metaKey, bubbles: true, cancelable: true }),
    );
    if (!isTaken && !ctrlKey && !metaKey && !altKey) {
        byItself(at, key);
    }
}

/** @param {HTMLElement} at @param {string} key */
function byItself(at, key) {
    const pressed = { Enter: 'button, summary, a[href]', ' ': 'button, summary, [type=checkbox], [type=radio]' }[key];
    if (pressed && at.matches(pressed)) {
        at.click();
    } else if (key === 'Enter' && at instanceof HTMLInputElement) {
        // The button of its form is pressed, as the standard has it.
        const button = /** @type {HTMLElement | null} */ (at.form?.querySelector('button:not([type]), [type=submit]'));
        button ? button.click() : at.form?.requestSubmit();
    } else if (key === 'Enter') {
        document.execCommand('insertText', false, '\n');
    } else if (key === 'Backspace') {
        document.execCommand('delete');
    } else if (key === 'Delete') {
        document.execCommand('forwardDelete');
    } else if (key.length === 1) {
        // What writes a letter into whatever has the keyboard, with all that follows from it.
        document.execCommand('insertText', false, key);
    }
}
