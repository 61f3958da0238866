import { act, cleanup, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { Tree } from './tree';
import { useDraft } from './useDraft';

/** A server that keeps one lab, as the real one does: a save names the state it changed. */
class Kept {
  number = 1;
  sheet: Tree = { title: 'A' };
  down = false;
  puts: Tree[] = [];

  answer = () => ({ number: this.number, version: 0, changed: true, sheet: this.sheet, models: [], faults: [] });

  put = async ({ sheet, seen }: { sheet: Tree; seen: number }) => {
    await Promise.resolve();
    if (this.down) throw new Error('The server can’t be reached.');
    if (seen !== this.number) throw new Error('This lab was changed in another window.');
    this.puts.push(sheet);
    this.number++;
    this.sheet = sheet;
    return this.answer();
  };
}

vi.mock('../api/client', () => ({
  api: { PUT: (_path: string, { body }: { body: Parameters<Kept['put']>[0] }) => server.put(body) },
  ask: (answer: unknown) => answer,
}));

let server: Kept;
const open = () => renderHook(() => useDraft('lab', server.answer() as Parameters<typeof useDraft>[1]));
const pause = () => act(() => vi.advanceTimersByTimeAsync(1000));

beforeEach(() => {
  vi.useFakeTimers();
  server = new Kept();
});
afterEach(() => {
  cleanup();
  vi.useRealTimers();
});

test('it is kept once nothing more is typed, and what was typed meanwhile goes after it', async () => {
  const { result } = open();
  act(() => result.current.change({ title: 'B' }));
  act(() => result.current.change({ title: 'BC' }));
  expect(server.puts).toEqual([]);
  await pause();
  expect(server.puts).toEqual([{ title: 'BC' }]);
  expect(result.current.state).toBe('kept');
  act(() => result.current.undo!());
  expect(result.current.sheet).toEqual({ title: 'B' });
  await pause();
  expect(server.sheet).toEqual({ title: 'B' });
});

test('whoever leaves before the pause is over loses nothing', async () => {
  const { result, unmount } = open();
  act(() => result.current.change({ title: 'typed last' }));
  unmount();
  await pause();
  expect(server.sheet).toEqual({ title: 'typed last' });
});

test('a page that was only read sends nothing when it is left', async () => {
  const { unmount } = open();
  unmount();
  await pause();
  expect(server.puts).toEqual([]);
});

test('without the network it says so, keeps the words, and sends them when it is back', async () => {
  const { result } = open();
  server.down = true;
  act(() => result.current.change({ title: 'offline' }));
  await pause();
  expect(result.current.state).toBe('trouble');
  expect(result.current.error).toBeTruthy();
  await act(async () => expect(await result.current.settle()).toBe(false));
  expect(result.current.sheet).toEqual({ title: 'offline' });
  server.down = false;
  act(() => void window.dispatchEvent(new Event('online')));
  await pause();
  expect(server.sheet).toEqual({ title: 'offline' });
  expect(result.current.state).toBe('kept');
});

test('what another window wrote stays there, and what is written here stays here', async () => {
  const { result } = open();
  server.number = 7;
  act(() => result.current.change({ title: 'mine' }));
  await pause();
  expect(result.current.state).toBe('trouble');
  expect((result.current.error as Error).message).toContain('another window');
  expect(result.current.sheet).toEqual({ title: 'mine' });
  expect(server.sheet).toEqual({ title: 'A' });
});
