import { component } from './component.js';
import { reason, send } from '../lib/http.js';

/** @typedef {{id: string, to: string, name: string, state: string, says: string, when: string, ends: string | null}} Sending */

/** How long the page looks after a letter that waits, in ms, and how often. */
const PATIENCE = 60_000;
const EVERY = 1500;

/** Hands what was chosen over by mail: the file itself, or a link that ends; and what was sent so far. */
export const sendingDialog = component({
    mail: { addresses: '', line: '', how: 'file', days: 30 },
    mailError: '',
    /** @type {Sending[]} */
    sendings: [],
    async openSending() {
        this.mailError = '';
        this.$refs.sending.showModal();
        await this.loadSendings();
    },
    closeSending() {
        this.$refs.sending.close();
    },
    get sendingAddress() {
        return `${this.$root.dataset.address}/sendings`;
    },
    async loadSendings() {
        try {
            this.sendings = (await send('GET', this.sendingAddress)).sendings;
        } catch (error) {
            this.mailError = reason(error);
        }
    },
    async send() {
        this.mailError = '';
        const { addresses, line, how, days } = this.mail;
        const choices = Object.fromEntries(this.asFile(this.query()));
        try {
            const body = { ...choices, addresses, line, as_link: how === 'link', days: days || 30 };
            this.sendings = (await send('POST', this.sendingAddress, body)).sendings;
            this.mail.addresses = '';
            await this.lookAfter();
        } catch (error) {
            this.mailError = reason(error);
        }
    },
    /** Until nothing waits any more, or for a while. */
    async lookAfter() {
        const until = Date.now() + PATIENCE;
        while (
            this.$refs.sending.open &&
            this.sendings.some((/** @type {Sending} */ one) => one.state === 'waiting') &&
            Date.now() < until
        ) {
            await new Promise((after) => setTimeout(after, EVERY));
            await this.loadSendings();
        }
    },
    /** @param {Sending} one */
    async forget(one) {
        try {
            this.sendings = (await send('DELETE', `${this.sendingAddress}/${one.id}`)).sendings;
        } catch (error) {
            this.mailError = reason(error);
        }
    },
    /** @param {Sending} one */
    told({ name, state, when, ends }) {
        const what = { waiting: 'is on its way', sent: `${name}, ${when}`, failed: `was not sent, ${when}` }[state] ?? state;
        return ends ? `${what}; the link ends on ${ends}` : what;
    },
});
