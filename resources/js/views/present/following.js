import { send } from '../../lib/http.js';

/**
 * What one window tells the others: where it is, what it shows, since when the clock runs, and whether it plays.
 * @typedef {{at: number, stop: number, dark: boolean, map: boolean, begun: number | null, playing: boolean, speed: number,
 *     print: string}} State
 */

/** The windows of one person that show the same plan: what is done in one happens in all. */
export class Windows {
    /** @param {string} name @param {{state: () => State, take: (state: State) => void}} own */
    constructor(name, { state, take }) {
        this.state = state;
        this.channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(name);
        this.channel?.addEventListener('message', ({ data }) => (data === 'where' ? this.tell() : take(data)));
    }

    /** Where the others are, if there are any. */
    ask() {
        this.channel?.postMessage('where');
    }

    tell() {
        this.channel?.postMessage(this.state());
    }
}

/** Screens on other machines: they are told by way of the server, one telling at a time, the newest last. */
export class Screens {
    /** @param {string} address of the showing @param {() => void} whenLost what is done when it cannot be told */
    constructor(address, whenLost) {
        this.address = address;
        this.whenLost = whenLost;
        /** Whether there is a link by which anybody follows. */
        this.isOn = true;
        /** @type {object | null} */
        this.waits = null;
        this.isBusy = false;
    }

    /** @param {{at: number, stop: number, dark: boolean, map: boolean}} state */
    async tell({ at, stop, dark, map }) {
        this.waits = { at, stop, dark, map };
        if (this.isBusy || !this.isOn) {
            return;
        }
        this.isBusy = true;
        while (this.waits) {
            const told = this.waits;
            this.waits = null;
            try {
                this.isOn = (await send('PUT', `${this.address}/at`, told)).followed;
            } catch {
                this.whenLost();
            }
        }
        this.isBusy = false;
    }

    /** Makes a link, at which the screens begin to follow. @returns {Promise<string>} its address */
    async begin() {
        const { address } = await send('POST', `${this.address}/link`);
        this.isOn = true;
        return address;
    }

    async end() {
        await send('DELETE', `${this.address}/link`);
        this.isOn = false;
    }
}

/** How often a screen asks where the speaker is, and how much longer it waits after each time it was not told, in ms. */
const EVERY = 800;
const LONGEST = 8000;

/** A screen that follows who shows the plan on another machine. */
export class Follower {
    /**
     * @param {string} address
     * @param {(state: any) => Promise<unknown>} take
     * @param {(says: string) => void} says why it does not follow; empty when it does
     */
    constructor(address, take, says) {
        this.address = address;
        this.take = take;
        this.says = says;
        this.wait = EVERY;
    }

    async follow() {
        for (;;) {
            try {
                await this.take(await send('GET', `${this.address}/at`));
                this.wait = EVERY;
                this.says('');
            } catch (error) {
                const isOver = /** @type {any} */ (error).status === 404;
                this.says(
                    isOver ? 'This is no longer shown.' : 'The speaker cannot be reached. This screen goes on by itself when that ends.',
                );
                if (isOver) {
                    return;
                }
                this.wait = Math.min(LONGEST, this.wait * 1.6);
            }
            await new Promise((after) => setTimeout(after, this.wait));
        }
    }
}
