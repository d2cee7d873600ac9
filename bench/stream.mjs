import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { connect } from 'node:net';

const PAGES = 1000;
const IDLE = 20;
const [, , sealed, group, address, plan, email, topic] = process.argv;
const url = new URL(sealed);
const wait = (time) => new Promise((after) => setTimeout(after, time));

/** The process itself, in the group that begins it anew. */
const pid = () => Number(execFileSync('sh', ['-c', `pgrep -g ${group} -f 'embrel:stream' | tail -1`]).toString());
const rss = () => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid()}/status`, 'utf8'))[1]) / 1024;
/** Seconds of a core that it has used. */
const used = () => {
    const stat = readFileSync(`/proc/${pid()}/stat`, 'utf8').split(') ')[1].split(' ');
    return (Number(stat[11]) + Number(stat[12])) / 100;
};

let open = 0;
const heard = [];
const sockets = await Promise.all(
    Array.from({ length: PAGES }, async (_, i) => {
        await wait(i * 4);
        return new Promise((done, failed) => {
            const socket = connect(Number(url.port), url.hostname, () =>
                socket.write(`GET ${url.pathname}${url.search}&page=PAGE${String(i).padStart(6, '0')} HTTP/1.1\r\nHost: x\r\n\r\n`),
            );
            socket.on('data', (bytes) => {
                const text = bytes.toString();
                if (text.includes('200 OK')) {
                    open++;
                    done(socket);
                }
                if (text.includes('event: news')) {
                    heard[i] = performance.now();
                }
            });
            socket.on('error', failed);
        });
    }),
);
await wait(3000);
const [before, start] = [used(), performance.now()];
await wait(IDLE * 1000);
const idle = ((used() - before) / ((performance.now() - start) / 1000)) * 100;
const memory = rss();

// One changes a title, in a session of their own.
let cookie = '';
let token = '';
const ask = async (method, path, body = null) => {
    const answer = await fetch(`${address}${path}`, {
        method,
        redirect: 'manual',
        headers: { Accept: 'application/json, text/html', Cookie: cookie, ...(token ? { 'X-CSRF-TOKEN': token } : {}), 'Content-Type': 'application/json' },
        body: body && JSON.stringify(body),
    });
    cookie = answer.headers.getSetCookie().map((one) => one.split(';')[0]).join('; ') || cookie;
    const text = await answer.text();
    token = /name="csrf-token" content="([^"]+)"/.exec(text)?.[1] ?? token;
    return text;
};
await ask('GET', '/sign-in');
await ask('POST', '/sign-in', { email, password: 'a long secret' });
const page = JSON.parse(/id="plan-data">(.*?)<\/script>/s.exec(await ask('GET', `/plans/${plan}`))[1]);
const at = performance.now();
await ask('POST', `/plans/${plan}/operations`, {
    base: page.revision,
    operations: [{ id: '01ARZ3NDEKTSV4RRFFQ69G5FAV', step: '01ARZ3NDEKTSV4RRFFQ69G5FAW', type: 'retitle', topic, title: 'Told to all' }],
});
await wait(4000);
const seen = heard.filter((time) => time > at);
console.log(
    `${open} pages on the stream in one process: ${memory.toFixed(0)} MB, idle ${idle.toFixed(1)} % of a core; a change was with ` +
        `${seen.length} of them, with the last after ${((Math.max(...seen) - at) / 1000).toFixed(2)} s`,
);
sockets.forEach((socket) => socket.destroy());
