import { element } from '../../ui/element.js';
import { QuestionList } from '../../ui/question-list.js';

/** Questions about the topic in hand. */
export class Asked {
    follows = true;

    /** @param {import('./panel.js').Prompts} panel */
    constructor(panel) {
        this.panel = panel;
        this.again = element(
            'button',
            { type: 'button', class: 'link', hidden: true, onclick: () => this.list.askAgain() },
            'Ask them all again',
        );
        this.list = new QuestionList(panel.page, element('ul', { class: 'questions' }), {
            says: (text) => panel.say(text),
            told: ({ asked }) => (this.again.hidden = asked === 0),
            empty: () => panel.tabs.find((tab) => tab.tabIndex === 0)?.focus(),
        });
    }

    draw() {
        const { panel } = this;
        panel.say('');
        if (!panel.mayWrite) {
            panel.body.replaceChildren(
                element('p', { class: 'quiet' }, 'You can read this plan: questions are for those who write in it.'),
            );
            return;
        }
        this.list.list.replaceChildren();
        panel.body.replaceChildren(this.list.list, this.again);
        this.list.ask(panel.topic);
    }
}
