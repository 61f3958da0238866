import { useCallback, useEffect, useRef, useState } from 'react';
import type { Action, Manifest, Recipe, Run, SettingValue, SettingValues, StopAt } from '../core';
import { openFollower, openRun } from '../core/models';
import { usePaused } from '../ui/paused';
import { useCounting } from './useCounting';

/** Longest stretch of wall time that one frame makes up for, so that a hidden tab doesn't leap ahead. */
const LONGEST_FRAME = 0.1;
/** Wall time a frame gives to computing when it is shown faster than it can be computed, in ms. */
export const AT_MOST = 14;

/** How long a run may take to be made up again before it is shown on its way, in ms. */
const AT_ONCE = 150;
/** Frames over which it is looked at whether a run keeps the speed it is asked for. */
const FRAMES_OF_PACE = 40;
/** A run that comes less far than this part of what was asked is told to be slower. */
const SLOWER = 0.85;

/**
 * A run and the settings that rule at the moment shown; in the past, those of then. Where some were typed for the next
 * run, those.
 */
export interface Side {
  settings: SettingValues;
  run: Run;
  seed: number;
  /** Typed, but not to be done to this run: for the next one. */
  next: SettingValues;
}
interface Kept {
  start: SettingValues;
  run: Run;
  seed: number;
  next?: SettingValues;
}
export interface Loop {
  from: number;
  to: number;
}

/**
 * All go on by so many model seconds, or less far where computing them takes longer than a frame has: at thousands of
 * times true speed they are then shown as fast as they can be. Answers the time at which one came to where it should
 * stop, or −1.
 */
function advance(runs: Run[], seconds: number, trueSpeed: number) {
  const slice = trueSpeed / 60;
  const began = performance.now();
  for (let left = seconds; left > 0; left -= slice) {
    const stopped = runs.filter((run) => run.advance(Math.min(left, slice)));
    if (stopped.length) return stopped.at(-1)!.time();
    if (runs.every((run) => run.isOver()) || performance.now() - began > AT_MOST) break;
  }
  return -1;
}

/**
 * One live run, or two side by side under one transport: plays at the display's rate, steps, seeks,
 * loops, stops where it is told, and takes actions.
 */
export function useRuns(m: Manifest, first: SettingValues, seed = 1) {
  const sides = useRef<Kept[]>(null!);
  if (sides.current === null) sides.current = [{ start: first, run: openRun(m.id, first, seed), seed }];
  const [, setTick] = useState(0);
  const [playing, setPlaying] = useState(false);
  const [speed, setSpeed] = useState(1);
  const [stopped, setStopped] = useState(false);
  const [loop, setLoop] = useState<Loop | null>(null);
  /** What it comes to, where a run can't be computed as fast as it is asked for: times true speed. */
  const [pace, setPace] = useState<number | null>(null);
  /** How far a run is that is made up again, 0 to 1. */
  const [making, setMaking] = useState<number | null>(null);
  const maker = useRef(0);
  const loopNow = useRef(loop);
  loopNow.current = loop;
  const paused = usePaused();
  const show = useCallback(() => setTick((t) => t + 1), []);

  const firstRun = useCallback(() => sides.current[0].run, []);
  const counting = useCounting(m, firstRun, show);
  const seekAll = useCallback((time: number) => sides.current.forEach((s) => s.run.seek(Math.max(0, time))), []);

  useEffect(() => {
    if (!playing || paused) return;
    let last = performance.now();
    let [asked, came, frames] = [0, 0, 0];
    let handle = requestAnimationFrame(function frame(now) {
      const seconds = Math.min(LONGEST_FRAME, Math.max(0, (now - last) / 1000)) * speed * m.speed;
      last = now;
      const around = loopNow.current;
      const from = sides.current[0].run.time();
      const at = advance(
        sides.current.map((s) => s.run),
        seconds,
        m.speed,
      );
      if (at >= 0) {
        // The one that came to its place tells the other where to wait. No further frame: it would run past
        // the place before React has heard of the stop.
        seekAll(at);
        setPlaying(false);
        setStopped(true);
        show();
        return;
      }
      asked += seconds;
      came += sides.current[0].run.time() - from;
      if (++frames === FRAMES_OF_PACE) {
        const share = asked > 0 ? came / asked : 1;
        setPace(share < SLOWER && !sides.current[0].run.isOver() ? share * speed : null);
        [asked, came, frames] = [0, 0, 0];
      }
      if (around && sides.current[0].run.time() >= around.to) seekAll(around.from);
      else if (sides.current.every((s) => s.run.isOver())) setPlaying(false);
      show();
      handle = requestAnimationFrame(frame);
    });
    return () => cancelAnimationFrame(handle);
  }, [playing, paused, speed, m, show, seekAll]);

  const play = useCallback(
    (on: boolean) => {
      // What is over can only be seen again.
      if (on && sides.current.every((s) => s.run.isOver())) seekAll(0);
      maker.current++;
      setMaking(null);
      setPace(null);
      setStopped(false);
      setPlaying(on);
    },
    [seekAll],
  );
  const rest = useCallback(() => {
    maker.current++;
    setMaking(null);
    setPace(null);
    setPlaying(false);
    setStopped(false);
    show();
  }, [show]);
  /** Starts afresh: every side, those at one place with new settings or a new seed. */
  const restart = useCallback(
    (change?: { side: number; settings?: SettingValues; seed?: number }) => {
      sides.current = sides.current.map((s, i) => {
        // What was changed on the way stays changed.
        const as = { ...s, start: { ...s.run.settings(), ...s.next }, next: undefined };
        const next =
          change?.side === i
            ? { ...as, ...(change.settings && { start: change.settings }), ...(change.seed && { seed: change.seed }) }
            : as;
        return { ...next, run: openRun(m.id, next.start, next.seed) };
      });
      setLoop(null);
      rest();
    },
    [m, rest],
  );
  /**
   * Puts a recipe on the bench again, made up from its beginning as far as it had come, and shows a moment of it. What
   * takes long is made up frame by frame, and seen on its way; whatever else is done meanwhile ends that.
   */
  const load = useCallback(
    (recipe: Recipe, until: number, at = until) => {
      const follower = openFollower(m.id);
      const problem = follower.told(recipe, until).error;
      if (problem) return problem;
      sides.current = [{ start: recipe.settings, run: follower.run(), seed: recipe.seed }];
      setLoop(null);
      rest();
      const mine = maker.current;
      const goOn = (budget: number) => {
        const began = performance.now();
        let there = false;
        while (!there && performance.now() - began < budget) {
          const answer = follower.goOn(m.speed / 60);
          if ('error' in answer) return true;
          there = answer.there || sides.current[0].run.isOver();
        }
        return there;
      };
      const end = () => {
        setMaking(null);
        sides.current[0].run.seek(at);
        show();
      };
      if (goOn(AT_ONCE)) {
        end();
        return undefined;
      }
      const frame = () => {
        if (maker.current !== mine) return;
        if (goOn(AT_MOST)) {
          end();
          return;
        }
        setMaking(until > 0 ? sides.current[0].run.time() / until : 0);
        requestAnimationFrame(frame);
      };
      setMaking(0);
      requestAnimationFrame(frame);
      return undefined;
    },
    [m, rest, show],
  );
  /** Shows a run that somebody else moves. */
  const put = useCallback(
    (run: Run, of: number) => {
      if (sides.current[0].run !== run) sides.current = [{ start: run.settings(), run, seed: of }];
      show();
    },
    [show],
  );
  const seek = useCallback(
    (time: number) => {
      // A person's time can't be gone back over while it counts.
      if (counting.on) return;
      seekAll(time);
      rest();
    },
    [seekAll, rest, counting.on],
  );
  const act = useCallback(
    (side: number, action: Action) => {
      const answer = sides.current[side].run.act(action);
      show();
      return answer.error;
    },
    [show],
  );
  /** Keeps a setting that can't be done to this run for the next one. */
  const later = useCallback(
    (side: number, id: string, value: SettingValue) => {
      const { [side]: s } = sides.current;
      s.next = { ...s.next, [id]: value };
      show();
    },
    [show],
  );
  /** Takes back what was changed since the run stands still. */
  const takeBack = useCallback(() => {
    sides.current.forEach((s) => {
      s.run.takeBackChanges();
      s.next = undefined;
    });
    show();
  }, [show]);
  const stopAt = useCallback(
    (condition: StopAt, backwards: boolean) => {
      const run = sides.current[0].run;
      sides.current.forEach((s) => s.run.clearStop());
      if (backwards) {
        const answer = run.back(condition);
        if ('error' in answer) return answer.error;
        if (!answer.found) return 'That has not happened yet before this moment.';
        seekAll(run.time());
        rest();
        setStopped(true);
        return undefined;
      }
      const error = run.stopAt(condition).error;
      if (!error) play(true);
      return error;
    },
    [play, rest, seekAll],
  );
  const sideBySide = useCallback(
    (on: boolean) => {
      const [one] = sides.current;
      sides.current = on
        ? [one, { ...one, start: one.run.settings(), run: openRun(m.id, one.run.settings(), one.seed) }]
        : [one];
      restart();
    },
    [m, restart],
  );

  const shown: Side[] = sides.current.map(({ run, seed, next = {} }) => ({
    run,
    seed,
    next,
    settings: { ...run.settings(), ...next },
  }));
  return {
    sides: shown,
    playing: playing || counting.on,
    counting,
    play,
    speed,
    setSpeed,
    restart,
    load,
    put,
    seek,
    act,
    later,
    takeBack,
    pace,
    making,
    stopAt,
    stopped,
    loop,
    setLoop,
    sideBySide,
    show,
  };
}

export type LiveRuns = ReturnType<typeof useRuns>;
