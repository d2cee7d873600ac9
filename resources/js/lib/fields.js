/**
 * A field that makes something of what is typed makes it when it is left as well, by going
 * elsewhere in the page or by leaving the page: what stands in it is never lost.
 * @param {any} field @param {any} make
 */
export function whenLeft(field, make) {
    field.addEventListener('blur', () => {
        // With another window before this one it is still the field that is written in.
        if (document.activeElement !== field && field.value.trim()) {
            make();
        }
    });
    addEventListener('pagehide', () => field.value.trim() && make());
}
