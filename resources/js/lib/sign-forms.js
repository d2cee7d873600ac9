/**
 * The signs on topics, by their names: their forms, and what is said of them. PHP tells those that a plan carries, and those
 * that are found; what nobody has told yet is drawn as nothing.
 * @type {Map<string, [string, string]>}
 */
const signs = new Map();

/** @param {Record<string, [string, string]> | undefined} told */
export function learnSigns(told) {
    Object.entries(told ?? {}).forEach(([name, sign]) => signs.set(name, sign));
}

/** Those that are known. @returns {string[]} */
export const knownSigns = () => [...signs.keys()];

/** @param {string} name */
export const signForm = (name) => signs.get(name)?.[0] ?? '';

/** As it is said. @param {string} name */
export const signName = (name) => signs.get(name)?.[1] ?? name;
