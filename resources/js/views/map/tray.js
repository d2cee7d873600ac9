import { byId, firstOf } from '../../lib/dom.js';
import { follow, isDrag } from '../../lib/pressing.js';
import { element } from '../../ui/element.js';
import { TRAY } from '../../state/plan.js';

/** The loose ideas at the edge of the map: from there they are dragged into the tree. */
export class Tray {
    /** @param {import('./map.js').MapView} map */
    constructor(map) {
        this.map = map;
        this.side = byId('map-tray');
        this.list = firstOf(this.side, 'ul');
        firstOf(this.side, '[data-close-tray]').addEventListener('click', () => this.toggle(false));
    }

    toggle(isOpen = this.side.hidden) {
        this.side.hidden = !isOpen;
        this.draw();
    }

    open() {
        this.toggle(true);
    }

    draw() {
        if (this.side.hidden) {
            return;
        }
        const { tree } = this.map;
        const ideas = tree.partsOf(TRAY).filter((id) => !tree.get(id).spot);
        this.list.replaceChildren(
            ...ideas.map((id) => {
                const inside = tree.branch(id).length - 1;
                const topic = tree.get(id);
                return element(
                    'li',
                    {},
                    element(
                        'button',
                        {
                            type: 'button',
                            class: 'idea',
                            onpointerdown: (/** @type {PointerEvent} */ event) => this.press(event, id),
                            onclick: () => this.mark(id),
                            'aria-label': `Loose idea: ${topic.title || 'Untitled'}`,
                        },
                        topic.title || 'Untitled',
                        inside ? element('small', {}, ` ${inside} inside`) : null,
                    ),
                    element(
                        'button',
                        {
                            type: 'button',
                            class: 'plain',
                            'aria-label': `Put “${topic.title || 'Untitled'}” in the plan…`,
                            onclick: () => this.map.outline.elsewhere.moveTo([id]),
                        },
                        'Put…',
                    ),
                );
            }),
        );
        firstOf(this.side, '.hint').hidden = ideas.length > 0;
    }

    /** @param {PointerEvent} event @param {string} id */
    press(event, id) {
        if (event.button !== 0 || !this.map.page.session.rights.mayWrite) {
            return;
        }
        const stop = follow(event, {
            move: (e) => {
                if (isDrag(event, e)) {
                    stop.abort();
                    this.map.hands.take(e, id);
                }
            },
        });
    }

    /** @param {string} id */
    mark(id) {
        this.map.page.tell(`Loose idea: ${this.map.tree.get(id)?.title}`);
    }
}
