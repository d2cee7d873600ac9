// People at work in their plans, over the network: each change is sent until it is acknowledged, as a page does, and a stream of news is held
// open. Ends at SIGTERM, when all that was under way has been acknowledged, and writes down what was.
// usage: node people.mjs ADDRESS PEOPLE.json ACKNOWLEDGED.json [pace in ms] [how many] [seconds]
import { readFileSync, writeFileSync } from 'node:fs';
import { get } from 'node:https';
import { Person, quantile, ulid, wait } from '../../bench/person.mjs';

const [, , address, file, kept, pace = '5000', many = '0', seconds = '0'] = process.argv;
const PACE = Number(pace);
/** Between two tries; a page waits three seconds. */
const AGAIN = 1000;
/** In ms: longer than any answer takes; after that a request is as one that did not arrive. */
const PATIENCE = 15_000;
/** So long a line may say nothing; the stream gives a sign of life more often. */
const SILENCE = 45_000;
/** In ms: so long may a piece of work take to end, whatever becomes of it. */
const LONGEST = 180_000;

let isOver = false;
let isClosed = false;
process.on('SIGTERM', () => (isOver = true));
const acknowledged = [];
const tally = { times: [], tries: 0, failed: {}, refused: 0, signedOut: 0, opened: 0, heard: 0, works: { done: 0, failed: 0, stuck: 0 } };

class Worker extends Person {
    async ask(...asked) {
        return Promise.race([super.ask(...asked), wait(PATIENCE).then(() => ({ status: 0, text: '' }))]).catch(() => ({ status: 0, text: '' }));
    }

    /** Signed in, with the page of the plan, however long that takes. */
    async comeIn(plan) {
        for (;;) {
            try {
                return await this.open(plan);
            } catch {
                await wait(AGAIN);
            }
        }
    }

    /** Sends until it is acknowledged; how long that took, in ms. */
    async send(change) {
        const start = performance.now();
        for (;;) {
            tally.tries++;
            const { id, step, type, topic, title, at, topics } = change;
            const operation = type === 'add' ? { id, step, type, at, topics } : { id, step, type, topic, title };
            const answer = await this.ask('POST', `/plans/${this.plan.id}/operations`, { base: this.base, operations: [operation] });
            let told = null;
            try {
                told = answer.status === 200 ? JSON.parse(answer.text) : null;
            } catch {
                // Cut off amid the answer.
            }
            if (told) {
                this.base = told.revision;
                if (told.refused.length) {
                    tally.refused++;
                    tally.why = told.refused[0];
                } else {
                    acknowledged.push({ plan: this.plan.id, id, at: Date.now(), ...(type === 'add' ? { adds: topics[0].id } : { topic, title }) });
                }
                return performance.now() - start;
            }
            tally.failed[answer.status] = (tally.failed[answer.status] ?? 0) + 1;
            if (answer.status === 401 || answer.status === 419) {
                tally.signedOut++;
                this.cookies.clear();
                await this.comeIn(this.plan);
            }
            await wait(AGAIN * (0.5 + Math.random()));
        }
    }

    async write(until) {
        await wait(Math.random() * PACE);
        for (let i = 0; !isOver && Date.now() < until; i++) {
            const topic = this.plan.topics[i % this.plan.topics.length];
            const change = { id: ulid(), step: ulid() };
            const one =
                i % 3 === 2
                    ? { ...change, type: 'add', at: { parent: topic, after: null }, topics: [{ id: ulid(), title: `Added ${i}` }] }
                    : { ...change, type: 'retitle', topic, title: `Title ${i} of ${this.email}` };
            const took = await this.send(one);
            tally.times.push(took);
            await wait(Math.max(0, PACE * (0.5 + Math.random()) - took));
        }
    }

    /** Holds a line of news open, and opens another when it breaks. */
    async listen(page) {
        const data = JSON.parse(/id="plan-data">(.*?)<\/script>/s.exec(page.text)[1]);
        this.page = ulid().slice(-12);
        const connect = () => {
            if (isClosed) {
                return;
            }
            const request = (this.line = get(`${data.stream}&page=${this.page}`, (answer) => {
                if (answer.statusCode !== 200) {
                    answer.resume();
                    lost();
                    return;
                }
                tally.opened++;
                this.hears = true;
                answer.on('data', (bytes) => {
                    tally.heard += `${bytes}`.split('event: news').length - 1;
                });
                answer.on('close', lost);
            }));
            let isLost = false;
            const lost = () => {
                if (!isLost) {
                    isLost = true;
                    this.hears = false;
                    setTimeout(connect, 1500 * (0.5 + Math.random()));
                }
            };
            request.setTimeout(SILENCE, () => request.destroy());
            request.on('error', lost);
        };
        connect();
    }

    /** Has documents made, one after the other: each is done, or is said to have failed. */
    async handOver() {
        while (!isOver) {
            const begun = await this.ask('POST', `/plans/${this.plan.id}/hand-over/task`, { format: 'docx' });
            if (begun.status !== 200) {
                await wait(AGAIN);
                continue;
            }
            const path = new URL(JSON.parse(begun.text).address).pathname;
            const start = Date.now();
            for (let state = ''; state !== 'done' && state !== 'failed'; ) {
                await wait(500);
                const answer = await this.ask('GET', path);
                state = answer.status === 200 ? JSON.parse(answer.text).state : state;
                if (answer.status === 401) {
                    this.cookies.clear();
                    await this.comeIn(this.plan);
                }
                if (Date.now() - start > LONGEST) {
                    tally.works.stuck++;
                    break;
                }
                state === 'done' || state === 'failed' ? tally.works[state]++ : null;
            }
            await wait(1500);
        }
    }
}

const all = JSON.parse(readFileSync(file, 'utf8')).slice(0, Number(many) || undefined);
const people = [];
for (const one of all) {
    const person = await new Worker(address, one.email).comeIn({ id: one.plan, topics: one.topics });
    await person.listen(await person.ask('GET', `/plans/${one.plan}`));
    people.push(person);
}
console.error(`${people.length} people are in.`);
const until = Number(seconds) ? Date.now() + Number(seconds) * 1000 : Infinity;
const works = Number(seconds) ? [] : people.slice(0, 2).map((person) => person.handOver());
await Promise.all([...people.map((person) => person.write(until)), ...works]);
// Whoever lost the line has it again by now, or will have it in a moment.
for (let i = 0; i < 60 && people.some((person) => !person.hears); i++) {
    await wait(500);
}
const deaf = people.filter((person) => !person.hears).length;
isClosed = true;
people.forEach((person) => person.line.destroy());
writeFileSync(kept, JSON.stringify(acknowledged));
const { times, ...rest } = tally;
console.log(
    JSON.stringify({
        changes: acknowledged.length, p50: Math.round(quantile(times, 0.5)), p95: Math.round(quantile(times, 0.95)), most: Math.round(Math.max(...times)),
        ...rest, 'lines that did not come back': deaf,
    }),
);
process.exit(0);
