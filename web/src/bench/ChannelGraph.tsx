import { scaleLinear } from 'd3-scale';
import { useRef } from 'react';
import type { Channel, Manifest, Run } from '../core';
import { lookOf } from './Readouts';
import { useSize } from '../ui/useSize';

const MOST_POINTS = 500;

/** Channels of one unit against time, over the whole run, with a mark at the moment shown. */
export function ChannelGraph({
  m,
  run,
  channels,
  behind = [],
}: {
  m: Manifest;
  run: Run;
  channels: Channel[];
  behind?: Run[];
}) {
  const box = useRef<HTMLElement>(null);
  const { width: W, type } = useSize(box);
  const H = 0.45 * W + 2.6 * type;
  const PAD = { left: 3.4 * type, right: 8, top: 10, bottom: 2.6 * type };
  const series = [run, ...behind].flatMap((r, k) =>
    channels.map((c, i) => ({ c, i, faint: k > 0, n: r.sampleCount(), samples: r.samples(m.channels.indexOf(c)) })),
  );
  let low = Infinity;
  let high = -Infinity;
  for (const { c, samples, n } of series) {
    for (let i = 0; i < n; i++) {
      const v = samples[i] * c.perSi;
      if (v < low) low = v;
      if (v > high) high = v;
    }
  }
  if (!(low < high)) {
    low = Math.min(0, Number.isFinite(low) ? low : 0);
    high = low + (high > low ? high - low : 1);
  }
  const x = scaleLinear(
    [0, Math.max(2 * m.speed, run.head(), ...behind.map((r) => r.head())) * m.timePerSi],
    [PAD.left, W - PAD.right],
  );
  const y = scaleLinear([low, high], [H - PAD.bottom, PAD.top]).nice(5);
  const path = (c: Channel, samples: Float64Array, n: number) => {
    const every = Math.max(1, Math.ceil(n / MOST_POINTS));
    let d = '';
    for (let i = 0; i < n; i += every) {
      const v = samples[i] * c.perSi;
      if (!Number.isNaN(v)) d += `${d ? 'L' : 'M'}${x(i * m.interval * m.timePerSi).toFixed(1)} ${y(v).toFixed(1)}`;
    }
    return d;
  };
  return (
    <figure ref={box}>
      <svg width={W} height={H} role="img" aria-label={`${channels.map((c) => c.name).join(', ')} against time`}>
        {y.ticks(5).map((t) => (
          <g key={t}>
            <line x1={PAD.left} x2={W - PAD.right} y1={y(t)} y2={y(t)} stroke="var(--line)" />
            <text
              x={PAD.left - 5}
              y={y(t) + type / 3}
              textAnchor="end"
              fontSize={type}
              className="mono"
              fill="var(--soft)"
            >
              {y.tickFormat(5)(t).replaceAll(',', '')}
            </text>
          </g>
        ))}
        {x.ticks(W / (5 * type)).map((t) => (
          <text
            key={t}
            x={x(t)}
            y={H - PAD.bottom + 1.2 * type}
            textAnchor="middle"
            fontSize={type}
            className="mono"
            fill="var(--soft)"
          >
            {t}
          </text>
        ))}
        <text x={W - PAD.right} y={H - 3} textAnchor="end" fontSize={type} fill="var(--ink)">
          <tspan fontStyle="italic">t</tspan> / {m.timeUnit}
        </text>
        <line x1={PAD.left} x2={PAD.left} y1={PAD.top} y2={H - PAD.bottom} stroke="var(--edge)" />
        {series.map(({ c, i, samples, faint, n }, k) => (
          <path
            key={k}
            d={path(c, samples, n)}
            fill="none"
            stroke={lookOf(c, i).color}
            strokeDasharray={lookOf(c, i).dash}
            strokeWidth={faint ? 3 : 1.6}
            strokeOpacity={faint ? 0.4 : 1}
            data-series={faint ? undefined : c.id}
            data-behind={faint ? c.id : undefined}
          />
        ))}
        <line
          x1={x(run.time() * m.timePerSi)}
          x2={x(run.time() * m.timePerSi)}
          y1={PAD.top}
          y2={H - PAD.bottom}
          stroke="var(--ink)"
          strokeWidth="1"
        />
      </svg>
      <figcaption className="flex flex-wrap gap-x-3 text-fine">
        {channels.map((c, i) => (
          <span key={c.id} className="inline-flex items-center gap-1.5">
            <svg width="24" height="6" aria-hidden>
              <line
                x1="0"
                x2="24"
                y1="3"
                y2="3"
                stroke={lookOf(c, i).color}
                strokeDasharray={lookOf(c, i).dash}
                strokeWidth="2"
              />
            </svg>
            {c.name}
            {c.unit && ` / ${c.unit}`}
          </span>
        ))}
      </figcaption>
    </figure>
  );
}
