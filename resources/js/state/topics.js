import { words } from '../lib/vocabulary.js';

/**
 * A topic as the page knows it.
 * @typedef {object} Topic
 * @property {string} id
 * @property {string} parent
 * @property {string} title
 * @property {string} kind
 * @property {string} numbered
 * @property {string | null} dye
 * @property {string | null} flag
 * @property {string | null} sign
 * @property {number | null} target
 * @property {boolean} noted
 * @property {string | null} size
 * @property {string | null} alone
 * @property {string | null} spot
 * @property {string | null} picture
 * @property {string[]} labels of the writer's own
 * @property {string} who who works on it; empty where nobody is named
 * @property {string | null} begins the first day of work on it, YYYY-MM-DD
 * @property {string | null} due the day by which it is to be done
 * @property {string | null} done the day on which it was done
 * @property {string | null} again how often it comes again
 * @property {string} label its number, as it is shown
 */
/** @typedef {{id: string, from: string, to: string, label: string, dye: string | null, arrows: string, bend: number[] | null}} Relation */
/** Where a topic stands: in which, and after which sibling. @typedef {{parent: string, after: string | null}} Place */
/** A change, as it is sent. @typedef {{type: string, [field: string]: any}} Operation */
/** Of a list of rows: which topic, how deep. @typedef {{id: string, level: number, loose?: boolean}} Row */
/**
 * What can bear a note: a topic, or the plan.
 * @typedef {{title: string, noted: boolean, target: number | null, parent: string | null, label?: string}} NoteBearer
 */
/** What the server tells of a plan, whole or of what has changed. @typedef {Record<string, any>} Answer */

/** The fixed topics of every plan: the plan itself, and the tray of loose ideas. */
export const ROOT = '00000000000000000000000000';
export const TRAY = '00000000000000000000000001';
/** A topic as it is named in a sentence: its number and title. @param {{label?: string, title: string}} topic */
export const named = ({ label = '', title }) => `${label} ${title || 'Untitled'}`.trim();
/** What most topics are: PHP says it, and leaves it out of a plan that is told whole. */
export const usual = () => ({ ...words().usual, label: '' });
