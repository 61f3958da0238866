import { useRef } from 'react';
import { Axes, rangeOf, scaleOf, type Axis } from '../../bench/Axes';
import { useSize } from '../../ui/useSize';
import { keyOf, mark, type Look, type View } from './looks';

interface Props {
  pool: View;
  looks: Map<string, Look>;
  /** The student whose points stand out. */
  chosen: string | null;
  onChoose: (key: string | null) => void;
  origin: boolean;
}

const DOT = 5;

/** Everybody's points, and the curve that is fitted to all of them together. */
export function PoolGraph({ pool, looks, chosen, onChoose, origin }: Props) {
  const box = useRef<HTMLDivElement>(null);
  const { width, type } = useSize(box);
  const height = Math.round(Math.max(260, Math.min(width * 0.66, 470)));
  const pad = { left: 5.2 * type, right: type, top: 2.4 * type, bottom: 3.6 * type };
  const zero = origin ? [0] : [];
  const along = axis(pool.along!, [...pool.series.flatMap((s) => s.x), ...zero]);
  const up = axis(pool.up!, [...pool.series.flatMap((s) => s.y), ...zero]);
  const x = scaleOf(along, pad.left, width - pad.right);
  const y = scaleOf(up, height - pad.bottom, pad.top);
  const line = pool.curveX.map((at, i) => `${i ? 'L' : 'M'}${x(at)} ${y(pool.curveY[i])}`).join('');
  return (
    <div ref={box}>
      <svg
        width={width}
        height={height}
        role="img"
        aria-label={`${pool.up!.name} against ${pool.along!.name}, ${pool.series.length} series`}
      >
        <Axes {...{ x, y, along, up, width, height, pad, type }} />
        {line && (
          <path d={line} className="pointer-events-none fill-none stroke-ink" strokeWidth={1.5} strokeDasharray="6 4" />
        )}
        {pool.series.map((s) => {
          const look = looks.get(s.group)!;
          const key = keyOf(s);
          const on = chosen === key;
          return (
            <g
              key={key}
              data-series={key}
              fill={look.shape === 'cross' ? 'none' : look.colour}
              fillOpacity={on ? 1 : 0.45}
              stroke={on ? 'var(--ink)' : look.colour}
              strokeWidth={on ? 2 : 1}
              opacity={chosen && !on ? 0.35 : 1}
              className="cursor-pointer"
              onClick={() => onChoose(on ? null : key)}
            >
              {s.x.map((at, i) => (
                <path key={i} d={mark(look, x(at), y(s.y[i]), on ? DOT + 2 : DOT)} />
              ))}
            </g>
          );
        })}
      </svg>
    </div>
  );
}

function axis({ name, unit }: { name: string; unit: string }, values: number[]): Axis {
  const [from, to] = rangeOf(values);
  return { symbol: name, unit, from, to, nice: true };
}
