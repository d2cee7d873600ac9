import { say } from './toast.js';

/**
 * Puts a picture on a topic.
 * @param {import('../sync/session.js').Session} session
 * @param {File} file
 * @param {string | null} id
 */
export async function putPicture(session, file, id) {
    if (!id || !session.tree.get(id)) {
        say('Mark the topic on which the picture is to stand, and try again.');
        return;
    }
    const form = new FormData();
    form.append('picture', file);
    const answer = await session.upload('pictures', form);
    if (answer) {
        session.perform({ type: 'picture', ids: [id], value: answer.picture });
        if (answer.said.length) {
            say(answer.said.join(' '));
        }
    }
}
