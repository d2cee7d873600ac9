import { send } from '../lib/http.js';
import { newId } from '../lib/ids.js';
import { say } from './toast.js';
import { element } from './element.js';

/** The files that hang on a source or a topic. */
export class Files {
    /** @param {import('../sync/session.js').Session} session */
    constructor(session) {
        this.session = session;
    }

    draw(box, holder, files, changed) {
        if (!box) {
            return;
        }
        const chooser = element('input', {
            type: 'file',
            hidden: true,
            'aria-label': 'A file',
            onchange: () => {
                const [file] = chooser.files;
                chooser.value = '';
                file && this.take(holder, file).then(changed);
            },
        });
        box.replaceChildren(
            element('span', { class: 'legend' }, 'Files'),
            chooser,
            ...files.map((file) =>
                element(
                    'p',
                    { class: 'file' },
                    element('a', { class: 'link', href: `${this.session.address}/attachments/${file.id}`, download: '' }, file.name),
                    element('small', {}, size(file.bytes)),
                    element(
                        'button',
                        {
                            type: 'button',
                            class: 'plain',
                            'aria-label': `Take off ${file.name}`,
                            onclick: () => this.remove(file, false, changed).then(changed),
                        },
                        'Take off',
                    ),
                ),
            ),
            element('button', { type: 'button', class: 'plain', onclick: () => chooser.click() }, 'Add a file…'),
            element('small', { class: 'quiet' }, ' PDF, pictures, sounds, text; 20 MB each'),
        );
    }

    async take(holder, file) {
        const body = new FormData();
        body.append('id', newId());
        body.append('holder', holder);
        body.append('file', file);
        say('Taking the file in…');
        const answer = await this.session.upload('attachments', body);
        if (answer) {
            say('The file was kept.');
        }
    }

    keepText(holder, name, text) {
        return send('POST', `${this.session.address}/attachments`, { id: newId(), holder, name: name.slice(0, 120), text }).catch((error) =>
            say(error.message),
        );
    }

    async remove(file, back = false, changed = () => {}) {
        await send('DELETE', `${this.session.address}/attachments/${file.id}`, { back }).catch((error) => say(error.message));
        if (!back) {
            say('The file was taken off.', { label: 'Undo', act: () => this.remove(file, true).then(changed) });
        }
    }
}

const size = (bytes) => (bytes < 100_000 ? `${Math.max(1, Math.round(bytes / 1000))} kB` : `${(bytes / 1_000_000).toFixed(1)} MB`);
