import { channelName, inSentence } from '../core/words';
import { useRef, useState } from 'react';
import { inOwn, type Channel, type Manifest, type Run } from '../core';
import { Toggle } from '../ui';
import { useSize } from '../ui/useSize';
import { Axes, padOf, rangeOf, scaleOf } from './Axes';
import { lookOf } from './looks';

const MOST_POINTS = 500;

interface Series {
  c: Channel;
  i: number;
  faint: boolean;
  run: Run;
  n: number;
}

/** Channels of one unit against time or another channel, over the whole run, with a mark at the moment shown. */
export function ChannelGraph({
  m,
  run,
  channels,
  behind = [],
  against = '',
}: {
  m: Manifest;
  run: Run;
  channels: Channel[];
  behind?: Run[];
  /** The channel that goes along; empty for time. */
  against?: string;
}) {
  const box = useRef<HTMLElement>(null);
  const { width: W, type } = useSize(box);
  const [log, setLog] = useState({ x: false, y: false });
  const H = 0.45 * W + 2.6 * type;
  const other = m.channels.findIndex((c) => c.id === against);
  const steps = m.clock === 'steps';
  const series: Series[] = [run, ...behind].flatMap((r, k) =>
    channels.map((c, i) => ({ c, i, faint: k > 0, run: r, n: r.sampleCount() })),
  );
  const along = (r: Run, i: number) =>
    other < 0 ? i * m.interval * m.timePerSi : inOwn(m.channels[other], r.samples(other)[i]);
  const up = (s: Series, i: number) => inOwn(s.c, s.run.samples(m.channels.indexOf(s.c))[i]);
  const upRange = rangeOf(points(series, up), log.y);
  const alongRange: [number, number] =
    other < 0
      ? [0, Math.max(2 * m.speed, run.head(), ...behind.map((r) => r.head())) * m.timePerSi]
      : rangeOf(
          points(series, (s, i) => along(s.run, i)),
          log.x,
        );
  const xAxis =
    other < 0
      ? { symbol: steps ? 'n' : 't', unit: m.timeUnit, from: alongRange[0], to: alongRange[1] }
      : {
          symbol: m.channels[other].symbol,
          unit: m.channels[other].unit,
          from: alongRange[0],
          to: alongRange[1],
          log: log.x,
          nice: true,
        };
  const yAxis = { symbol: '', unit: '', from: upRange[0], to: upRange[1], log: log.y, nice: true };
  const pad = padOf(type, false);
  const x = scaleOf(xAxis, pad.left, W - pad.right);
  const y = scaleOf(yAxis, H - pad.bottom, pad.top);
  const seen = (a: number, b: number) =>
    !(Number.isNaN(a) || Number.isNaN(b) || (log.x && a <= 0) || (log.y && b <= 0));
  const path = (s: Series) => {
    const every = Math.max(1, Math.ceil(s.n / MOST_POINTS));
    let d = '';
    for (let i = 0; i < s.n; i += every) {
      const [a, b] = [along(s.run, i), up(s, i)];
      if (seen(a, b)) d += `${d ? 'L' : 'M'}${x(a).toFixed(1)} ${y(b).toFixed(1)}`;
    }
    return d;
  };
  const now = run.channels();
  const nowAt = other < 0 ? run.time() * m.timePerSi : inOwn(m.channels[other], now[other]);
  const bodies = run.bodies();
  const name = other < 0 ? (steps ? 'the steps' : 'time') : inSentence(channelName(m, m.channels[other], bodies));
  return (
    <figure ref={box}>
      <svg
        width={W}
        height={H}
        role="img"
        aria-label={`${channels.map((c) => channelName(m, c, bodies)).join(', ')} against ${name}`}
      >
        <Axes {...{ x, y, width: W, height: H, pad, type }} along={xAxis} up={yAxis} />
        {series.map((s, k) => (
          <path
            key={k}
            d={path(s)}
            fill="none"
            stroke={lookOf(s.c, s.i).color}
            strokeDasharray={lookOf(s.c, s.i).dash}
            strokeWidth={s.faint ? 3 : 1.6}
            strokeOpacity={s.faint ? 0.4 : 1}
            data-series={s.faint ? undefined : s.c.id}
            data-behind={s.faint ? s.c.id : undefined}
          />
        ))}
        {steps &&
          series.flatMap((s, k) =>
            Array.from({ length: s.n }, (_, i) => {
              const [a, b] = [along(s.run, i), up(s, i)];
              return (
                seen(a, b) && (
                  <circle
                    key={`${k}.${i}`}
                    cx={x(a)}
                    cy={y(b)}
                    r="3"
                    fill={lookOf(s.c, s.i).color}
                    fillOpacity={s.faint ? 0.4 : 1}
                  />
                )
              );
            }),
          )}
        {other < 0 ? (
          <line x1={x(nowAt)} x2={x(nowAt)} y1={pad.top} y2={H - pad.bottom} stroke="var(--ink)" strokeWidth="1" />
        ) : (
          channels.map((c, i) => {
            const value = inOwn(c, now[m.channels.indexOf(c)]);
            return (
              seen(nowAt, value) && (
                <circle
                  key={c.id}
                  cx={x(nowAt)}
                  cy={y(value)}
                  r="5"
                  fill="var(--sheet)"
                  stroke={lookOf(c, i).color}
                  strokeWidth="2.5"
                  data-now={c.id}
                />
              )
            );
          })
        )}
      </svg>
      <figcaption className="flex flex-wrap items-center gap-x-3 text-fine">
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
            {channelName(m, c, bodies)}
            {c.unit && ` / ${c.unit}`}
          </span>
        ))}
        {other >= 0 && (
          <span className="ml-auto flex gap-3">
            <Toggle label="log along" checked={log.x} onChange={(on) => setLog({ ...log, x: on })} />
            <Toggle label="log upright" checked={log.y} onChange={(on) => setLog({ ...log, y: on })} />
          </span>
        )}
      </figcaption>
    </figure>
  );
}

function* points(series: Series[], of: (s: Series, i: number) => number) {
  for (const s of series) for (let i = 0; i < s.n; i++) yield of(s, i);
}
