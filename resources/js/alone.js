import '../css/alone.css';
import { allOf, byId } from './lib/dom.js';
import { know } from './lib/vocabulary.js';
import { Ground } from './views/alone/ground.js';
import { Rows } from './views/alone/rows.js';
import { Showing } from './views/alone/showing.js';

// All rows have come.
document.documentElement.classList.remove('is-coming');

/** The page that stands alone: it works from a file, asks nobody for anything, and keeps nothing. */
const data = JSON.parse(byId('alone-data').textContent ?? '');
know({ mapSigns: data.signs });

/** A picture stands once in the page, with the topic that shows it. @param {string} id */
function pictureOf(id) {
    const [topic, n] = data.pictures[id] ?? [];
    return document.querySelectorAll(`#t${CSS.escape(topic ?? '')} img`)[n]?.getAttribute('src') ?? '';
}

const rows = new Rows(byId('alone-rows'));
const note = byId('alone-note');
const ground = new Ground(data, pictureOf, (id) => {
    const held = document.querySelector(`#t${CSS.escape(id)} .note`);
    note.lastElementChild?.replaceChildren(...(held?.cloneNode(true).childNodes ?? []));
    note.hidden = !held;
});
const showing = new Showing(data.deck, pictureOf, () => show('outline'));

/** @param {string} view */
function show(view) {
    showing.end();
    for (const name of ['outline', 'map', 'show']) {
        byId(`alone-${name}`).hidden = name !== view;
    }
    document.body.dataset.view = view;
    for (const button of allOf(document, '[data-view][aria-pressed]', HTMLElement)) {
        button.setAttribute('aria-pressed', String(button.dataset.view === view));
    }
    view === 'map' && ground.enter();
    view === 'show' && showing.enter();
}

/** Whether it is dark: as the system is, until one says otherwise. @param {boolean} isDark */
function setDark(isDark) {
    document.documentElement.classList.toggle('is-night', isDark);
    document.documentElement.classList.toggle('is-day', !isDark);
    byId('alone-dark').setAttribute('aria-pressed', String(isDark));
}

byId('alone-tools').hidden = false;
document.body.classList.add('is-alive');
setDark(matchMedia('(prefers-color-scheme: dark)').matches);
byId('alone-dark').addEventListener('click', ({ currentTarget }) =>
    setDark(/** @type {Element} */ (currentTarget).getAttribute('aria-pressed') !== 'true'),
);
byId('alone-notes').addEventListener('click', ({ currentTarget }) => {
    const isOn = document.body.classList.toggle('has-notes');
    /** @type {Element} */ (currentTarget).setAttribute('aria-pressed', String(isOn));
});
byId('alone-close').addEventListener('click', () => (note.hidden = true));
byId('alone-find', HTMLInputElement).addEventListener('input', ({ target }) => {
    const text = /** @type {HTMLInputElement} */ (target).value;
    const count = rows.find(text);
    byId('alone-found').textContent = text.trim() ? (count === 1 ? '1 topic' : `${count} topics`) : '';
    text.trim() && show('outline');
});
for (const button of allOf(document, '[data-view][aria-pressed]', HTMLElement)) {
    button.addEventListener('click', () => show(button.dataset.view ?? 'outline'));
}
for (const button of allOf(document, '[data-level]', HTMLElement)) {
    button.addEventListener('click', () => rows.foldTo(Number(button.dataset.level)));
}
show(data.start);
