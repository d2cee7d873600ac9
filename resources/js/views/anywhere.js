import { around, byId } from '../lib/dom.js';
import { newId } from '../lib/ids.js';
import { actionFor } from '../lib/keys.js';
import { ROOT, TRAY } from '../state/plan.js';
import { always } from '../commands/commands.js';
import { say, tell } from '../ui/toast.js';
import { Going } from './going.js';

/** View → the places of the table of commands in which one is there. @type {Record<string, string[]>} */
export const PLACES = {
    outline: ['row'],
    map: ['map', 'row'],
    gather: ['gather-idea'],
    draft: ['draft'],
    'sorting-out': ['research'],
    check: ['check'],
    schedule: ['schedule'],
    film: ['film'],
};

/** What can be done anywhere on the page of a plan, and the line that catches ideas. */
export class Anywhere extends Going {
    /** An idea, or several lines of them, into the tray. @param {any} topics */
    catch(topics, parent = TRAY) {
        this.perform({ type: 'add', at: this.tree.lastPlace(parent), topics });
        tell(topics.length === 1 ? `Caught: ${topics[0].title}` : `Caught ${topics.length} ideas`);
    }

    /** @param {KeyboardEvent} event */
    caught(event) {
        if (event.key === 'Enter' && !event.isComposing && /** @type {HTMLInputElement} */ (event.target).value.trim()) {
            event.preventDefault();
            this.catchTyped(event.target);
        }
    }

    /** @param {any} field */
    catchTyped(field) {
        const title = field.value.trim();
        field.value = '';
        this.catch([{ id: newId(), title }]);
    }

    provide() {
        const { data, outline } = this;
        const to = (/** @type {any} */ view) => always(() => this.show(view));
        this.commands.provide('anywhere', {
            undo: always(() => this.undo()),
            redo: always(() => this.redo()),
            catch: always(() => byId(this.view === 'gather' ? 'gather-input' : 'catch').focus()),
            find: always(() => this.find.open()),
            findNext: always(() => this.find.step(1)),
            findBefore: always(() => this.find.step(-1)),
            whenSaved: always(() => {
                this.queue.flush();
                say(
                    this.queue.isEmpty
                        ? `Everything is saved as you type, last at ${this.queue.savedAt.toLocaleTimeString('en-GB')}.`
                        : 'It is being saved now.',
                );
            }),
            outwards: always(({ event }) => {
                // A note across the whole page comes beside the plan: behind it there is nothing to go to.
                this.note.isWide && this.note.widen(false);
                this.find.holds(event?.target) ? this.find.close() : this.views.now.outwards(/** @type {Event} */ (event));
            }),
            goGather: to('gather'),
            goOutline: to('outline'),
            goMap: to('map'),
            goDraft: to('draft'),
            goSources: to('sources'),
            goResearch: to('sorting-out'),
            goCheck: to('check'),
            goSchedule: to('schedule'),
            goFilm: to('film'),
            present: always(() => this.leaveFor(`${this.address}/present`)),
            chooseRules: always(async () => (await this.views.loaded('check'))?.rules.open()),
            addTopic: always(() => {
                this.show(this.view === 'map' ? 'map' : 'outline');
                outline.addAtEnd();
            }),
            properties: always(() => this.properties.open()),
            labels: always(() => this.labels.open()),
            openingNote: always(() => this.openOpening()),
            bringInText: always(() => this.leaveFor(`/intake?into=${data.plan}`)),
            bringInPlan: always(() => outline.elsewhere.bringIn()),
            showHistory: always(() => this.leaveFor(`${this.address}/history`)),
            comment: always(() => this.talk.say()),
            comments: always(() => this.talk.toggle()),
            votes: always(() => this.votes.open()),
            share: always(() => this.sharing.open()),
            keepVersion: always(() => this.version.open()),
            keepPattern: always(() => this.patterns.keep(ROOT)),
            setPattern: always(() => this.patterns.set(ROOT)),
            prompts: always(async () => (await this.prompts()).toggle()),
            askNext: always(() => this.questions.open(null)),
            handOver: always(() => this.leaveFor(`${this.address}/hand-over`)),
            allPlans: always(() => this.leaveFor('/plans')),
            showKeys: always(() => this.keys.open()),
        });
    }

    /** @param {Event} event */
    pressed(event) {
        const action = actionFor(event, 'anywhere');
        if (!action || document.querySelector('dialog[open], :popover-open')) {
            return;
        }
        if (action === 'undo' || action === 'redo') {
            if (
                around(event, 'input:not(.title-input, #gather-input:placeholder-shown), textarea, select') ||
                (around(event, '.ProseMirror') && this.canStepIn(event.target, action))
            ) {
                return;
            }
        }
        event.preventDefault();
        this.commands.run('anywhere', action, { event });
    }

    /** Whether the editor that an element stands in has an undo or redo of its own left. @param {any} element @param {any} which */
    canStepIn(element, which) {
        return [...this.desk.editors].some((editor) => editor.editor.view.dom.contains(element) && editor.canStep(which));
    }
}
