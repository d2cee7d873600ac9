import { newId } from '../../lib/ids.js';
import { send } from '../../lib/http.js';
import { ROOT, TRAY } from '../../state/plan.js';

/** Moving to a place that is chosen by number or title, to another plan, and from one. */
export class Elsewhere {
    /** @param {import('./outline.js').Outline} outline */
    constructor(outline) {
        this.outline = outline;
        this.page = outline.page;
        this.choosing = outline.page.choosing;
    }

    /** Asks for a number or some letters of a title, and moves into that topic, before it or after it. @param {string[]} heads */
    moveTo(heads) {
        const { outline, choosing } = this;
        const { tree } = outline;
        const find = choosing.finder((id) => heads.some((head) => tree.isWithin(id, head)));
        const move = (/** @type {import('../../state/topics.js').Place} */ place) => {
            this.choosing.close();
            outline.unfold(place.parent);
            outline.move(heads, place);
            outline.show(heads[0]);
            outline.box.focus({ preventScroll: true });
        };
        const before = (/** @type {{id: string}} */ { id }) => tree.placeOf(id);
        const after = (/** @type {{id: string}} */ { id }) => ({ parent: tree.get(id).parent, after: id });
        choosing.choose('Move to', 'Number, or some letters of a title', (/** @type {any} */ wanted) => {
            return [
                ...find(wanted).map((one) => [
                    { name: `Into ${one.name}`, act: () => move(tree.lastPlace(one.id)) },
                    { name: 'Before', label: `Before ${one.name}`, act: () => move(before(one)) },
                    { name: 'After', label: `After ${one.name}`, act: () => move(after(one)) },
                ]),
                ...(wanted === '' || 'the end of the plan'.includes(wanted)
                    ? [[{ name: 'To the end of the plan', act: () => move(tree.lastPlace(ROOT)) }]]
                    : []),
                ...(wanted === '' || 'loose ideas'.includes(wanted)
                    ? [[{ name: 'To the loose ideas', act: () => move(tree.lastPlace(TRAY)) }]]
                    : []),
            ];
        });
    }

    /** Takes branches to another plan, or copies of them. @param {string[]} heads */
    async toAnotherPlan(heads) {
        const { page } = this;
        const take = async (/** @type {any} */ plan, /** @type {any} */ move) => {
            this.choosing.close();
            await page.queue.flush();
            const answer = await send('POST', `/plans/${plan.id}/copies`, {
                id: newId(),
                base: 0,
                from: page.data.plan,
                topics: heads,
                parent: ROOT,
                last: true,
                move,
            }).catch((error) => page.say(error.message));
            if (answer) {
                await page.ask();
                page.say(`${move ? 'Moved' : 'Copied'} to “${plan.title}”, at its end.`);
            }
        };
        await this.choosing.choosePlan('To another plan', (/** @type {any} */ plan) => [
            { name: `Copy to ${plan.title || 'Untitled'}`, act: () => take(plan, false) },
            { name: 'Move', label: `Move to ${plan.title || 'Untitled'}`, act: () => take(plan, true) },
        ]);
    }

    /** Brings another plan in as a branch, with its notes. */
    async bringIn() {
        const { page } = this;
        const { outline } = page;
        const bring = (/** @type {any} */ plan) => {
            this.choosing.close();
            outline.clipboard.fromPlan(plan.id, [], page.tree.lastPlace(outline.state.isAlone ? outline.start : ROOT));
        };
        await this.choosing.choosePlan('Bring in a plan', (/** @type {any} */ plan) => [
            { name: plan.title || 'Untitled', act: () => bring(plan) },
        ]);
    }
}
