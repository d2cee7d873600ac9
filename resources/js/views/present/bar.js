import { byId } from '../../lib/dom.js';
import { colour, element } from '../../ui/element.js';
import { told } from './clock.js';

/** @typedef {import('./deck.js').Deck} Deck @typedef {import('./player.js').Player} Player */

/** What stands around the screen: the main sections at its left; below how far it is, how fast it plays, and the time. */
export class Bar {
    /** @param {(topic: string) => void} go */
    constructor(go) {
        this.go = go;
        /** Of which steps the pieces of the line, and the main sections, are drawn. @type {import('./deck.js').Told | null} */
        this.piecesOf = null;
        /** @type {import('./deck.js').Told | null} */
        this.mainsOf = null;
    }

    /** @param {Deck} deck @param {Player} player */
    draw(deck, player) {
        player.draw(byId('present-play'));
        byId('present-pace').textContent = pace(deck, player);
        this.drawLine(deck);
        this.drawMains(deck);
    }

    /** @param {Deck} deck */
    drawLine(deck) {
        const line = byId('present-line', HTMLInputElement);
        line.max = String(deck.told.steps.length);
        line.value = String(deck.at);
        line.setAttribute('aria-valuetext', `${Math.min(deck.at + 1, deck.told.steps.length)} of ${deck.told.steps.length}`);
        const pieces = byId('present-pieces');
        if (this.piecesOf !== deck.told) {
            this.piecesOf = deck.told;
            pieces.replaceChildren(...deck.pieces.map(({ dye, seconds }) => element('i', { '--d': colour(dye), '--w': String(seconds) })));
        }
        pieces.style.setProperty('--share', String(deck.share));
    }

    /** @param {Deck} deck */
    drawMains(deck) {
        const box = byId('present-mains');
        if (this.mainsOf !== deck.told) {
            this.mainsOf = deck.told;
            box.replaceChildren(...deck.told.mains.map((main) => this.main(main)));
        }
        for (const item of /** @type {HTMLElement[]} */ ([...box.children])) {
            const isNow = item.dataset.id === deck.step?.main;
            item.classList.toggle('is-now', isNow);
            item.firstElementChild?.toggleAttribute('aria-current', isNow);
        }
    }

    /** @param {[string, string, string, string]} main */
    main([id, number, dye, title]) {
        const name = `${number} ${title || 'Untitled'}`.trim();
        const go = () => this.go(id);
        return element(
            'li',
            { 'data-id': id, '--d': colour(dye) },
            element('button', { type: 'button', 'aria-label': name, title: name, onclick: go }, short(number)),
        );
    }

    /** @param {import('./clock.js').Clock} clock @param {Deck} deck */
    drawTime({ gone }, { planned }) {
        const time = byId('present-time');
        const { says, is, warns } = told(gone, planned);
        time.textContent = warns ? `${says}, ${warns}` : says;
        time.className = is;
    }
}

/** What stands in a disc: the end of a number. @param {string} number */
const short = (number) => (number.split(' ').at(-1) ?? '').replace(/\.$/, '');

/** How long a step stays. @param {Deck} deck @param {Player} player */
function pace({ told: { choices } }, { speed }) {
    return (choices.spoken ? 'as it is said' : `${choices.seconds} s each`) + (speed === 1 ? '' : `, ${speed}×`);
}
