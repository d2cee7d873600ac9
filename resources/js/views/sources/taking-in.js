import { byId, firstOf } from '../../lib/dom.js';
import { reason, send } from '../../lib/http.js';
import { element } from '../../ui/element.js';
import { meanwhile } from '../../lib/meanwhile.js';
import { unsay } from '../../ui/toast.js';

/** Sources that come in: typed, pasted, out of a file, from other plans. */
export class TakingIn {
    typed() {
        const line = this.field.value.trim();
        if (!line) {
            this.form.fresh();
            return;
        }
        // The field is free for the next line at once; each is read in its turn.
        this.field.value = '';
        // Each line in its turn.
        this.reading = this.reading.then(() => this.read(line, meanwhile()));
    }

    /** @param {string} line @param {() => boolean} isUnmoved */
    async read(line, isUnmoved) {
        const isAddress = /^(https?:\/\/(?!(dx\.)?doi\.org\/)|www\.)\S+$/i.test(line);
        this.page.say(isAddress ? 'Reading the page…' : 'Reading the line…');
        const answer = await send(
            'POST',
            `${this.page.address}/source-list/${isAddress ? 'page' : 'typed'}`,
            isAddress ? { address: line } : { line },
        ).catch((error) => error);
        unsay();
        if (answer.number && (await this.lookedUp(line, isUnmoved))) {
            return;
        }
        // The address alone is a source already.
        const typed =
            answer instanceof Error && isAddress
                ? await send('POST', `${this.page.address}/source-list/typed`, { line }).catch(() => null)
                : null;
        if (answer instanceof Error) {
            this.page.say(typed ? `${answer.message} The address alone is kept.` : answer.message);
        }
        if (answer instanceof Error && !typed) {
            this.field.value = [line, this.field.value].filter(Boolean).join(' ');
        } else {
            this.offer(typed ?? answer, isUnmoved());
        }
    }

    /** A DOI, an ISBN and their like lead to what is known of the work. @param {string} line @param {() => boolean} isUnmoved */
    async lookedUp(line, isUnmoved) {
        this.page.say('Looking the work up…');
        try {
            const found = await send('POST', `${this.page.address}/source-list/number`, { line });
            unsay();
            this.offer(found, isUnmoved());
            return true;
        } catch (error) {
            this.page.say(`${reason(error)} What was typed is kept.`);
            return false;
        }
    }

    /** Shows what was read, to be confirmed; after one that waits to be confirmed. @param {any} read @param {boolean} takesKeyboard */
    offer(read, takesKeyboard) {
        if (this.form.isOpen && this.form.isNew) {
            this.form.next.push(read);
        } else {
            this.form.confirm(read, takesKeyboard);
        }
    }

    /** Several lines, or a file's text, are taken in whole. @param {ClipboardEvent} event */
    pasted(event) {
        const text = event.clipboardData?.getData('text/plain') ?? '';
        if (/^\s*@\w+\s*[{(]|^TY {1,2}-|^\s*\[\s*\{|^\s*<(?:\?xml|xml|records)\b/m.test(text)) {
            event.preventDefault();
            this.takeIn(null, text);
        }
    }

    /** @param {File | null} file @param {string} [text] */
    async takeIn(file, text = '') {
        if (!file && !text) {
            return;
        }
        const body = new FormData();
        const from = this.page.queue.base;
        body.append('base', String(from));
        file ? body.append('file', file) : body.append('text', text);
        const answer = await this.page.upload('source-list', body);
        if (answer) {
            this.page.session.taken(answer, from);
            this.page.session.channel.catchUp();
            this.load();
            this.report(answer);
        }
    }

    /** @param {{added: number, said: string[]}} answer */
    report({ added, said }) {
        const dialog = byId('report', HTMLDialogElement);
        firstOf(dialog, 'h2').textContent =
            added === 0 ? 'No source was taken in' : `${added} ${added === 1 ? 'source was' : 'sources were'} taken in`;
        firstOf(dialog, 'ul').replaceChildren(...said.map((sentence) => element('li', {}, sentence)));
        if (said.length) {
            dialog.showModal();
        } else {
            this.page.say(firstOf(dialog, 'h2').textContent + '.', { label: 'Undo', act: () => this.page.undo() });
        }
    }

    async elsewhere() {
        const { choosing } = this.page;
        const ask = async () => (await send('GET', `${this.page.address}/source-list/elsewhere?typed=`)).sources;
        const take = (/** @type {any} */ source) => () => {
            choosing.close();
            this.keep(source);
        };
        const rows = (/** @type {any} */ sources, /** @type {any} */ wanted) =>
            sources
                .filter((/** @type {{label: string, source: any, plan: any}} */ { label, source, plan }) =>
                    `${label} ${source.title} ${plan}`.toLowerCase().includes(wanted),
                )
                .slice(0, 12)
                .map((/** @type {{label: string, source: any}} */ { label, source }) => [
                    { name: `${label}: ${source.title}`, act: take(source) },
                ]);
        const says = { waiting: 'Looking through your plans…', none: 'No other plan has such a source.' };
        await choosing.chooseOf('Sources of your other plans', 'Letters of the author or title', ask, rows, says);
    }
}
