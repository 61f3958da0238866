import { useCallback, useEffect, useRef, useState } from 'react';
import {
  initialSettings,
  inOwn,
  type Act,
  type Manifest,
  type Run,
  type SetUp,
  type SettingValue,
  type SettingValues,
} from '../core';
import { placed, whyNotReplay } from '../core/models';
import { pictureOfRun, toMetres, type LivePicture } from '../picture/picture';
import { argumentsOf, type Chosen } from './ActButton';
import type { Shape, Sketch } from './DrawOver';
import type { KeptTrial, TrialShelf } from './trials';
import { useRuns } from './useRuns';

/** How long stepping through frames must rest before the run is kept, in ms: it is kept once, not at every frame. */
const REST = 400;

interface Identity {
  id: string;
  number: number;
  name: string;
  note: string;
  at: string;
}

/** A curve as exactly as a small picture can show it: it is kept with every trial. */
function short(points: Float64Array) {
  return Array.from(points, (v) => Number(v.toPrecision(4)));
}

/** What a run has come to, by the ids of its outcomes, in their own units; those that aren't settled are left out. */
function outcomesOf(m: Manifest, run: Run) {
  const values = run.outcomes();
  return Object.fromEntries(
    m.outcomes.flatMap((o, i) => (Number.isNaN(values[i]) ? [] : [[o.id, inOwn(o, values[i])]])),
  );
}

/** Whether what happens waits for a person's answers, who must not know the waits from another time. */
function isAPersons(m: Manifest) {
  return m.clock === 'person';
}

function anySeed() {
  return crypto.getRandomValues(new Uint32Array(1))[0] >>> 1;
}

/** A bench at work: runs, what changes them, and the history in which each is kept. */
export function useBench(m: Manifest, shelf: TrialShelf, setup?: SettingValues, seed?: number) {
  const [chance] = useState(() => (isAPersons(m) ? anySeed() : seed));
  const live = useRuns(m, { ...initialSettings(m), ...setup }, chance);
  const [trouble, setTrouble] = useState<string | undefined>();
  const [chosen, setChosen] = useState<Record<string, Chosen>>({});
  const [sketches, setSketches] = useState<Sketch[]>([]);
  const identities = useRef<(Identity | null)[]>([null, null]);
  const issued = useRef(0);
  const shelfNow = useRef(shelf);
  shelfNow.current = shelf;

  const now = useRef({ live, sketches });
  now.current = { live, sketches };

  /** Keeps what is on one side, as a new trial or as the one it already is. */
  const keep = useCallback(
    (side: number) => {
      const s = now.current.live.sides[side];
      const drawn = now.current.sketches;
      if (!s || s.run.head() === 0) return;
      if (!identities.current[side]) {
        // Two sides are kept at once, before the shelf knows of the first.
        issued.current = 1 + shelfNow.current.trials.reduce((most, t) => Math.max(most, t.number), issued.current);
        identities.current[side] = {
          id: crypto.randomUUID(),
          number: issued.current,
          name: '',
          note: '',
          at: new Date().toISOString(),
        };
      }
      const identity = identities.current[side];
      // What was changed since it stands still hasn't run: it is no part of this trial yet.
      const changed = s.run.changesAtEnd() > 0;
      const known = shelfNow.current.trials.find((t) => t.id === identity.id);
      shelfNow.current.keep({
        ...identity,
        ...(known && { name: known.name, note: known.note }),
        recipe: s.run.recipeOfWhatRan(),
        until: s.run.head(),
        settings: s.run.settingsOfWhatRan(),
        scene: changed && known ? known.scene : [...s.run.scene()],
        frame: [...s.run.frame(m.views[0].id)],
        ...(m.curves.length && { curves: m.curves.map((c, i) => (c.layer ? [] : short(s.run.curve(i)))) }),
        ...(m.outcomes.length && { outcomes: outcomesOf(m, s.run) }),
        sketches: drawn.filter((d) => d.side === side),
      });
    },
    [m],
  );
  const keepAll = useCallback(() => now.current.live.sides.forEach((_, i) => keep(i)), [keep]);

  const { playing } = live;
  const heads = live.sides.map((s) => s.run.head()).join();
  const played = useRef(false);
  useEffect(() => {
    if (playing) {
      played.current = true;
      return;
    }
    if (played.current) {
      // What stops is kept as it stops: who goes straight to the trials finds it among them.
      played.current = false;
      keepAll();
      return;
    }
    const timer = setTimeout(keepAll, REST);
    return () => clearTimeout(timer);
  }, [playing, heads, sketches, keepAll]);

  const afresh = () => {
    identities.current = [null, null];
    setSketches([]);
    setTrouble(undefined);
  };
  /** What is under way comes to its end, and is kept. */
  const close = () => {
    if (live.counting.on) live.counting.breakOff();
    keepAll();
    afresh();
  };
  const restart: typeof live.restart = (change) => {
    close();
    live.restart(isAPersons(m) ? { side: 0, ...change, seed: anySeed() } : change);
  };
  const change = (side: number, id: string, value: SettingValue) => {
    const s = live.sides[side];
    const next = { ...s.settings, [id]: value };
    if (s.run.head() > 0 && m.settings.find((x) => x.id === id)!.live) {
      // Typed before it is run, and not to be done to what ran: it is meant for the next run.
      const refused = live.act(side, { type: 'change', setting: id, value });
      const waits = refused !== undefined && !live.playing && m.clock !== 'steps' && !isAPersons(m);
      if (waits) live.later(side, id, value);
      setTrouble(waits ? undefined : refused);
    } else {
      restart({ side, settings: next });
    }
  };
  /** Before anything has run, and where there is no time, a hand sets the apparatus up rather than moving it. */
  const settingUp = (side: number) => m.clock === 'steps' || live.sides[side].run.head() === 0;
  const setsOf = (handle: string) => m.handles.find((h) => h.id === handle)?.sets;
  const grab = (side: number, handle: string) => {
    if (setsOf(handle)) return;
    if (m.clock === 'steps' && live.sides[side].run.head() > 0) restart({ side });
    else if (!settingUp(side)) setTrouble(live.act(side, { type: 'grab', handle }));
  };
  const move = (side: number, handle: string, x: number, y: number) => {
    const s = live.sides[side];
    const at = toMetres(pictures[side], x, y);
    const sets = setsOf(handle);
    if (sets && !settingUp(side)) {
      const { [sets]: value } = placed(m.id, handle, at.x, at.y, s.settings);
      if (value !== s.settings[sets]) change(side, sets, value);
    } else if (!settingUp(side)) live.act(side, { type: 'move', ...at });
    else live.restart({ side, settings: { ...s.settings, ...placed(m.id, handle, at.x, at.y, s.settings) } });
  };
  const letGo = (side: number, handle: string) => {
    if (!settingUp(side) && !setsOf(handle)) live.act(side, { type: 'letGo' });
  };
  /** `telling`: whoever asks says itself what stands against it. */
  const perform = (side: number, act: string, done?: Chosen, telling?: boolean) => {
    const error = live.act(side, { type: 'perform', act, ...(done && { with: done }) });
    setTrouble(telling ? undefined : error);
    return error;
  };
  /** Does an act by pointing at a place of the picture. */
  const point = (side: number, act: Act, x: number, y: number) => {
    const at = toMetres(pictures[side], x, y);
    setTrouble(live.sides[side].run.point(act.id, at.x, at.y).error);
    live.show();
  };
  const choose = (act: string, next: Chosen) => setChosen({ ...chosen, [act]: next });
  /** What dragging one of an act's things to a place of the picture would mean now. */
  const dragged = (side: number, act: Act, which: number, x: number, y: number) => {
    const at = toMetres(pictures[side], x, y);
    return live.sides[side].run.dragged(act.id, which, at.x, at.y, argumentsOf(act, chosen[act.id]));
  };
  /** Puts a kept trial back on the bench, to look at again or to go on from. */
  const load = (t: KeptTrial, at?: number) => {
    const why = whyNotReplay(t.recipe);
    setTrouble(why || undefined);
    if (why) return;
    close();
    identities.current = [{ id: t.id, number: t.number, name: t.name, note: t.note, at: t.at }, null];
    setSketches(t.sketches);
    setTrouble(live.load(t.recipe, t.until, at));
  };
  /** Puts a run that is kept ready on the bench, as a new trial. */
  const present = (setUp: SetUp) => {
    close();
    setTrouble(live.load(isAPersons(m) ? { ...setUp.recipe, seed: anySeed() } : setUp.recipe, setUp.until, setUp.at));
  };
  /** A new run with the settings a kept one began with. */
  const repeat = (t: KeptTrial) => restart({ side: 0, settings: t.recipe.settings });

  // One of each side, taken once for all that is drawn of this moment.
  const pictures: LivePicture[] = live.sides.map(({ run }) => {
    const values = run.crowd();
    return pictureOfRun(
      m,
      run.scene(),
      run.frame(m.views[0].id),
      run.crowdCount() > 0 ? { values, count: run.crowdCount() } : undefined,
      m.curves.map((_, i) => run.curve(i)),
    );
  });
  // What was drawn belongs to one moment, and is seen only there.
  const here = (side: number) => (s: Sketch) =>
    s.side === side && Math.abs(s.time - live.sides[side].run.time()) < 1e-3 * m.interval;
  const shapes = (side: number) => sketches.find(here(side))?.shapes ?? [];
  const draw = (side: number, next: Shape[]) => {
    const rest = sketches.filter((s) => !here(side)(s));
    setSketches(next.length ? [...rest, { time: live.sides[side].run.time(), side, shapes: next }] : rest);
  };
  const trialOf = (side: number) => identities.current[side]?.id ?? null;

  return {
    m,
    live,
    trouble,
    change,
    grab,
    move,
    letGo,
    perform,
    chosen,
    choose,
    dragged,
    point,
    restart,
    load,
    repeat,
    present,
    pictures,
    shapes,
    draw,
    sketches,
    keepAll,
    trialOf,
  };
}

export type BenchState = ReturnType<typeof useBench>;
