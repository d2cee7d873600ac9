import { allOf, byId } from '../../lib/dom.js';
import { fullScreen } from '../../lib/full-screen.js';
import { Deck } from '../present/deck.js';
import { hands } from '../present/hands.js';
import { Player } from '../present/player.js';
import { Screen, heard } from '../present/screen.js';

/** The show of the page that stands alone. */
export class Showing {
    /** @param {any} told @param {(id: string) => string} pictureOf @param {() => void} leave */
    constructor(told, pictureOf, leave) {
        this.deck = new Deck(told);
        this.screen = new Screen(byId('shown'), pictureOf);
        this.leave = leave;
        this.isOn = false;
        this.player = new Player({
            pause: () => this.deck.pause,
            on: () => this.move(() => this.deck.on()),
            isEnd: () => this.deck.isEnd,
            changed: () => this.draw(),
        });
        /** @type {Record<string, () => unknown>} */
        this.acts = {
            presentOn: () => this.by(() => this.deck.on()),
            presentBack: () => this.by(() => this.deck.back()),
            presentStart: () => this.by(() => this.deck.go(0)),
            presentEnd: () => this.by(() => this.deck.go(Infinity)),
            presentPlay: () => this.player.toggle(),
            presentFaster: () => this.player.faster(1),
            presentSlower: () => this.player.faster(-1),
            presentDark: () => document.body.classList.toggle('is-blank'),
            presentFull: () => fullScreen(),
            presentLeave: () => this.leave(),
        };
        hands(byId('present-stage'), {
            on: () => this.acts.presentOn(),
            back: () => this.acts.presentBack(),
            run: (action) => this.run(action),
            isMap: () => false,
        });
        for (const button of allOf(document, '[data-go]', HTMLElement)) {
            const go = button.dataset.go ?? '';
            button.addEventListener('click', () => this.acts[`present${go[0].toUpperCase()}${go.slice(1)}`]());
        }
        byId('present-play').addEventListener('click', () => this.player.toggle());
    }

    /** @param {string} action */
    run(action) {
        if (!this.isOn || !this.acts[action]) {
            return false;
        }
        this.acts[action]();
        return true;
    }

    enter() {
        this.isOn = true;
        this.draw();
    }

    end() {
        this.isOn = false;
        document.body.classList.remove('is-blank');
        this.player.isPlaying && this.player.stop();
    }

    /** By hand: what plays waits anew. @param {() => void} act */
    by(act) {
        this.move(act);
        this.player.wait();
    }

    /** @param {() => void} act */
    move(act) {
        act();
        document.body.classList.remove('is-blank');
        this.draw();
    }

    draw() {
        const { deck, player } = this;
        this.screen.show(deck);
        player.draw(byId('present-play'));
        byId('alone-at').textContent = deck.where;
        byId('present-says').textContent = heard(deck);
    }
}
