import { send } from './http.js';

/**
 * Follows long work until it is done; `tell` hears how far it is. Gives what came of it.
 * @param {string} address @param {(...said: any[]) => void} tell
 */
export async function follow(address, tell) {
    for (let wait = 250; ; wait = Math.min(1500, wait * 1.3)) {
        const task = await send('GET', address);
        tell(task.of ? Math.round((100 * task.done) / task.of) : 0, task.says);
        if (task.state === 'done') {
            return task.result;
        }
        if (task.state === 'failed') {
            throw new Error(task.says);
        }
        await new Promise((resolve) => setTimeout(resolve, wait));
    }
}
