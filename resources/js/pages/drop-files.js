import { around } from '../lib/dom.js';
import { reason, send } from '../lib/http.js';
import { follow } from '../lib/task.js';
import { waiting } from '../lib/upload.js';

const KNOWN = /\.(docx|docm|dotx|odt|ott|html?|xhtml|md|markdown|opml|xml|txt|text|csv|tsv|zip)$/i;

/**
 * Files dropped anywhere on a page start their intake: one is shown before it is kept, several become
 * plans. Pictures and what is dropped into a field or a note are left to those.
 */
export function dropFiles(into = '') {
    const hold = (/** @type {DragEvent} */ event) => [...(event.dataTransfer?.types ?? [])].includes('Files');
    const says = (/** @type {string} */ text) => {
        const note =
            /** @type {HTMLElement | null} */ (document.querySelector('.dropped')) ??
            document.body.appendChild(Object.assign(document.createElement('p'), { className: 'dropped', role: 'status' }));
        note.textContent = text;
        note.hidden = text === '';
    };
    document.addEventListener('dragover', (event) => {
        if (hold(event) && !event.defaultPrevented) {
            event.preventDefault();
            document.body.classList.add('takes-files');
        }
    });
    for (const end of ['dragleave', 'drop']) {
        document.addEventListener(
            end,
            (event) =>
                (end === 'drop' || /** @type {DragEvent} */ (event).relatedTarget === null) &&
                document.body.classList.remove('takes-files'),
        );
    }
    document.addEventListener('drop', async (event) => {
        const files = [...(event.dataTransfer?.files ?? [])];
        if (
            !files.length ||
            event.defaultPrevented ||
            around(event, '.ProseMirror, input, textarea') ||
            files.every((file) => file.type.startsWith('image/'))
        ) {
            return;
        }
        event.preventDefault();
        const known = files.filter((file) => KNOWN.test(file.name));
        if (!known.length) {
            says('These files cannot be taken in. Documents, web pages, Markdown, outline files, text and tables can.');
            return;
        }
        try {
            if (known.length === 1) {
                const { token } = await waiting(known[0], (worked) => says(`Sending ${known[0].name}: ${worked} %`));
                location.assign(`/intake?file=${token}${into ? `&into=${into}` : ''}`);
                return;
            }
            for (const [i, file] of known.entries()) {
                says(`Taking in ${i + 1} of ${known.length}: ${file.name}`);
                const { token } = await waiting(file, () => {});
                const form = new FormData();
                form.append('token', token);
                const answer = await send('POST', '/intake', form);
                await (answer.task ? follow(answer.task, () => {}) : null);
            }
            location.assign('/plans');
        } catch (error) {
            says(reason(error));
        }
    });
}
