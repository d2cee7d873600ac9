/** A DOM element with attributes, listeners (`on…`) and children; text is always text. */
export function element(tag, attributes = {}, ...children) {
    return dress(document.createElement(tag), attributes, children);
}

/** Gives an element, of HTML or SVG, its attributes, listeners and children. */
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
    node.append(...children.filter((child) => child !== null && child !== undefined && child !== false));
    return node;
}

/** Sets attributes where they differ; null takes one away. */
export function setAttributes(node, attributes) {
    for (const [name, value] of Object.entries(attributes)) {
        if (value === null) {
            node.removeAttribute(name);
        } else if (node.getAttribute(name) !== String(value)) {
            node.setAttribute(name, value);
        }
    }
}

/** A dye as a CSS colour. */
export const colour = (dye) => (dye.startsWith('#') ? dye : `var(--${dye})`);

/** An icon that the page holds ready as a template. */
export function icon(name) {
    return document.getElementById(`icon-${name}`).content.firstElementChild.cloneNode(true);
}

/** Class names out of those that hold. @param {...(string | false | null | undefined)} names */
export const classes = (...names) => names.filter(Boolean).join(' ');
