/**
 * The words of the plan's own rules (kinds, flags, dyes, schemes, limits and how each is called), as
 * PHP emits them into the page: no list of them stands in a script.
 * @type {Record<string, any>}
 */
let known = {};

/** @param {Record<string, any>} given as the page brings it */
export function know(given) {
    known = given;
}

export const words = () => known;
