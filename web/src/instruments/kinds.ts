import type { Instrument } from '../core';
import { beamTimer } from './beam-timer';
import { gauge } from './gauge';
import type { InstrumentKind, KindId } from './kind/kind';
import type { Place } from './kind/state';
import { magnifier } from './magnifier';
import { markers } from './markers';
import { protractor } from './protractor';
import { ruler } from './ruler';
import { springScale } from './spring-scale';
import { stopwatch } from './stopwatch';
import { tape } from './tape';

/** A list of kinds by their ids; a second one of an id throws. What a place holds is known to its kind alone. */
export function listed<P extends Place>(kinds: InstrumentKind<P>[]): Map<KindId, InstrumentKind<P>> {
  const map = new Map<KindId, InstrumentKind<P>>();
  for (const kind of kinds) {
    if (map.has(kind.id)) throw new Error(`There are two kinds of instrument “${kind.id}”`);
    map.set(kind.id, kind);
  }
  return map;
}

// eslint-disable-next-line @typescript-eslint/no-explicit-any -- each kind reads the places that it made itself
const ALL = listed<any>([ruler, tape, protractor, markers, magnifier, springScale, stopwatch, beamTimer, gauge]);

/** The kind of an instrument; the core's list and this one are held against each other by a test. */
export function kindOf(instrument: Pick<Instrument, 'kind'>): InstrumentKind<Place> {
  const kind = ALL.get(instrument.kind);
  if (!kind) throw new Error(`There is no kind of instrument “${instrument.kind}”`);
  return kind;
}

export const kinds = () => [...ALL.keys()];
