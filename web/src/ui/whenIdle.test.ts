import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { fetchAhead } from './whenIdle';

let rests: (() => void)[] = [];

/** The page comes to rest once. */
async function rest() {
  rests.shift()?.();
  for (let i = 0; i < 5; i++) await Promise.resolve();
}

beforeEach(() => {
  rests = [];
  vi.stubGlobal('requestIdleCallback', (what: () => void) => rests.push(what));
});
afterEach(() => vi.unstubAllGlobals());

test('what may be asked for later is fetched one at a time, each in a moment of rest', async () => {
  const asked: string[] = [];
  let come = () => {};
  fetchAhead([
    () => {
      asked.push('first');
      return new Promise<void>((then) => (come = then));
    },
    async () => void asked.push('second'),
  ]);
  expect(asked).toEqual([]);
  await rest();
  expect(asked).toEqual(['first']);
  await rest();
  expect(asked).toEqual(['first']);
  come();
  await rest();
  await rest();
  expect(asked).toEqual(['first', 'second']);
});

test('what cannot be had holds up nothing after it', async () => {
  const asked: string[] = [];
  fetchAhead([() => Promise.reject(new Error('gone')), async () => void asked.push('second')]);
  await rest();
  await rest();
  expect(asked).toEqual(['second']);
});

test('a browser that cannot tell that it rests fetches all the same', async () => {
  vi.unstubAllGlobals();
  vi.useFakeTimers();
  try {
    const kept = window.requestIdleCallback;
    delete (window as Partial<Window>).requestIdleCallback;
    const asked: string[] = [];
    fetchAhead([async () => void asked.push('first'), async () => void asked.push('second')]);
    await vi.advanceTimersByTimeAsync(1000);
    expect(asked).toEqual(['first', 'second']);
    if (kept) window.requestIdleCallback = kept;
  } finally {
    vi.useRealTimers();
  }
});
