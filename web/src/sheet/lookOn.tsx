import { Eye } from 'lucide-react';
import { useEffect, useRef, useState, useSyncExternalStore } from 'react';
import { api, type Schemas } from '../api/client';
import { AnswerBar } from '../bench/AnswerBar';
import { Transport } from '../bench/Transport';
import type { BenchState } from '../bench/useBench';
import { AT_MOST } from '../bench/useRuns';
import { timeText } from '../core/time';
import type { Follower, Recipe } from '../core';
import { openFollower } from '../core/models';
import { Button, Trouble } from '../ui';
import type { Looking, Told } from './looking';

const EVERY = 1000;
/** As much as is sent of a bench; a run with more done in it is seen once it is kept. */
const MOST = 200_000;
/** Bytes in a millisecond: a long recipe is told less often. */
const RATE = 40;

/** While the teacher follows, tells once a second how this bench stands. */
export function useTelling(looking: Looking, work: string, block: string, bench: BenchState) {
  const followed = useSyncExternalStore(looking.subscribe, looking.followed);
  const latest = useRef(bench);
  useEffect(() => {
    latest.current = bench;
  });
  useEffect(() => {
    if (!followed) return;
    let told = '';
    let due = 0;
    let before: { time: number; at: number } | null = null;
    const tell = () => {
      // Of two tabs the one in front is meant.
      if (document.visibilityState === 'hidden') return;
      const { m, live } = latest.current;
      const { run } = live.sides[0];
      const at = performance.now();
      const time = run.time();
      // It may be shown slower than was asked for, where it takes long to work out.
      const shown = before && at > before.at ? Math.max(0, ((time - before.time) / (at - before.at)) * 1000) : Infinity;
      const body = {
        block,
        recipe: run.recipe(),
        time,
        pace: live.playing ? Math.min(live.speed * m.speed, shown) : 0,
      };
      before = { time, at };
      const text = JSON.stringify(body);
      if (text === told || text.length > MOST || at < due) return;
      told = text;
      due = at + text.length / RATE;
      const asIs = body as unknown as Schemas['BenchNow'];
      // Whoever looks on waits for the next one, if this one doesn't arrive.
      void api.POST('/api/works/{workId}/bench', { params: { path: { workId: work } }, body: asIs }).catch(() => {
        told = '';
      });
    };
    tell();
    const timer = setInterval(tell, EVERY);
    return () => clearInterval(timer);
  }, [followed, work, block]);
}

/** Model seconds in one go, as wall time at true speed. */
const SLICE = 0.1;
/** How long the bench goes on by itself after it was heard of last, in s. */
const AHEAD = 1.5;
/** After how long a bench that ran and isn't heard of counts as silent, in ms. */
const SILENT = 8000;

/** Shows on a bench what the student has on it now, as long as it is followed; answers what stands against it. */
function useFollowed(bench: BenchState, told: Told | null, on: boolean): string {
  const { m, live } = bench;
  const { put } = live;
  const follower = useRef<Follower | null>(null);
  const [trouble, setTrouble] = useState('');
  useEffect(() => {
    // Whoever looks around by themselves moves its run, so it starts anew.
    if (!on) follower.current = null;
  }, [on]);
  useEffect(() => {
    if (!on || !told) return;
    const f = (follower.current ??= openFollower(m.id));
    const error = f.told(told.recipe as unknown as Recipe, told.time).error ?? '';
    setTrouble(error);
    if (error) return;
    const began = performance.now();
    let handle = requestAnimationFrame(function frame(now) {
      const since = Math.min(AHEAD, Math.max(0, (now - began) / 1000));
      f.towards(told.time + since * told.pace);
      const until = performance.now() + AT_MOST;
      let there = false;
      while (!there && performance.now() < until) {
        const answer = f.goOn(SLICE * m.speed);
        if ('error' in answer) return setTrouble(answer.error);
        there = answer.there;
      }
      put(f.run(), Number(told.recipe.seed));
      if (!there || (told.pace > 0 && since < AHEAD)) handle = requestAnimationFrame(frame);
    });
    return () => cancelAnimationFrame(handle);
  }, [on, told, m, put]);
  return trouble;
}

/** Whether a bench that ran was heard of for a while no more: its page was closed, or has no network. */
function useSilent(told: Told | null): boolean {
  const [silent, setSilent] = useState<Told | null>(null);
  useEffect(() => {
    if (!told?.pace) return;
    const timer = setTimeout(() => setSilent(told), SILENT);
    return () => clearTimeout(timer);
  }, [told]);
  return silent !== null && silent === told;
}

/** Whether a bench is shown as its student has it now, and how to look around by oneself. */
export function useLookingOn(looking: Looking, block: string, bench: BenchState) {
  const told = useSyncExternalStore(looking.subscribe, looking.bench);
  const [alone, setAlone] = useState(false);
  const here = told?.block === block ? told : null;
  const on = here !== null && !alone;
  const trouble = useFollowed(bench, here, on);
  const silent = useSilent(here);
  const state: keyof typeof WORDS = silent ? 'silent' : here?.pace ? 'runs' : 'rests';
  return { on, can: here !== null, state, trouble, go: (follow: boolean) => setAlone(!follow) };
}

type LookingOn = ReturnType<typeof useLookingOn>;

/** Below a bench: what moves it, or that somebody else's hands are on it. */
export function Hands({ bench, lookingOn }: { bench: BenchState; lookingOn: LookingOn }) {
  if (lookingOn.on) return <LookingOnBar bench={bench} on={lookingOn} />;
  return (
    <>
      <AnswerBar bench={bench} />
      <Transport bench={bench} compact />
    </>
  );
}

/** On the tray of whoever left off looking on. */
export function LookAgain({ lookingOn }: { lookingOn: LookingOn }) {
  if (!lookingOn.can || lookingOn.on) return null;
  return (
    <Button small onClick={() => lookingOn.go(true)}>
      <Eye size={13} aria-hidden />
      Look on again
    </Button>
  );
}

const WORDS = {
  runs: 'You look on: the student runs it.',
  rests: "You look on: the student's bench rests.",
  silent: "You look on: nothing has come from the student's bench for a while.",
};

function LookingOnBar({ bench, on }: { bench: BenchState; on: LookingOn }) {
  const { run } = bench.live.sides[0];
  return (
    <section className="flex flex-wrap items-center gap-3 border-t bg-sheet px-3 py-2" aria-label="Looking on">
      <Eye size={16} className="text-verdigris" aria-hidden />
      <span role="status">{WORDS[on.state]}</span>
      <span className="mono font-semibold" data-testid="time">
        {timeText(bench.m, run.time())}
      </span>
      <Button small className="ml-auto" onClick={() => on.go(false)}>
        Look around by myself
      </Button>
      <Trouble error={on.trouble || undefined} />
    </section>
  );
}
