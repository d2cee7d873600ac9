/** A day in ms; calendar dates are reckoned without clocks. */
const DAY = 86_400_000;

/** @param {string} date YYYY-MM-DD */
const at = (date) => Date.parse(`${date}T00:00:00Z`);

/** The calendar date where one is. */
export function today() {
    const now = new Date();
    return [now.getFullYear(), now.getMonth() + 1, now.getDate()].map((part) => String(part).padStart(2, '0')).join('-');
}

/** @param {string} date @param {number} days */
export const dayAfter = (date, days) => new Date(at(date) + days * DAY).toISOString().slice(0, 10);

/** Days from one to another; negative where it was before. @param {string} from @param {string} to */
export const daysBetween = (from, to) => Math.round((at(to) - at(from)) / DAY);

/** 0 for Monday to 6 for Sunday. @param {string} date */
export const weekday = (date) => (new Date(at(date)).getUTCDay() + 6) % 7;

// Made once: making one takes longer than all else that is said of a row.
/** @type {Record<string, Intl.DateTimeFormat>} */
const FORMS = Object.fromEntries(
    Object.entries(
        /** @type {Record<string, Intl.DateTimeFormatOptions>} */ ({
            short: { weekday: 'short', day: 'numeric', month: 'short' },
            shortYear: { weekday: 'short', day: 'numeric', month: 'short', year: 'numeric' },
            long: { weekday: 'long', day: 'numeric', month: 'long' },
            month: { month: 'long', year: 'numeric' },
            shortMonth: { month: 'short' },
        }),
    ).map(([name, form]) => [name, new Intl.DateTimeFormat('en-GB', { ...form, timeZone: 'UTC' })]),
);
/** What was said before: a plan has few dates, and its rows say them again and again. @type {Map<string, string>} */
const said = new Map();

/** @param {string} date @param {string} form */
function named(date, form) {
    const key = form + date;
    const text = said.get(key) ?? FORMS[form].format(at(date)).replace(',', '');
    said.set(key, text);
    return text;
}

/** As “Fri 4 Dec”; with the year where it is another than that of today. @param {string} date */
export const shortly = (date) => named(date, date.slice(0, 4) === String(new Date().getFullYear()) ? 'short' : 'shortYear');

/** As “Friday 4 December”. @param {string} date */
export const atLength = (date) => named(date, 'long');

/** The month of a day, as “December 2026”, or “Dec”. @param {string} date */
export const monthOf = (date, isShort = false) => named(date, isShort ? 'shortMonth' : 'month');
