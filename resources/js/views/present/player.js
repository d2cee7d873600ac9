/** How fast it can play, against its usual speed. */
export const SPEEDS = [0.5, 0.75, 1, 1.25, 1.5, 2, 3];

/** Goes on by itself. */
export class Player {
    /** `pause`: seconds at what is shown. @param {{pause: () => number, on: () => void, isEnd: () => boolean, changed: () => void}} show */
    constructor(show) {
        this.show = show;
        this.isPlaying = false;
        this.speed = 1;
    }

    /** @param {Element} button by which it begins and ends */
    draw(button) {
        button.setAttribute('aria-pressed', String(this.isPlaying));
        button.setAttribute('aria-label', this.isPlaying ? 'Pause' : 'Play');
    }

    toggle() {
        this.isPlaying ? this.stop() : this.start();
    }

    start() {
        this.isPlaying = true;
        this.wait();
        this.show.changed();
    }

    stop() {
        clearTimeout(this.timer);
        this.isPlaying = false;
        this.show.changed();
    }

    /** From what is shown now: whoever goes on by hand waits as long there as if it had come by itself. */
    wait() {
        clearTimeout(this.timer);
        if (this.isPlaying) {
            this.timer = setTimeout(() => this.step(), (this.show.pause() * 1000) / this.speed);
        }
    }

    step() {
        this.show.on();
        this.show.isEnd() ? this.stop() : this.wait();
    }

    /** @param {1 | -1} by */
    faster(by) {
        this.speed = SPEEDS[Math.max(0, Math.min(SPEEDS.length - 1, SPEEDS.indexOf(this.speed) + by))];
        this.wait();
        this.show.changed();
    }
}
