import { execFileSync } from 'node:child_process';
import { test as base, expect } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';

const axe = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

/** Where requests of pages may go: to this machine, or to the one name under which Embrel is reached. */
const AT_HOME = new RegExp(`^(http://127\\.0\\.0\\.1|${(process.env.EMBREL_ADDRESS ?? 'data:').replaceAll('.', '\\.')}|data:|blob:)`);

let count = 0;
let writers = [];

/** A test that fails, whatever it asks for, when a page of a writer throws or an answer is refused that nobody expected to be. */
export const test = base.extend({
    watched: [async ({ browserName: _ }, use) => {
        writers = [];
        await use();
        expect(writers.flatMap((writer) => writer.problems), 'No page may throw, and no answer be refused that the test does not expect to be.').toEqual([]);
    }, { auto: true }],
});

/** A person at work: signs up, starts a plan, and drives the interface by role and name. */
export class Writer {
    constructor(page) {
        this.page = page;
        this.problems = [];
        // A place may go while the number that it would have is asked for, and a topic while its note is.
        this.expected = [/^409 GET .*\/landing$/, /^404 GET .*\/topics\/[0-9A-Z]{26}\/note$/];
        writers.push(this);
        page.on(
            'response',
            (answer) => answer.status() >= 400 && this.answered(`${answer.status()} ${answer.request().method()} ${new URL(answer.url()).pathname}`),
        );
        page.on('pageerror', (error) => this.problems.push(`page error: ${error.stack}`));
        page.on('console', (message) => message.type() === 'error' && !/Failed to load resource|net::ERR/.test(message.text()) && this.problems.push(message.text()));
        page.on('request', (request) => !AT_HOME.test(request.url()) && this.problems.push(`request to ${request.url()}`));
    }

    answered(said) {
        if (!this.expected.some((form) => form.test(said))) {
            this.problems.push(said);
        }
    }

    /** Answers that are refused on purpose, each as “409 POST /plans/…/undo”. */
    expectRefused(...forms) {
        this.expected.push(...forms);
    }

    /** `leads`: where the new account opens. */
    async signUp(name = 'Robin Reed', leads = /\/plans$/) {
        await this.page.goto('/sign-up');
        this.email = `robin-${process.pid}-${Date.now()}-${count++}@example.org`;
        await this.page.getByLabel('Your name').fill(name);
        await this.page.getByLabel('E-mail address').fill(this.email);
        await this.page.getByLabel('Password').fill('a long secret');
        await this.page.getByRole('main').getByRole('button', { name: 'Sign up' }).click();
        await this.page.getByRole('link', { name: 'Follow the link' }).click();
        await this.page.getByRole('button', { name: 'Open your account' }).click();
        await expect(this.page).toHaveURL(leads);
    }

    async startPlan(title) {
        await this.page.getByRole('textbox', { name: 'What are you going to write?' }).fill(title);
        await this.page.keyboard.press('Enter');
        await expect(this.page.getByRole('button', { name: title, exact: true })).toBeVisible();
    }

    async anotherPlan(title, ...lines) {
        await this.page.goto('/intake');
        await this.page.getByLabel(/paste text/).fill(lines.join('\n'));
        await this.page.getByLabel('Title of the plan').fill(title);
        await this.page.getByRole('button', { name: 'Take it as a new plan' }).click();
        await expect(this.page.getByRole('treeitem').first()).toBeVisible();
    }

    /** Goes to a view of the plan. */
    async view(name) {
        await this.page.getByRole('navigation', { name: 'Views' }).getByRole('link', { name }).click();
    }

    /** The ideas as Gather lists them, those inside another indented; the marked ones with a star. */
    async ideas() {
        return this.page.getByRole('option').evaluateAll((ideas) => ideas.map((idea) => '  '.repeat(Number(idea.style.getPropertyValue('--l'))) + idea.querySelector('.title').textContent + (idea.ariaSelected === 'true' ? ' *' : '')));
    }

    async expectIdeas(...ideas) {
        await expect.poll(() => this.ideas(), { timeout: 45_000 }).toEqual(ideas);
    }

    /** Presses a tool of the view, or one in the panel that a tool opens. */
    async inBar(name, tool = null) {
        const panel = this.page.getByRole('dialog', { name: tool ?? name });
        if (tool && !(await panel.isVisible())) {
            await this.page.getByRole('toolbar', { name: /^Tools/ }).getByRole('button', { name: new RegExp(`^${tool}`) }).click();
        }
        await (tool ? panel : this.page.getByRole('toolbar', { name: /^Tools/ })).getByRole('button', { name, exact: true }).click();
    }

    /** Opens the plan's own menu at its title and chooses in it. */
    async inPlanMenu(name) {
        await this.page.locator('#title').click();
        await this.page.getByRole('menu', { name: 'The plan' }).getByRole('menuitem', { name }).click();
    }

    /** What looks like research, beside the sources. */
    async toResearch() {
        await this.view('Sources');
        await this.page.getByRole('button', { name: /^Looks like research/ }).click();
    }

    /** Opens the menu of a row and presses a button in it. */
    async inMenu(row, name) {
        await this.mark(row);
        await this.row(row).getByRole('button', { name: /^More for/ }).click();
        await this.page.getByRole('dialog', { name: /^Topic:/ }).getByRole('button', { name }).click();
    }

    /** The map as it is shown, for who hears it: level and name of each topic, the marked ones with a star. */
    async map() {
        return this.page.getByRole('tree', { name: 'Topics' }).getByRole('treeitem').evaluateAll((leaves) => leaves.map((leaf) => '  '.repeat(leaf.getAttribute('aria-level') - 1) + leaf.getAttribute('aria-label') + (leaf.getAttribute('aria-selected') === 'true' ? ' *' : '')).join('\n'));
    }

    async expectMap(text) {
        await expect.poll(() => this.map(), { timeout: 45_000 }).toBe(text);
    }

    /** Types keys and texts one after the other: `[Enter]` and the like are keys. */
    async type(...parts) {
        for (const part of parts) {
            const key = /^\[(.+)\]$/.exec(part)?.[1];
            await (key ? this.page.keyboard.press(key) : this.page.keyboard.type(part));
        }
    }

    row(name) {
        return this.page.getByRole('treeitem', { name });
    }

    async mark(name) {
        await this.row(name).locator('.n').click();
    }

    /** The outline as it is shown: level, number and title of each row. */
    async outline() {
        return this.page.getByRole('treeitem').evaluateAll((rows) => rows.filter((row) => !row.classList.contains('is-loose')).map((row) => '  '.repeat(row.ariaLevel - 1) + `${row.querySelector('.n').textContent.trim()} ${row.querySelector('.title')?.textContent ?? row.querySelector('input').value}`.trim()).join('\n'));
    }

    /** The loose ideas below the outline. */
    async looseIdeas() {
        return this.page.getByRole('treeitem').evaluateAll((rows) => rows.filter((row) => row.classList.contains('is-loose')).map((row) => row.querySelector('.title')?.textContent ?? row.querySelector('input').value));
    }

    async expectOutline(text) {
        await expect.poll(() => this.outline(), { timeout: 45_000 }).toBe(text);
    }

    async saved() {
        await expect(this.page.locator('#saved')).toHaveText(/^Saved/);
    }
}

/** A new person with a plan of these lines, in the outline. */
export async function planOf(page, title, ...lines) {
    const writer = new Writer(page);
    await writer.signUp();
    await writer.anotherPlan(title, ...lines);
    return writer;
}

/** Something that waits until it is let go: `until`, and `open`, which lets it. */
export function gate() {
    let open;
    const until = new Promise((resolve) => { open = resolve; });
    return { until, open };
}

/** What axe finds wrong with the page as it is now. */
export async function findings(page) {
    await page.evaluate(axe);
    const { violations } = await page.evaluate(() => window.axe.run({ runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'best-practice'] }));
    return violations.map((one) => `${one.id}: ${one.nodes.map((node) => node.target).join(' ')}`);
}

/** Gives a person a role in the plan that a page shows. */
export function share(page, email, role) {
    const plan = /plans\/([0-9A-Z]{26})/.exec(page.url())[1];
    execFileSync('php', ['artisan', 'embrel:share', plan, email, role]);
}
