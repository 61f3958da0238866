import { memo, useId } from 'react';
import {
  axisTitle,
  COLOURS,
  PAD,
  ticks,
  type Fitted,
  type GraphChoice,
  type GraphColumn,
  type Scale,
  type Series,
  type Size,
} from './model';

/** Marks that are told apart without colour. */
function Mark({ mark, x, y, hollow }: { mark: number; x: number; y: number; hollow: boolean }) {
  const colour = COLOURS[mark % COLOURS.length];
  const look = {
    fill: hollow ? 'none' : 'var(--sheet)',
    stroke: colour,
    strokeWidth: hollow ? 1.2 : 2,
    ...(hollow && { strokeDasharray: '2 2' }),
  };
  switch (mark % 4) {
    case 0:
      return <circle cx={x} cy={y} r="4.5" {...look} />;
    case 1:
      return <rect x={x - 4} y={y - 4} width="8" height="8" {...look} />;
    case 2:
      return <path d={`M${x} ${y - 5.2}l5 8.6h-10Z`} {...look} />;
    default:
      return <path d={`M${x} ${y - 5.6}l5.6 5.600l-5.600 5.600l-5.600 -5.600Z`} {...look} />;
  }
}

/**
 * One point with its error bars, NaN where it has none. Of hundreds of points a key changes one: the others aren't
 * drawn anew.
 */
const PointMark = memo(function PointMark({
  row,
  x,
  y,
  mark,
  out,
  pointing,
  low,
  high,
  left,
  right,
}: {
  row: number;
  x: number;
  y: number;
  mark: number;
  out: boolean;
  pointing: boolean;
  low: number;
  high: number;
  left: number;
  right: number;
}) {
  const colour = COLOURS[mark % COLOURS.length];
  return (
    <g data-point={row + 1} data-out={out || undefined} className={pointing ? 'cursor-pointer' : undefined}>
      {!Number.isNaN(low) && (
        <path
          d={`M${x} ${low}V${high}m-3 0h6m-3 0M${x - 3} ${low}h6`}
          stroke={colour}
          strokeWidth="1.1"
          fill="none"
          data-bar="up"
        />
      )}
      {!Number.isNaN(left) && (
        <path
          d={`M${left} ${y}H${right}m0 -3v6M${left} ${y - 3}v6`}
          stroke={colour}
          strokeWidth="1.1"
          fill="none"
          data-bar="along"
        />
      )}
      <Mark mark={mark} x={x} y={y} hollow={out} />
      <title>
        row {row + 1}
        {out ? ', left out' : ''}
      </title>
    </g>
  );
});

/** Axes, grid and titles. */
export function Axes({
  sx,
  sy,
  size,
  x,
  ys,
}: {
  sx: Scale;
  sy: Scale;
  size: Size;
  x?: GraphColumn;
  ys: GraphColumn[];
}) {
  const { w, h } = size;
  const long = w > 420;
  const up = ys.length > 1 ? ys.map((c) => axisTitle(c, false)).join(', ') : axisTitle(ys[0], long && h > 200);
  return (
    <g>
      {ticks(sy, Math.max(3, Math.round(h / 48))).map((t) => (
        <g key={t.value}>
          <line x1={PAD.left} x2={w - PAD.right} y1={sy(t.value)} y2={sy(t.value)} stroke="var(--line)" />
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
      {ticks(sx, Math.max(3, Math.round(w / 80))).map((t) => (
        <g key={t.value}>
          <line y1={PAD.top} y2={h - PAD.bottom} x1={sx(t.value)} x2={sx(t.value)} stroke="var(--line)" />
          <text
            x={sx(t.value)}
            y={h - PAD.bottom + 15}
            textAnchor="middle"
            fontSize="11.5"
            className="mono"
            fill="var(--soft)"
          >
            {t.text}
          </text>
        </g>
      ))}
      <path
        d={`M${PAD.left} ${PAD.top}V${h - PAD.bottom}H${w - PAD.right}`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth="1.3"
      />
      <text x={(PAD.left + w - PAD.right) / 2} y={h - 7} textAnchor="middle" fontSize="13" fill="var(--ink)">
        {axisTitle(x, long)}
      </text>
      <text
        transform={`translate(13 ${(PAD.top + h - PAD.bottom) / 2}) rotate(-90)`}
        textAnchor="middle"
        fontSize="13"
        fill="var(--ink)"
      >
        {up}
      </text>
    </g>
  );
}

/** What lies in the frame: fits, error bars, points; `under` is drawn first. */
export function Contents({
  sx,
  sy,
  size,
  series,
  fits,
  choice,
  under,
  onPoint,
}: {
  sx: Scale;
  sy: Scale;
  size: Size;
  series: Series[];
  fits: Fitted[];
  choice: GraphChoice;
  under?: React.ReactNode;
  onPoint?: (row: number) => void;
}) {
  const id = useId();
  const many = series.reduce((n, s) => n + s.points.length, 0) > 2000;
  return (
    <g>
      <clipPath id={id}>
        <rect
          x={PAD.left}
          y={PAD.top}
          width={Math.max(0, size.w - PAD.left - PAD.right)}
          height={Math.max(0, size.h - PAD.top - PAD.bottom)}
        />
      </clipPath>
      <g clipPath={`url(#${id})`}>
        {under}
        {fits.map(
          (f, i) =>
            f.result && (
              <path
                key={i}
                d={curvePath(f, sx, sy)}
                fill="none"
                stroke={COLOURS[(1 + i) % COLOURS.length]}
                strokeWidth="1.8"
                strokeDasharray={i > 1 ? '7 4' : undefined}
                data-testid="fit"
              />
            ),
        )}
        {series.map((s) => (
          <g
            key={s.column.id}
            onClick={(e) => {
              const row = (e.target as Element).closest('[data-point]')?.getAttribute('data-point');
              if (row) onPoint?.(Number(row) - 1);
            }}
          >
            {choice.join && (
              <path
                d={joinPath(s, sx, sy)}
                fill="none"
                stroke={COLOURS[s.mark % COLOURS.length]}
                strokeWidth="1.2"
                strokeOpacity="0.7"
              />
            )}
            {many ? (
              <path
                d={s.points.map((p) => `M${sx(p.a).toFixed(1)} ${sy(p.b).toFixed(1)}h.01`).join('')}
                stroke={COLOURS[s.mark % COLOURS.length]}
                strokeWidth="3"
                strokeLinecap="round"
                data-points={s.points.length}
              />
            ) : (
              s.points.map((p) => {
                const up = !choice.noBars && p.ub > 0;
                const along = !choice.noBars && p.ua > 0;
                return (
                  <PointMark
                    key={p.row}
                    row={p.row}
                    x={sx(p.a)}
                    y={sy(p.b)}
                    mark={s.mark}
                    out={p.out}
                    pointing={!!onPoint}
                    low={up ? sy(p.b - p.ub) : NaN}
                    high={up ? sy(p.b + p.ub) : NaN}
                    left={along ? sx(p.a - p.ua) : NaN}
                    right={along ? sx(p.a + p.ua) : NaN}
                  />
                );
              })
            )}
          </g>
        ))}
      </g>
    </g>
  );
}

function curvePath(f: Fitted, sx: Scale, sy: Scale) {
  let d = '';
  const n = f.result!.curve.length;
  f.result!.curve.forEach((height, i) => {
    const at = f.from + ((f.to - f.from) * i) / (n - 1);
    const y = height === null ? NaN : sy(height);
    if (Number.isFinite(y) && Math.abs(y) < 1e5)
      d += `${d && !d.endsWith(' ') ? 'L' : 'M'}${sx(at).toFixed(1)} ${y.toFixed(1)}`;
    else if (d && !d.endsWith(' ')) d += ' ';
  });
  return d;
}

function joinPath(s: Series, sx: Scale, sy: Scale) {
  const points = s.points.filter((p) => !p.out).sort((p, q) => p.a - q.a);
  return points.map((p, i) => `${i ? 'L' : 'M'}${sx(p.a).toFixed(1)} ${sy(p.b).toFixed(1)}`).join('');
}
