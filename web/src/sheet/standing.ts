import { useEffect, useSyncExternalStore } from 'react';
import type { Lent } from '../blocks/kind/kind';
import type { Drawing } from '../core';
import { displayFor, displays } from '../instruments/displays';
import type { InstrumentState } from '../instruments/kind/state';
import type { Reading } from '../notebook/table';

/** Where a bench stands now: what lies on it, and how a value read there would be noted. */
export interface BenchNow {
  state: InstrumentState;
  reading: () => Reading | undefined;
  /** What a bench that has a labelled drawing lends. */
  lends?: { bench: string; drawing: () => Drawing };
}

/** Told by whichever bench is in view once it is drawn, and asked by the table when a value is typed or taken. */
export class Standing {
  private stands: BenchNow | null = null;
  private readonly heard = new Set<() => void>();

  now = () => this.stands;

  tell = (now: BenchNow | null) => {
    this.stands = now;
    this.heard.forEach((h) => h());
  };

  subscribe = (heard: () => void) => {
    this.heard.add(heard);
    return () => this.heard.delete(heard);
  };
}

/** What the bench in view lends to drawings. */
export function lentBy(standing: Standing): Lent {
  return {
    of: (bench) => {
      const lends = standing.now()?.lends;
      return lends?.bench === bench ? lends.drawing : null;
    },
    subscribe: standing.subscribe,
  };
}

/** Tells that nothing stands here any more: whoever asks must not be told of a bench that has left. */
export function useLeaving(standing: Standing) {
  useEffect(() => () => standing.tell(null), [standing]);
}

/** Whether something stands on the bench in view, so that a value can be tied to it. */
export function useStands(standing: Standing): boolean {
  return useSyncExternalStore(standing.subscribe, () => standing.now() !== null);
}

/** The name of the display whose value a column of some unit would take now; nothing is asked for null. */
export function useOffer(standing: Standing, unit: string | null): string | undefined {
  return useSyncExternalStore(standing.subscribe, () => {
    const now = unit === null ? null : standing.now();
    return now ? displayFor(displays(now.state), unit!)?.display.name : undefined;
  });
}
