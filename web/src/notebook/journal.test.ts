import 'fake-indexeddb/auto';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { Journal } from './journal';
import { outbox } from './outbox';

interface Sent { id: string; block: string; slot: string; value: { text: string } }

let work = 0;
let server: Map<string, Sent>;
let network: 'up' | 'down' | 'answer lost' | 'refusing';
let journal: Journal;

beforeEach(async () => {
  server = new Map();
  network = 'up';
  document.cookie = 'XSRF-TOKEN=t';
  vi.stubGlobal('fetch', async (request: Request) => {
    if (network === 'down') throw new TypeError('no network');
    const { entries } = (await request.json()) as { entries: Sent[] };
    if (network === 'refusing') return Response.json({ detail: 'handed in' }, { status: 409 });
    entries.forEach((e) => { if (!server.has(e.id)) server.set(e.id, e); });
    if (network === 'answer lost') throw new TypeError('cut off');
    return Response.json(entries.map((e) => ({ id: e.id, kept: true })));
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
  const add = (text: string) => outbox.add('w', [{ block: 'why', slot: 'answer', value: { text }, time: '' }]);
  const waiting = async () => (await outbox.of('w')).map((e) => e.value.text);
  for (const text of ['a', 'ab', 'abc']) await add(text);
  expect(await waiting()).toEqual(['abc']);
  expect(await outbox.take('w', 10)).toHaveLength(1);
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
  await until(() => expect(journal.kept()).toEqual({ state: 'trouble', waiting: 1, reason: 'handed in' }));
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
