import { allOf } from '../../lib/dom.js';
import { classes, colour, element } from '../../ui/element.js';
import { player } from '../../ui/player.js';

/** @typedef {import('./deck.js').Step} Step @typedef {import('./deck.js').Deck} Deck */

/** Shows one step: its number and title, its lines, its picture. */
export class Screen {
    /**
     * @param {HTMLElement} box
     * @param {(id: string) => string} pictureOf the address of a picture
     * @param {((id: string) => string) | null} [mediaOf] of a sound or a film; null: none plays here
     */
    constructor(box, pictureOf, mediaOf = null) {
        this.box = box;
        this.mediaOf = mediaOf;
        this.pictureOf = pictureOf;
        /** The step that is drawn. @type {Step | null | undefined} */
        this.drawn = undefined;
    }

    /** @param {Deck} deck @param {Step | null} [step] @param {number} [shown] how many of its lines stand there */
    show(deck, step = deck.step, shown = deck.shown) {
        if (this.drawn !== step) {
            this.drawn = step;
            this.box.replaceChildren(...(step ? this.made(step, this.media(step, deck)) : end(deck)));
            this.box.className = classes(
                'shown',
                step ? `size-${step.size}` : 'is-end',
                step?.level === 0 && 'is-opening',
                (!!step?.shots.length || !!this.box.querySelector('.shown-media')) && 'has-shot',
            );
            this.box.style.setProperty('--d', colour(step?.dye ?? 'slate'));
            this.box.style.setProperty('--scale', String(step?.scale ?? Math.min(1, Math.sqrt(9 / Math.max(1, deck.told.mains.length)))));
        }
        [...this.box.querySelectorAll('.line')].forEach((line, i) => {
            line.classList.toggle('is-shown', i < shown);
            line.classList.toggle('is-next', i === shown);
            line.setAttribute('aria-hidden', String(i >= shown));
        });
    }

    /** @param {Step} step @param {HTMLElement | null} media */
    made(step, media) {
        const [shot] = step.shots;
        return [
            step.number && element('p', { class: 'k' }, step.number),
            element('h1', { dir: 'auto' }, step.title, step.part ? element('small', {}, ` (${step.part + 1})`) : ''),
            ...step.under.split('\n').map((under) => under && element('p', { class: 'under', dir: 'auto' }, under)),
            element(
                'div',
                { class: 'shown-body' },
                step.lines.length > 0 && element('ul', {}, ...step.lines.map(line)),
                shot && !media && this.shots(step),
                media && element('div', { class: 'shown-side' }, shot && this.shots(step), media),
            ),
        ].filter((one) => one !== '');
    }

    /**
     * What hangs on a section, and on what appears with it, to be heard and seen; on the first of its parts.
     * @param {Step} step @param {Deck} deck
     */
    media(step, deck) {
        const { mediaOf } = this;
        const topics = step.part || !mediaOf ? [] : [...new Set([step.topic, ...step.lines.map(([topic]) => topic)])];
        const media = topics.flatMap((topic) => deck.told.media?.[topic] ?? []);
        const played = media.map(({ id, name, plays }) =>
            element('figure', {}, player(mediaOf?.(id) ?? '', name, plays), element('figcaption', {}, name.replace(/\.\w+$/, ''))),
        );
        return media.length ? element('div', { class: 'shown-media' }, ...played) : null;
    }

    /** Plays the first, or pauses what plays. */
    playMedia() {
        const all = allOf(this.box, 'audio, video', HTMLMediaElement);
        const playing = all.find((one) => !one.paused && !one.ended);
        playing ? playing.pause() : all[0]?.play().catch(() => {});
        return all.length > 0;
    }

    /** @param {Step} step */
    shots(step) {
        return element('div', { class: 'shots' }, ...step.shots.slice(0, 2).map((one) => this.picture(one)));
    }

    /** @param {[string, string, string]} shot */
    picture([id, says, caption]) {
        const image = element('img', { src: this.pictureOf(id), alt: says });
        // One that is gone leaves what it showed.
        image.addEventListener('error', () =>
            image.replaceWith(element('p', { class: 'shot-gone' }, `Not there any more: ${says || 'a picture'}`)),
        );
        return element('figure', {}, image, caption && element('figcaption', {}, caption));
    }
}

/** @param {import('./deck.js').Line} line */
function line([, number, text, level, isQuote, source]) {
    return element(
        'li',
        { class: classes('line', isQuote && 'is-quote'), '--l': level - 1 },
        number && element('b', {}, number),
        element(
            isQuote ? 'blockquote' : 'span',
            { dir: 'auto' },
            isQuote ? element('p', {}, text) : text,
            isQuote && source && element('cite', {}, source),
        ),
    );
}

/** The whole, at the end. @param {Deck} deck */
function end({ told }) {
    return [
        element('h1', { dir: 'auto' }, told.title),
        element(
            'ol',
            { class: 'mains' },
            ...told.mains.map(([, number, dye, title]) =>
                element('li', { '--d': colour(dye) }, element('b', {}, number), element('span', { dir: 'auto' }, title || 'Untitled')),
            ),
        ),
    ];
}

/** What a screen reader says when one has come to a stop. @param {Deck} deck */
export function heard(deck) {
    const { step, stop } = deck;
    if (!step) {
        return `The end: ${deck.told.title}`;
    }
    if (stop > 0) {
        const [, number, text, , isQuote, source] = step.lines[stop - 1];
        return `${number} ${isQuote ? `“${text}”` : text}${source ? `, ${source}` : ''}`.trim();
    }
    return `${step.number} ${step.title}${step.under ? `. ${step.under.replaceAll('\n', '. ')}` : ''}`.trim();
}
