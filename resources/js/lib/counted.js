/** A number with what it counts: 1 word, 2 words, 1,200 words. */
export const counted = (/** @type {number} */ number, /** @type {any} */ one, many = `${one}s`) =>
    `${number.toLocaleString('en')} ${number === 1 ? one : many}`;
