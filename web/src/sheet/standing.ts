import { useSyncExternalStore } from 'react';
import { displayFor, displays, type InstrumentState } from '../instruments/useInstruments';
import type { Reading } from '../notebook/table';

/** Where a bench stands now: what lies on it, and how a value read there would be noted. */
export interface BenchNow {
  state: InstrumentState;
  reading: () => Reading | undefined;
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

/** The name of the display whose value a column of some unit would take now. */
export function useOffer(standing: Standing, unit: string): string | undefined {
  return useSyncExternalStore(standing.subscribe, () => {
    const now = standing.now();
    return now ? displayFor(displays(now.state), unit)?.display.instrument.name : undefined;
  });
}
