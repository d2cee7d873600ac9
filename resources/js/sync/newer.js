/** In ms: so long nobody may have touched the page before it loads itself anew in sight. */
const QUIET = 30_000;
/** How often it is looked whether that may be. */
const LOOKS = 5000;
const TRIED = 'embrel.newer';

/**
 * A page that is older than what answers it loads itself anew, at a moment when nobody notices: all that was written is saved,
 * nothing is open, and the page is out of sight or nobody has touched it for a while. Once for each version: while hosts are
 * changed one by one, the old one may answer again.
 */
export class Newer {
    /**
     * @param {object} of
     * @param {string} of.version that of the page
     * @param {() => boolean} of.mayGo whether nothing would be lost or disturbed
     * @param {() => void} [of.load]
     * @param {Storage} [of.kept] what this tab has tried
     */
    constructor({ version, mayGo, load = () => location.reload(), kept = sessionStorage }) {
        this.version = version;
        this.mayGo = mayGo;
        this.load = load;
        this.kept = kept;
        this.touched = Date.now();
        /** @type {ReturnType<typeof setInterval> | undefined} */
        this.looking = undefined;
        for (const kind of ['keydown', 'pointerdown', 'pointermove', 'wheel']) {
            addEventListener(kind, () => (this.touched = Date.now()), { capture: true, passive: true });
        }
    }

    /** An answer has come from a version. @param {string | null} version */
    heard(version) {
        if (version && version !== this.version && this.kept.getItem(TRIED) !== version) {
            this.waiting = version;
            this.looking ??= setInterval(() => this.look(), LOOKS);
        }
    }

    look() {
        const isUnseen = document.hidden || Date.now() - this.touched > QUIET;
        if (isUnseen && this.mayGo()) {
            clearInterval(this.looking);
            this.looking = undefined;
            this.kept.setItem(TRIED, this.waiting ?? '');
            this.load();
        }
    }
}
