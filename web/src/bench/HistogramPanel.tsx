import { inSentence } from '../core/words';
import { scaleLinear } from 'd3-scale';
import { useRef, useState } from 'react';
import { printFixed, printShort, type Counted, type Distribution, type Manifest, type Run } from '../core';
import { countUp } from '../core/models';
import { Select, Slider, Symbol } from '../ui';
import { useSize } from '../ui/useSize';
import { Axes } from './Axes';

const ENDS = [100, 200, 400, 600, 1000, 1500, 2000, 3000, 5000, 8000, 15000];
const BINS = ['20', '40', '60', '100'];
const LOOK = [
  { color: 'var(--copper)', dash: '' },
  { color: 'var(--indigo)', dash: '6 3' },
];
/** Every population at once. */
const ALL = 'all';
/** So many of its last values the one that is followed leaves a mark of. */
const TRAIL = 24;
/** Of fewer values every single one counts in how high the picture is. */
const FEW = 200;
const MARK_DASH = ['', '5 3', '2 2'];

/** How a quantity is spread over many bodies now: a histogram for each population, theory's curve over it. */
export function HistogramPanel({
  m,
  run,
  distribution: d,
  names,
  layers,
  low,
}: {
  m: Manifest;
  run: Run;
  distribution: Distribution;
  names: string[];
  layers: ReadonlySet<string>;
  /** Whether it stands below a picture, where there is little height. */
  low?: boolean;
}) {
  const box = useRef<HTMLElement>(null);
  const { width: W, type } = useSize(box);
  const [bins, setBins] = useState(String(d.bins));
  const [limit, setLimit] = useState(0.4 * d.typicalMax);
  const [alone, setAlone] = useState(ALL);
  const end = useRef(d.typicalMax);
  const trail = useRef<Past[]>([]);
  const index = m.distributions.indexOf(d);
  const which = d.populations.map((_, i) => i);
  const n = Number(bins);
  const count = () => which.map((p) => countUp(run, d, index, p, end.current / d.perSi / n, n, limit / d.perSi));
  let counted = count();
  // The scale follows the values in coarse steps, and not back and forth around one of them.
  const widest = d.scaleTimes * Math.max(...counted.map((c) => (c.n ? c.marks[d.scaleMark] * d.perSi : 0)));
  if (widest > 1.15 * end.current || (widest > 0 && widest < 0.5 * end.current)) {
    const base = d.typicalMax / 1500;
    end.current = (ENDS.find((e) => e * base >= widest) ?? ENDS.at(-1)!) * base;
    counted = count();
  }
  // The last values of the one that is followed, none from a time that was gone back over.
  const followed = counted.map((c) => c.followed * d.perSi);
  const past = trail.current;
  if (past.length && past.at(-1)!.time > run.time()) past.length = 0;
  const same = past.length > 0 && followed.every((v, p) => Object.is(v, past.at(-1)!.values[p]));
  if (same) past.at(-1)!.time = run.time();
  else past.push({ time: run.time(), values: followed });
  if (past.length > TRAIL) past.splice(0, past.length - TRAIL);
  const shown = which.filter((p) => counted[p].n > 0 && (alone === ALL || alone === String(p)));
  // Few values are as high as they are; of many, theory's curve says how high.
  const height = (c: Counted) =>
    c.n < FEW || Number.isNaN(c.curve[0])
      ? 1 + Math.max(...c.counts, ...c.curve.filter((v) => v > 0))
      : 1.25 * Math.max(...c.curve);
  const top = Math.max(5, ...shown.map((p) => height(counted[p])));
  const withTheory = shown.filter((p) => !Number.isNaN(counted[p].curve[0]));
  const H = Math.max(120, Math.min(0.55 * W, (low ? 9.5 : 15) * type));
  const PAD = { left: 3.6 * type, right: 1.2 * type, top: 2.2 * type, bottom: 2.4 * type };
  const x = scaleLinear([0, end.current], [PAD.left, W - PAD.right]);
  const y = scaleLinear([0, top], [H - PAD.bottom, PAD.top]).clamp(true);
  const steps = (values: Float64Array) => {
    let path = `M${x(0)} ${y(0)}`;
    for (let i = 0; i < n; i++) path += `V${y(values[i]).toFixed(1)}H${x(((i + 1) * end.current) / n).toFixed(1)}`;
    return `${path}V${y(0)}`;
  };
  const curve = (values: Float64Array) => {
    let path = '';
    const last = values.length - 1;
    for (let i = 0; i <= last; i++)
      path += `${i ? 'L' : 'M'}${x((i * end.current) / last).toFixed(1)} ${y(values[i]).toFixed(1)}`;
    return path;
  };
  const spoken = (p: number) => {
    const told = d.marks.map((mark, i) => ({ mark, value: counted[p].marks[i] * d.perSi }));
    const known = told.filter(({ value }) => !Number.isNaN(value));
    const words = known.map(({ mark, value }) => `${mark} ${printShort(Number(value.toPrecision(3)))} ${d.unit}`);
    return `${names[p]}: ${words.join(', ')}`;
  };
  return (
    <figure ref={box} className="flex flex-col gap-1" aria-label={`Histogram: ${d.name}`}>
      <figcaption className="flex flex-wrap items-center gap-x-4 gap-y-1 text-fine">
        <b>
          {d.name}, <Symbol text={d.symbol} />
        </b>
        {which
          .filter((p) => counted[p].n > 0)
          .map((p) => (
            <span key={p} className="inline-flex items-center gap-1.5">
              <svg width="22" height="12" aria-hidden>
                <rect
                  x="1"
                  y="2"
                  width="20"
                  height="9"
                  fill={p ? 'none' : LOOK[p].color}
                  fillOpacity="0.35"
                  stroke={LOOK[p].color}
                  strokeWidth="1.6"
                  strokeDasharray={LOOK[p].dash}
                />
              </svg>
              {names[p]}, <span className="mono">{counted[p].n}</span>
            </span>
          ))}
        <span className="ml-auto inline-flex items-center gap-3">
          {which.length > 1 && counted.every((c) => c.n > 0) && (
            <Select
              label="Show"
              value={alone}
              onChange={setAlone}
              options={[
                { id: ALL, name: d.together },
                ...which.map((p) => ({ id: String(p), name: d.populations[p] })),
              ]}
            />
          )}
          <Select label="Bins" value={bins} onChange={setBins} options={BINS.map((b) => ({ id: b, name: b }))} />
        </span>
      </figcaption>
      <svg width={W} height={H} role="img" aria-label={shown.map(spoken).join('; ') || `no ${d.counted} yet`}>
        <Axes
          {...{ x, y, width: W, height: H, pad: PAD, type }}
          along={{ symbol: d.symbol, unit: d.unit, from: 0, to: end.current }}
          up={{ symbol: '', unit: '', from: 0, to: top }}
        />
        <text x={4} y={type} fontSize={type} fill="var(--soft)">
          {d.counted} in each bin
        </text>
        {shown.map((p) => (
          <path
            key={`b${p}`}
            d={steps(counted[p].counts)}
            fill={p ? 'none' : LOOK[p].color}
            fillOpacity="0.28"
            stroke={LOOK[p].color}
            strokeWidth="1.2"
            strokeDasharray={LOOK[p].dash}
            data-histogram={d.id}
          />
        ))}
        {withTheory.map((p) => (
          <path
            key={`c${p}`}
            d={curve(counted[p].curve)}
            fill="none"
            stroke={LOOK[p].color}
            strokeWidth="2.4"
            data-theory={d.id}
          />
        ))}
        {(shown.length === 1 ? shown : shown.slice(0, 2)).map((p) =>
          [...counted[p].marks].map(
            (v, i) =>
              !Number.isNaN(v) && (
                <line
                  key={`${p}${i}`}
                  x1={x(v * d.perSi)}
                  x2={x(v * d.perSi)}
                  y1={y(0)}
                  y2={PAD.top}
                  stroke={LOOK[p].color}
                  strokeWidth="1.3"
                  strokeDasharray={MARK_DASH[i]}
                />
              ),
          ),
        )}
        {layers.has(d.followedOn) && (
          <Followed name={d.followed} past={past} at={(v) => x(Math.min(end.current, v))} floor={y(0)} type={type} />
        )}
        <line
          x1={x(Math.min(limit, end.current))}
          x2={x(Math.min(limit, end.current))}
          y1={y(0)}
          y2={PAD.top - 0.4 * type}
          stroke="var(--ink)"
          strokeWidth="1.6"
          strokeDasharray="9 3"
        />
      </svg>
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1 text-fine">
        <span className="inline-flex min-w-[min(14rem,100%)] flex-1 flex-wrap items-center gap-x-2">
          <span className="whitespace-nowrap">
            above <span className="mono">{printShort(Number(limit.toPrecision(3)))}</span> {d.unit}
          </span>
          <Slider
            label={`Limit of ${inSentence(d.name)}`}
            className="min-w-24 flex-1"
            value={Math.min(limit, end.current)}
            min={0}
            max={end.current}
            step={end.current / 200}
            onChange={setLimit}
            valueText={`${printShort(limit)} ${d.unit}`}
          />
          {shown.map((p) => (
            <b key={p} className="mono whitespace-nowrap" style={{ color: LOOK[p].color }} data-share={p}>
              {printFixed(100 * counted[p].shareAbove, 1)} %
            </b>
          ))}
        </span>
        {d.marks.map((k, i) => (
          <span key={k} className="inline-flex items-center gap-1.5 whitespace-nowrap">
            <svg width="16" height="10" aria-hidden>
              <line x1="8" x2="8" y1="0" y2="10" stroke="var(--ink)" strokeWidth="1.6" strokeDasharray={MARK_DASH[i]} />
            </svg>
            {k}{' '}
            {shown.map((p) => (
              <span key={p} className="mono" style={{ color: LOOK[p].color }}>
                {Number.isNaN(counted[p].marks[i]) ? '–' : printFixed(counted[p].marks[i] * d.perSi, d.decimals)}{' '}
              </span>
            ))}
          </span>
        ))}
      </div>
    </figure>
  );
}

interface Past {
  time: number;
  values: number[];
}

/** Where the one that is followed stands now, and below the axis where it stood lately, fading. */
function Followed({
  name,
  past,
  at,
  floor,
  type,
}: {
  name: string;
  past: Past[];
  at: (value: number) => number;
  floor: number;
  type: number;
}) {
  const now = past.at(-1)?.values ?? [];
  return (
    <>
      {past
        .slice(0, -1)
        .flatMap((mark, k) =>
          mark.values.map((v, p) =>
            Number.isNaN(v) ? null : (
              <line
                key={`${p} ${mark.time}`}
                x1={at(v)}
                x2={at(v)}
                y1={floor}
                y2={floor + 0.55 * type}
                stroke="var(--plum)"
                strokeWidth="2.2"
                strokeOpacity={(0.75 * (k + 1)) / past.length}
                data-followed
              />
            ),
          ),
        )}
      {now.map(
        (v, p) =>
          !Number.isNaN(v) && (
            <path key={p} d={`M${at(v)} ${floor}l${-0.5 * type} ${0.9 * type}h${type}Z`} fill="var(--plum)">
              <title>{name}</title>
            </path>
          ),
      )}
    </>
  );
}
