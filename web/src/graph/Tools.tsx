import { useRef, useState } from 'react';
import { checkUnit, printShort, type FitAsked, type Worked } from '../core';
import { UnitAsk } from '../notebook/UnitAsk';
import { PAD, type GraphColumn, type Scale, type Series, type Size } from './model';

export type Tool = 'look' | 'tangent' | 'area' | 'crosshair';
/** Where the tools stand, in the units of the axes. */
export interface ToolPlaces {
  at: number;
  from: number;
  to: number;
  cross: { x: number; y: number } | null;
}

/** A handle that is moved along the axis by pointer or by arrow keys. */
function Handle({
  x,
  name,
  size,
  sx,
  onMove,
}: {
  x: number;
  name: string;
  size: Size;
  sx: Scale;
  onMove: (to: number) => void;
}) {
  const held = useRef(false);
  const place = sx(x);
  const toX = (e: React.PointerEvent) => {
    const box = (e.currentTarget as SVGElement).ownerSVGElement!.getBoundingClientRect();
    return sx.invert(Math.min(size.w - PAD.right, Math.max(PAD.left, e.clientX - box.left)));
  };
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={`${name}: drag it, or use the arrow keys, with Shift finely`}
      aria-valuenow={x}
      aria-valuetext={printShort(x)}
      aria-valuemin={sx.domain()[0]}
      aria-valuemax={sx.domain()[1]}
      className="cursor-ew-resize"
      onPointerDown={(e) => {
        held.current = true;
        e.stopPropagation();
        e.currentTarget.setPointerCapture(e.pointerId);
      }}
      onPointerMove={(e) => {
        if (held.current) onMove(toX(e));
      }}
      onPointerUp={() => {
        held.current = false;
      }}
      onKeyDown={(e) => {
        const by = e.key === 'ArrowRight' ? 1 : e.key === 'ArrowLeft' ? -1 : 0;
        if (by) {
          e.preventDefault();
          onMove(sx.invert(place + by * (e.shiftKey ? 1 : 10)));
        }
      }}
    >
      <line x1={place} x2={place} y1={PAD.top} y2={size.h - PAD.bottom} stroke="var(--plum)" strokeDasharray="4 3" />
      <line x1={place} x2={place} y1={PAD.top} y2={size.h - PAD.bottom} stroke="transparent" strokeWidth="14" />
      <circle cx={place} cy={size.h - PAD.bottom} r="7" fill="var(--sheet)" stroke="var(--plum)" strokeWidth="2" />
    </g>
  );
}

interface Shared {
  worked: Worked;
  x: GraphColumn;
  y: GraphColumn;
  sx: Scale;
  sy: Scale;
  size: Size;
}

/** A tangent to the points, or to a fit, at a place that can be dragged. */
export function Tangent({
  worked,
  x,
  y,
  sx,
  sy,
  size,
  at,
  fit,
  onMove,
}: Shared & { at: number; fit: FitAsked | null; onMove: (to: number) => void }) {
  const found = worked.tangent(x.id, y.id, at, fit);
  const known = 'error' in found ? null : found;
  const [from, to] = sx.domain();
  const reach = 0.22 * (to - from);
  return (
    <g>
      {known && (
        <line
          x1={sx(at - reach)}
          x2={sx(at + reach)}
          y1={sy(known.height - reach * known.gradient)}
          y2={sy(known.height + reach * known.gradient)}
          stroke="var(--plum)"
          strokeWidth="2"
          data-testid="tangent"
        />
      )}
      <Handle x={at} name="Tangent" size={size} sx={sx} onMove={onMove} />
    </g>
  );
}

/** The area between the points and the axis, over a stretch with two ends that can be dragged. */
export function Area({
  worked,
  x,
  y,
  sx,
  sy,
  size,
  from,
  to,
  series,
  onMove,
}: Shared & { from: number; to: number; series: Series; onMove: (from: number, to: number) => void }) {
  const found = worked.area(x.id, y.id, from, to);
  const points = series.points.filter((p) => !p.out).sort((p, q) => p.a - q.a);
  const base = sy(Math.max(sy.domain()[0], Math.min(sy.domain()[1], 0)));
  const known = 'error' in found ? null : found;
  const left = known ? sx(known.from) : 0;
  const width = known ? Math.max(0, sx(known.to) - left) : 0;
  return (
    <g>
      {known && points.length > 1 && (
        <svg
          x={left}
          y={0}
          width={width}
          height={size.h}
          viewBox={`${left} 0 ${Math.max(width, 1e-6)} ${size.h}`}
          preserveAspectRatio="none"
        >
          <path
            d={
              `M${sx(points[0].a)} ${base}${points.map((p) => `L${sx(p.a)} ${sy(p.b)}`).join('')}` +
              `L${sx(points.at(-1)!.a)} ${base}Z`
            }
            fill="var(--plum)"
            fillOpacity="0.16"
            data-testid="area"
          />
        </svg>
      )}
      <Handle x={from} name="Area from" size={size} sx={sx} onMove={(v) => onMove(v, to)} />
      <Handle x={to} name="Area to" size={size} sx={sx} onMove={(v) => onMove(from, v)} />
    </g>
  );
}

/** Two lines through the pointer, to read off what lies under it. */
export function Crosshair({ sx, sy, size, at }: { sx: Scale; sy: Scale; size: Size; at: { x: number; y: number } }) {
  return (
    <g pointerEvents="none" stroke="var(--plum)" strokeDasharray="3 3">
      <line x1={sx(at.x)} x2={sx(at.x)} y1={PAD.top} y2={size.h - PAD.bottom} />
      <line y1={sy(at.y)} y2={sy(at.y)} x1={PAD.left} x2={size.w - PAD.right} />
    </g>
  );
}

/** What the tool in use has found, in words; its unit may be for the student to find. */
export function ReadOff({
  tool,
  worked,
  x,
  y,
  places,
  fit,
  asks,
}: {
  tool: Tool;
  worked: Worked;
  x: GraphColumn;
  y: GraphColumn;
  places: ToolPlaces;
  fit: FitAsked | null;
  asks: boolean;
}) {
  const [typed, setTyped] = useState('');
  if (tool === 'crosshair')
    return (
      <>
        {places.cross
          ? `${x.symbol} = ${printShort(places.cross.x)} ${x.result.unit}, ` +
            `${y.symbol} = ${printShort(places.cross.y)} ${y.result.unit}`
          : 'Point at a place in the graph, or move the lines with the arrow keys.'}
      </>
    );
  const found =
    tool === 'tangent' ? worked.tangent(x.id, y.id, places.at, fit) : worked.area(x.id, y.id, places.from, places.to);
  if ('error' in found) return <>{found.error}</>;
  const what = tool === 'tangent' ? 'gradient' : 'area';
  const where =
    'from' in found
      ? `from ${x.symbol} = ${printShort(found.from)} to ${printShort(found.to)}`
      : `at ${x.symbol} = ${printShort(places.at)}`;
  const check = checkUnit(typed, found.unit);
  return (
    <>
      {what} {found.number}{' '}
      {asks && !check.right ? (
        <UnitAsk of={`the ${what}`} value={typed} hint={check.note} onChange={setTyped} />
      ) : (
        found.unit
      )}{' '}
      {where} {x.result.unit}
      {tool === 'tangent' && fit ? ', of the fit' : ''}
    </>
  );
}
