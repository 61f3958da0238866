import { useMemo, useRef } from 'react';
import { printFixed, type BoxPlots, type Distribution, type Manifest } from '../core';
import { boxPlots } from '../core/models';
import { Symbol, Trouble } from '../ui';
import { useSize } from '../ui/useSize';
import { rangeOf, scaleOf } from './Axes';
import type { KeptTrial } from './trials';
import { nameOf } from './words';

type Box = BoxPlots['boxes'][number];

/** The values of a distribution in every trial: each value, the box about its middle half, and in words. */
export function BoxPlotsPanel({
  m,
  distribution: d,
  trials,
}: {
  m: Manifest;
  distribution: Distribution;
  trials: KeptTrial[];
}) {
  const made = useMemo(
    () =>
      boxPlots(
        m.id,
        d,
        trials.map((t) => ({ name: nameOf(t), recipe: t.recipe, until: t.until })),
      ),
    [m, d, trials],
  );
  if ('error' in made) return <Trouble error={made.error} />;
  return (
    <section className="flex flex-col gap-1" aria-label={`Boxes: ${d.name}`}>
      <p className="text-fine">
        <b>
          {d.name}, <Symbol text={d.symbol} /> / {d.unit}
        </b>{' '}
        <span className="text-soft">
          A point for each of the {d.counted}; from the least to the greatest the line, about the middle half the box,
          in it the median.
        </span>
      </p>
      <Boxes boxes={made.boxes} d={d} />
      <ul className="flex flex-col gap-0.5 text-fine">
        {made.words.map((w) => (
          <li key={w}>{w}</li>
        ))}
      </ul>
    </section>
  );
}

function Boxes({ boxes, d }: { boxes: Box[]; d: Distribution }) {
  const figure = useRef<HTMLElement>(null);
  const { width: W, type } = useSize(figure);
  const row = 2.9 * type;
  const left = Math.min(11 * type, 0.3 * W);
  const H = boxes.length * row + 2.4 * type;
  const [low, high] = rangeOf(boxes.flatMap((b) => Array.from(b.values)));
  const margin = 0.06 * (high - low || 1);
  const x = scaleOf(
    { symbol: '', unit: '', from: Math.max(0, low - margin), to: high + margin, nice: true },
    left,
    W - type,
  );
  return (
    <figure ref={figure}>
      <svg
        width={W}
        height={H}
        role="img"
        aria-label={boxes
          .map((b) => (b.count ? `${b.name}: median ${printFixed(b.median, d.decimals)} ${d.unit}` : `${b.name}: none`))
          .join('; ')}
      >
        {x.ticks(6).map((t) => (
          <g key={t}>
            <line x1={x(t)} x2={x(t)} y1={0} y2={H - 2 * type} stroke="var(--line)" />
            <text x={x(t)} y={H - 0.7 * type} textAnchor="middle" fontSize={type} className="mono" fill="var(--soft)">
              {printFixed(t, 0)}
            </text>
          </g>
        ))}
        {boxes.map((b, i) => (
          <Row key={i} b={b} x={x} y={(i + 0.5) * row} type={type} left={left} />
        ))}
      </svg>
    </figure>
  );
}

function Row({ b, x, y, type, left }: { b: Box; x: (v: number) => number; y: number; type: number; left: number }) {
  const h = 0.75 * type;
  const end = (v: number) => `M${x(v)} ${y - h / 2}v${h}`;
  const whiskers = `M${x(b.least)} ${y}H${x(b.lower)}M${x(b.upper)} ${y}H${x(b.most)}${end(b.least)}${end(b.most)}`;
  const longest = Math.floor(left / (0.56 * type));
  return (
    <g data-box={b.name}>
      <text x={left - 0.6 * type} y={y + type / 3} textAnchor="end" fontSize={type} fill="var(--ink)">
        {b.name.length > longest ? `${b.name.slice(0, longest - 1)}…` : b.name}
        <title>{b.name}</title>
      </text>
      {b.count === 0 ? (
        <text x={left + 4} y={y + type / 3} fontSize={type} fill="var(--soft)">
          none
        </text>
      ) : (
        <>
          <path d={whiskers} stroke="var(--ink)" strokeWidth="1.3" fill="none" />
          <rect
            x={x(b.lower)}
            y={y - h}
            width={Math.max(1, x(b.upper) - x(b.lower))}
            height={2 * h}
            fill="var(--wash)"
            stroke="var(--ink)"
            strokeWidth="1.3"
          />
          {Array.from(b.values, (v, k) => (
            <circle
              key={k}
              cx={x(v)}
              cy={y + ((k % 3) - 1) * 0.32 * type}
              r={2.6}
              fill="var(--copper)"
              fillOpacity="0.75"
            />
          ))}
          <line x1={x(b.median)} x2={x(b.median)} y1={y - h} y2={y + h} stroke="var(--ink)" strokeWidth="3" />
        </>
      )}
    </g>
  );
}
