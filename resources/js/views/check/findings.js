import { allOf, around, byId, firstOf, held } from '../../lib/dom.js';
import { counted } from '../../lib/counted.js';
import { actionFor } from '../../lib/keys.js';
import { when } from '../../commands/commands.js';
import { Asking } from '../../ui/asking.js';
import { Popover } from '../../ui/popover.js';
import { askWhatToDo, asks } from './finding-menu.js';
import { goToFinding } from './going-there.js';
import { asideRow, groupRow } from './found-rows.js';

/** What was found, rule by rule, and what can be done with it. */
export class Findings {
    /** @param {import('../page.js').Page} page */
    constructor(page) {
        this.page = page;
        this.list = byId('findings');
        this.weight = 'all';
        /** @type {any[]} */
        this.groups = [];
        /** @type {any[]} */
        this.aside = [];
        /** Rules whose findings are shown one by one. @type {Set<string>} */
        this.open = new Set();
        this.menu = new Popover(() => this.focus(this.at));
        this.at = 0;
        const dialog = byId('aside-dialog', HTMLDialogElement);
        this.asking = new Asking(dialog, () => this.asking.give(firstOf(dialog, 'input', HTMLInputElement).value.trim()));
        for (const list of [this.list, byId('set-aside-list')]) {
            list.addEventListener('keydown', (event) => this.pressed(event));
            list.addEventListener('click', (event) => this.clicked(event));
        }
        this.list.addEventListener('focusin', () => {
            this.at = this.rows.indexOf(/** @type {HTMLElement} */ (held().closest('[data-finding]')));
        });
        for (const button of allOf(byId('bars'), '[data-weight]')) {
            button.addEventListener('click', () => {
                this.weight = button.dataset.weight ?? 'all';
                this.drawFindings();
            });
        }
    }

    /** The rows that the keys go through. */
    get rows() {
        return [...allOf(this.list, '[data-finding]')];
    }

    provide() {
        const { page } = this;
        const row = (/** @type {any} */ holds, /** @type {any} */ run) =>
            when(
                () => this.now !== null && holds(this.now),
                () => run(this.now),
            );
        page.commands.provide('check', {
            nextFinding: when(
                () => this.rows.length > 0,
                () => this.focus(this.at + 1),
            ),
            findingBefore: when(
                () => this.rows.length > 0,
                () => this.focus(this.at - 1),
            ),
            openFindings: row(
                (/** @type {any} */ { group, one }) => !one && group.count > 1,
                (/** @type {any} */ { group }) => this.unfold(group, true),
            ),
            closeFindings: row(
                (/** @type {any} */ { group }) => this.open.has(group.rule),
                (/** @type {any} */ { group }) => this.unfold(group, false),
            ),
            goThere: row(
                () => true,
                (/** @type {any} */ { group, one }) => this.go(group, one ?? group.findings[0]),
            ),
            mend: row(
                (/** @type {any} */ { group }) => group.mends,
                (/** @type {any} */ { group, one }) => this.mend(group, one),
            ),
            askAbout: row(asks, (/** @type {any} */ { group, one }) => this.page.questions.open((one ?? group.findings[0]).topic)),
            setAside: row(
                (/** @type {any} */ { group, one }) => one || group.count === 1,
                (/** @type {any} */ { group, one }) => this.setAside(one ?? group.findings[0]),
            ),
            ruleOff: row(
                () => true,
                (/** @type {any} */ { group }) => this.switchOff(group),
            ),
        });
    }

    /** What the keyboard is on: a group, and one of its findings where they are shown one by one. */
    get now() {
        return this.of(/** @type {any} */ (held().closest?.('[data-finding]'))) ?? this.of(this.rows[this.at]);
    }

    /** @param {HTMLElement | null | undefined} row */
    of(row) {
        const group = this.groups.find(({ rule }) => rule === row?.dataset.rule);
        return group ? { group, one: group.findings.find((/** @type {any} */ { key }) => key === row?.dataset.finding) ?? null } : null;
    }

    // ---- Drawing

    /** @param {any} answer */
    take(answer) {
        this.groups = answer.groups;
        this.aside = answer.setAside;
        this.count = answer.count;
        this.drawFindings();
    }

    drawFindings() {
        const here = this.list.contains(held()) || held() === document.body ? this.at : -1;
        const shown = this.groups.filter(({ weight }) => this.weight === 'all' || weight === this.weight);
        for (const button of allOf(byId('bars'), '[data-weight]')) {
            const { weight = 'all' } = button.dataset;
            const count = this.groups.filter((one) => weight === 'all' || one.weight === weight).reduce((sum, one) => sum + one.count, 0);
            firstOf(button, 'b').textContent = String(count);
            button.setAttribute('aria-pressed', String(weight === this.weight));
        }
        byId('findings-head').textContent =
            this.count === 0 ? 'Nothing to look at' : `${counted(this.count, 'thing', 'things')} to look at`;
        const none = byId('findings-none');
        none.hidden = shown.length > 0;
        none.textContent = this.count === 0 ? 'As far as can be told from here, this plan is in order.' : 'Nothing of this kind.';
        this.list.replaceChildren(...shown.map((group) => groupRow(group, this.open.has(group.rule))));
        byId('set-aside').hidden = this.aside.length === 0;
        byId('set-aside-list').replaceChildren(...this.aside.map(asideRow));
        if (here >= 0 && this.rows.length) {
            this.focus(here);
        }
    }

    /** @param {number} at @param {boolean} [isShown] whether it is brought into sight */
    focus(at, isShown = true) {
        const { rows } = this;
        this.at = Math.max(0, Math.min(rows.length - 1, at));
        const row = rows[this.at];
        /** @type {HTMLElement | null | undefined} */ (row?.querySelector('.finding-head, .finding-line'))?.focus({
            preventScroll: !isShown,
        });
        isShown && row?.scrollIntoView({ block: 'nearest' });
    }

    // ---- What is pressed

    /** @param {KeyboardEvent} event */
    pressed(event) {
        const isOnMore = around(event, '[data-act=more], [data-back]');
        const action = isOnMore && event.key === 'Enter' ? null : actionFor(event, 'check');
        // Enter on a heading of several opens them: there is no one place to go to.
        if (action && this.now && !(action === 'goThere' && !this.now.one && this.now.group.count > 1)) {
            event.preventDefault();
            this.page.commands.run('check', action, { event });
        }
    }

    /** @param {Event} event */
    clicked(event) {
        const back = around(event, '[data-back]')?.dataset.back;
        if (back) {
            this.page.perform({ type: 'set-aside', finding: back, why: null });
            this.page.say('Brought back');
            return;
        }
        const act = around(event, '[data-act]')?.dataset.act;
        const found = act ? this.of(/** @type {HTMLElement} */ (around(event, '[data-finding]'))) : null;
        if (!found) {
            return;
        }
        const { group, one } = found;
        if (act === 'more') {
            askWhatToDo(this, found, /** @type {HTMLElement} */ (around(event, '[data-act]')));
        } else if (!one && group.count > 1) {
            this.unfold(group, !this.open.has(group.rule));
        } else {
            this.go(group, one ?? group.findings[0]);
        }
    }

    /** @param {any} group @param {boolean} isOpen */
    unfold(group, isOpen) {
        isOpen ? this.open.add(group.rule) : this.open.delete(group.rule);
        const at = this.rows.findIndex((row) => row.dataset.finding === group.rule);
        this.drawFindings();
        this.focus(isOpen ? at + 1 : at);
    }

    /** @param {any} group @param {any} one */
    go(group, one) {
        goToFinding(this.page, group.rule, one);
    }

    /** All of a group, or one. @param {any} group @param {any} one */
    async mend(group, one) {
        const answer = await this.page.sent('findings/mend', { rule: group.rule, ...(one && { findings: [one.key] }) });
        if (answer) {
            this.page.say(`Mended ${counted(answer.mended, 'place', 'places')}`, { label: 'Undo', act: () => this.page.undo() });
            await this.load();
        }
    }

    /** @param {any} one */
    async setAside(one) {
        if (this.page.session.rights.isKept()) {
            return;
        }
        byId('aside-what').textContent = one.says;
        firstOf(this.asking.dialog, 'form', HTMLFormElement).reset();
        const why = await this.asking.open();
        if (why !== null) {
            this.page.perform({ type: 'set-aside', finding: one.key, why });
            this.page.say('Set aside', { label: 'Undo', act: () => this.page.undo() });
        }
        this.focus(this.at);
    }

    /** @param {any} group */
    switchOff(group) {
        this.page.perform({ type: 'rule', rule: group.rule, on: false });
        this.page.say('This is not looked for any more.', { label: 'Undo', act: () => this.page.undo() });
    }

    /** Asks again; what extends this knows how. @returns {Promise<void>} */
    async load() {}
}
