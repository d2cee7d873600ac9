import { openDB } from 'idb';

const DAYS = 30;

/**
 * What is kept of plans in this browser, so that they can be read and written without the network: the
 * tree, the notes and the sources as the server told them last, by person, for 30 days. Where the
 * browser keeps nothing, nothing is kept.
 */
export class Shelf {
    /** @param {number} user @param {string} plan */
    constructor(user, plan) {
        this.user = user;
        this.plan = plan;
        this.own = `${user}/${plan}`;
        /** @type {Promise<import('idb').IDBPDatabase | null>} */
        this.opened = openDB('embrel', 1, {
            // It is to be cleared: somebody signs out.
            blocking: (_from, _to, event) => /** @type {IDBDatabase} */ (event.target).close(),
            upgrade(db) {
                db.createObjectStore('plans');
                db.createObjectStore('notes');
            },
        }).catch(() => null);
    }

    /**
     * Does something with what is kept; null where it cannot be done.
     * @template T
     * @param {(db: import('idb').IDBPDatabase) => Promise<T>} act
     * @returns {Promise<T | null>}
     */
    async with(act) {
        const db = await this.opened;
        return db ? act(db).catch(() => null) : null;
    }

    /** The plan as it was told last: {revision, at, told, notesAt}. @returns {Promise<Record<string, any> | null>} */
    async known() {
        return (await this.with((db) => db.get('plans', this.own))) ?? null;
    }

    /** @param {Record<string, any>} some of what is known of the plan */
    async keep(some) {
        await this.with(async (db) => {
            const step = db.transaction('plans', 'readwrite');
            await step.store.put({ ...(await step.store.get(this.own)), ...some, at: Date.now() }, this.own);
            await step.done;
        });
    }

    /**
     * A note as the server told it last: {blocks, revision, labels}.
     * @param {string} topic
     * @returns {Promise<Record<string, any> | null>}
     */
    async note(topic) {
        return (await this.with((db) => db.get('notes', `${this.own}/${topic}`))) ?? null;
    }

    /** @param {Record<string, Record<string, any>>} notes topic → {blocks, revision, labels} */
    async keepNotes(notes) {
        await this.with(async (db) => {
            const step = db.transaction('notes', 'readwrite');
            await Promise.all([...Object.entries(notes).map(([topic, note]) => step.store.put(note, `${this.own}/${topic}`)), step.done]);
        });
    }

    /** All that is kept of this plan goes. */
    async forget() {
        await this.with(async (db) => {
            await db.delete('plans', this.own);
            await db.delete('notes', IDBKeyRange.bound(`${this.own}/`, `${this.own}/\uffff`));
        });
    }

    /** What is older than 30 days goes, and all that is another person's. */
    async tidy() {
        await this.with(async (db) => {
            const old = Date.now() - DAYS * 86_400_000;
            const gone = new Set();
            // In one go: no note is left behind whose plan has gone.
            const step = db.transaction(['plans', 'notes'], 'readwrite');
            const [plans, notes] = [step.objectStore('plans'), step.objectStore('notes')];
            for (const key of /** @type {string[]} */ (await plans.getAllKeys())) {
                if ((await plans.get(key)).at < old || !key.startsWith(`${this.user}/`)) {
                    gone.add(key);
                    await plans.delete(key);
                }
            }
            for (const key of /** @type {string[]} */ (await notes.getAllKeys())) {
                const plan = key.split('/').slice(0, 2).join('/');
                if (gone.has(plan) || !key.startsWith(`${this.user}/`)) {
                    await notes.delete(key);
                }
            }
            await step.done;
        });
    }
}
