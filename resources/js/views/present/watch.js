import { byId } from '../../lib/dom.js';
import { fullScreen } from '../../lib/full-screen.js';
import { send } from '../../lib/http.js';
import { Deck } from './deck.js';
import { Follower } from './following.js';
import { OnMap } from './on-map.js';
import { Screen, heard } from './screen.js';

/** A screen on another machine, which follows the speaker. */
export class Watch {
    /** @param {import('./present.js').Given} given */
    constructor(given) {
        this.given = given;
        this.deck = new Deck(given.deck);
        const pictureOf = (/** @type {string} */ id) => `${given.address}/pictures/${id}`;
        this.screen = new Screen(byId('shown'), pictureOf);
        this.map = new OnMap(byId('shown-map', SVGSVGElement), pictureOf, () => send('GET', `${given.address}/map`));
        this.isMap = false;
        /** What is shown, in one text. */
        this.was = '';
        byId('watch-full').addEventListener('click', () => fullScreen());
        this.follower = new Follower(
            given.address,
            (state) => this.take(state),
            (says) => (byId('watch-says').textContent = says),
        );
    }

    begin() {
        this.draw();
        this.follower.follow();
    }

    /** @param {import('./following.js').State} state */
    async take({ at, stop, dark, map, print }) {
        const isOther = print !== this.deck.told.print;
        if (isOther) {
            this.deck.take(await send('GET', `${this.given.address}/deck`));
        }
        const now = `${at} ${stop} ${dark} ${map} ${print}`;
        if (now === this.was) {
            return;
        }
        if (map && (isOther || !this.isMap)) {
            await this.map.load();
        }
        this.was = now;
        this.isMap = map;
        this.deck.go(at, stop);
        byId('shown').hidden = map;
        byId('map-side').hidden = !map;
        document.body.classList.toggle('is-blank', dark);
        this.draw();
        byId('present-says').textContent = dark ? 'Dark' : heard(this.deck);
    }

    draw() {
        this.isMap ? this.map.show(this.deck) : this.screen.show(this.deck);
    }
}
