// Made once: making one takes longer than all else that is shown at a key.
const NUMBERS = new Intl.NumberFormat('en');
const MINUTES = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' });

/** A number as it is read: 1,200. @param {number} number */
export const figures = (number) => NUMBERS.format(number);

/** The time of a day: 14:05. @param {Date} time */
export const clock = (time) => MINUTES.format(time);

/** A number with what it counts: 1 word, 2 words, 1,200 words. @param {number} number @param {string} one */
export const counted = (number, one, many = `${one}s`) => `${figures(number)} ${number === 1 ? one : many}`;
