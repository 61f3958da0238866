import { printShort } from '../core';
import { axisTitle, PAD, scales, type GraphColumn, type Series } from './model';

/** How far each point lies off the first fit, in a strip across the graph. */
export function Residuals({
  rows,
  residuals,
  x,
  unit,
  sx,
  size,
}: {
  rows: number[];
  residuals: number[];
  x: GraphColumn;
  unit: string;
  sx: ReturnType<typeof scales>['sx'];
  size: { w: number; h: number };
}) {
  const most = residuals.reduce((m, r) => Math.max(m, Math.abs(r)), 1e-300);
  const tall = Math.min(70, size.h * 0.3);
  const y = (r: number) => tall / 2 - (r / most) * (tall / 2 - 6);
  return (
    <svg
      role="img"
      aria-label={`Residuals of the fit, at most ${printShort(most)} ${unit}`}
      className="pointer-events-none absolute left-0"
      style={{ top: PAD.top }}
      width={size.w}
      height={tall}
      data-testid="residuals"
    >
      <rect x={PAD.left} width={size.w - PAD.left - PAD.right} height={tall} fill="var(--stage)" fillOpacity="0.85" />
      <path d={`M${PAD.left} ${tall / 2}H${size.w - PAD.right}`} stroke="var(--edge)" />
      {rows.map((row, i) => (
        <path
          key={row}
          d={`M${sx(x.result.values[row])} ${tall / 2}V${y(residuals[i])}`}
          stroke="var(--indigo)"
          strokeWidth="2"
        />
      ))}
      <text x={PAD.left + 5} y="13" fontSize="11" fill="var(--soft)">
        residuals, ±{printShort(most)} {unit}
      </text>
    </svg>
  );
}

/** The same data as a table, for those who can't see the graph. */
export function DataBehind({ series }: { series: Series[] }) {
  return (
    <div className="min-h-0 flex-1 overflow-auto px-3" tabIndex={0} role="region" aria-label="Data of the graph">
      {series.map((s) => (
        <table key={s.column.id} className="mb-3 border-collapse">
          <caption className="text-left font-semibold">{axisTitle(s.column, true)}</caption>
          <thead>
            <tr className="border-b">
              <th scope="col" className="pr-4 text-left">
                row
              </th>
              <th scope="col" className="pr-4 text-right">
                along
              </th>
              <th scope="col" className="pr-4 text-right">
                up
              </th>
              <th scope="col" className="text-right">
                ±
              </th>
            </tr>
          </thead>
          <tbody>
            {s.points.slice(0, 500).map((p) => (
              <tr key={p.row} className={`border-b ${p.out ? 'text-soft line-through' : ''}`}>
                <td className="mono pr-4">{p.row + 1}</td>
                <td className="mono pr-4 text-right">{printShort(p.a)}</td>
                <td className="mono pr-4 text-right">{printShort(p.b)}</td>
                <td className="mono text-right">{p.ub > 0 ? printShort(p.ub) : ''}</td>
              </tr>
            ))}
          </tbody>
        </table>
      ))}
    </div>
  );
}
