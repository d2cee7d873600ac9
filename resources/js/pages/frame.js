import { around, byId, firstOf } from '../lib/dom.js';
import { send } from '../lib/http.js';
import { planMenu } from '../ui/plan-menu.js';
import { say } from '../ui/toast.js';

/** The frame of a plan on the pages beside its views: its menu, and undo and redo, after which the page shows the plan as it is then. */
export function frame() {
    if (!document.getElementById('plan-menu') || document.getElementById('plan-data')) {
        return;
    }
    planMenu(() => false);
    const acts = firstOf(document, '.acts[data-steps]');
    for (const step of ['undo', 'redo']) {
        byId(step).addEventListener('click', () =>
            send('POST', `${acts.dataset.steps}/${step}`, { base: Number(acts.dataset.base) }).then(
                () => location.reload(),
                (error) => say(error.message),
            ),
        );
    }
    document.addEventListener('keydown', (event) => {
        const step =
            (event.ctrlKey || event.metaKey) && !event.altKey && event.key.toLowerCase() === 'z'
                ? event.shiftKey
                    ? 'redo'
                    : 'undo'
                : null;
        if (step && !around(event, 'input, textarea, select, [contenteditable=true]') && !document.querySelector('dialog[open]')) {
            event.preventDefault();
            byId(step).click();
        }
    });
}
