/** The bar with the tools of the view in sight. On a small screen one button opens it. */
export class Bars {
    /** @param {import('../commands/commands.js').Commands} commands */
    constructor(commands) {
        this.box = document.getElementById('bars');
        this.opener = document.getElementById('bar-opener');
        this.opener.addEventListener('click', () => this.open(!this.box.classList.contains('is-open')));
        this.box.addEventListener('click', (event) => {
            const { command } = event.target.closest('[data-command]')?.dataset ?? {};
            if (command) {
                commands.run('anywhere', command, { anchor: event.target });
            }
        });
        this.box.addEventListener('keydown', (event) => this.pressed(event));
        document.addEventListener(
            'pointerdown',
            (event) => !this.box.contains(event.target) && !event.target.closest?.('.menu') && this.open(false),
        );
    }

    /** Shows the bar of a view; `part` is which of those that share a bar. */
    show(bar, part) {
        for (const one of this.box.querySelectorAll('[data-bar]')) {
            one.hidden = one.dataset.bar !== bar;
        }
        for (const button of this.box.querySelectorAll('[data-part]')) {
            button.setAttribute('aria-pressed', String(button.dataset.part === part));
        }
        this.open(false);
    }

    open(isOpen) {
        this.box.classList.toggle('is-open', isOpen);
        this.opener.setAttribute('aria-expanded', String(isOpen));
    }

    /** Arrows go through the tools; Tab leaves them one by one as everywhere. */
    pressed(event) {
        const by = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
        if (by && event.target.matches('button') && !event.altKey && !event.ctrlKey) {
            const all = [...this.box.querySelectorAll('button, select, input')].filter((one) => one.offsetParent);
            event.preventDefault();
            all[(all.indexOf(event.target) + by + all.length) % all.length].focus();
        }
    }

    /** Says on a button what it is set to, and whether that is something else than usual. */
    static say(id, value, isUsual = true) {
        const box = document.getElementById(id);
        box.classList.toggle('is-set', !isUsual);
        const said = box.querySelector('b');
        if (said && said.textContent !== value) {
            said.textContent = value;
        }
        const unset = box.querySelector('.unset');
        if (unset) {
            unset.hidden = isUsual;
        }
    }
}
