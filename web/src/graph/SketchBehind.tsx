import { inUnit, type Sketch, type SketchAxis } from '../core';
import type { Domain, GraphColumn, Scale } from './model';

/** A sealed sketch and the axes it was drawn on. */
export interface Expected {
  axes: Sketch;
  strokes: number[][];
}

/**
 * Where an axis of the sketch begins and ends on the graph's: by its numbers, or, where it bears none, over all that
 * is measured.
 */
function ends(axis: SketchAxis, column: GraphColumn, full: [number, number]): [number, number] | null {
  if (axis.from === undefined || axis.to === undefined) return full;
  const [a, b] = [inUnit(axis.from, axis.unit, column.result.unit), inUnit(axis.to, axis.unit, column.result.unit)];
  return 'value' in a && 'value' in b ? [a.value, b.value] : null;
}

/**
 * A sketch's strokes on a graph of the same quantities, whichever way round, as places on its axes; none on any other
 * graph.
 */
export function placed(
  { axes, strokes }: Expected,
  x: GraphColumn,
  y: GraphColumn,
  full: Domain,
): [number, number][][] {
  const swapped = axes.x.symbol === y.symbol && axes.y.symbol === x.symbol;
  if (!swapped && (axes.x.symbol !== x.symbol || axes.y.symbol !== y.symbol)) return [];
  const [ax, ay] = swapped ? [axes.y, axes.x] : [axes.x, axes.y];
  const along = ends(ax, x, full.x);
  const up = ends(ay, y, full.y);
  if (!along || !up) return [];
  return strokes.map((s) =>
    s.flatMap((first, i): [number, number][] => {
      if (i % 2) return [];
      const [h, v] = swapped ? [s[i + 1], first] : [first, s[i + 1]];
      return [[along[0] + h * (along[1] - along[0]), up[0] + v * (up[1] - up[0])]];
    }),
  );
}

/** What was expected, behind what was measured. */
export function SketchBehind({ strokes, sx, sy }: { strokes: [number, number][][]; sx: Scale; sy: Scale }) {
  const d = strokes
    .map((s) => s.map(([a, b], i) => `${i ? 'L' : 'M'}${sx(a).toFixed(1)} ${sy(b).toFixed(1)}`).join(''))
    .join('');
  if (!d || d.includes('NaN')) return null;
  return (
    <path
      d={d}
      fill="none"
      stroke="var(--plum)"
      strokeWidth="5"
      strokeOpacity="0.35"
      strokeLinecap="round"
      strokeLinejoin="round"
      data-testid="expected"
    >
      <title>Your sealed prediction</title>
    </path>
  );
}
