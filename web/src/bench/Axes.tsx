import { scaleLinear, scaleLog } from 'd3-scale';
import { SymbolSpan } from './Bars';

export type Scale = ReturnType<typeof scaleLinear<number, number>> | ReturnType<typeof scaleLog<number, number>>;

export interface Axis {
  symbol: string;
  unit: string;
  from: number;
  to: number;
  /** Whether its scale is logarithmic. */
  log?: boolean;
  /** Whether it ends at round numbers. */
  nice?: boolean;
  /** Words that stand at 0, 1, 2 … in the place of numbers. */
  words?: string[];
}

/** Where an axis puts its values, in picture elements. */
export function scaleOf(axis: Axis, start: number, end: number): Scale {
  const scale = axis.log
    ? scaleLog([axis.from, axis.to], [start, end])
    : scaleLinear([axis.from, axis.to], [start, end]);
  return axis.nice ? scale.nice() : scale;
}

/** The lowest and highest of some values; for none, or one alone, a range around it. */
export function rangeOf(values: Iterable<number>, log?: boolean): [number, number] {
  let low = Infinity;
  let high = -Infinity;
  for (const v of values) {
    if (Number.isNaN(v) || (log && v <= 0)) continue;
    if (v < low) low = v;
    if (v > high) high = v;
  }
  if (low < high) return [low, high];
  if (!Number.isFinite(low)) return log ? [0.1, 1] : [0, 1];
  if (log) return [low / 3, low * 3];
  return [Math.min(0, low), Math.min(0, low) + (high > 0 ? high : 1)];
}

/** Axes of a small graph: lines, numbers, symbols with their units. */
export function Axes({
  x,
  y,
  along,
  up,
  width,
  height,
  pad,
  type,
}: {
  x: Scale;
  y: Scale;
  along: Axis;
  up: Axis;
  width: number;
  height: number;
  pad: { left: number; right: number; top: number; bottom: number };
  type: number;
}) {
  const text = (scale: Scale, n: number, t: number) => scale.tickFormat(n)(t).replaceAll(',', '').replace('-', '−');
  return (
    <>
      {y.ticks(5).map((t) => (
        <g key={t}>
          <line x1={pad.left} x2={width - pad.right} y1={y(t)} y2={y(t)} stroke="var(--line)" />
          <text
            x={pad.left - 5}
            y={y(t) + type / 3}
            textAnchor="end"
            fontSize={type}
            className="mono"
            fill="var(--soft)"
          >
            {text(y, 5, t)}
          </text>
        </g>
      ))}
      {(along.words?.map((_, i) => i) ?? x.ticks(width / (5 * type))).map((t) => (
        <text
          key={t}
          x={x(t)}
          y={height - pad.bottom + 1.2 * type}
          textAnchor="middle"
          fontSize={type}
          className="mono"
          fill="var(--soft)"
        >
          {along.words?.[t] ?? text(x, 5, t)}
        </text>
      ))}
      <text x={width - pad.right} y={height - 3} textAnchor="end" fontSize={type} fill="var(--ink)">
        <SymbolSpan text={along.symbol} />
        {along.unit && ` / ${along.unit}`}
      </text>
      {up.symbol && (
        <text x={4} y={type} fontSize={type} fill="var(--ink)">
          <SymbolSpan text={up.symbol} />
          {up.unit && ` / ${up.unit}`}
        </text>
      )}
      <line x1={pad.left} x2={pad.left} y1={pad.top} y2={height - pad.bottom} stroke="var(--edge)" />
    </>
  );
}

export const padOf = (type: number, named: boolean) => ({
  left: 3.6 * type,
  right: 10,
  top: named ? 1.8 * type : 10,
  bottom: 2.6 * type,
});
