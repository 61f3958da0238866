import { Flag } from 'lucide-react';
import { shownBy } from '../../core';
import { Button } from '../../ui';
import type { Buttons } from '../kind/kind';

/** Zero and laps in frames. */
export interface Watch {
  zero: number;
  laps?: number[];
  cycles?: number;
}

const MOST_LAPS = 20;
const LAPS_IN_SIGHT = 4;

/** Sets the watch to zero, takes laps and counts cycles. */
export function WatchButtons({ instrument, place: watch, state: s, onMove, onGo }: Buttons<Watch>) {
  const laps = watch.laps ?? [];
  const cycles = watch.cycles ?? 0;
  const shown = (frame: number) => {
    const answer = shownBy(instrument, s.seconds(frame - watch.zero), '');
    return 'text' in answer ? answer.text : '';
  };
  return (
    <>
      <Button small onClick={() => onMove({ zero: s.frame, laps: [], cycles: 0 })}>
        Zero here
      </Button>
      <Button small onClick={() => onMove({ ...watch, laps: [...laps, s.frame].slice(-MOST_LAPS) })}>
        Lap
      </Button>
      <span className="inline-flex items-center gap-1">
        <Button small aria-label="One cycle less" onClick={() => onMove({ ...watch, cycles: Math.max(0, cycles - 1) })}>
          −
        </Button>
        <output className="mono" aria-label="Cycles counted">
          {cycles}
        </output>
        <Button small aria-label="One cycle more" onClick={() => onMove({ ...watch, cycles: cycles + 1 })}>
          +
        </Button>
        <span className="text-soft">cycles</span>
      </span>
      <Button small kind="quiet" onClick={() => onGo(watch.zero)}>
        <Flag size={13} aria-hidden />
        zero
      </Button>
      {laps.length > 0 && (
        <span className="mono text-soft" data-testid="laps">
          {laps.slice(-LAPS_IN_SIGHT).map(shown).join(' · ')}
        </span>
      )}
    </>
  );
}
