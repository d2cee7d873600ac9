/**
 * Keeps a text in the browser's own storage. Where that is full it is kept by this page alone, as long as it is open.
 * @param {string} key @param {string} text
 */
export function store(key, text) {
    try {
        localStorage.setItem(key, text);
    } catch {
        // There is no other place; what is to be sent goes out all the same.
    }
}
