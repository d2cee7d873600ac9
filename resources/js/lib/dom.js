/**
 * @template {Element} T
 * @param {Element | null} found
 * @param {string} wanted
 * @param {(new () => T) | undefined} kind
 * @returns {T}
 */
function certain(found, wanted, kind) {
    if (!found || (kind && !(found instanceof kind))) {
        throw new Error(`The page has no ${kind?.name ?? 'element'} “${wanted}”.`);
    }
    return /** @type {any} */ (found);
}

/**
 * An element of the page by its id. The templates have it: where it is missing, that is said at once, and
 * not by whatever is asked of it later.
 * @template {Element} [T=HTMLElement]
 * @param {string} id
 * @param {new () => T} [kind] what it is, where it is asked for more than an HTMLElement has
 */
export const byId = (id, kind) => certain(document.getElementById(id), `#${id}`, kind);

/**
 * The first element within another that a selector describes, and that is there as `byId` has it.
 * @template {Element} [T=HTMLElement]
 * @param {ParentNode} within
 * @param {string} selector
 * @param {new () => T} [kind]
 */
export const firstOf = (within, selector, kind) => certain(within.querySelector(selector), selector, kind);

/**
 * All elements within another that a selector describes.
 * @template {Element} [T=HTMLElement]
 * @param {ParentNode} within
 * @param {string} selector
 * @param {new () => T} [kind] what they are
 */
export const allOf = (within, selector, kind) => [...within.querySelectorAll(selector)].map((one) => certain(one, selector, kind));

/**
 * The element that a selector describes around what an event has happened to; null where there is none.
 * @param {{target: EventTarget | null}} event
 * @param {string} selector
 * @returns {HTMLElement | null}
 */
export const around = ({ target }, selector) => (target instanceof Element ? target.closest(selector) : null);

/** The topic of the element that a selector describes around another. @param {Element} node @param {string} selector */
export const idAround = (node, selector) => /** @type {HTMLElement | null} */ (node.closest(selector))?.dataset.id ?? '';

/** The topic that an element stands for. @param {HTMLElement} node */
export const idOf = (node) => node.dataset.id ?? '';

/** The field that an event has happened to. @param {Event} event */
export const fieldOf = (event) => /** @type {HTMLInputElement} */ (event.target);

/** The first file that was chosen in a field. @param {Event} event */
export const chosen = (event) => /** @type {File} */ (fieldOf(event).files?.[0]);

/** The elements that stand in another. @param {Element} node */
export const childrenOf = (node) => /** @type {HTMLElement[]} */ ([...node.children]);

/**
 * Makes a node the one that follows another in a box. One that `stays` is not moved where it stands in the box already: what
 * stands between the two goes to the end instead.
 * @param {Element} box
 * @param {Element} node
 * @param {Element | null} before null: it becomes the first
 * @param {boolean} stays
 */
export function putNext(box, node, before, stays) {
    const next = () => (before ? before.nextElementSibling : box.firstElementChild);
    if (stays && node.parentElement === box) {
        for (let at = next(); at && at !== node; at = next()) {
            box.append(at);
        }
    } else if (next() !== node) {
        box.insertBefore(node, next());
    }
}

/** Where the keyboard is. */
export const held = () => /** @type {HTMLElement} */ (document.activeElement ?? document.body);

/**
 * The fields of a form by their names.
 * @param {HTMLFormElement} form
 * @returns {Record<string, HTMLInputElement>}
 */
export const fieldsOf = (form) => /** @type {any} */ (form.elements);

/**
 * Does something whenever a dialog has closed. A browser tells that late: where the dialog is open again by then, for something
 * else, it is none of its business.
 * @param {HTMLDialogElement} dialog
 * @param {() => unknown} act
 * @param {AddEventListenerOptions} [options]
 */
export const whenClosed = (dialog, act, options) => dialog.addEventListener('close', () => dialog.open || act(), options);

/**
 * Shows a dialog that was made for this once; closed, it goes out of the page.
 * @param {HTMLDialogElement} dialog
 * @param {() => unknown} [ended] what else is to happen then
 */
export function showOnce(dialog, ended = () => {}) {
    dialog.addEventListener('close', () => {
        dialog.remove();
        ended();
    });
    document.body.append(dialog);
    dialog.showModal();
}
