import { byId } from '../lib/dom.js';
import { send } from '../lib/http.js';
import { element } from './element.js';
import { say } from './toast.js';

/**
 * Who may do what has changed: whoever may now do more or less gets the page anew, whoever is out of the plan sees nothing more of it.
 * What was written and did not get in is shown, to be taken along.
 * @param {import('../views/page.js').Page} page
 */
export async function rightsChanged(page) {
    const { session } = page;
    const answer = await send('GET', `${session.address}/people`).catch((error) => error);
    if (answer?.status === 404 || answer?.status === 403) {
        takenOut(page);
        return;
    }
    const own = answer?.people?.find((/** @type {{id: number}} */ { id }) => id === answer.you)?.role;
    if (!own) {
        return;
    }
    const [mayWrite, mayComment] = [['owner', 'writes'].includes(own), own !== 'reads'];
    if (mayWrite !== session.rights.mayWrite || mayComment !== session.rights.mayComment) {
        say('What you may do in this plan has changed. The page is opened anew.');
        page.commit();
        setTimeout(() => location.reload(), 1500);
    }
}

/** @param {import('../views/page.js').Page} page */
function takenOut(page) {
    const { session } = page;
    page.commit();
    const left = session.queue.pending.map(words).filter(Boolean).join('\n\n');
    session.queue.pending.forEach(({ id }) => session.queue.forget(id));
    session.channel.stop();
    session.shelf.forget();
    const text = element('textarea', { class: 'box', rows: 8, readonly: true, 'aria-label': 'What you had written' });
    text.value = left;
    for (const dialog of document.querySelectorAll('dialog')) {
        dialog.close();
    }
    document.title = 'Embrel';
    byId('plan').replaceWith(
        element(
            'main',
            { class: 'sheet', id: 'plan', role: 'alert' },
            element('h1', {}, 'You can no longer see this plan'),
            element('p', {}, `It was deleted, or ${session.rights.owner} shares it with you no more.`),
            left && element('p', {}, 'This you had written and it did not get in. Copy it, if you want to keep it:'),
            left && text,
            element('div', { class: 'dialog-foot' }, element('a', { class: 'primary', href: '/plans' }, 'My plans')),
        ),
    );
}

/** The words in a change. @param {Record<string, any>} change @returns {string} */
function words(change) {
    const texts = (/** @type {any} */ node) => [node?.text ?? '', ...(node?.content ?? []).map(texts)].join('');
    return [
        change.title ?? '',
        ...(change.topics ?? []).map((/** @type {{title?: string}} */ topic) => topic.title ?? ''),
        ...(change.put ?? []).map(texts),
    ]
        .filter(Boolean)
        .join('\n');
}
