import { afterEach, expect, test, vi } from 'vitest';
import { askEarly, takeEarly } from './early';

const get = (path: string) => new Request(new URL(path, location.origin));
afterEach(() => vi.unstubAllGlobals());

test('what was asked for early is taken once, and only by whoever asks for the same', async () => {
  const asked = vi.fn(() => Promise.resolve(new Response('early')));
  vi.stubGlobal('fetch', asked);
  askEarly('/api/me');
  expect(takeEarly(get('/api/other'))).toBeUndefined();
  expect(takeEarly(new Request(new URL('/api/me', location.origin), { method: 'DELETE' }))).toBeUndefined();
  expect(await (await takeEarly(get('/api/me')))?.text()).toBe('early');
  expect(takeEarly(get('/api/me'))).toBeUndefined();
  expect(asked).toHaveBeenCalledTimes(1);
});

test('what was refused early is asked for again: somebody may have signed in since', async () => {
  const answers = [new Response('', { status: 401 }), new Response('yours')];
  vi.stubGlobal('fetch', () => Promise.resolve(answers.shift()));
  askEarly('/api/works/1');
  expect(await (await takeEarly(get('/api/works/1')))?.text()).toBe('yours');
});

test('without the network early, whoever takes it hears of it', async () => {
  vi.stubGlobal('fetch', () => Promise.reject(new TypeError('gone')));
  askEarly('/api/me');
  await expect(takeEarly(get('/api/me'))).rejects.toThrow('gone');
});
