const SVG = 'http://www.w3.org/2000/svg';

/**
 * What an element is given: attributes, listeners (`on…`) and custom properties (`--…`); what is null, undefined or false is left out.
 * @typedef {Record<string, any>} Given
 * @typedef {Node | string | number | false | null | undefined} Child
 */

/**
 * A DOM element with attributes, listeners (`on…`) and children; text is always text.
 * @template {keyof HTMLElementTagNameMap} T
 * @param {T} tag
 * @param {Given} attributes
 * @param {...Child} children
 * @returns {HTMLElementTagNameMap[T]}
 */
export function element(tag, attributes = {}, ...children) {
    return dress(document.createElement(tag), attributes, children);
}

/**
 * An SVG element with attributes and children; text is always text.
 * @template {keyof SVGElementTagNameMap} T
 * @param {T} tag
 * @param {Given} attributes
 * @param {...Child} children
 * @returns {SVGElementTagNameMap[T]}
 */
export function svg(tag, attributes = {}, ...children) {
    return dress(document.createElementNS(SVG, tag), attributes, children);
}

/**
 * Gives an element, of HTML or SVG, its attributes, listeners and children.
 * @template {HTMLElement | SVGElement} T
 * @param {T} node
 * @param {Given} attributes
 * @param {Child[]} children
 * @returns {T}
 */
export function dress(node, attributes, children) {
    for (const [name, value] of Object.entries(attributes)) {
        if (name.startsWith('on')) {
            node.addEventListener(name.slice(2), value);
        } else if (name.startsWith('--')) {
            node.style.setProperty(name, value);
        } else if (value !== null && value !== undefined && value !== false) {
            node.setAttribute(name, value === true ? '' : value);
        }
    }
    const shown = /** @type {(Node | string)[]} */ (children.filter((child) => child !== null && child !== undefined && child !== false));
    node.append(...shown);
    return node;
}

/** Sets attributes where they differ; null takes one away. @param {Element} node @param {Record<string, any>} attributes */
export function setAttributes(node, attributes) {
    for (const [name, value] of Object.entries(attributes)) {
        if (value === null) {
            node.removeAttribute(name);
        } else if (node.getAttribute(name) !== String(value)) {
            node.setAttribute(name, value);
        }
    }
}

/** A dye as a CSS colour. @param {string} dye */
export const colour = (dye) => (dye.startsWith('#') ? dye : `var(--${dye})`);

/** An icon that the page holds ready as a template. @param {string} name @returns {Node} */
export function icon(name) {
    const held = /** @type {HTMLTemplateElement} */ (document.getElementById(`icon-${name}`));
    return /** @type {Element} */ (held.content.firstElementChild).cloneNode(true);
}

/** Class names out of those that hold. @param {...(string | false | null | undefined)} names */
export const classes = (...names) => names.filter(Boolean).join(' ');
