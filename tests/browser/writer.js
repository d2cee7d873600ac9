import { expect } from '@playwright/test';

let count = 0;

/** A person at work: signs up, starts a plan, and drives the interface by role and name. */
export class Writer {
    constructor(page) {
        this.page = page;
        this.problems = [];
        page.on('pageerror', (error) => this.problems.push(`page error: ${error.message}`));
        page.on('console', (message) => message.type() === 'error' && !/Failed to load resource|net::ERR/.test(message.text()) && this.problems.push(message.text()));
        page.on('request', (request) => !/^(http:\/\/127\.0\.0\.1|data:|blob:)/.test(request.url()) && this.problems.push(`request to ${request.url()}`));
    }

    async signUp(name = 'Robin Reed') {
        await this.page.goto('/sign-up');
        this.email = `robin-${process.pid}-${Date.now()}-${count++}@example.org`;
        await this.page.getByLabel('Your name').fill(name);
        await this.page.getByLabel('E-mail address').fill(this.email);
        await this.page.getByLabel('Password').fill('a long secret');
        await this.page.getByRole('main').getByRole('button', { name: 'Sign up' }).click();
        await expect(this.page).toHaveURL(/\/plans$/);
    }

    async startPlan(title) {
        await this.page.getByRole('textbox', { name: 'What are you going to write?' }).fill(title);
        await this.page.keyboard.press('Enter');
        await expect(this.page.getByRole('button', { name: title, exact: true })).toBeVisible();
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
