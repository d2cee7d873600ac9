/** The field that starts a plan, with or without a pattern. */
export function start() {
    return {
        title: '',
        choosing: false,
        get isNamed() {
            return this.title.trim() !== '';
        },
        togglePatterns() {
            this.choosing = !this.choosing;
        },
    };
}
