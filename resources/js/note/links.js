// eslint-disable-next-line no-control-regex
const SAFE = /^(https?:\/\/|mailto:|tel:|#)[^\s<>"\u0000-\u001f]+$/i;

/** Whether an address may stand in a note: the web, mail, telephone, or a place in the same document. PHP takes no other. */
export const isSafe = (/** @type {string} */ address) => address.length <= 4000 && SAFE.test(address);
