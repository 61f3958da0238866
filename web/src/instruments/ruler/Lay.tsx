import { FlipVertical2, RotateCcw } from 'lucide-react';
import type { Laying } from '../kind/kind';
import type { Straight } from './Ruler';

const BUTTON = 'flex items-center gap-1 rounded-house px-1.5 py-0.5 text-fine hover:bg-line/50';
/** Upwards from its zero. */
const UPRIGHT = -90;

/** One press stands a rule upright or lays it level, one turns its scale over; its zero stays where it is. */
export function Lay({ place, name, onMove }: Laying<Straight>) {
  const upright = Math.abs(place.angle - UPRIGHT) < 0.05;
  return (
    <>
      <button
        type="button"
        className={BUTTON}
        aria-label={`${upright ? 'Lay level' : 'Stand upright'}: ${name}`}
        onClick={() => onMove({ ...place, angle: upright ? 0 : UPRIGHT })}
      >
        <RotateCcw size={13} aria-hidden />
        {upright ? 'Level' : 'Upright'}
      </button>
      <button
        type="button"
        className={BUTTON}
        aria-label={`Turn over: ${name}`}
        aria-pressed={!!place.over}
        onClick={() => onMove({ ...place, over: place.over ? 0 : 1 })}
      >
        <FlipVertical2 size={13} aria-hidden />
        Turn over
      </button>
    </>
  );
}
