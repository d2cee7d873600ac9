/**
 * One topic as PHP has measured and placed it, within its main section; and from that, where it is
 * on the map. Where it grows to the left (`out` is -1), its text stands in front of the floret instead
 * of behind it.
 */
export class Shape {
    constructor(told, at, section) {
        [
            this.id,
            this.level,
            this.inX,
            this.inY,
            this.reach,
            this.height,
            this.start,
            this.indent,
            this.width,
            this.size,
            this.number,
            this.lines,
            this.baseline,
            this.lineHeight,
            this.marks,
            this.traits,
            this.inside,
            this.dye,
            this.filled,
            this.stalk,
            this.picture,
        ] = told;
        this.section = section;
        this.place(at);
    }

    get isRightToLeft() {
        return (this.traits & 1) !== 0;
    }
    get isUntitled() {
        return (this.traits & 2) !== 0;
    }
    get hasFloret() {
        return (this.traits & 4) !== 0;
    }
    get isLoose() {
        return (this.traits & 8) !== 0;
    }
    get isMain() {
        return this.level === 1;
    }

    place([x, y, isMirrored]) {
        this.isMirrored = isMirrored;
        this.out = isMirrored ? -1 : 1;
        this.x = x + this.out * this.inX;
        this.y = y + this.inY;
        /** Where the text begins, seen from the topic. */
        this.textX = isMirrored ? -(this.start + this.width) : this.start;
        this.endX = this.out * this.reach;
        const [back, half] = [this.isMain ? 14 : 7, this.height / 2];
        const [left, right] = isMirrored ? [this.reach, back] : [back, this.reach];
        this.box = [this.x - left, this.y - half, this.x + right, this.y + half];
    }

    /** A point of the map as seen from the topic: along its direction, and aside of it, towards the next of its siblings. */
    seen(x, y) {
        return [(x - this.x) * this.out, y - this.y];
    }

    /** How far a point of the map is from the label; 0 on it. */
    distance(x, y) {
        const [along, aside] = this.seen(x, y);
        return Math.hypot(Math.max(0, -10 - along, along - this.reach), Math.max(0, Math.abs(aside) - this.height / 2));
    }

    get transform() {
        return `translate(${this.x.toFixed(1)}px, ${this.y.toFixed(1)}px)`;
    }
}
