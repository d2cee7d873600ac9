import { readFileSync } from 'node:fs';
import { Person, quantile, ulid, wait } from './person.mjs';

const [, , address, file, seconds] = process.argv;
const plans = JSON.parse(readFileSync(file, 'utf8'));
/** A person makes a change so often, in ms, at moments of their own. */
const PACE = 2000;
const ALONE = 30;

/** One who writes. */
class Writer extends Person {
    /** Writes until the time is over; the times of each saved change, in ms. */
    async write(until, n) {
        const times = [];
        let errors = 0;
        await wait(Math.random() * PACE);
        for (let i = 0; Date.now() < until; i++) {
            const topic = this.plan.topics[(n * 17 + i * 7) % this.plan.topics.length];
            const change = { id: ulid(), step: ulid(), type: 'retitle', topic, title: `Title of ${n}, ${i}` };
            const start = performance.now();
            const answer = await this.ask('POST', `/plans/${this.plan.id}/operations`, { base: this.base, operations: [change] });
            times.push(performance.now() - start);
            const told = answer.status === 200 ? JSON.parse(answer.text) : null;
            errors += told && told.refused.length === 0 ? 0 : 1;
            this.base = told?.revision ?? this.base;
            await wait(Math.max(0, PACE * (0.5 + Math.random()) - (performance.now() - start)));
        }
        return { times, errors };
    }
}

async function round(all, time) {
    const people = [];
    for (const plan of all) {
        for (const email of plan.people) {
            people.push(await new Writer(address, email).open(plan));
        }
    }
    const until = Date.now() + time * 1000;
    const done = await Promise.all(people.map((person, n) => person.write(until, n)));
    const times = done.flatMap((one) => one.times);
    const errors = done.reduce((sum, one) => sum + one.errors, 0);
    const equal = [];
    for (const plan of all) {
        const views = [];
        for (const person of people.filter((one) => one.plan === plan)) {
            views.push(await person.sees());
        }
        equal.push(new Set(views).size === 1);
    }
    return { p95: quantile(times, 0.95), p50: quantile(times, 0.5), count: times.length, errors, isEqual: equal.every(Boolean) };
}

const alone = await round(plans.one, ALONE);
for (const [name, says] of [['all', '50 people in one plan of 1,000 topics'], ['ten', '10 plans with 5 people each']]) {
    const many = await round(plans[name], Number(seconds));
    console.log(
        `${says}, p95 of a saved change: ${(many.p95 / alone.p95).toFixed(2)} times one person alone (${many.p95.toFixed(0)} ms against ${alone.p95.toFixed(0)} ms; ` +
            `median ${(many.p50 / alone.p50).toFixed(2)}); ${many.count} changes, ${many.errors} errors, all pages ${many.isEqual ? 'equal' : 'NOT EQUAL'} at the end`,
    );
}
