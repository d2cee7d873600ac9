import { putPicture } from '../../ui/put-picture.js';
import { newId } from '../../lib/ids.js';
import { meanwhile } from '../../lib/meanwhile.js';
import { fromHtml, fromText, toHtml, toText } from '../../lib/lines.js';

const OWN = 'application/x-embrel-topics';

/** Cut, copy, paste and duplicate of branches, here, in other plans and in other programs, which get and give lists. */
export class Clipboard {
    /** @param {import('./outline.js').Outline} outline */
    constructor(outline) {
        this.outline = outline;
        document.addEventListener('copy', (event) => this.out(event));
        document.addEventListener('cut', (event) => this.out(event) && outline.remove(outline.markedInOrder()));
        document.addEventListener('paste', (event) => this.in(event));
    }

    isOnRows() {
        return document.activeElement === this.outline.box && !this.outline.writing;
    }

    /** @param {ClipboardEvent} event */
    out(event) {
        const { outline } = this;
        const heads = this.isOnRows() ? outline.markedHeads() : [];
        if (!heads.length) {
            return false;
        }
        event.preventDefault();
        this.fill(event.clipboardData, heads, event.type === 'cut');
        return true;
    }

    /** What is copied, or dragged away: for us with its ids, for other programs as lists. @param {any} data @param {string[]} heads */
    fill(data, heads, cut = false) {
        const { tree, page } = this.outline;
        data.setData('text/plain', toText(tree, heads));
        data.setData('text/html', toHtml(tree, heads));
        data.setData(OWN, JSON.stringify({ plan: page.data.plan, heads, cut, all: heads.flatMap((id) => tree.branch(id)) }));
    }

    /** @param {ClipboardEvent} event */
    async in(event) {
        const { outline } = this;
        const { active } = outline;
        if (!this.isOnRows() || !active) {
            return;
        }
        event.preventDefault();
        const data = /** @type {DataTransfer} */ (event.clipboardData);
        const file = data.files[0];
        if (file?.type.startsWith('image/')) {
            putPicture(outline.page.session, file, active);
            return;
        }
        outline.unfold(active);
        await this.take(data, outline.tree.lastPlace(active));
    }

    /** Puts what was pasted, or dropped, at a place. @param {DataTransfer} data @param {import('../../state/topics.js').Place} place */
    async take(data, place) {
        const own = data.getData(OWN);
        const [html, text] = ['text/html', 'text/plain'].map((type) => data.getData(type));
        const lines = () => this.insert((html && fromHtml(html)) || fromText(text), place);
        if (!own) {
            lines();
        } else if ((await this.bring(JSON.parse(own), place)) === null) {
            lines();
            this.outline.say('The plan that it is from cannot be reached. Its titles came in.');
        }
    }

    /**
     * Topics of ours: what was cut here comes back as itself; else copies are made, with their notes; null where they could not be.
     * @param {{plan: string, heads: string[], all: string[], cut: boolean}} taken
     * @param {import('../../state/topics.js').Place} place
     */
    async bring({ plan, heads, all, cut }, place) {
        const { outline } = this;
        if (plan !== outline.page.data.plan) {
            return this.fromPlan(plan, heads, place);
        }
        if (heads.every((id) => outline.tree.stands(id))) {
            this.copy(heads, place);
        } else if (cut && !heads.some((id) => outline.tree.stands(id))) {
            let { after } = place;
            const at = heads.map((id) => {
                const head = { id, parent: place.parent, after };
                after = id;
                return head;
            });
            const isUnmoved = meanwhile();
            outline.perform({ type: 'restore', heads: at, ids: all });
            await outline.queue.flush();
            if (isUnmoved()) {
                outline.show(heads[0]);
            }
        } else {
            return this.fromPlan(plan, heads, place);
        }
        return true;
    }

    /**
     * Copies of branches of another plan, made by the server.
     * @param {any} plan
     * @param {string[]} heads
     * @param {import('../../state/topics.js').Place} place
     */
    async fromPlan(plan, heads, place, move = false) {
        const isUnmoved = meanwhile();
        const answer = await this.outline.page.sent('copies', {
            id: newId(),
            from: plan,
            topics: heads,
            parent: place.parent,
            after: place.after,
            move,
        });
        if (answer) {
            if (isUnmoved()) {
                this.outline.show(answer.first);
            }
            this.outline.say(answer.copied === 1 ? 'One topic has come in.' : `${answer.copied} topics have come in, with their notes.`, {
                label: 'Undo',
                act: () => this.outline.page.undo(),
            });
        }
        return answer;
    }

    /** @param {string[]} heads @param {import('../../state/topics.js').Place} place */
    copy(heads, place) {
        const { outline } = this;
        const copies = Object.fromEntries(heads.flatMap((head) => outline.tree.branch(head)).map((id) => [id, newId()]));
        outline.state.also(copies[heads[0]]);
        outline.perform({ type: 'copy', new: copies, at: place });
        outline.show(copies[heads[0]]);
    }

    duplicate() {
        const heads = this.outline.markedHeads();
        const last = heads.at(-1);
        if (!last) {
            return;
        }
        this.copy(heads, { parent: this.outline.tree.get(last).parent, after: last });
    }

    /** @param {any} topics @param {import('../../state/topics.js').Place} place */
    insert(topics, place) {
        if (topics.length) {
            this.outline.perform({ type: 'add', at: place, topics });
            this.outline.show(topics[0].id);
        }
    }
}
