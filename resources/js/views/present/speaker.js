import { always } from '../../commands/commands.js';
import { byId } from '../../lib/dom.js';
import { send } from '../../lib/http.js';
import { Clock, told } from './clock.js';
import { Deck } from './deck.js';
import { Windows } from './following.js';
import { hands } from './hands.js';
import { Screen, heard } from './screen.js';

const TIME = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' });

/** The speaker's own window: this step and the next, what is to be said, the clock. It follows the window that is shown, and leads it. */
export class Speaker {
    /** @param {import('./present.js').Given} given @param {import('../../commands/commands.js').Commands} commands */
    constructor(given, commands) {
        this.given = given;
        this.deck = new Deck(given.deck);
        this.clock = new Clock();
        const pictureOf = (/** @type {string} */ id) => `${given.plan}/pictures/${id}`;
        this.now = new Screen(byId('shown-now'), pictureOf);
        this.then = new Screen(byId('shown-then'), pictureOf);
        /** What the other window is like, beside where it is. */
        this.kept = { dark: false, map: false, playing: false, speed: 1 };
        this.windows = new Windows(given.name, { state: () => this.state, take: (state) => this.take(state) });
        this.provide(commands);
        hands(byId('speaker-now'), {
            on: () => this.move(() => this.deck.on()),
            back: () => this.move(() => this.deck.back()),
            run: (action) => commands.run('present', action),
            isMap: () => false,
        });
        for (const [id, act] of Object.entries({ back: () => this.deck.back(), on: () => this.deck.on() })) {
            byId(`speaker-${id}`).addEventListener('click', () => this.move(act));
        }
        byId('speaker-dark').addEventListener('click', () => this.setDark());
        byId('speaker-clock').addEventListener('click', () => this.setClockBack());
    }

    /** @param {import('../../commands/commands.js').Commands} commands */
    provide(commands) {
        commands.provide('present', {
            presentOn: always(() => this.move(() => this.deck.on())),
            presentBack: always(() => this.move(() => this.deck.back())),
            presentStart: always(() => this.move(() => this.deck.go(0))),
            presentEnd: always(() => this.move(() => this.deck.go(Infinity))),
            presentDark: always(() => this.setDark()),
            presentMap: always(() => this.set({ map: !this.kept.map })),
            presentClock: always(() => this.setClockBack()),
            presentLeave: always(() => window.close()),
        });
    }

    begin() {
        this.windows.ask();
        this.draw();
        setInterval(() => this.drawTime(), 500);
    }

    /** @returns {import('./following.js').State} */
    get state() {
        return { at: this.deck.at, stop: this.deck.stop, begun: this.clock.begun, print: this.deck.told.print, ...this.kept };
    }

    /** @param {() => void} act */
    move(act) {
        act();
        this.clock.begin();
        this.set({ dark: false });
    }

    /** @param {Partial<typeof this.kept>} kept */
    set(kept) {
        Object.assign(this.kept, kept);
        this.draw();
        this.windows.tell();
    }

    setDark() {
        this.set({ dark: !this.kept.dark });
    }

    setClockBack() {
        this.clock.setBack();
        this.set({});
    }

    /** @param {import('./following.js').State} state */
    async take({ at, stop, begun, print, ...kept }) {
        if (print !== this.deck.told.print) {
            this.deck.take(await send('GET', `${this.given.address}/deck`).catch(() => this.deck.told));
        }
        this.deck.go(at, stop);
        this.clock.begun = begun;
        this.kept = kept;
        this.draw();
    }

    draw() {
        const { deck } = this;
        this.now.show(deck);
        this.then.show(deck, deck.next, Infinity);
        const { step } = deck;
        byId('speaker-note').textContent = step?.note || (step ? 'Nothing is written for this section.' : '');
        byId('speaker-note').classList.toggle('is-empty', !step?.note);
        byId('speaker-note').scrollTop = 0;
        byId('speaker-at').textContent = deck.where;
        byId('speaker-dark').setAttribute('aria-pressed', String(this.kept.dark));
        byId('present-says').textContent = this.kept.dark ? 'The screen is dark' : heard(deck);
        this.drawTime();
    }

    drawTime() {
        const { says, is, warns } = told(this.clock.gone, this.deck.planned);
        byId('speaker-gone').textContent = says;
        byId('speaker-gone').className = is;
        byId('speaker-warns').textContent = warns;
        byId('speaker-time').textContent = TIME.format(new Date());
    }
}
