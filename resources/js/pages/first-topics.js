import { component } from './component.js';
import { newId } from '../lib/ids.js';
import { Refusal, send } from '../lib/http.js';
import { store } from '../lib/stored.js';

const KEY = 'embrel.first';
const kept = () => JSON.parse(localStorage.getItem(KEY) ?? '[]');

/** The first topics of somebody who has no account yet: they are kept in the browser, and become a plan with the first signing in. */
export function firstTopics() {
    return component({
        typed: '',
        lines: kept(),
        get hasAny() {
            return this.lines.length > 0;
        },
        get hasNone() {
            return !this.hasAny;
        },
        add() {
            const title = this.typed.trim();
            this.typed = '';
            if (title) {
                this.lines = [...this.lines, { key: newId(), title }];
                store(KEY, JSON.stringify(this.lines));
            }
        },
        clear() {
            this.lines = [];
            localStorage.removeItem(KEY);
        },
    });
}

/** Whoever has come in finds what they had begun as a plan; what cannot be taken in now stays where it is. */
export async function takeFirstTopics() {
    const lines = kept();
    if (!lines.length) {
        return;
    }
    const form = new FormData();
    form.append('text', lines.map((/** @type {{title: string}} */ { title }) => title).join('\n'));
    form.append('title', lines[0].title);
    try {
        const { address } = await send('POST', '/intake', form);
        localStorage.removeItem(KEY);
        location.assign(address);
    } catch (error) {
        if (!(error instanceof Refusal)) {
            throw error;
        }
    }
}
