// One who looks at what may be a moment late: the list of plans, the history, a search; some time after they wrote last.
// usage: node reader.mjs ADDRESS PEOPLE.json
import { readFileSync } from 'node:fs';
import { Person, wait } from '../../bench/person.mjs';

const [, , address, file] = process.argv;
const [one] = JSON.parse(readFileSync(file, 'utf8'));
const person = await new Person(address, one.email).open({ id: one.plan });
// So long whoever has written, if only to sign in, reads where it was written.
await wait(11_000);
for (const path of ['/plans', `/plans/${one.plan}/history`, `/plans/${one.plan}/find?text=Section`, '/plan-names', '/plans']) {
    const { status } = await person.ask('GET', path);
    if (status !== 200) {
        throw new Error(`${path} was answered with ${status}.`);
    }
}
