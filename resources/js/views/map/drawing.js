import { send } from '../../lib/http.js';

/** Asks PHP for the picture of the map, takes it in, and looks at it as a whole or in part. */
export class Drawing {
    /** What the server must know to draw this map; the sections that it need not tell again. */
    get wants() {
        const { outline, picture } = this;
        return {
            look: this.look,
            start: outline.state.isAlone ? outline.start : null,
            known: picture.prints,
            ...(this.foldsItself ? { room: this.room } : { folded: [...outline.folds].filter((id) => this.tree.get(id)) }),
        };
    }

    /** Whether the map is to be folded so far that it can be read: at its first look, where the person has folded nothing. */
    get foldsItself() {
        return !this.isPlaced && this.outline.state.mayFoldItself;
    }

    /** What there is for the map, in pixels. */
    get room() {
        const { width, height } = this.camera.size;
        return [Math.max(1, Math.round(width - this.taken - 48)), Math.max(1, Math.round(height - 56))];
    }

    /** The picture is not that of the plan any more: asks for it now, or when the map is looked at. */
    changed() {
        this.isStale = true;
        if (this.isShown) {
            clearTimeout(this.asking);
            this.asking = setTimeout(() => this.ask(), 0);
        }
    }

    async ask(keep = false) {
        clearTimeout(this.asking);
        await this.page.queue.flush();
        const ticket = (this.ticket = {});
        /** The answer that is awaited. */
        this.asked = send('POST', `${this.page.address}/map`, { map: this.wants, keep }).catch(() => null);
        const told = await this.asked;
        if (told && this.ticket === ticket) {
            this.take(told);
        }
        return told;
    }

    /** `isLast`: nothing else has changed that would draw it too. @param {any} told */
    take(told, isLast = true) {
        // What was asked before is older than this.
        this.ticket = null;
        this.isStale = false;
        this.side.dataset.arrangement = told.look.arrangement;
        this.side.dataset.style = told.look.own || told.look.style;
        const { state } = this.outline;
        if (told.folded?.length && state.mapFolds.get() === null && state.ownFolds.get().size === 0) {
            state.foldMap(told.folded);
        }
        this.picture.take(told);
        if (isLast) {
            this.outline.draw();
        }
        this.relations.draw(told.relations);
        // All of the map once more, small: what was changed comes first.
        clearTimeout(this.small);
        this.small = setTimeout(() => this.overview.draw(true), 100);
        this.picture.placeField();
        if (this.follow && this.picture.shapes.has(this.follow)) {
            this.picture.reveal(this.follow);
        }
        this.follow = null;
    }

    /** @param {Record<string, any>} change @param {boolean} [keep] whether for the next visit too */
    setLook(change, keep = true) {
        const before = this.look;
        this.look = { ...this.look, ...change };
        this.drawTools();
        return this.ask(keep).then((told) => {
            if (!told) {
                this.look = before;
                this.drawTools();
                this.page.say('The server cannot be reached, so the map stays as it is.');
            } else if (change.arrangement) {
                this.fit();
            }
        });
    }

    fit(isSlow = true) {
        if (this.picture.told) {
            this.camera.fit(this.picture.told.bounds, { taken: this.taken, isSlow });
            this.isWhole = true;
        }
    }

    /** @param {string} id */
    fitBranch(id) {
        const ids = new Set(this.tree.branch(id));
        const shapes = [...this.picture.shapes.values()].filter((shape) => ids.has(shape.id));
        if (shapes.length) {
            this.camera.fit(this.picture.bounds(shapes), { taken: this.taken, most: 1.25 });
        }
    }

    /** The first look: the whole if it can be read so, else its beginning as large as it can be read. */
    first() {
        const { told } = this.picture;
        if (!told) {
            return;
        }
        const [left, top, right, bottom] = told.bounds;
        const { width, height } = this.camera.size;
        const fitting = Math.min((width - this.taken - 48) / (right - left), (height - 56) / (bottom - top));
        const [titleX, titleY] = told.title.at;
        if (fitting >= (this.look.arrangement === 'spine' ? 0.6 : 0.4)) {
            this.fit(false);
        } else if (this.look.arrangement !== 'spine') {
            const [w, h] = [(width - 48) / 0.6, (height - 56) / 0.6];
            const from = this.look.arrangement === 'both' ? titleY - 20 : titleY - h / 2;
            this.camera.fit([titleX - w / 2, from, titleX + w / 2, from + h], { isSlow: false });
        } else {
            const k = Math.max(0.7, Math.min(1, (width - 80) / (right - left)));
            this.camera.fit([left, top, left + (width - 48) / k, top + (height - 56) / k], { isSlow: false });
        }
    }
}
