import { element } from './element.js';

/**
 * What plays a sound or a film in its place; one that does not come, or cannot be played here, says so.
 * @param {string} address @param {string} name @param {'sound' | 'film'} plays
 */
export function player(address, name, plays) {
    const media = element(plays === 'film' ? 'video' : 'audio', {
        class: `plays is-${plays}`,
        controls: true,
        preload: 'metadata',
        playsinline: true,
        'aria-label': name,
        src: address,
    });
    media.addEventListener('error', () =>
        media.replaceWith(
            element('span', { class: 'hint' }, `This browser cannot play ${name}. Save it, and open it with another program.`),
        ),
    );
    return media;
}
