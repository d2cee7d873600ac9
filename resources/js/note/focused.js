/**
 * Commands on an editor that has the keyboard at once: by themselves they take it with the next
 * picture of the page, and what is typed until then would go elsewhere.
 * @param {any} editor
 */
export function focused(editor) {
    editor.view.focus();
    return editor.chain().focus();
}
