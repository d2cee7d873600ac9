import { meanwhile } from '../lib/meanwhile.js';

/**
 * Takes a step back, or brings one back.
 * @param {import('./session.js').Session} session @param {'undo' | 'redo'} which @param {string} nothing what is said where there is none
 */
export async function stepBack(session, which, nothing) {
    const { on, queue, tree } = session;
    const isUnmoved = meanwhile();
    on.stepping();
    await queue.flush();
    if (!queue.isEmpty) {
        on.say('Not connected: undo works again once the changes kept here are saved.');
        return;
    }
    const says = tree.steps[which];
    const answer = await session.sent(which, {});
    if (!answer) {
        return;
    }
    if (answer.nothing) {
        on.say(nothing);
        return;
    }
    on.stepped(which, answer, says, isUnmoved());
}
