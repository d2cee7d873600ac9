import assert from 'node:assert/strict';
import { test } from 'node:test';
import { browser } from './browser.js';
import { Clock, told } from '../../resources/js/views/present/clock.js';
import { Deck } from '../../resources/js/views/present/deck.js';
import { Screens } from '../../resources/js/views/present/following.js';
import { Player } from '../../resources/js/views/present/player.js';

const line = (text) => [text, '', text, 1, false, ''];
const step = (topic, ...lines) => ({
    topic,
    number: '',
    title: topic,
    main: topic,
    dye: 'woad',
    lines: lines.map(line),
    shots: [],
    level: 1,
});
const show = (choices = {}, steps = [step('opening'), step('clay', 'a', 'b'), step('tide')]) => ({
    title: 'Plan',
    steps,
    seconds: steps.map(() => 30),
    mains: [],
    choices: { one_by_one: true, minutes: 0, ...choices },
    print: '1',
});
const spots = (deck, act, times) => Array.from({ length: times }, () => (act(deck), `${deck.at}.${deck.stop}`));

test('one goes on line by line, then step by step, up to the whole, and the same way back', () => {
    const deck = new Deck(show());
    assert.deepEqual(
        spots(deck, (d) => d.on(), 6),
        ['1.0', '1.1', '1.2', '2.0', '3.0', '3.0'],
    );
    assert.equal(deck.isEnd, true);
    assert.deepEqual(
        spots(deck, (d) => d.back(), 6),
        ['2.0', '1.2', '1.1', '1.0', '0.0', '0.0'],
    );
});

test('where lines do not appear one by one, each step is one press', () => {
    const deck = new Deck(show({ one_by_one: false }));
    assert.deepEqual(
        spots(deck, (d) => d.on(), 3),
        ['1.0', '2.0', '3.0'],
    );
    deck.go(1);
    assert.equal(deck.shown, 2);
});

test('when the steps become others, one stays at the section where one was', () => {
    const deck = new Deck(show());
    deck.go(2);
    deck.take(show({}, [step('opening'), step('new'), step('clay'), step('tide')]));
    assert.equal(deck.step.topic, 'tide');
    deck.take(show({}, [step('opening')]));
    assert.equal(deck.at, 1);
});

test('how long a step stays is shared by its stops, and the planned time is that of all, unless another is', () => {
    const deck = new Deck(show());
    deck.go(1);
    assert.equal(deck.pause, 10);
    assert.equal(deck.planned, 90);
    assert.equal(new Deck(show({ minutes: 5 })).planned, 300);
    deck.go(1, 2);
    assert.equal(deck.share, 50 / 90);
});

test('the clock begins with the first press, warns near its end, and says how much it is over', () => {
    let now = 0;
    const clock = new Clock(() => now);
    now = 5000;
    assert.equal(clock.gone, 0);
    clock.begin();
    now = 65000;
    assert.equal(clock.gone, 60);
    assert.deepEqual(told(60, 600), { says: '1:00 of 10 min', is: '', warns: '' });
    assert.deepEqual(told(550, 600), { says: '9:10 of 10 min', is: 'near', warns: '0:50 left' });
    assert.deepEqual(told(640, 600), { says: '10:40 of 10 min', is: 'over', warns: '0:40 over' });
});

test('it plays by itself up to the end, and faster where one wants it', (t) => {
    t.mock.timers.enable({ apis: ['setTimeout'] });
    const deck = new Deck(show());
    const player = new Player({ pause: () => deck.pause, on: () => deck.on(), isEnd: () => deck.isEnd, changed: () => {} });
    player.start();
    t.mock.timers.tick(30_000);
    assert.deepEqual([deck.at, deck.stop], [1, 0]);
    player.faster(1);
    player.faster(1);
    player.faster(1);
    assert.equal(player.speed, 2);
    t.mock.timers.tick(5_000);
    assert.deepEqual([deck.at, deck.stop], [1, 1]);
    for (let i = 0; i < 20; i++) {
        t.mock.timers.tick(15_000);
    }
    assert.deepEqual([deck.isEnd, player.isPlaying], [true, false]);
});

test('screens elsewhere are told one thing at a time, the newest last; nobody is told when nobody follows', async () => {
    const server = browser();
    let answer;
    server.answer = () => new Promise((resolve) => (answer = resolve));
    const screens = new Screens('/present', () => {});
    const state = (at) => ({ at, stop: 0, dark: false, map: false, begun: null });
    const first = screens.tell(state(1));
    screens.tell(state(2));
    screens.tell(state(3));
    answer({ status: 200, body: { followed: true } });
    await new Promise((after) => setTimeout(after, 5));
    answer({ status: 200, body: { followed: false } });
    await first;
    assert.deepEqual(
        server.requests.map(({ body }) => body.at),
        [1, 3],
    );
    await screens.tell(state(4));
    assert.equal(server.requests.length, 2);
});
