import table from '../../keys.json' with { type: 'json' };

const entries = new Map(table.map((entry) => [`${entry.where} ${entry.id}`, entry]));
/** @type {Record<string, string>} */
const SIGNS = { ArrowUp: '↑', ArrowDown: '↓', ArrowLeft: '←', ArrowRight: '→', Escape: 'Esc' };

/**
 * What a command acts on: the topic, the control from which it was asked for, the event.
 * @typedef {{id?: string | null, anchor?: Element | object | null, event?: Event | null}} At
 */

/**
 * Answers whether it may be done now, and does it where `go` is true.
 * @typedef {(at: At, go: boolean) => boolean} Command
 */

/**
 * Everything that can be done by name. What there is, where, and by which keys stands in one table
 * (resources/keys.json); what it does is provided once for each place. Keys, menus, bars and the
 * list of all keys go through here.
 */
export class Commands {
    /** @param {{mayWrite: boolean, refuse: () => void}} [rights] whether what changes the plan may be done, and what says why not */
    constructor(rights = { mayWrite: true, refuse: () => {} }) {
        this.rights = rights;
        /** @type {Map<string, Command>} */
        this.known = new Map();
    }

    /**
     * @param {string} where a place of the table
     * @param {Record<string, Command>} commands by their ids
     */
    provide(where, commands) {
        for (const [id, command] of Object.entries(commands)) {
            if (!entries.has(`${where} ${id}`)) {
                throw new Error(`There is no command “${id}” in “${where}”.`);
            }
            this.known.set(`${where} ${id}`, command);
        }
    }

    /** @param {string} where @param {string} id @param {At} [at] */
    may(where, id, at = {}) {
        return !this.isKept(where, id) && (this.known.get(`${where} ${id}`)?.(at, false) ?? false);
    }

    /** Does it, if it may be done; whether it was. @param {string} where @param {string} id @param {At} [at] */
    run(where, id, at = {}) {
        if (this.isKept(where, id)) {
            this.rights.refuse();
            return true;
        }
        return this.known.get(`${where} ${id}`)?.(at, true) ?? false;
    }

    /** Whether it is kept from who may only read. @param {string} where @param {string} id */
    isKept(where, id) {
        return !this.rights.mayWrite && entries.get(`${where} ${id}`)?.writes === true;
    }

    /** Those that are provided in some places, in the order of the table. @param {string[]} places */
    in(places) {
        return places.flatMap((where) =>
            table.filter((entry) => entry.where === where && this.known.has(`${where} ${entry.id}`) && !this.isKept(where, entry.id)),
        );
    }
}

/** A command that may always be done. @param {(at: At) => unknown} run @returns {Command} */
export const always = (run) => when(() => true, run);

/**
 * A command that may be done when something holds.
 * @param {(at: At) => unknown} holds
 * @param {(at: At) => unknown} run
 * @returns {Command}
 */
export const when = (holds, run) => (at, go) => {
    if (!holds(at)) {
        return false;
    }
    if (go) {
        run(at);
    }
    return true;
};

/** The name of a command on a button or in a menu. @param {string} where @param {string} id */
export const nameOf = (where, id) => entries.get(`${where} ${id}`)?.name ?? id;

/** Its first key as it is written, as “Alt ↑”; nothing where it has none. @param {string} where @param {string} id */
export const keyOf = (where, id) => written(entries.get(`${where} ${id}`)?.keys[0] ?? '');

/** @param {string} key as the table spells it */
export const written = (key) =>
    key
        .split(/(?<=.)\+/)
        .map((part) => SIGNS[part] ?? part)
        .join(' ');

/** All keys of the table, as it spells them. */
export const allKeys = () => table.flatMap(({ keys }) => keys);
