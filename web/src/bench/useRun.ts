import { useCallback, useEffect, useRef, useState } from 'react';
import { openRun, type Action, type Manifest, type Run, type SettingValues, type StopAt } from '../core';

/** Longest stretch of wall time that one frame makes up for, so that a hidden tab doesn't leap ahead. */
const LONGEST_FRAME = 0.1;

/** A live run: plays at the display's rate, steps, seeks, and takes actions. */
export function useRun(m: Manifest, settings: SettingValues) {
  const run = useRef<Run>(null!);
  if (run.current === null) run.current = openRun(m.id, settings, 1);
  const [, setTick] = useState(0);
  const [playing, setPlaying] = useState(false);
  const [speed, setSpeed] = useState(1);
  const [stopped, setStopped] = useState(false);
  const show = useCallback(() => setTick((t) => t + 1), []);

  useEffect(() => {
    if (!playing) return;
    let last = performance.now();
    let handle = requestAnimationFrame(function frame(now) {
      const seconds = Math.min(LONGEST_FRAME, Math.max(0, (now - last) / 1000));
      last = now;
      if (run.current.advance(seconds * speed * m.speed)) {
        // No further frame: it would run past the place before React has heard of the stop.
        setPlaying(false);
        setStopped(true);
        show();
        return;
      }
      show();
      handle = requestAnimationFrame(frame);
    });
    return () => cancelAnimationFrame(handle);
  }, [playing, speed, m, show]);

  const play = useCallback((on: boolean) => { setStopped(false); setPlaying(on); }, []);
  const restart = useCallback((next: SettingValues) => {
    run.current = openRun(m.id, next, 1);
    setPlaying(false);
    setStopped(false);
    show();
  }, [m, show]);
  const seek = useCallback((time: number) => {
    setPlaying(false);
    setStopped(false);
    run.current.seek(Math.max(0, time));
    show();
  }, [show]);
  const act = useCallback((action: Action) => {
    const answer = run.current.act(action);
    show();
    return answer.error;
  }, [show]);
  const stopAt = useCallback((condition: StopAt | null) => {
    run.current.clearStop();
    const error = condition ? run.current.stopAt(condition).error : undefined;
    if (condition && !error) play(true);
    return error;
  }, [play]);

  return { run: run.current, playing, play, speed, setSpeed, restart, seek, act, stopAt, stopped };
}

export type LiveRun = ReturnType<typeof useRun>;
