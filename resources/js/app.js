import { allOf, byId } from './lib/dom.js';
import { early } from './lib/early.js';
import Alpine from '@alpinejs/csp';
import intake from './pages/intake.js';
import handOver from './pages/hand-over.js';
import { dropFiles } from './pages/drop-files.js';
import { cardMenus, choosePlans, smallMaps, start } from './pages/plans.js';
import { firstTopics, takeFirstTopics } from './pages/first-topics.js';
import everything from './pages/everything.js';
import { frame } from './pages/frame.js';
import wayBack from './pages/way-back.js';

Alpine.data('intake', intake);
Alpine.data('handOver', handOver);
Alpine.data('start', start);
Alpine.data('everything', everything);
Alpine.data('firstTopics', firstTopics);
Alpine.data('wayBack', wayBack);
const putBack = early(document);
Alpine.start();
putBack();
frame();

if (document.querySelector('.list-wrap')) {
    takeFirstTopics();
    dropFiles();
    cardMenus();
    choosePlans();
    smallMaps();
}
for (const field of allOf(document, '[data-sends]', HTMLSelectElement)) {
    field.addEventListener('change', () => field.form?.submit());
}
// A time in the person's own zone, as the browser knows it.
for (const field of allOf(document, 'input[data-time-zone]', HTMLInputElement)) {
    field.value = Intl.DateTimeFormat().resolvedOptions().timeZone ?? '';
}
// An idea can be caught from every page of a plan: those without a field of their own go to the one that has it.
document.addEventListener('keydown', (event) => {
    const gather = /** @type {HTMLAnchorElement | null} */ (document.querySelector('.modes [data-view=gather]'));
    if (gather && !document.getElementById('plan-data') && (event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'k') {
        event.preventDefault();
        location.href = gather.href;
    }
});
for (const opener of allOf(document, '[data-opens]')) {
    opener.addEventListener('click', () => byId(opener.dataset.opens ?? '', HTMLDialogElement).showModal());
}
for (const closer of document.querySelectorAll('[data-closes]')) {
    closer.addEventListener('click', () => closer.closest('dialog')?.close());
}
