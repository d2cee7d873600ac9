/**
 * What Alpine gives a component beside its own.
 * @typedef {object} Magic
 * @property {HTMLElement} $root
 * @property {HTMLElement} $el
 * @property {Record<string, any>} $refs
 * @property {(act: () => void) => Promise<void>} $nextTick
 */

/**
 * A component of a page, as Alpine takes it: within it `this` is what Alpine makes of all its parts together.
 * @template T
 * @param {T & ThisType<Magic & Record<string, any>>} made
 * @returns {T}
 */
export const component = (made) => made;

/** One component out of several parts; getters stay getters. @param {...object} parts */
export const joined = (...parts) => parts.reduce((all, part) => Object.defineProperties(all, Object.getOwnPropertyDescriptors(part)), {});
