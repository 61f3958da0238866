import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import type { Act, Manifest, Run } from '../core';
import { usePaused } from '../ui/paused';
import { latency, makeReady, sound } from './tones';

/** Keys that answer nothing: they move the focus or go with others. */
const OTHER_KEYS = new Set(['Tab', 'Shift', 'Control', 'Alt', 'AltGraph', 'Meta', 'CapsLock', 'Dead']);

/** What a press answers to: the picture and the bar below it bear this. */
export const ANSWERS_HERE = 'data-answers';

const OUT_OF_SIGHT = 'The page went out of sight, so the set was broken off: what it had counts. Begin another one.';

/** The scene as a person's time needs it. */
function sceneOf(m: Manifest, run: Run) {
  const scene = run.scene();
  const isUp = (flag: string) => scene[m.scene.findIndex((f) => f.id === flag)] !== 0;
  return {
    isUp,
    can: (act: Act) => {
      const [flag, value] = act.shownWhen.split('=');
      return !act.shownWhen || isUp(flag) === (value === '1');
    },
  };
}

const CLASS_PAUSES = 'The class paused, so the set was broken off: what it had counts. Begin another one.';

/**
 * A person's time. While it counts it goes on at the wall's own pace, and what is done bears the instant of its input,
 * not that at which the page came to look at it. A cue is shown in the picture in which it is first drawn, or when its
 * tone has left the device; the page says so to the run by an act.
 */
export function useCounting(m: Manifest, runNow: () => Run, show: () => void) {
  const [on, setOn] = useState(false);
  const [trouble, setTrouble] = useState('');
  const began = useRef({ stamp: 0, time: 0 });
  /** The instant at which the cue given last will have been shown; null where none is on its way. */
  const coming = useRef<number | null>(null);
  const acts = useMemo(
    () => ({
      answer: m.acts.find((a) => a.answers),
      shown: m.acts.find((a) => a.cues.length > 0),
      stop: m.acts.find((a) => a.breaksOff),
    }),
    [m],
  );
  const timeOf = (stamp: number) => began.current.time + ((stamp - began.current.stamp) / 1000) * m.speed;
  const perform = useCallback((act: Act) => runNow().act({ type: 'perform', act: act.id }), [runNow]);
  /** What was on its way to the person by an instant has come. */
  const arrive = useCallback(
    (by: number) => {
      if (coming.current === null || coming.current > by) return;
      runNow().seek(timeOf(coming.current));
      perform(acts.shown!);
      coming.current = null;
    },
    [acts, perform, runNow], // eslint-disable-line react-hooks/exhaustive-deps
  );
  const end = useCallback(() => {
    coming.current = null;
    sound(0);
    setOn(false);
    show();
  }, [show]);

  useEffect(() => {
    if (!on) return;
    let handle = requestAnimationFrame(function frame(now) {
      const run = runNow();
      arrive(now);
      run.seek(Math.max(run.time(), timeOf(now)));
      const scene = sceneOf(m, run);
      if (!scene.isUp(m.counting)) {
        end();
        return;
      }
      const given = coming.current === null && scene.can(acts.shown!);
      if (given) {
        const cues = m.scene.filter((f) => acts.shown!.cues.includes(f.id) && scene.isUp(f.id));
        const heard = cues.find((f) => f.hertz > 0);
        if (heard) sound(heard.hertz);
        // Drawn within this picture, not the next: its beginning is the instant that counts.
        flushSync(show);
        coming.current = cues.some((f) => f.hertz === 0) ? now : now + (latency() ?? 0);
        arrive(now);
      } else {
        show();
      }
      handle = requestAnimationFrame(frame);
    });
    return () => cancelAnimationFrame(handle);
  }, [on, m, acts, arrive, end, runNow, show]); // eslint-disable-line react-hooks/exhaustive-deps

  /** An input at an instant answers whatever was shown by then. */
  const answer = useCallback(
    (stamp: number) => {
      const run = runNow();
      arrive(stamp);
      const shownLater = coming.current !== null;
      run.seek(Math.max(began.current.time, timeOf(stamp)));
      const { error } = perform(acts.answer!);
      if (error) return;
      if (shownLater) coming.current = null;
      sound(0);
      show();
    },
    [acts, arrive, perform, runNow, show], // eslint-disable-line react-hooks/exhaustive-deps
  );
  const breakOff = useCallback(
    (why = '') => {
      perform(acts.stop!);
      setTrouble(why);
      end();
    },
    [acts, end, perform],
  );

  const paused = usePaused();
  useEffect(() => {
    if (on && paused) breakOff(CLASS_PAUSES);
  }, [on, paused, breakOff]);

  useEffect(() => {
    if (!on) return;
    const key = (e: KeyboardEvent) => {
      if (OTHER_KEYS.has(e.key) || e.ctrlKey || e.metaKey || e.altKey) return;
      e.preventDefault();
      e.stopPropagation();
      if (e.repeat) return;
      if (e.key === 'Escape') breakOff();
      else answer(e.timeStamp);
    };
    const press = (e: PointerEvent) => {
      // Buttons over the picture, and a second finger or button, are for something else.
      if (e.button !== 0 || !e.isPrimary || !(e.target instanceof Element) || e.target.closest('button')) return;
      if (!e.target.closest(`[${ANSWERS_HERE}]`)) return;
      e.preventDefault();
      answer(e.timeStamp);
    };
    const hidden = () => {
      if (document.hidden) breakOff(OUT_OF_SIGHT);
    };
    window.addEventListener('keydown', key, true);
    window.addEventListener('pointerdown', press, true);
    document.addEventListener('visibilitychange', hidden);
    return () => {
      window.removeEventListener('keydown', key, true);
      window.removeEventListener('pointerdown', press, true);
      document.removeEventListener('visibilitychange', hidden);
      sound(0);
    };
  }, [on, answer, breakOff]);

  /** Time counts from now on. */
  const begin = useCallback(() => {
    makeReady();
    setTrouble('');
    began.current = { stamp: performance.now(), time: runNow().time() };
    coming.current = null;
    setOn(true);
  }, [runNow]);

  return { on, begin, breakOff, trouble };
}

export type Counting = ReturnType<typeof useCounting>;
