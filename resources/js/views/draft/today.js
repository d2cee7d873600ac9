import { byId } from '../../lib/dom.js';
import { figures } from '../../lib/counted.js';
import { send } from '../../lib/http.js';

/** In ms: the words of today are asked for when nothing was saved for so long. */
const SOON = 1500;

/** How many words the person has written today, by their own day; PHP counts them. */
export class WrittenToday {
    /** @param {import('../page.js').Page} page */
    constructor(page) {
        this.page = page;
        this.box = byId('draft-today');
    }

    soon() {
        clearTimeout(this.waiting);
        this.waiting = setTimeout(() => this.load(), SOON);
    }

    async load() {
        const answer = await send('GET', `${this.page.address}/written-today`).catch(() => null);
        if (answer) {
            const { added, taken } = answer;
            this.box.textContent = `${figures(added)} written today${taken ? `, ${figures(taken)} taken away` : ''}`;
        }
    }
}
