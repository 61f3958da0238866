import { scaleLinear } from 'd3-scale';
import type { Bins, Statistics, TableSpec, Worked } from '../core';
import { Axes } from './Plot';
import { axisTitle, COLOURS, PAD, ticks, type GraphChoice, type GraphColumn, type Size } from './model';

interface Props {
  worked: Worked;
  table: TableSpec;
  columns: GraphColumn[];
  choice: GraphChoice;
  size: Size;
}

/** How one column's values lie: histogram with the normal curve, or dots piled up. */
export function Distribution({ worked, columns, choice, size }: Props) {
  const c = columns[0];
  if (!c) return null;
  const bins = worked.bins(c.id, choice.bins?.start, choice.bins?.width);
  if ('error' in bins)
    return (
      <text x={size.w / 2} y={size.h / 2} textAnchor="middle" fontSize="13" fill="var(--soft)">
        {bins.error}
      </text>
    );
  return choice.show === 'dots' ? (
    <Dots bins={bins} c={c} size={size} worked={worked} />
  ) : (
    <Histogram bins={bins} c={c} size={size} />
  );
}

function frame(bins: Bins, size: Size, top: number) {
  const end = bins.start + bins.width * bins.counts.length;
  return {
    sx: scaleLinear([bins.start, end], [PAD.left, size.w - PAD.right]),
    sy: scaleLinear([0, Math.max(1, top) * 1.08], [size.h - PAD.bottom, PAD.top]),
  };
}

function Histogram({ bins, c, size }: { bins: Bins; c: GraphColumn; size: Size }) {
  const { sx, sy } = frame(bins, size, Math.max(...bins.counts, ...bins.normal));
  const last = bins.normal.length - 1;
  return (
    <g>
      <Axes sx={sx} sy={sy} size={size} x={c} ys={[]} />
      <text
        transform={`translate(13 ${(PAD.top + size.h - PAD.bottom) / 2}) rotate(-90)`}
        textAnchor="middle"
        fontSize="13"
        fill="var(--ink)"
      >
        count
      </text>
      {bins.counts.map(
        (n, i) =>
          n > 0 && (
            <rect
              key={i}
              data-bin={n}
              x={sx(bins.start + i * bins.width)}
              y={sy(n)}
              width={Math.max(0.5, sx(bins.start + (i + 1) * bins.width) - sx(bins.start + i * bins.width))}
              height={sy(0) - sy(n)}
              fill="color-mix(in srgb, var(--copper) 28%, var(--sheet))"
              stroke="var(--copper)"
            >
              <title>{n} values</title>
            </rect>
          ),
      )}
      {last > 0 && (
        <path
          data-testid="normal"
          d={bins.normal
            .map(
              (h, i) =>
                `${i ? 'L' : 'M'}${(sx.range()[0] + ((sx.range()[1] - sx.range()[0]) * i) / last).toFixed(1)}` +
                ` ${sy(h).toFixed(1)}`,
            )
            .join('')}
          fill="none"
          stroke={COLOURS[1]}
          strokeWidth="1.8"
        />
      )}
    </g>
  );
}

/** Each value a dot, those of one bin one above the other. */
function Dots({ bins, c, size, worked }: { bins: Bins; c: GraphColumn; size: Size; worked: Worked }) {
  const { sx } = frame(bins, size, 1);
  const r = Math.max(
    1.5,
    Math.min(
      6,
      (size.h - PAD.top - PAD.bottom) / (2.1 * Math.max(...bins.counts)),
      (sx(bins.start + bins.width) - sx(bins.start)) / 2.1,
    ),
  );
  const base = size.h - PAD.bottom;
  const s = worked.statistics(c.id);
  return (
    <g>
      <Axes sx={sx} sy={scaleLinear([0, 1], [base, base])} size={size} x={c} ys={[]} />
      {bins.counts.flatMap((n, i) =>
        Array.from({ length: n }, (_, k) => (
          <circle
            key={`${i}/${k}`}
            data-dot
            cx={sx(bins.start + (i + 0.5) * bins.width)}
            cy={base - r * (2.1 * k + 1.05)}
            r={r}
            fill="color-mix(in srgb, var(--copper) 28%, var(--sheet))"
            stroke="var(--copper)"
          />
        )),
      )}
      {'mean' in s && s.mean !== null && (
        <path d={`M${sx(s.mean)} ${PAD.top}V${base}`} stroke={COLOURS[1]} strokeDasharray="5 3">
          <title>mean {s.meanText}</title>
        </path>
      )}
    </g>
  );
}

/** Box plots side by side: quartiles and median, lines to the smallest and largest value, a cross at the mean. */
export function BoxPlots({ worked, columns, size }: Props) {
  const unit = columns[0]?.result.unit;
  const alike = columns.filter((c) => c.result.unit === unit);
  const all = alike
    .map((c) => ({ c, s: worked.statistics(c.id) }))
    .filter((b): b is { c: GraphColumn; s: Statistics } => 'count' in b.s && b.s.count > 0);
  if (all.length === 0)
    return (
      <text x={size.w / 2} y={size.h / 2} textAnchor="middle" fontSize="13" fill="var(--soft)">
        There are no values yet
      </text>
    );
  const low = Math.min(...all.map((b) => b.s.min!));
  const high = Math.max(...all.map((b) => b.s.max!));
  const room = 0.06 * (high - low) || 0.5;
  const sy = scaleLinear([low - room, high + room], [size.h - PAD.bottom, PAD.top]).nice();
  const width = (size.w - PAD.left - PAD.right) / all.length;
  const half = Math.min(36, width * 0.3);
  return (
    <g>
      {ticks(sy, 5).map((t) => (
        <g key={t.value}>
          <line x1={PAD.left} x2={size.w - PAD.right} y1={sy(t.value)} y2={sy(t.value)} stroke="var(--line)" />
          <text
            x={PAD.left - 6}
            y={sy(t.value) + 4}
            textAnchor="end"
            fontSize="11.5"
            className="mono"
            fill="var(--soft)"
          >
            {t.text}
          </text>
        </g>
      ))}
      <path
        d={`M${PAD.left} ${PAD.top}V${size.h - PAD.bottom}H${size.w - PAD.right}`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth="1.3"
      />
      {unit && (
        <text transform={`translate(13 ${size.h / 2}) rotate(-90)`} textAnchor="middle" fontSize="13" fill="var(--ink)">
          {unit}
        </text>
      )}
      {all.map(({ c, s }, i) => {
        const x = PAD.left + (i + 0.5) * width;
        const colour = COLOURS[i % COLOURS.length];
        return (
          <g key={c.id} stroke={colour} strokeWidth="1.6" fill="none" data-box={c.id}>
            <path
              d={
                `M${x} ${sy(s.max!)}V${sy(s.upperQuartile!)}M${x} ${sy(s.lowerQuartile!)}` +
                `V${sy(s.min!)}M${x - half / 2} ${sy(s.max!)}h${half}` +
                `M${x - half / 2} ${sy(s.min!)}h${half}`
              }
            />
            <rect
              x={x - half}
              y={sy(s.upperQuartile!)}
              width={2 * half}
              height={Math.max(0, sy(s.lowerQuartile!) - sy(s.upperQuartile!))}
              fill="var(--sheet)"
            />
            <path d={`M${x - half} ${sy(s.median!)}h${2 * half}`} strokeWidth="2.6" />
            <path d={`M${x - 4} ${sy(s.mean!) - 4}l8 8m-8 0l8 -8`} />
            <text
              x={x}
              y={size.h - PAD.bottom + 17}
              textAnchor="middle"
              fontSize="12.5"
              fill="var(--ink)"
              stroke="none"
            >
              {axisTitle(c, false)}, n = {s.count}
            </text>
          </g>
        );
      })}
    </g>
  );
}
