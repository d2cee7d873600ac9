import { randomBytes } from 'node:crypto';

const DIGITS = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';
export const ulid = () => `0${[...randomBytes(25)].map((byte) => DIGITS[byte % 32]).join('')}`;
export const quantile = (all, part) => [...all].sort((a, b) => a - b)[Math.min(all.length - 1, Math.floor(all.length * part))];
export const wait = (time) => new Promise((after) => setTimeout(after, time));

/** One person, signed in, with what a page of theirs knows. */
export class Person {
    constructor(address, email) {
        this.address = address;
        this.email = email;
        this.cookies = new Map();
    }

    async ask(method, path, body = null) {
        const answer = await fetch(`${this.address}${path}`, {
            method,
            redirect: 'manual',
            headers: {
                Accept: 'application/json, text/html',
                Cookie: [...this.cookies].map(([name, value]) => `${name}=${value}`).join('; '),
                ...(this.token ? { 'X-CSRF-TOKEN': this.token } : {}),
                ...(body ? { 'Content-Type': 'application/json' } : {}),
            },
            body: body && JSON.stringify(body),
        });
        for (const cookie of answer.headers.getSetCookie()) {
            const [, name, value] = /^([^=]+)=([^;]*)/.exec(cookie);
            this.cookies.set(name, value);
        }
        const text = await answer.text();
        this.token = /name="csrf-token" content="([^"]+)"/.exec(text)?.[1] ?? this.token;
        return { status: answer.status, text };
    }

    async open(plan) {
        await this.ask('GET', '/sign-in');
        await this.ask('POST', '/sign-in', { email: this.email, password: 'a long secret' });
        const page = await this.ask('GET', `/plans/${plan.id}`);
        const data = JSON.parse(/id="plan-data">(.*?)<\/script>/s.exec(page.text)[1]);
        this.plan = plan;
        this.base = data.revision;
        return this;
    }

    /** How the plan looks to them. */
    async sees() {
        return JSON.stringify(JSON.parse((await this.ask('GET', `/plans/${this.plan.id}/changes?since=0`)).text).topics);
    }
}

