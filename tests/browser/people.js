import { share, Writer } from './writer.js';

/** Another person with a role in the plan that a page shows, at that plan in a browser of their own. */
export async function another(browser, page, role, name = 'Jory Tamm', viewport = { width: 1280, height: 800 }) {
    const context = await browser.newContext({ viewport, serviceWorkers: 'block' });
    const other = new Writer(await context.newPage());
    await other.signUp(name);
    share(page, other.email, role);
    await other.page.goto(page.url());
    return other;
}
