import { send } from '../lib/http.js';
import { words } from '../lib/vocabulary.js';
import { labelsOf, sameLabel } from '../state/labels.js';
import { colour, element } from './element.js';
import { PictureFinder } from './picture-finder.js';
import { putPicture } from './put-picture.js';
import { Popover } from './popover.js';

/** What of a topic is set in its menu by something else than a press: dye, target, files, picture, relations. */
export class TopicFields extends Popover {
    /** @param {any} topic */
    dyes(topic) {
        const own = topic.dye?.startsWith('#') ? topic.dye : null;
        const warning = element('p', { class: 'error wide', role: 'status' });
        const hex = element('input', {
            type: 'text',
            value: own ?? '',
            placeholder: '#2f6690',
            maxlength: 7,
            'aria-label': 'Another colour, as hex',
            class: 'hex',
        });
        const wheel = element('input', {
            type: 'color',
            value: own ?? '#2f6690',
            'aria-label': 'Another colour',
            title: 'Another colour',
            oninput: () => {
                hex.value = wheel.value;
                this.judge(wheel.value, warning);
            },
        });
        const keep = () => {
            const value = /^#?[0-9a-f]{6}$/i.test(hex.value.trim()) ? `#${hex.value.trim().replace('#', '').toLowerCase()}` : null;
            if (value) {
                this.set('dye', value);
            } else {
                warning.textContent = 'Six digits from 0 to 9 and a to f, such as #2f6690.';
            }
        };
        hex.addEventListener('input', () => this.judge(hex.value.trim(), warning));
        hex.addEventListener('keydown', (event) => {
            if (event.key === 'Enter') {
                event.preventDefault();
                keep();
            }
        });
        if (own) {
            this.judge(own, warning);
        }
        return this.group(
            'Dye',
            'dye',
            ...words().dyes.map((/** @type {string} */ dye) =>
                element('button', {
                    type: 'button',
                    class: 'swatch',
                    '--d': colour(dye),
                    'aria-pressed': String(topic.dye === dye),
                    'aria-label': dye,
                    title: dye,
                    onclick: () => this.set('dye', dye),
                }),
            ),
            wheel,
            hex,
            element('button', { type: 'button', onclick: keep }, 'Set'),
            element(
                'button',
                { type: 'button', 'aria-pressed': String(topic.dye === null), onclick: () => this.set('dye', null) },
                'as above',
            ),
            warning,
        );
    }

    /** Those of the plan, pressed where the topic carries them, and a field for another. @param {any} topic */
    labels(topic) {
        const { page } = this.outline;
        const put = (/** @type {string} */ name, isOn = false) => {
            const ids = this.ids.filter((/** @type {string} */ id) => page.tree.get(id));
            page.session.perform({ type: 'label', ids, put: isOn ? [] : [name], take: isOn ? [name] : [] });
            const own = page.tree.get(topic.id);
            own && this.box?.querySelector('[data-part=labels]')?.replaceWith(this.labels(own));
            this.focus('[data-part=labels] input');
        };
        const field = element('input', {
            type: 'text',
            class: 'new-label',
            placeholder: 'another label',
            maxlength: words().limits.label,
            'aria-label': 'Another label',
            onkeydown: (/** @type {KeyboardEvent} */ event) => {
                if (event.key === 'Enter' && !event.isComposing) {
                    event.preventDefault();
                    const names = field.value.split(',').map((name) => name.trim());
                    names.filter(Boolean).forEach((name) => put(listed(name)));
                }
            },
        });
        const all = labelsOf(page.tree);
        const listed = (/** @type {string} */ name) => [...all.keys()].find((one) => sameLabel(one) === sameLabel(name)) ?? name;
        const group = this.choice(
            'Labels',
            'labels',
            [...all].map(([name, dye]) => [name, name, topic.labels.includes(name), null, dye]),
            (name) => put(name, topic.labels.includes(name)),
        );
        group.append(field);
        return group;
    }

    /** The relations of a topic: each opens to be changed. @param {string} id */
    related(id) {
        const { relations } = this.outline.page;
        const all = relations.of(id);
        return (
            all.length > 0 &&
            this.group(
                'Relations',
                'relations',
                ...all.map((/** @type {{relation: import('../state/topics.js').Relation, other: string}} */ { relation, other }) =>
                    element(
                        'button',
                        {
                            type: 'button',
                            onclick: () => {
                                this.close(false);
                                relations.edit(relation.id);
                            },
                        },
                        `${relation.from === id ? '→' : '←'} ${relation.label ? `${relation.label}: ` : ''}${relations.name(other)}`,
                    ),
                ),
            )
        );
    }

    /** Says when a colour is hard to see on the page, light or dark. @param {any} value @param {any} warning */
    judge(value, warning) {
        clearTimeout(this.judging);
        this.judging = setTimeout(async () => {
            const answer = await send('GET', `/dye?value=${encodeURIComponent(value)}`).catch(() => null);
            warning.textContent = answer?.warning ?? '';
        }, 150);
    }

    /** @param {any} topic */
    target(topic) {
        const field = element('input', {
            type: 'number',
            min: 1,
            max: words().limits.target,
            step: 1,
            value: topic.target ?? '',
            id: 'topic-target',
        });
        const keep = () => {
            const given = Math.round(Number(field.value));
            this.set('target', given >= 1 && given <= words().limits.target ? given : null);
        };
        field.addEventListener('keydown', (event) => {
            if (event.key === 'Enter') {
                event.preventDefault();
                keep();
            }
        });
        return element(
            'fieldset',
            { 'data-part': 'target' },
            element('label', { class: 'legend', for: 'topic-target' }, 'Target in words'),
            field,
            element('button', { type: 'button', onclick: keep }, 'Set'),
            element('button', { type: 'button', onclick: () => this.set('target', null) }, 'None'),
        );
    }

    /** The files that hang on a topic. @param {string} id */
    files(id) {
        const box = element('div', { class: 'files' });
        const load = async () => {
            const answer = await send('GET', `${this.outline.page.address}/attachments`).catch(() => null);
            this.attached.draw(box, id, answer?.files[id] ?? [], load);
        };
        load();
        return element('fieldset', { 'data-part': 'files' }, box);
    }

    /** A picture on a topic: chosen from a file, or taken off. @param {string} id @param {any} topic */
    picture(id, topic) {
        const file = element('input', {
            type: 'file',
            accept: 'image/png,image/jpeg,image/webp,image/gif',
            'aria-label': 'Picture',
            hidden: true,
            onchange: () => {
                const chosen = file.files?.[0];
                this.close();
                chosen && putPicture(this.outline.page.session, chosen, id);
            },
        });
        return this.group(
            'Picture',
            'picture',
            file,
            element('button', { type: 'button', onclick: () => file.click() }, topic.picture ? 'Another…' : 'Choose…'),
            element(
                'button',
                {
                    type: 'button',
                    onclick: () => {
                        this.close();
                        new PictureFinder(this.outline.page.session, id).open();
                    },
                },
                'Find…',
            ),
            topic.picture && element('button', { type: 'button', onclick: () => this.set('picture', null) }, 'Take it off'),
        );
    }
}
