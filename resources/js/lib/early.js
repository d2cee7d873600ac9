import { allOf } from './dom.js';

/** @typedef {HTMLInputElement | HTMLTextAreaElement} Field */

/** @type {Record<string, (field: any) => boolean>} */
const touched = {
    checkbox: (field) => field.checked !== field.defaultChecked,
    radio: (field) => field.checked && !field.defaultChecked,
};

/**
 * What was typed, ticked or picked before the scripts had come: a field can be used as soon as the page is seen, and what a
 * component begins with must not take its place.
 * @param {ParentNode} within
 * @returns {() => void} puts it back once the components stand, and tells them
 */
export function early(within) {
    /** @type {Field[]} */
    const fields = [...allOf(within, '[x-data] input', HTMLInputElement), ...allOf(within, '[x-data] textarea', HTMLTextAreaElement)];
    const acts = fields
        .filter((field) => (touched[field.type] ?? (({ value, defaultValue }) => value !== defaultValue))(field))
        .map((field) => {
            const { value } = field;
            const checked = 'checked' in field && field.checked;
            return () => {
                if (field.type in touched) {
                    Object.assign(field, { checked });
                } else if (field.type !== 'file') {
                    field.value = value;
                }
                field.dispatchEvent(new Event('input', { bubbles: true }));
                field.dispatchEvent(new Event('change', { bubbles: true }));
            };
        });
    return () => acts.forEach((act) => act());
}
