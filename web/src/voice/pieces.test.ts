import 'fake-indexeddb/auto';
import { expect, test, vi } from 'vitest';

const put = vi.fn();
vi.mock('../api/client', async () => ({
  ...(await vi.importActual<object>('../api/client')),
  api: { PUT: (_path: string, init: { params: { path: { number: number } } }) => init.params.path.number },
  ask: (number: number) => put(number) as Promise<void>,
}));
const { Problem } = await import('../api/client');
const { postOf, settleVoices } = await import('./pieces');

const piece = (number: number, voice = 'one') => ({ block: 'why', voice, number, data: new ArrayBuffer(8) });

test('pieces go in their order, again until the server has them', async () => {
  const sent: number[] = [];
  let away = true;
  put.mockImplementation((number: number) => {
    if (away) return Promise.reject(new TypeError('Failed to fetch'));
    sent.push(number);
    return Promise.resolve();
  });
  const post = postOf('w1');
  expect(postOf('w1')).toBe(post);
  await Promise.all([post.add(piece(2)), post.add(piece(0)), post.add(piece(1))]);
  expect(post.now()).toEqual({ pieces: 3, trouble: '' });
  expect(await settleVoices('w1', 20)).toBe(false);
  away = false;
  window.dispatchEvent(new Event('online'));
  await vi.waitFor(() => expect(post.now().pieces).toBe(0));
  expect(sent).toEqual([0, 1, 2]);
  expect(await settleVoices('w1', 1000)).toBe(true);
});

test('what the server refuses stays here and is told, and holds up nothing else', async () => {
  put.mockImplementation((number: number) =>
    number === 7 ? Promise.reject(new Problem(409, 'You have spoken 10 times here.')) : Promise.resolve(),
  );
  const refused = postOf('w2');
  const heard = vi.fn();
  refused.subscribe(heard);
  await refused.add(piece(7));
  await vi.waitFor(() => expect(refused.now().trouble).toContain('10 times'));
  expect(refused.now().pieces).toBe(1);
  expect(heard).toHaveBeenCalled();
  await refused.add(piece(1, 'a later one'));
  await vi.waitFor(() => expect(put).toHaveBeenLastCalledWith(1));
  await vi.waitFor(() => expect(refused.now()).toEqual({ pieces: 1, trouble: 'You have spoken 10 times here.' }));
  expect(await settleVoices('w2', 1000)).toBe(false);
  const other = postOf('w3');
  await other.add(piece(0, 'two'));
  await vi.waitFor(() => expect(other.now().pieces).toBe(0));
});

test('who is signed out sends the same again later', async () => {
  put.mockImplementation(() => Promise.reject(new Problem(401, 'Sign in again.')));
  const post = postOf('w4');
  await post.add(piece(0));
  await vi.waitFor(() => expect(post.now().trouble).toBe('Sign in again.'));
  put.mockImplementation(() => Promise.resolve());
  expect(await settleVoices('w4', 1000)).toBe(true);
  expect(post.now()).toEqual({ pieces: 0, trouble: '' });
});
