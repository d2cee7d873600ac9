/** So long it may take to open, in ms; after that it cannot be had here. */
const PATIENCE = 6000;
/** Hidden for so long, a page lets go of it: it asks now and then instead. */
const HIDDEN = 20_000;
/** Where one is, is told no more often than that. */
const PLACE = 600;
const FIRST_TRY = 1500;
const LAST_TRY = 60_000;

/**
 * The stream of events of a plan. It opens while the page is in sight; where it breaks it is tried again, later each time,
 * and each page at a moment of its own: a thousand pages that lost it together do not come back together.
 */
export class Stream {
    /**
     * @param {string} page names this page among all that are open
     * @param {object} on
     * @param {string} on.address none: there is no stream
     * @param {() => Promise<string>} on.renew another address, when this one has not opened
     * @param {(numbers: import('./channel.js').Numbers) => void} on.at
     * @param {(news: any) => void} on.news
     * @param {(people: import('./channel.js').Here[]) => void} on.here
     * @param {() => void} on.out the person may not see the plan any more
     * @param {(isOpen: boolean) => void} on.open
     */
    constructor(page, on) {
        this.page = page;
        this.on = on;
        this.address = on.address;
        this.isOpen = false;
        this.tries = 0;
        this.isSeen = false;
        /** @type {EventSource | null} */
        this.source = null;
        /** Where one is, told last. */
        this.place = '';
        /** @type {ReturnType<typeof setTimeout> | undefined} */
        this.placing = undefined;
        if (this.address) {
            globalThis.addEventListener?.('online', () => this.again(Math.random() * FIRST_TRY));
        }
    }

    /** The page has come into sight, or gone out of it. @param {boolean} isSeen */
    seen(isSeen) {
        this.isSeen = isSeen;
        clearTimeout(this.hiding);
        if (!this.address) {
            return;
        }
        if (isSeen) {
            this.source ?? this.connect();
        } else {
            this.hiding = setTimeout(() => this.close(), HIDDEN);
        }
    }

    connect() {
        clearTimeout(this.trying);
        if (!this.isSeen || !globalThis.EventSource) {
            return;
        }
        const source = (this.source = new EventSource(`${this.address}&page=${this.page}`));
        const hears = (/** @type {string} */ name, /** @type {(told: any) => void} */ act) =>
            source.addEventListener(name, (event) => {
                source === this.source && act(JSON.parse(event.data));
            });
        this.opening = setTimeout(() => this.failed(source), PATIENCE);
        source.addEventListener('open', () => {
            clearTimeout(this.opening);
            this.tries = 0;
            this.isOpen = true;
            this.place && this.sendPlace();
            this.on.open(true);
        });
        source.addEventListener('error', () => this.failed(source));
        hears('at', this.on.at);
        hears('news', this.on.news);
        hears('here', ({ people }) => this.on.here(people.filter((/** @type {{page: string}} */ { page }) => page !== this.page)));
        hears('out', () => {
            this.end();
            this.on.out();
        });
    }

    /** @param {EventSource} source */
    failed(source) {
        if (source !== this.source) {
            return;
        }
        const hadOpened = this.isOpen;
        this.close();
        // What has never opened may have been sealed too long ago.
        if (!hadOpened) {
            this.on.renew().then((address) => (this.address = address || this.address));
        }
        const wait = Math.min(LAST_TRY, FIRST_TRY * 2 ** this.tries++);
        this.again(wait * (0.5 + Math.random()));
    }

    /** @param {number} wait */
    again(wait) {
        clearTimeout(this.trying);
        this.trying = setTimeout(() => this.source ?? this.connect(), wait);
    }

    /** For good. */
    end() {
        this.address = '';
        clearTimeout(this.trying);
        this.close();
    }

    close() {
        clearTimeout(this.opening);
        this.source?.close();
        this.source = null;
        if (this.isOpen) {
            this.isOpen = false;
            this.on.here([]);
        }
        this.on.open(false);
    }

    /** @param {{topic: string | null, view: string | null, writes: boolean}} place */
    tellPlace(place) {
        const told = JSON.stringify(place);
        if (told !== this.place) {
            this.place = told;
            this.placing ??= setTimeout(() => {
                this.placing = undefined;
                this.sendPlace();
            }, PLACE);
        }
    }

    sendPlace() {
        if (this.isOpen) {
            // As plain text, so that the browser need not ask first whether it may.
            fetch(`${this.address}&page=${this.page}`, { method: 'POST', mode: 'no-cors', body: this.place }).catch(() => null);
        }
    }
}
