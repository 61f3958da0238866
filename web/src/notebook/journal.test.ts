import 'fake-indexeddb/auto';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { changesOf, inOneEdit } from './edits';
import { Journal } from './journal';
import { outbox } from './outbox';

interface Sent {
  id: string;
  block: string;
  slot: string;
  value: { text: string };
}

let work = 0;
let server: Map<string, Sent>;
let tries: number;
let network: 'up' | 'down' | 'answer lost' | 'refusing' | 'signed out';
let news: { block: string; slot: string; value: object }[];
let verdict: (e: Sent) => { kept: boolean; taken: boolean; reason?: string };
let journal: Journal;

beforeEach(async () => {
  server = new Map();
  tries = 0;
  network = 'up';
  news = [];
  verdict = () => ({ kept: true, taken: false });
  document.cookie = 'XSRF-TOKEN=t';
  vi.stubGlobal('fetch', async (request: Request) => {
    tries++;
    if (network === 'down') throw new TypeError('no network');
    if (request.method === 'GET') return Response.json({ outcomes: [], seen: 9, news });
    const { entries } = (await request.json()) as { entries: Sent[] };
    if (network === 'signed out') return Response.json({}, { status: 401 });
    if (network === 'refusing') return Response.json({ detail: 'handed in' }, { status: 409 });
    entries.forEach((e) => {
      if (!server.has(e.id) && verdict(e).kept) server.set(e.id, e);
    });
    if (network === 'answer lost') throw new TypeError('cut off');
    return Response.json({ outcomes: entries.map((e) => ({ id: e.id, ...verdict(e) })), seen: 0, news });
  });
  journal = await new Journal(`work-${++work}`, {}).open();
});

afterEach(() => {
  journal.close();
  vi.unstubAllGlobals();
});

const texts = () => [...server.values()].map((e) => e.value.text);
const until = (check: () => void) => vi.waitFor(check, { timeout: 5000 });

test('what is typed is there at once, then kept on the server', async () => {
  journal.write('why', 'answer', { text: 'a' });
  expect(journal.read('why', 'answer')).toEqual({ text: 'a' });
  expect(journal.kept().state).toBe('sending');
  await until(() => expect(journal.kept().state).toBe('kept'));
  expect(texts()).toEqual(['a']);
});

test('what was never sent gives way to what is typed after it; what was sent stays', async () => {
  const add = (text: string) => outbox.add('w', 'tab', [{ block: 'why', slot: 'answer', value: { text }, time: '' }]);
  const waiting = async () => (await outbox.of('w')).map((e) => e.value.text);
  for (const text of ['a', 'ab', 'abc']) await add(text);
  expect(await waiting()).toEqual(['abc']);
  expect(await outbox.take('w', 10, 10_000, () => true)).toHaveLength(1);
  await add('abcd');
  expect(await waiting()).toEqual(['abc', 'abcd']);
});

test('without a network it stays on the device and the page says so', async () => {
  network = 'down';
  journal.write('why', 'answer', { text: 'a' });
  await until(() => expect(journal.kept()).toEqual({ state: 'device', waiting: 1 }));
  network = 'up';
  window.dispatchEvent(new Event('online'));
  await until(() => expect(journal.kept().state).toBe('kept'));
  expect(texts()).toEqual(['a']);
});

test('the page says that all is on the device only when it is', async () => {
  network = 'down';
  journal.write('why', 'answer', { text: 'a' });
  await until(() => expect(journal.kept().state).toBe('device'));
  const told: string[] = [];
  const store = outbox.add;
  let go = () => {};
  const slow = vi.spyOn(outbox, 'add').mockImplementation(async (...all) => {
    await new Promise<void>((done) => {
      go = done;
    });
    await store(...all);
  });
  journal.subscribe(() => told.push(journal.kept().state));
  journal.write('why', 'answer', { text: 'ab' });
  const before = tries;
  await until(() => expect(tries).toBeGreaterThan(before + 1));
  expect(new Set(told)).toEqual(new Set(['sending']));
  slow.mockRestore();
  go();
  await until(() => expect(journal.kept()).toEqual({ state: 'device', waiting: 2 }));
});

test('what was not stored yet when the page went is there again', async () => {
  network = 'down';
  const never = vi.spyOn(outbox, 'add').mockImplementation(() => new Promise(() => {}));
  journal.write('why', 'answer', { text: 'the last word' });
  window.dispatchEvent(new Event('pagehide'));
  journal.close();
  never.mockRestore();
  network = 'up';
  journal = await new Journal(journal.work, {}).open();
  expect(journal.read('why', 'answer')).toEqual({ text: 'the last word' });
  await until(() => expect(texts()).toEqual(['the last word']));
  expect(Object.keys(localStorage)).toEqual([]);
});

test.each(['null', '{', '{"writer":"a"}', '{"writer":"a","entries":[null]}', '{"writer":"a","entries":[{"block":1}]}'])(
  'what is odd in the plain store (%s) keeps no notebook from opening',
  async (odd) => {
    journal.close();
    localStorage.setItem(`cauldron-rescue-${journal.work}/a`, odd);
    journal = await new Journal(journal.work, {}).open();
    expect(Object.keys(localStorage)).toEqual([]);
    expect(journal.all()).toEqual({});
  },
);

test('an entry whose answer was lost goes again under the same id', async () => {
  network = 'answer lost';
  journal.write('why', 'answer', { text: 'a' });
  await until(() => expect(journal.kept().state).toBe('device'));
  // What is typed now must not change the entry that the server already has.
  journal.write('why', 'answer', { text: 'ab' });
  network = 'up';
  await until(() => expect(journal.kept().state).toBe('kept'));
  expect(texts()).toEqual(['a', 'ab']);
});

test('a refusal is trouble, and nothing is thrown away', async () => {
  network = 'refusing';
  journal.write('why', 'answer', { text: 'a' });
  await until(() =>
    expect(journal.kept()).toMatchObject({ state: 'trouble', waiting: 1, reason: 'handed in', signedOut: false }),
  );
  expect(await outbox.of(journal.work)).toHaveLength(1);
});

test('who is signed out is told so, and nothing is thrown away', async () => {
  network = 'signed out';
  journal.write('why', 'answer', { text: 'a' });
  await until(() => expect(journal.kept()).toMatchObject({ state: 'trouble', waiting: 1, signedOut: true }));
  expect(await outbox.of(journal.work)).toHaveLength(1);
});

test('a page opened again lays what waits over what the server has', async () => {
  network = 'down';
  journal.write('why', 'answer', { text: 'newer' });
  await until(() => expect(journal.kept().state).toBe('device'));
  journal.close();
  const again = await new Journal(journal.work, { why: { answer: { text: 'older' } } }).open();
  expect(again.read('why', 'answer')).toEqual({ text: 'newer' });
  again.close();
});

test('ten thousand cells are one entry or a few, and lie on the page at once', async () => {
  const changes = Array.from({ length: 10_000 }, (_, i) => ({ slot: `cell/r${i}/L`, value: { text: String(i) } }));
  journal.writeAll('t', [{ slot: 'rows', value: { order: changes.map((_, i) => `r${i}`) } }, ...changes]);
  expect(journal.read('t', 'cell/r9999/L')).toEqual({ text: '9999' });
  await until(() => expect(journal.kept().state).toBe('kept'));
  expect(server.size).toBeLessThanOrEqual(3);
  const again = await new Journal('elsewhere', {}).open();
  expect(inOneEdit(changes).flatMap(changesOf)).toEqual(changes);
  again.close();
});

test('an entry whose id stands for something else goes again under another', async () => {
  const tried: string[] = [];
  verdict = (e) => {
    tried.push(e.id);
    return tried.length <= 2 ? { kept: false, taken: true } : { kept: true, taken: false };
  };
  journal.write('why', 'answer', { text: 'a' });
  await until(() => expect(journal.kept().state).toBe('kept'));
  expect(new Set(tried).size).toBe(2);
  expect(texts()).toEqual(['a']);
});

test('one that is refused for good is put aside to be copied, and the rest goes on', async () => {
  verdict = (e) =>
    e.value.text === 'bad' ? { kept: false, taken: false, reason: 'odd' } : { kept: true, taken: false };
  journal.write('why', 'answer', { text: 'bad' });
  journal.write('how', 'answer', { text: 'good' });
  await until(() => expect(journal.kept().state).toBe('kept'));
  expect(texts()).toEqual(['good']);
  expect(journal.refused).toMatchObject([{ block: 'why', value: { text: 'bad' }, reason: 'odd' }]);
  await journal.forget(journal.refused[0].id);
  expect(await outbox.refused(journal.work)).toEqual([]);
});

test('what another tab wrote in the same place stays in reach, and what it wrote elsewhere appears', async () => {
  news = [
    { block: 'why', slot: 'answer', value: { text: 'theirs' } },
    { block: 'how', slot: 'answer', value: { text: 'elsewhere' } },
  ];
  journal.write('why', 'answer', { text: 'mine' });
  await until(() => expect(journal.kept().state).toBe('kept'));
  news = [];
  expect(journal.read('why', 'answer')).toEqual({ text: 'mine' });
  expect(journal.read('how', 'answer')).toEqual({ text: 'elsewhere' });
  expect(journal.overlaps).toMatchObject([{ block: 'why', theirs: { text: 'theirs' } }]);
  journal.resolve(journal.overlaps[0], true);
  expect(journal.read('why', 'answer')).toEqual({ text: 'theirs' });
});

test('a stale tab hides no rows that another one added', async () => {
  const stale = await new Journal(`work-${++work}`, { t: { rows: { order: ['r1', 'r2'] } } }).open();
  news = [{ block: 't', slot: 'rows', value: { order: ['r1', 'r2', 'r3-b'], issued: 3 } }];
  stale.write('t', 'rows', { order: ['r2', 'r3-a'], issued: 3 });
  await until(() => expect(stale.read('t', 'rows')).toEqual({ order: ['r2', 'r3-a', 'r3-b'], issued: 3 }));
  news = [];
  await until(() => expect(stale.kept().state).toBe('kept'));
  // Untouched, the table follows the other tab.
  news = [{ block: 't', slot: 'rows', value: { order: ['r3-b'], issued: 3 } }];
  window.dispatchEvent(new Event('focus'));
  await until(() => expect(stale.read('t', 'rows')).toMatchObject({ order: ['r3-b'] }));
  stale.close();
});
