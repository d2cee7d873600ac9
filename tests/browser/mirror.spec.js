import { expect } from '@playwright/test';
import { newId } from '../../resources/js/lib/ids.js';
import { fromText, toText } from '../../resources/js/lib/lines.js';
import { know } from '../../resources/js/lib/vocabulary.js';
import { ROOT, TRAY, Tree } from '../../resources/js/state/plan.js';
import { planOf, test } from './writer.js';

const ROUNDS = 120;

const dataOf = (page) => page.evaluate(async () => JSON.parse(new DOMParser().parseFromString(await (await fetch(location.href, { cache: 'no-store' })).text(), 'text/html').getElementById('plan-data').textContent));

/** What a page would show of a tree. */
function shown(tree) {
    const lines = [];
    for (const home of [ROOT, TRAY]) {
        for (const { id, level } of tree.rows(new Set(), home)) {
            const { title, kind, flag, target, label } = tree.get(id);
            lines.push([level, id, title, kind, flag, target, label, tree.figures.get(id)?.join()].join('|'));
        }
    }
    return lines;
}

const structure = (lines) => lines.map((line) => line.split('|').slice(0, 6).join('|'));

test('what the page shows at once is what the server makes of it, and its answers lead there', async ({ page }) => {
    await planOf(page, 'Mirror', 'A', '\tA1', '\t\tA1a', '\tA2', 'B', '\tB1', 'C', 'D', '\tD1', '\tD2', '\t\tD2a');
    const data = await dataOf(page);
    know(data.vocabulary);
    const tree = new Tree(data);
    let { revision } = data;
    let seed = 11;
    const random = (below) => {
        seed = (seed * 1103515245 + 12345) % 2147483648;
        return seed % below;
    };
    const every = () => [...tree.rows(new Set(), ROOT), ...tree.rows(new Set(), TRAY)].map((row) => row.id);
    const one = () => every()[random(every().length)];
    const some = () => {
        const chosen = new Set([one(), one(), one()]);
        return tree.heads(every().filter((id) => chosen.has(id)));
    };
    const place = (moving = []) => {
        const parents = [ROOT, ...every()].filter((id) => !moving.some((head) => tree.isWithin(id, head)));
        const parent = parents[random(parents.length)];
        const siblings = tree.partsOf(parent).filter((id) => !moving.includes(id));
        return { parent, after: random(3) ? siblings[random(siblings.length || 1)] ?? null : null };
    };
    const makers = [
        () => ({ type: 'add', at: place(), topics: fromText(`New ${random(99)}\n\tpart`) }),
        () => ({ type: 'move', ids: some(), at: null }),
        () => ({ type: 'remove', ids: [one()] }),
        () => ({ type: 'retitle', topic: one(), title: `Title ${random(99)}` }),
        () => { const id = one(); return { type: 'split', topic: id, new: newId(), at: random([...tree.get(id).title].length + 1) }; },
        () => ({ type: 'wrap', ids: some(), new: newId(), title: 'Around' }),
        () => ({ type: 'dissolve', ids: [one()] }),
        () => { const id = one(); return { type: 'copy', new: Object.fromEntries(tree.branch(id).map((under) => [under, newId()])), at: place() }; },
        () => ({ type: 'kind', ids: some(), value: ['section', 'point', 'quote', 'aside'][random(4)] }),
        () => ({ type: 'flag', ids: some(), value: random(2) ? 'key' : null }),
    ];
    for (let round = 0; round < ROUNDS; round++) {
        const operation = makers[every().length < 6 ? 0 : random(makers.length)]();
        operation.at ??= operation.type === 'move' ? place(operation.ids) : undefined;
        tree.mirror(structuredClone(operation));
        const mirrored = structure(shown(tree));
        const answer = await page.evaluate(async ([path, body]) => (await fetch(path, {
            method: 'POST', body: JSON.stringify(body),
            headers: { 'Content-Type': 'application/json', Accept: 'application/json', 'X-CSRF-TOKEN': document.querySelector('meta[name=csrf-token]').content },
        })).json(), [`/plans/${data.plan}/operations`, { base: revision, operations: [{ id: newId(), step: newId(), ...operation }] }]);
        expect(answer.refused, JSON.stringify(operation)).toEqual([]);
        ({ revision } = answer);
        tree.take(answer);
        expect(structure(shown(tree)), `Round ${round}: ${JSON.stringify(operation)} was shown otherwise at first.`).toEqual(mirrored);
        if (round % 10 === 9) {
            expect(shown(tree), `After round ${round} the answers have led elsewhere.`).toEqual(shown(new Tree(await dataOf(page))));
        }
    }
});

test('a title is in the mirror as the server keeps it', () => {
    const tree = new Tree({ figures: {}, topics: [{ id: 'a', parent: ROOT, title: 'A' }] });
    tree.mirror({ type: 'retitle', topic: 'a', title: ' Mud ' });
    tree.mirror({ type: 'retitle', topic: ROOT, title: 'Tide ' });
    expect([tree.get('a').title, tree.title]).toEqual(['Mud', 'Tide']);
});

test('of some topics only those count that stand under no other of them', () => {
    const tree = new Tree({ figures: {}, topics: [['a', ROOT], ['b', 'a'], ['c', 'b'], ['d', ROOT], ['e', TRAY]].map(([id, parent]) => ({ id, parent })) });
    expect(tree.heads(['a', 'c', 'd', 'e'])).toEqual(['a', 'd', 'e']);
    expect(tree.heads(['c', 'b'])).toEqual(['b']);
    expect(tree.heads(['gone', 'd'])).toEqual(['d']);
    expect([tree.stands('c'), tree.home('c') === ROOT, tree.home('e') === TRAY]).toEqual([true, true, true]);
    tree.mirror({ type: 'remove', ids: ['b'] });
    expect([tree.stands('c'), tree.stands('b'), tree.stands('a')]).toEqual([false, false, true]);
});

test('lines become topics and topics lines', () => {
    know({ limits: { title: 1000 } });
    const picture = (topics) => topics.map(({ title, parent }) => [title, topics.find((one) => one.id === parent)?.title ?? null]);
    expect(picture(fromText('A\n  B\n\n    C\n  D\nE'))).toEqual([['A', null], ['B', 'A'], ['C', 'B'], ['D', 'A'], ['E', null]]);
    expect(picture(fromText('- A\n\t* B\n\t• C\n1 D'))).toEqual([['A', null], ['B', 'A'], ['C', 'A'], ['1 D', null]]);
    expect(picture(fromText('    deep first\nA'))).toEqual([['deep first', null], ['A', null]]);
    expect(fromText(' \n\t\n')).toEqual([]);
    const [long] = fromText('x'.repeat(1500));
    expect([long.title.length, long.note[0].content[0].text.length]).toEqual([1000, 500]);
    const tree = new Tree({ figures: {}, topics: [{ id: 'a', parent: ROOT, title: 'A' }, { id: 'b', parent: 'a', title: 'B' }, { id: 'c', parent: ROOT, title: 'C' }] });
    expect(toText(tree, ['a', 'c'])).toBe('A\n\tB\nC');
});
