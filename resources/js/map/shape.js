/**
 * One topic as PHP has measured and placed it, within its main section; and from that, where it is
 * on the map. It grows in the direction `turn`; where that is leftwards its text is turned upright
 * and stands in front of the floret instead of behind it.
 */
export class Shape {
    constructor(told, at, section) {
        [this.id, this.level, this.inX, this.inY, this.inTurn, this.reach, this.height, this.start, this.indent, this.width, this.size, this.number, this.lines, this.baseline, this.lineHeight, this.marks, this.traits, this.inside, this.dye, this.filled, this.stalk, this.picture] = told;
        this.section = section;
        this.place(at);
    }

    get isRightToLeft() { return (this.traits & 1) !== 0; }
    get isUntitled() { return (this.traits & 2) !== 0; }
    get hasFloret() { return (this.traits & 4) !== 0; }
    get isLoose() { return (this.traits & 8) !== 0; }
    get isMain() { return this.level === 1; }

    place([x, y, turn, isMirrored]) {
        const [inX, cos, sin] = [isMirrored ? -this.inX : this.inX, Math.cos(turn), Math.sin(turn)];
        this.x = x + inX * cos - this.inY * sin;
        this.y = y + inX * sin + this.inY * cos;
        this.turn = isMirrored ? Math.PI - this.inTurn : turn + this.inTurn;
        this.isMirrored = isMirrored;
        this.isFlipped = Math.cos(this.turn) < -1e-6;
        this.cos = Math.cos(this.turn);
        this.sin = Math.sin(this.turn);
        /** Where the text begins, in a frame that is turned upright. */
        this.textX = this.isFlipped ? -(this.start + this.width) : this.start;
        this.endX = this.isFlipped ? -this.reach : this.reach;
        this.degrees = (this.turn * 180) / Math.PI - (this.isFlipped ? 180 : 0);
        const [back, half] = [this.isMain ? 14 : 7, this.height / 2];
        const xs = [];
        const ys = [];
        for (const [along, aside] of [[-back, -half], [this.reach, -half], [this.reach, half], [-back, half]]) {
            xs.push(this.x + along * this.cos - aside * this.sin);
            ys.push(this.y + along * this.sin + aside * this.cos);
        }
        this.box = [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)];
    }

    /** A point of the map as seen from the topic: along its direction, and aside of it, towards the next of its siblings. */
    seen(x, y) {
        const [dx, dy] = [x - this.x, y - this.y];
        const aside = dy * this.cos - dx * this.sin;
        return [dx * this.cos + dy * this.sin, this.isMirrored ? -aside : aside];
    }

    /** How far a point of the map is from the label; 0 on it. */
    distance(x, y) {
        const [along, aside] = this.seen(x, y);
        return Math.hypot(Math.max(0, -10 - along, along - this.reach), Math.max(0, Math.abs(aside) - this.height / 2));
    }

    get transform() {
        return `translate(${this.x.toFixed(1)}px, ${this.y.toFixed(1)}px) rotate(${this.degrees.toFixed(2)}deg)`;
    }
}
