/**
 * One topic as PHP has measured and placed it, within its main section; and from that, where it is
 * on the map. Where it grows to the left (`out` is -1), its text stands in front of the floret instead
 * of behind it.
 */
export class Shape {
    /**
     * @param {any[]} told in the order of core/Layout/Map/Telling
     * @param {[number, number, boolean]} at where its main section stands, and whether it grows to the left
     * @param {string} section
     */
    constructor(told, at, section) {
        /** @type {string} */
        this.id = told[0];
        /** @type {number} */
        this.level = told[1];
        /** Of its floret, from that of its main section. @type {number} */
        this.inX = told[2];
        /** @type {number} */
        this.inY = told[3];
        /** How far it goes from its floret. @type {number} */
        this.reach = told[4];
        /** @type {number} */
        this.height = told[5];
        /** Where its text begins, from the floret. @type {number} */
        this.start = told[6];
        /** Where its lines begin: after the number that stands before them. @type {number} */
        this.indent = told[7];
        /** @type {number} */
        this.width = told[8];
        /** Of its type. @type {number} */
        this.size = told[9];
        /** @type {string} */
        this.number = told[10];
        /** @type {string[]} */
        this.lines = told[11];
        /** @type {number} */
        this.baseline = told[12];
        /** @type {number} */
        this.lineHeight = told[13];
        /**
         * Which, its text, from the start of the text, down from the middle; of a label its dye and width.
         * @type {[string, string, number, number, string?, number?][]}
         */
        this.marks = told[14];
        /** @type {number} */
        this.traits = told[15];
        /** How many topics are folded away in it. @type {number} */
        this.inside = told[16];
        /** @type {string} */
        this.dye = told[17];
        /** @type {number} */
        this.filled = told[18];
        /** The line from its parent, within the section. @type {string} */
        this.stalk = told[19];
        /** Its id, left, top, width and height. @type {[string, number, number, number, number] | null} */
        this.picture = told[20];
        /** Where the longest line ends: there those begin that are read from right to left. @type {number} */
        this.linesEnd = told[21];
        this.section = section;
        /** All that is drawn of it but its number, wherever it stands: as long as this is the same, its label is. */
        this.looks = JSON.stringify([...told.slice(0, 2), ...told.slice(4, 10), ...told.slice(11, 19), told[20], told[21]]);
        /** Its floret, on the map. */
        this.x = 0;
        this.y = 0;
        /** 1 where it grows to the right, -1 where to the left. */
        this.out = 1;
        /** Where its text begins, and where it ends, seen from its floret. */
        this.textX = 0;
        this.endX = 0;
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

    /** @param {[number, number, boolean]} at */
    place([x, y, isMirrored]) {
        /** @type {boolean} */
        this.isMirrored = isMirrored;
        this.out = isMirrored ? -1 : 1;
        this.x = x + this.out * this.inX;
        this.y = y + this.inY;
        this.textX = isMirrored ? -(this.start + this.width) : this.start;
        this.endX = this.out * this.reach;
        const [back, half] = [this.isMain ? 14 : 7, this.height / 2];
        const [left, right] = isMirrored ? [this.reach, back] : [back, this.reach];
        /** @type {import('./camera.js').Box} */
        this.box = [this.x - left, this.y - half, this.x + right, this.y + half];
    }

    /**
     * A point of the map as seen from the topic: along its direction, and aside of it, towards the next of its siblings.
     * @param {number} x
     * @param {number} y
     */
    seen(x, y) {
        return [(x - this.x) * this.out, y - this.y];
    }

    /** How far a point of the map is from the label; 0 on it. @param {number} x @param {number} y */
    distance(x, y) {
        const [along, aside] = this.seen(x, y);
        return Math.hypot(Math.max(0, -10 - along, along - this.reach), Math.max(0, Math.abs(aside) - this.height / 2));
    }

    get transform() {
        return `translate(${this.x.toFixed(1)}px, ${this.y.toFixed(1)}px)`;
    }
}
