import { always } from '../../commands/commands.js';
import { allOf, byId, fieldOf } from '../../lib/dom.js';
import { fullScreen } from '../../lib/full-screen.js';
import { reason, send } from '../../lib/http.js';
import { Bar } from './bar.js';
import { ChoicesDialog } from './choices.js';
import { Clock } from './clock.js';
import { Deck } from './deck.js';
import { Screens, Windows } from './following.js';
import { hands } from './hands.js';
import { LinkDialog } from './link-dialog.js';
import { OnMap } from './on-map.js';
import { Player } from './player.js';
import { Screen, heard } from './screen.js';

/**
 * @typedef {object} Given what the page brings
 * @property {import('./deck.js').Told} deck
 * @property {string} address below which its answers are
 * @property {string} plan the address of the plan
 * @property {string} name by which the windows of one show find each other
 */

/** The window that is shown: a screen, the main sections at its left, and a bar below. */
export class Present {
    /** @param {Given} given @param {import('../../commands/commands.js').Commands} commands */
    constructor(given, commands) {
        this.given = given;
        this.commands = commands;
        const pictureOf = (/** @type {string} */ id) => `${given.plan}/pictures/${id}`;
        this.deck = new Deck(given.deck);
        this.clock = new Clock();
        this.screen = new Screen(byId('shown'), pictureOf, (id) => `${given.plan}/attachments/${id}/play`);
        const backOf = (/** @type {string} */ id) => `/map-styles/pictures/${id}`;
        this.map = new OnMap(byId('shown-map', SVGSVGElement), pictureOf, () => send('GET', `${given.address}/map`), backOf);
        this.isDark = false;
        this.isMap = false;
        this.player = new Player({
            pause: () => this.deck.pause,
            on: () => this.move(() => this.deck.on()),
            isEnd: () => this.deck.isEnd,
            changed: () => this.draw(),
        });
        this.windows = new Windows(given.name, { state: () => this.state, take: (state) => this.take(state) });
        this.screens = new Screens(given.address, () => this.says('Screens on other machines cannot be told just now.'));
        this.bar = new Bar((topic) => this.move(() => this.deck.to(topic)));
        this.link = new LinkDialog(this.screens, () => this.screens.tell(this.state));
        this.choices = new ChoicesDialog(given.address, (deck) => this.renew(deck));
        this.provide(commands);
        this.listen();
    }

    begin() {
        this.windows.ask();
        this.draw();
        // It is hidden until keys are heard: who sees it may press one.
        byId('shown').hidden = this.isMap;
        setInterval(() => this.bar.drawTime(this.clock, this.deck), 500);
    }

    /** @param {import('../../commands/commands.js').Commands} commands */
    provide(commands) {
        commands.provide('present', {
            presentOn: always(() => this.on()),
            presentBack: always(() => this.back()),
            presentStart: always(() => this.go(0)),
            presentEnd: always(() => this.go(Infinity)),
            presentPlay: always(() => this.player.toggle()),
            presentFaster: always(() => this.player.faster(1)),
            presentSlower: always(() => this.player.faster(-1)),
            presentMedia: always(() => this.screen.playMedia() || this.says('Nothing here is to be heard or seen.')),
            presentDark: always(() => this.setDark(!this.isDark)),
            presentMap: always(() => this.setMap(!this.isMap)),
            presentNotes: always(() => this.openNotes()),
            presentChoices: always(() => this.choices.open()),
            presentScreens: always(() => this.link.open()),
            presentFull: always(() => fullScreen()),
            presentClock: always(() => this.setClockBack()),
            presentLeave: always(() => (this.isDark ? this.setDark(false) : this.leave())),
        });
    }

    listen() {
        for (const closer of allOf(document, '[data-close]', HTMLElement)) {
            closer.addEventListener('click', () => closer.closest('dialog')?.close());
        }
        hands(byId('present-stage'), {
            on: () => this.on(),
            back: () => this.back(),
            run: (action) => this.commands.run('present', action),
            isMap: () => this.isMap,
        });
        for (const button of allOf(document, '[data-command]', HTMLElement)) {
            button.addEventListener('click', () => this.commands.run('present', button.dataset.command ?? ''));
        }
        byId('present-line').addEventListener('input', (event) => this.go(Number(fieldOf(event).value)));
        window.addEventListener('pagehide', () => this.player.isPlaying && this.player.stop());
    }

    // ---- Where one is

    on() {
        this.move(() => this.deck.on());
        this.player.wait();
    }

    back() {
        this.move(() => this.deck.back());
        this.player.wait();
    }

    /** @param {number} at */
    go(at) {
        this.move(() => this.deck.go(at));
        this.player.wait();
    }

    /** @param {() => void} act */
    move(act) {
        act();
        this.clock.begin();
        this.isDark = false;
        this.draw();
        this.tell();
    }

    /** @returns {import('./following.js').State} */
    get state() {
        const { at, stop, told } = this.deck;
        const { isDark: dark, isMap: map, player } = this;
        return { at, stop, dark, map, begun: this.clock.begun, playing: player.isPlaying, speed: player.speed, print: told.print };
    }

    tell() {
        this.windows.tell();
        this.screens.tell(this.state);
    }

    /** What was done in another window. @param {import('./following.js').State} state */
    async take(state) {
        const isOther = state.print !== this.deck.told.print;
        if (isOther) {
            this.deck.take(await send('GET', `${this.given.address}/deck`).catch(() => this.deck.told));
        }
        this.deck.go(state.at, state.stop);
        this.clock.begun = state.begun;
        this.isDark = state.dark;
        if (isOther || state.map !== this.isMap) {
            await this.showMap(state.map);
        }
        this.screens.tell(this.state);
        this.player.wait();
        this.draw();
    }

    /** @param {import('./deck.js').Told} deck */
    async renew(deck) {
        this.deck.take(deck);
        await this.showMap(this.isMap);
        this.draw();
        this.tell();
    }

    // ---- What is done with it

    /** @param {boolean} isDark */
    setDark(isDark) {
        this.isDark = isDark;
        this.draw();
        this.tell();
    }

    /** @param {boolean} isMap */
    async setMap(isMap) {
        await this.showMap(isMap);
        this.draw();
        this.tell();
    }

    /** @param {boolean} isMap */
    async showMap(isMap) {
        try {
            isMap && (await this.map.load());
            this.isMap = isMap;
        } catch (error) {
            this.says(reason(error));
        }
        byId('shown').hidden = this.isMap;
        byId('map-side').hidden = !this.isMap;
    }

    openNotes() {
        window.open(`${this.given.address}/speaker`, this.given.name.replace(/\W/g, ''), 'popup,width=1100,height=760') ||
            this.says('The browser lets no window open here. Allow windows for this page, and press N again.');
    }

    setClockBack() {
        this.clock.setBack();
        this.bar.drawTime(this.clock, this.deck);
        this.tell();
    }

    leave() {
        location.href = this.deck.step && this.deck.step.level > 0 ? `${this.given.plan}#topic=${this.deck.step.topic}` : this.given.plan;
    }

    // ---- What is seen

    draw() {
        const { deck, player } = this;
        document.body.classList.toggle('is-blank', this.isDark);
        this.isMap ? this.map.show(deck) : this.screen.show(deck);
        byId('present-map').setAttribute('aria-pressed', String(this.isMap));
        this.bar.draw(deck, player);
        this.bar.drawTime(this.clock, deck);
        this.says(this.isDark ? 'Dark' : heard(deck));
    }

    /** @param {string} what */
    says(what) {
        byId('present-says').textContent = what;
    }
}
