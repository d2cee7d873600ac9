import { element } from '../../ui/element.js';

/** A calm clock for gathering: a ring that empties, no figures that run, and a word at the end. */
export class Clock {
    /** @param {HTMLElement} box @param {string} key @param {(minutes: number) => void} whenOver */
    constructor(box, key, whenOver) {
        this.box = box;
        this.key = key;
        this.whenOver = whenOver;
        const [end, minutes] = JSON.parse(sessionStorage.getItem(key) ?? '[0,0]');
        if (end > Date.now()) {
            this.run(end, minutes);
        } else {
            this.rest();
        }
    }

    rest() {
        clearInterval(this.ticking);
        sessionStorage.removeItem(this.key);
        this.box.replaceChildren(
            element('span', {}, 'A calm clock:'),
            ...[5, 10, 15].map((minutes) =>
                element(
                    'button',
                    {
                        type: 'button',
                        class: 'pill',
                        'aria-label': `A clock for ${minutes} min`,
                        onclick: () => this.run(Date.now() + minutes * 60000, minutes),
                    },
                    `${minutes} min`,
                ),
            ),
        );
    }

    /** @param {number} end when it ends, in ms @param {number} minutes */
    run(end, minutes) {
        sessionStorage.setItem(this.key, JSON.stringify([end, minutes]));
        const left = element('span', { role: 'timer' });
        const ring = element('span', { class: 'ring', 'aria-hidden': 'true' });
        this.box.replaceChildren(
            ring,
            left,
            element('button', { type: 'button', class: 'pill', onclick: () => this.rest() }, 'Stop the clock'),
        );
        const tick = () => {
            const rest = end - Date.now();
            ring.style.setProperty('--p', String(Math.max(0, rest / (minutes * 60000))));
            left.textContent = rest > 60000 ? `${Math.ceil(rest / 60000)} min left` : 'The last minute';
            if (rest <= 0) {
                this.rest();
                this.whenOver(minutes);
            }
        };
        clearInterval(this.ticking);
        this.ticking = setInterval(tick, 1000);
        tick();
    }
}
