import { meanwhile } from '../../lib/meanwhile.js';

/** @type {Record<string, string>} */
const FILED = { quote: 'Quotation in the note above', source: 'Into the sources', aside: 'Aside, not printed', note: 'Into another note' };

/** Takes guesses out of the outline, one by one or all that are marked, and back again. */
export class Filing {
    fileInNote() {
        const { choosing, tree } = this.page;
        const row = this.rows[this.at];
        if (!row) {
            return;
        }
        const find = choosing.finder((id) => tree.isWithin(id, row.topic));
        choosing.choose('Into which note?', 'Number or title of the topic', (/** @type {any} */ wanted) =>
            find(wanted).map(({ id, name }) => [
                {
                    name,
                    act: () => {
                        choosing.close();
                        this.chooseNote(row, id);
                    },
                },
            ]),
        );
    }

    /** Those that wait for a note too, and are marked, go into the same one. @param {any} row @param {any} into */
    chooseNote(row, into) {
        this.rows
            .filter((other) => other.marked && other.as === 'note' && !other.into && !this.page.tree.isWithin(into, other.topic))
            .forEach((other) => {
                other.into = into;
            });
        row.into = into;
        this.fileAs('note');
        this.list.focus();
    }

    /** The way for this one, and for nothing else; the next is at hand at once. @param {any} as */
    fileAs(as) {
        const row = this.rows[this.at];
        if (row) {
            row.as = as;
            row.marked = as !== 'leave';
            this.go(1);
        }
    }

    async sortMarked() {
        const chosen = this.rows.filter((row) => row.marked && row.as !== 'leave' && (row.as !== 'note' || row.into));
        if (!chosen.length) {
            this.page.say('Choose first into which note it goes: I asks for it.');
            return;
        }
        const filings = chosen.map((row) => ({
            topic: row.topic,
            as: row.as,
            ...(row.as === 'note' && { into: row.into }),
            ...(row.as === 'source' && row.page === 'read' && { source: { ...row.source, id: undefined } }),
        }));
        const isUnmoved = meanwhile();
        const titles = new Map(
            chosen.map((row) => [row.topic, { title: this.page.tree.get(row.topic)?.title || 'Untitled', says: FILED[row.as] }]),
        );
        const answer = await this.page.sent('research', { filings });
        if (!answer) {
            return;
        }
        this.past = [
            ...Object.entries(answer.sorted)
                .map(([topic, step]) => ({ topic, step, ...titles.get(topic) }))
                .reverse(),
            ...this.past,
        ];
        const why = Object.values(answer.refused);
        this.page.say(why.length ? `${why.length} could not be sorted: ${why[0]}` : `${Object.keys(answer.sorted).length} sorted out.`);
        this.chosen = this.chosen?.filter((topic) => !answer.sorted[topic]) ?? null;
        this.rows = this.rows.filter((row) => !answer.sorted[row.topic]);
        if (this.at < 0 && isUnmoved()) {
            this.active = null;
        }
        await this.load();
        if (isUnmoved()) {
            this.list.focus();
        }
    }

    /** @param {any} one */
    async undo(one) {
        const isUnmoved = meanwhile();
        const answer = await this.page.sent('undo', { step: one.step });
        if (answer) {
            this.past = this.past.filter((other) => other !== one);
            this.chosen = this.chosen && [...this.chosen, one.topic];
            await this.load();
            if (isUnmoved()) {
                this.active = one.topic;
                this.list.focus();
            }
            this.draw();
        }
        return answer;
    }

    /** The newest first, so that each finds its place again. */
    async undoAll() {
        for (const one of [...this.past]) {
            if (!(await this.undo(one))) {
                return;
            }
        }
        this.page.say('All of it is back.');
    }
}
