/**
 * The forms of signs on topics, by their names: PHP tells those that a plan carries, and those that are found. Known to no
 * view: what has none is drawn as nothing until it is told.
 * @type {Map<string, string>}
 */
const forms = new Map();

/** @param {Record<string, string> | undefined} told */
export function learnSigns(told) {
    Object.entries(told ?? {}).forEach(([name, form]) => forms.set(name, form));
}

/** Those that are known. @returns {string[]} */
export const knownSigns = () => [...forms.keys()];

/** @param {string} name */
export const signForm = (name) => forms.get(name) ?? '';

/** As it is said. @param {string} name */
export const signName = (name) => name.replace(/-\d+\b/g, '').replaceAll('-', ' ');
