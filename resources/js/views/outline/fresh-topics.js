/** Topics that were made while titles are written, and are still empty: those that are left so go by themselves. */
export class FreshTopics {
    /** Topics made here that are empty and not what is gone on with go by themselves. */
    sweep() {
        for (const id of [...this.fresh.keys()]) {
            const { outline } = this;
            if (id !== outline.writing && id !== outline.active && !outline.marked.has(id) && id !== outline.note.topic) {
                outline.tree.get(id) && outline.tree.isBare(id) ? this.drop(id) : this.fresh.delete(id);
            }
        }
    }

    /** A topic that was made here, and was left with nothing on it, goes by itself. @param {string} id */
    drop(id) {
        const { outline } = this;
        const { tree } = outline;
        const made = this.fresh.get(id);
        if (!made || !tree.get(id) || !tree.isBare(id)) {
            return;
        }
        this.fresh.delete(id);
        const at = outline.rows.index.get(id) ?? NaN;
        const next = outline.list[at - 1] ?? outline.list[at + 1];
        if (outline.queue.takeOut(made.change, id)) {
            tree.forget(id);
            outline.page.draw();
        } else {
            outline.perform({ type: 'drop', ids: [id] }, made.written ? undefined : made.step);
        }
        if (outline.active === id) {
            outline.state.mark(next?.id ?? null);
            outline.rows.draw();
        }
    }

    /** Shows what the title has become, by an undo or by others, unless what is typed here is on its way. */
    refresh() {
        const topic = this.outline.writing && this.outline.tree.get(this.outline.writing);
        if (topic && topic.title !== this.input.value.trim() && this.outline.queue.isEmpty) {
            const { value } = this.input;
            const [start, end] = [this.input.selectionStart ?? 0, this.input.selectionEnd ?? 0];
            const later =
                topic.title.endsWith(value.slice(start)) && !topic.title.startsWith(value.slice(0, start))
                    ? topic.title.length - value.length
                    : 0;
            this.input.value = this.base = topic.title;
            this.input.setSelectionRange(start + later, end + later);
        }
    }
}
