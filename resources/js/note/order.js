/**
 * How blocks are told to stand, as short as it can be said: null where no block is new or stands
 * elsewhere, else each new one between its neighbours; what is not named keeps its place. Where
 * blocks have changed places, all are named.
 * @param {any} before
 * @param {any} now
 */
export function orderOf(before, now) {
    const known = new Set(before);
    const left = new Set(now);
    const stayed = before.filter((/** @type {string} */ id) => left.has(id));
    const still = now.filter((/** @type {string} */ id) => known.has(id));
    if (stayed.some((/** @type {string} */ id, /** @type {number} */ i) => id !== still[i])) {
        return now;
    }
    if (still.length === now.length) {
        return null;
    }
    const named = new Set();
    now.forEach((/** @type {string} */ id, /** @type {number} */ i) => {
        if (!known.has(id)) {
            [now[i - 1], id, now[i + 1]].filter(Boolean).forEach((one) => named.add(one));
        }
    });
    return now.filter((/** @type {string} */ id) => named.has(id));
}
