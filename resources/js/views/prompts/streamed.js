import { reason, headers } from '../../lib/http.js';

/**
 * Asks for an answer that comes line by line, each line JSON: `text` is a piece of it, the last line says how it ended.
 * @param {string} address
 * @param {object} body
 * @param {AbortSignal} signal
 * @param {(piece: string) => unknown} came
 * @returns {Promise<Record<string, any>>} the last line; `failed` where it did not come to its end
 */
export async function streamed(address, body, signal, came) {
    try {
        const response = await fetch(address, { method: 'POST', headers: headers(), body: JSON.stringify(body), signal });
        if (!response.ok || !response.body) {
            const told = await response.json().catch(() => null);
            return { failed: told?.message ?? 'It could not be sent.' };
        }
        const reader = response.body.pipeThrough(new TextDecoderStream()).getReader();
        let open = '';
        for (let part = await reader.read(); !part.done; part = await reader.read()) {
            const lines = (open + part.value).split('\n');
            open = lines.pop() ?? '';
            for (const line of lines.filter(Boolean).map((one) => JSON.parse(one))) {
                if (line.text) {
                    came(line.text);
                } else if (line.failed || line.id) {
                    return line;
                }
            }
        }
        return { failed: 'The answer broke off in its middle. Nothing was kept.' };
    } catch (error) {
        return { failed: signal.aborted ? 'Stopped. Nothing was kept.' : reason(error) };
    }
}
