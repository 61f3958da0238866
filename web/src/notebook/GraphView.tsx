import { scaleLinear } from 'd3-scale';
import { useEffect, useRef, useState } from 'react';
import { fitLine, type ColumnResult, type TableSpec } from '../core';
import { Select, symbolText, Toggle } from '../ui';

export interface GraphChoice { x?: string; y?: string; origin?: boolean; line?: boolean }

interface Props {
  table: TableSpec;
  results: ColumnResult[];
  choice: GraphChoice;
  readOnly: boolean;
  onChoice: (c: GraphChoice) => void;
}

const PAD = { left: 54, right: 26, top: 12, bottom: 38 };

/** Ticks without commas between thousands: in half of the world those are decimal commas. */
const plain = (tick: string) => tick.replaceAll(',', '');

/** A graph of two columns that draws itself as rows are typed, with a line of best fit. */
export function GraphView({ table, results, choice, readOnly, onChoice }: Props) {
  const box = useRef<HTMLDivElement>(null);
  const [size, setSize] = useState({ w: 360, h: 240 });
  useEffect(() => {
    const observer = new ResizeObserver(([e]) => setSize({ w: Math.max(220, e.contentRect.width), h: Math.max(120, e.contentRect.height) }));
    observer.observe(box.current!);
    return () => observer.disconnect();
  }, []);
  const columns = table.columns.map((c, i) => ({ ...c, result: results[i] })).filter((c) => c.kind !== 'label');
  const x = columns.find((c) => c.id === choice.x) ?? columns[0];
  const y = columns.find((c) => c.id === choice.y) ?? columns[1];
  const points = x && y ? table.rows.flatMap((row, i) => {
    const a = x.result?.values[i];
    const b = y.result?.values[i];
    return a == null || b == null ? [] : [{ row: i + 1, id: row.id, a, b }];
  }) : [];
  const line = choice.line && x && y ? fitLine(table, x.id, y.id) : null;
  const fit = line && !('error' in line) ? line : null;

  const range = (values: number[]) => {
    if (values.length === 0) return [0, 1];
    let low = Math.min(...values, ...(choice.origin ? [0] : []));
    let high = Math.max(...values, ...(choice.origin ? [0] : []));
    if (low === high) { low -= 0.5 * Math.abs(low) || 0.5; high += 0.5 * Math.abs(high) || 0.5; }
    const margin = 0.06 * (high - low);
    return [low === 0 && choice.origin ? 0 : low - margin, high + margin];
  };
  const sx = scaleLinear(range(points.map((p) => p.a)), [PAD.left, size.w - PAD.right]).nice();
  const sy = scaleLinear(range(points.map((p) => p.b)), [size.h - PAD.bottom, PAD.top]).nice();
  const [x0, x1] = sx.domain();
  const options = columns.map((c) => ({ id: c.id, name: symbolText(c.symbol) }));
  const title = (c: typeof x) => `${symbolText(c?.symbol ?? '')}${c?.result?.unit ? ` / ${c.result.unit}` : ''}`;
  return (
    <div className="flex h-full min-h-0 flex-col">
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1 px-3 pt-1.5 text-fine">
        <Select label="up" value={y?.id ?? ''} onChange={(v) => onChoice({ ...choice, x: x?.id, y: v })} options={options} disabled={readOnly} />
        <Select label="along" value={x?.id ?? ''} onChange={(v) => onChoice({ ...choice, y: y?.id, x: v })} options={options} disabled={readOnly} />
        <Toggle label="origin" checked={!!choice.origin} onChange={(origin) => onChoice({ ...choice, x: x?.id, y: y?.id, origin })} />
        <Toggle label="line of best fit" checked={!!choice.line} onChange={(on) => onChoice({ ...choice, x: x?.id, y: y?.id, line: on })} />
      </div>
      {line && (
        <p className="px-3 pt-1" aria-live="polite" data-testid="equation">
          {fit ? (
            <><span className="font-semibold text-indigo tabular-nums">{fit.equation}</span> <span className="text-fine text-soft"><i>r</i>² = {fit.rSquared}, {fit.points} points</span></>
          ) : <span className="text-copper">{(line as { error: string }).error}</span>}
        </p>
      )}
      <div ref={box} className="min-h-0 flex-1">
        <svg width={size.w} height={size.h} role="img" aria-label={`Graph of ${y?.name ?? ''} against ${x?.name ?? ''}, ${points.length} points${fit ? `, line ${fit.equation}` : ''}. Its data are in the table beside it.`}>
          {sy.ticks(5).map((t) => (
            <g key={t}>
              <line x1={PAD.left} x2={size.w - PAD.right} y1={sy(t)} y2={sy(t)} stroke="var(--line)" />
              <text x={PAD.left - 6} y={sy(t) + 4} textAnchor="end" fontSize="11.5" className="mono" fill="var(--soft)">{plain(sy.tickFormat(5)(t))}</text>
            </g>
          ))}
          {sx.ticks(6).map((t) => (
            <g key={t}>
              <line y1={PAD.top} y2={size.h - PAD.bottom} x1={sx(t)} x2={sx(t)} stroke="var(--line)" />
              <text x={sx(t)} y={size.h - PAD.bottom + 15} textAnchor="middle" fontSize="11.5" className="mono" fill="var(--soft)">{plain(sx.tickFormat(6)(t))}</text>
            </g>
          ))}
          <path d={`M${PAD.left} ${PAD.top}V${size.h - PAD.bottom}H${size.w - PAD.right}`} fill="none" stroke="var(--ink)" strokeWidth="1.3" />
          <text x={(PAD.left + size.w - PAD.right) / 2} y={size.h - 6} textAnchor="middle" fontSize="13" fill="var(--ink)">{title(x)}</text>
          <text transform={`translate(13 ${(PAD.top + size.h - PAD.bottom) / 2}) rotate(-90)`} textAnchor="middle" fontSize="13" fill="var(--ink)">{title(y)}</text>
          <svg x={PAD.left} y={PAD.top} width={size.w - PAD.left - PAD.right} height={size.h - PAD.top - PAD.bottom} viewBox={`${PAD.left} ${PAD.top} ${size.w - PAD.left - PAD.right} ${size.h - PAD.top - PAD.bottom}`}>
            {fit && <line x1={sx(x0)} x2={sx(x1)} y1={sy(fit.slope * x0 + fit.intercept)} y2={sy(fit.slope * x1 + fit.intercept)} stroke="var(--indigo)" strokeWidth="1.8" data-testid="fit" />}
          </svg>
          {points.map((p) => (
            <circle key={p.id} cx={sx(p.a)} cy={sy(p.b)} r="4.5" fill="var(--sheet)" stroke="var(--copper)" strokeWidth="2" data-point={p.row}><title>row {p.row}</title></circle>
          ))}
          {points.length === 0 && <text x={size.w / 2} y={size.h / 2} textAnchor="middle" fontSize="13" fill="var(--soft)">Points appear here as you type rows.</text>}
        </svg>
      </div>
    </div>
  );
}
