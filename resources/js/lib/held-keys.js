/**
 * Holds what is pressed while a place for it is still being fetched, and gives it to that place when it is
 * there: no key reaches something else meanwhile.
 * @returns {() => void} lets go: what was held is pressed where the keyboard is then
 */
export function holdKeys() {
    /** @type {KeyboardEvent[]} */
    const held = [];
    const hold = (/** @type {KeyboardEvent} */ event) => {
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

/** Presses a key again: as the event, and, where nobody takes it and something is written, as its letter. @param {KeyboardEvent} event */
function press(event) {
    const at = document.activeElement ?? document.body;
    const { key, code, ctrlKey, altKey, shiftKey, metaKey } = event;
    const isTaken = !at.dispatchEvent(
        new KeyboardEvent('keydown', { key, code, ctrlKey, altKey, shiftKey, metaKey, bubbles: true, cancelable: true }),
    );
    if (!isTaken && key.length === 1 && !ctrlKey && !metaKey && !altKey) {
        // What writes a letter into whatever has the keyboard, with all that follows from it.
        document.execCommand('insertText', false, key);
    }
}
