import { knownSigns, learnSigns, signName } from '../lib/sign-forms.js';
import { reason, send } from '../lib/http.js';
import { element } from './element.js';
import { signIcon } from './sign-icon.js';

/** How long it waits until what was typed is looked for, in ms. */
const PAUSE = 180;

/**
 * The sign of a topic: by words out of the family, or one that the plan carries already.
 * @param {string | null} chosen @param {(sign: string | null) => void} set
 */
export function signField(chosen, set) {
    const found = element('div', { class: 'signs-found', role: 'group', 'aria-label': 'Signs' });
    const said = element('p', { class: 'error wide', role: 'status' });
    /** @param {string[]} names */
    const offer = (names) =>
        found.replaceChildren(
            ...names.map((name) =>
                element(
                    'button',
                    {
                        type: 'button',
                        class: 'sign-choice',
                        'aria-label': signName(name),
                        title: signName(name),
                        'aria-pressed': String(name === chosen),
                        onclick: () => set(name),
                    },
                    signIcon(name),
                ),
            ),
        );
    let turn = {};
    const look = async () => {
        const mine = (turn = {});
        /** @type {string} */
        let why;
        try {
            const { signs } = await send('GET', `/signs?words=${encodeURIComponent(words.value)}`);
            if (mine !== turn) {
                return;
            }
            learnSigns(signs);
            const names = Object.keys(signs);
            offer(names);
            why = names.length ? '' : 'No sign is called so. Try another word.';
        } catch (error) {
            why = reason(error);
        }
        if (mine === turn) {
            said.textContent = why;
        }
    };
    /** @type {ReturnType<typeof setTimeout> | undefined} */
    let timer;
    const words = element('input', {
        type: 'text',
        class: 'sign-words',
        placeholder: 'Search for a sign',
        'aria-label': 'Search for a sign',
        autocomplete: 'off',
        onfocus: () => turn && !words.dataset.asked && ((words.dataset.asked = '1'), look()),
        oninput: () => {
            clearTimeout(timer);
            timer = setTimeout(look, PAUSE);
        },
        onkeydown: (/** @type {KeyboardEvent} */ event) => {
            if (event.key === 'Enter') {
                event.preventDefault();
                /** @type {HTMLElement | null} */ (found.querySelector('button'))?.click();
            }
        },
    });
    const known = knownSigns();
    offer(known.slice(0, 16));
    const none = chosen && element('button', { type: 'button', onclick: () => set(null) }, 'none');
    return [words, none, found, said];
}
