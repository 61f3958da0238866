import { act, renderHook, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { useRecorder, type Recorded } from './useRecorder';

const kept: { number: number; voice: string }[] = [];
const add = vi.fn();
vi.mock('./pieces', () => ({ postOf: () => ({ add }) }));

/** A microphone whose pieces come when the test says so. */
class FakeRecorder {
  static isTypeSupported = (type: string) => type.startsWith('audio/ogg');
  static last: FakeRecorder;
  state = 'inactive';
  ondataavailable: (e: { data: Blob }) => void = () => undefined;
  onstop: () => void = () => undefined;
  constructor(
    readonly stream: unknown,
    readonly options: { mimeType: string },
  ) {
    FakeRecorder.last = this;
  }
  start() {
    this.state = 'recording';
  }
  piece(words: string) {
    this.ondataavailable({ data: new Blob([words]) });
  }
  stop() {
    this.state = 'inactive';
    this.piece('end');
    this.onstop();
  }
}
const ended = vi.fn();
const getUserMedia = vi.fn();

beforeEach(() => {
  kept.length = 0;
  ended.mockReset();
  add.mockReset().mockImplementation((piece: { number: number; voice: string }) => {
    kept.push(piece);
    return Promise.resolve();
  });
  getUserMedia.mockReset().mockResolvedValue({ getTracks: () => [{ stop: ended }] });
  vi.stubGlobal('MediaRecorder', FakeRecorder);
  Object.defineProperty(navigator, 'mediaDevices', { value: { getUserMedia }, configurable: true });
});
afterEach(() => {
  vi.unstubAllGlobals();
});

async function recording(longest = 60) {
  const told: Recorded[] = [];
  const hook = renderHook(() => useRecorder('work', 'why', longest, (r) => told.push(r)));
  act(() => hook.result.current.start());
  await waitFor(() => expect(hook.result.current.now.state).toBe('on'));
  return { hook, told };
}

test('pieces are kept in their order, noted on the way, and whole at the end', async () => {
  const { hook, told } = await recording();
  expect(FakeRecorder.last.options.mimeType).toBe('audio/ogg;codecs=opus');
  for (let i = 0; i < 6; i++) act(() => FakeRecorder.last.piece(`piece ${i}`));
  act(() => FakeRecorder.last.piece(''));
  await waitFor(() => expect(told.map((t) => t.pieces)).toEqual([1, 6]));
  act(() => hook.result.current.stop());
  await waitFor(() => expect(hook.result.current.now.state).toBe('idle'));
  expect(kept.map((k) => k.number)).toEqual([0, 1, 2, 3, 4, 5, 6]);
  expect(new Set(kept.map((k) => k.voice)).size).toBe(1);
  expect(told.at(-1)).toMatchObject({ pieces: 7 });
  expect(told.at(-1)?.whole?.size).toBe('piece 0'.length * 6 + 'end'.length);
  expect(ended).toHaveBeenCalledOnce();
});

test('it ends by itself when the time is over, and when the page is left', async () => {
  const short = await recording(0.01);
  await waitFor(() => expect(short.hook.result.current.now.state).toBe('idle'));
  expect(short.told.at(-1)?.seconds).toBe(0.01);
  const left = await recording();
  left.hook.unmount();
  expect(FakeRecorder.last.state).toBe('inactive');
  expect(ended).toHaveBeenCalledTimes(2);
});

test('what can’t be had or kept is told in words, with writing as the way out', async () => {
  getUserMedia.mockRejectedValueOnce(new Error('no'));
  const denied = renderHook(() => useRecorder('work', 'why', 60, () => undefined));
  act(() => denied.result.current.start());
  await waitFor(() => expect(denied.result.current.now).toMatchObject({ state: 'refused' }));
  expect(denied.result.current.now).toHaveProperty('reason', expect.stringMatching(/not allowed .* or write/));

  add.mockRejectedValue(new Error('QuotaExceededError'));
  const { hook, told } = await recording();
  act(() => FakeRecorder.last.piece('lost'));
  await waitFor(() => expect(hook.result.current.now).toMatchObject({ state: 'refused' }));
  expect(hook.result.current.now).toHaveProperty('reason', expect.stringMatching(/can’t be kept.* or write/));
  expect(FakeRecorder.last.state).toBe('inactive');
  expect(told).toEqual([]);

  vi.stubGlobal('MediaRecorder', undefined);
  Reflect.deleteProperty(window, 'MediaRecorder');
  const none = renderHook(() => useRecorder('work', 'why', 60, () => undefined));
  act(() => none.result.current.start());
  expect(none.result.current.now).toHaveProperty('reason', expect.stringMatching(/no microphone.*Write/));
});
