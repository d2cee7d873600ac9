import Alpine from '@alpinejs/csp';
import intake from './intake.js';
import handOver from './hand-over.js';
import { start } from './plans.js';

Alpine.data('intake', intake);
Alpine.data('handOver', handOver);
Alpine.data('start', start);
Alpine.start();

// A time in the person's own zone, as the browser knows it.
for (const field of document.querySelectorAll('input[data-time-zone]')) {
    field.value = Intl.DateTimeFormat().resolvedOptions().timeZone ?? '';
}
for (const opener of document.querySelectorAll('[data-opens]')) {
    opener.addEventListener('click', () => document.getElementById(opener.dataset.opens)?.showModal());
}
for (const closer of document.querySelectorAll('[data-closes]')) {
    closer.addEventListener('click', () => closer.closest('dialog')?.close());
}
