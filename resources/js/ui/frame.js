import { labelsOf } from '../state/labels.js';
import { byId } from '../lib/dom.js';
import { clock, counted, figures } from '../lib/counted.js';
import { TRAY } from '../state/plan.js';
import { element } from './element.js';
import { StripBar } from './strip.js';

/** What stands around the views: the plan's title, how far all is saved, undo and redo, words, the strip. */
export class Frame {
    /**
     * @param {import('../sync/session.js').Session} session
     * @param {{go: (id: string) => void, here: () => string | null}} on where a section of the strip leads, and which is the one in hand
     */
    constructor(session, { go, here }) {
        this.session = session;
        this.here = here;
        const { tree } = session;
        this.saved = byId('saved');
        this.title = byId('title-text');
        this.loose = byId('loose');
        this.words = byId('words');
        this.strip = new StripBar(byId('strip'), tree, {
            go,
            move: session.rights.mayWrite ? (ids, place) => session.move(ids, place) : null,
        });
        this.steps = /** @type {['undo' | 'redo', string][]} */ ([
            ['undo', 'Undo'],
            ['redo', 'Redo'],
        ]).map(([which, name]) => ({ which, name, button: byId(which, HTMLButtonElement) }));
        this.steps.forEach(({ which, button }) => button.addEventListener('click', () => session[which]()));
        byId('plan-menu').addEventListener('beforetoggle', () => this.drawMenu());
    }

    draw() {
        const { tree, queue } = this.session;
        this.strip.draw(tree.mainSection(this.here()));
        this.title.textContent = tree.title || 'Untitled';
        const words = tree.target ? `${figures(tree.words)} of ${counted(tree.target, 'word')}` : counted(tree.words, 'word');
        this.words.textContent = words;
        this.loose.textContent = counted(tree.partsOf(TRAY).length, 'loose idea');
        for (const { which, name, button } of this.steps) {
            const says = queue.isEmpty ? tree.steps[which] : which === 'undo' ? '' : null;
            button.disabled = says === null;
            button.setAttribute('aria-label', says ? `${name}: ${says}` : name);
            button.title = says ? `${name}: ${says}` : says === null ? `Nothing to ${which}` : name;
        }
    }

    drawMenu() {
        const { tree, queue } = this.session;
        const { form, target } = tree.properties;
        byId('menu-properties').textContent = form[0].toUpperCase() + form.slice(1) + (target ? `, ${counted(target, 'word')}` : '');
        byId('menu-labels').textContent = [...labelsOf(tree).keys()].slice(0, 3).join(', ');
        byId('menu-changes').textContent = counted(Math.max(0, queue.base - 1), 'change');
    }

    /** How far what was written has arrived. */
    showState() {
        const { queue, turns, isHeld } = this.session;
        const count = queue.pending.length;
        const changes = `${count} ${count === 1 ? 'change' : 'changes'} kept here`;
        /** @type {Record<string, string>} */
        const states = {
            saved: `Saved ${clock(queue.savedAt)}`,
            saving: 'Saving',
            away: `Not connected: ${changes}`,
            'signed-out': `Signed out: ${changes}`,
        };
        // A step that is being taken back is on its way as well.
        const says = states[queue.state === 'saved' && (turns || isHeld) ? 'saving' : queue.state];
        if (this.saved.textContent !== says) {
            this.saved.textContent = says;
        }
        this.saved.classList.toggle('is-waiting', queue.state === 'away' || queue.state === 'signed-out');
        if (queue.state === 'signed-out') {
            const back = (/** @type {{currentTarget: any}} */ { currentTarget }) => {
                currentTarget.href = `/sign-in?to=${encodeURIComponent(location.pathname)}`;
            };
            this.saved.replaceChildren(
                `${states['signed-out']}. `,
                element('a', { href: '/sign-in', class: 'link', onclick: back }, 'Sign in again'),
            );
        }
    }
}
