import { Refusal, token } from './http.js';

/**
 * Sends a file up and tells how much of it has gone, from 0 to 100.
 * @param {string} address @param {FormData} form @param {(...said: any[]) => void} tell
 */
export function upload(address, form, tell) {
    return new Promise((resolve, reject) => {
        const request = new XMLHttpRequest();
        request.open('POST', address);
        request.setRequestHeader('Accept', 'application/json');
        request.setRequestHeader('X-CSRF-TOKEN', token());
        request.upload.addEventListener('progress', (event) =>
            tell(event.lengthComputable ? Math.round((100 * event.loaded) / event.total) : 0),
        );
        request.addEventListener('error', () => reject(new Refusal(0, 'The server cannot be reached.')));
        request.addEventListener('load', () => {
            /** @type {Record<string, any>} */
            let answer = {};
            try {
                answer = JSON.parse(request.responseText);
            } catch {
                // An answer without a message: the sentence below says what there is to say.
            }
            const message =
                Object.values(answer.errors ?? {}).flat()[0] ?? answer.message ?? 'The file did not arrive. It may be larger than 64 MB.';
            request.status < 300 ? resolve(answer) : reject(new Refusal(request.status, message, answer));
        });
        request.send(form);
    });
}

/** A file goes up once and waits; gives by what it is found again. @param {File} file @param {(...said: any[]) => void} tell */
export function waiting(file, tell) {
    const form = new FormData();
    form.append('file', file);
    return upload('/intake/files', form, tell);
}
