const MOST_LINES = 6;
/** No letter of the interface's font is wider on average: a title that is short enough needs no measuring. */
const WIDEST = 0.62;

/** How many lines a title takes in a width: measured once, on a canvas, so that the page need not be asked. */
export class Wrapping {
    constructor() {
        this.context = /** @type {CanvasRenderingContext2D} */ (document.createElement('canvas').getContext('2d'));
        /** @type {Map<string, number>} */
        this.known = new Map();
        this.signFont = '';
        this.fonts = { main: '', other: '' };
        this.sizes = { main: 0, other: 0 };
    }

    /**
     * The family and the sizes, in pixels, of titles, of those of main sections, and of the signs beside them.
     * @param {string} family
     * @param {number} size
     * @param {number} mainSize
     * @param {number} signSize
     */
    use(family, size, mainSize, signSize) {
        this.signFont = `400 ${signSize}px ${family}`;
        this.fonts = { main: `680 ${mainSize}px ${family}`, other: `400 ${size}px ${family}` };
        this.sizes = { main: mainSize, other: size };
        this.known.clear();
    }

    /** How wide a sign beside a title is, with its frame. @param {string} text */
    sign(text) {
        let width = this.known.get(`sign ${text}`);
        if (width === undefined) {
            this.context.font = this.signFont;
            width = this.context.measureText(text).width + 12;
            this.known.set(`sign ${text}`, width);
        }
        return width;
    }

    /** @param {string} title @param {number} width @param {boolean} isMain */
    lines(title, width, isMain) {
        const style = isMain ? 'main' : 'other';
        if (title.length * this.sizes[style] * WIDEST <= width) {
            return 1;
        }
        const key = `${style} ${Math.floor(width)} ${title}`;
        let lines = this.known.get(key);
        if (lines === undefined) {
            this.context.font = this.fonts[style];
            lines = this.wrap(title, width);
            this.known.set(key, lines);
        }
        return lines;
    }

    /** @param {string} title @param {number} width */
    wrap(title, width) {
        const space = this.context.measureText(' ').width;
        let lines = 1;
        let filled = 0;
        for (const word of title.split(' ')) {
            const wide = this.context.measureText(word).width;
            if (filled > 0 && filled + space + wide > width) {
                lines++;
                filled = 0;
            }
            // A word wider than the line is broken wherever it must be.
            const over = Math.ceil(wide / width) - 1;
            lines += Math.max(0, over);
            filled += (filled > 0 ? space : 0) + (over > 0 ? wide - over * width : wide);
        }
        return Math.min(MOST_LINES, lines);
    }
}
