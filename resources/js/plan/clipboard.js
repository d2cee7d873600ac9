import { newId } from '../ids.js';
import { send } from '../http.js';

const OWN = 'application/x-embrel-topics';

/** Cut, copy, paste and duplicate of branches; other programs get and give indented text. */
export class Clipboard {
    constructor(outline) {
        this.outline = outline;
        document.addEventListener('copy', (event) => this.out(event));
        document.addEventListener('cut', (event) => this.out(event) && outline.remove(outline.markedInOrder()));
        document.addEventListener('paste', (event) => this.in(event));
    }

    isOnRows() {
        return document.activeElement === this.outline.box && !this.outline.writing;
    }

    out(event) {
        if (!this.isOnRows()) {
            return false;
        }
        event.preventDefault();
        const { outline } = this;
        const heads = outline.marking.heads(outline.markedInOrder());
        const lines = heads.flatMap((head) => {
            const base = outline.tree.level(head);
            return outline.tree.branch(head).map((id) => '\t'.repeat(outline.tree.level(id) - base) + outline.tree.get(id).title);
        });
        event.clipboardData.setData('text/plain', lines.join('\n'));
        event.clipboardData.setData(OWN, JSON.stringify({ plan: outline.data.plan, heads }));
        // The notes come along when the branches are still in this plan; else the titles do.
        this.rows = this.copied(heads, this.loadNotes(heads));
        return true;
    }

    async loadNotes(heads) {
        const { outline } = this;
        const noted = heads.flatMap((id) => outline.tree.branch(id)).filter((id) => outline.tree.get(id).noted);
        await outline.queue.flush();
        const notes = new Map();
        await Promise.all(noted.map(async (id) => notes.set(id, (await send('GET', `${outline.address}/topics/${id}/note`)).blocks)));
        return notes;
    }

    /** The branches as rows without ids of their own yet. */
    copied(heads, notes) {
        const { tree } = this.outline;
        const rows = heads.flatMap((head) => tree.branch(head).map((id) => {
            const { title, kind, numbered, dye, flag, target } = tree.get(id);
            return { old: id, oldParent: id === head ? null : tree.get(id).parent, title, kind, numbered, flag, ...(dye ? { dye } : {}), ...(target ? { target } : {}) };
        }));
        return { rows, notes };
    }

    async insertRows({ rows, notes }, place) {
        const ids = new Map(rows.map((row) => [row.old, newId()]));
        const loaded = await notes;
        const topics = rows.map(({ old, oldParent, ...row }) => ({
            ...clean(row), id: ids.get(old),
            ...(oldParent ? { parent: ids.get(oldParent) } : {}),
            ...(loaded.has(old) ? { note: loaded.get(old).map((block) => ({ ...block, attrs: { ...block.attrs, id: newId() } })) } : {}),
        }));
        this.outline.perform({ type: 'add', at: place, topics });
        this.outline.show(topics[0].id);
    }

    duplicate() {
        const { outline } = this;
        const heads = outline.marking.heads(outline.markedInOrder());
        const last = heads.at(-1);
        this.insertRows(this.copied(heads, this.loadNotes(heads)), { parent: outline.tree.get(last).parent, after: last });
    }

    async in(event) {
        if (!this.isOnRows() || !this.outline.active) {
            return;
        }
        event.preventDefault();
        const { outline } = this;
        const place = outline.tree.lastPlace(outline.active);
        outline.folds.delete(outline.active);
        const own = event.clipboardData.getData(OWN);
        const text = event.clipboardData.getData('text/plain');
        if (own && this.rows && JSON.parse(own).plan === outline.data.plan) {
            await this.insertRows(this.rows, place);
        } else if (text.trim()) {
            this.insertText(text, place);
        }
    }

    /** Lines as topics; deeper lines become parts of the one above. */
    insertText(text, place) {
        const stack = [];
        const topics = [];
        for (const line of text.split(/\r?\n/)) {
            const title = line.trim().replace(/^[-*+•–]\s+/, '').slice(0, 1000);
            if (!title) {
                continue;
            }
            const column = line.match(/^[\t ]*/)[0].replaceAll('\t', '    ').length;
            while (stack.length && stack.at(-1).column >= column) {
                stack.pop();
            }
            const id = newId();
            topics.push({ id, title, ...(stack.length ? { parent: stack.at(-1).id } : {}) });
            stack.push({ column, id });
        }
        if (topics.length) {
            this.outline.perform({ type: 'add', at: place, topics });
            this.outline.show(topics[0].id);
        }
    }
}

function clean(row) {
    return Object.fromEntries(Object.entries(row).filter(([, value]) => value !== null));
}
