import { act, renderHook } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import { manifestOf } from '../core';
import { onAPage } from '../ui/page.fixture';
import { useBench } from './useBench';

onAPage();

const spring = await manifestOf('hanging-spring');

afterEach(() => vi.useRealTimers());

test('a run is kept as it stops, and once when stepping through it rests', () => {
  vi.useFakeTimers();
  const keep = vi.fn();
  const { result } = renderHook(() => useBench(spring, { trials: [], keep }));
  act(() => result.current.live.play(true));
  act(() => void vi.advanceTimersByTime(100));
  expect(keep).not.toHaveBeenCalled();
  act(() => result.current.live.play(false));
  const head = result.current.live.sides[0].run.head();
  expect(head).toBeGreaterThan(0);
  expect(keep).toHaveBeenCalledExactlyOnceWith(expect.objectContaining({ number: 1, until: head }));
  for (let i = 1; i <= 5; i++) {
    act(() => result.current.live.seek(head + i * spring.interval));
    act(() => void vi.advanceTimersByTime(100));
  }
  expect(keep).toHaveBeenCalledOnce();
  act(() => void vi.advanceTimersByTime(1000));
  expect(keep).toHaveBeenCalledTimes(2);
});
