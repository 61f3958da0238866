import { Minus, Plus, Scan } from 'lucide-react';
import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent, type RefObject } from 'react';
import type { FitAsked, TableSpec, Worked } from '../core';
import { Button } from '../ui';
import { Residuals } from './Beneath';
import { GraphPicture, type drawn } from './GraphPicture';
import { PAD, scales, type Domain, type GraphChoice, type Scale, type Size } from './model';
import { Area, Crosshair, Tangent, type Tool, type ToolPlaces } from './Tools';

interface Props {
  svg: RefObject<SVGSVGElement | null>;
  table: TableSpec;
  worked: Worked;
  choice: GraphChoice;
  what: ReturnType<typeof drawn>;
  tool: Tool;
  /** Where the tool's handles lie; without it, where they lie at first. */
  places: ToolPlaces | null;
  setPlaces: (places: ToolPlaces) => void;
  /** The fit a tangent is drawn to, if there is one. */
  ofFit: FitAsked | null;
  zoomed: boolean;
  setZoomed: (zoomed: Domain | null) => void;
  onGoTo?: (row: number) => void;
}

const STEPS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** Where handles lie that nobody has moved yet: at shares of the axis, in whatever size it is drawn. */
export function firstPlaces(domain: Domain, choice: GraphChoice): ToolPlaces {
  const { sx } = scales(domain, choice, { w: 1000, h: 1000 });
  const [left, right] = sx.range();
  const at = (share: number) => sx.invert(left + share * (right - left));
  return { at: at(0.5), from: at(0.25), to: at(0.75), cross: null };
}

/** The size of an element that is there as long as its caller is. */
function useBox(box: RefObject<HTMLDivElement | null>) {
  const [size, setSize] = useState<Size>({ w: 360, h: 240 });
  useEffect(() => {
    const observer = new ResizeObserver(([e]) =>
      setSize({ w: Math.max(220, e.contentRect.width), h: Math.max(90, e.contentRect.height) }),
    );
    observer.observe(box.current!);
    return () => observer.disconnect();
  }, [box]);
  return size;
}

/** React listens to the wheel passively, so the page would scroll too. */
function useWheel(svg: RefObject<SVGSVGElement | null>, turned: (by: number, px: number, py: number) => void) {
  const latest = useRef(turned);
  useEffect(() => {
    latest.current = turned;
  });
  useEffect(() => {
    const e = svg.current!;
    const turn = (w: WheelEvent) => {
      w.preventDefault();
      const b = e.getBoundingClientRect();
      latest.current(w.deltaY < 0 ? 0.8 : 1.25, w.clientX - b.left, w.clientY - b.top);
    };
    e.addEventListener('wheel', turn, { passive: false });
    return () => e.removeEventListener('wheel', turn);
  }, [svg]);
}

/** The drawing itself: zoomed by wheel and buttons, dragged, and read with tools. */
export function GraphDrawing(props: Props) {
  const { svg, choice, what, tool, places, setPlaces, zoomed, setZoomed } = props;
  const { x, ys, series, domain, fits } = what;
  const [y] = ys;
  const box = useRef<HTMLDivElement>(null);
  const size = useBox(box);
  const { sx, sy } = scales(domain, choice, size);
  const at = places ?? firstPlaces(domain, choice);
  const points = (choice.show ?? 'points') === 'points';
  const count = series.reduce((n, s) => n + s.points.length, 0);
  const zoom = (by: number, px = (PAD.left + size.w - PAD.right) / 2, py = (PAD.top + size.h - PAD.bottom) / 2) => {
    const about = (scale: Scale, p: number): [number, number] => {
      const [a, b] = scale.range();
      return [scale.invert(p + (a - p) * by), scale.invert(p + (b - p) * by)];
    };
    setZoomed({ x: about(sx, px), y: about(sy, py) });
  };
  useWheel(svg, zoom);
  const pan = useRef<{ x: number; y: number; sx: Scale; sy: Scale } | null>(null);
  const inside = (e: PointerEvent) => {
    const b = svg.current!.getBoundingClientRect();
    return { x: e.clientX - b.left, y: e.clientY - b.top };
  };
  const move = (e: PointerEvent) => {
    const p = inside(e);
    if (tool === 'crosshair') setPlaces({ ...at, cross: { x: sx.invert(p.x), y: sy.invert(p.y) } });
    if (!pan.current || e.buttons !== 1 || !zoomed) return;
    const [dx, dy] = [p.x - pan.current.x, p.y - pan.current.y];
    const shift = (s: Scale, d: number): [number, number] => [s.invert(s.range()[0] - d), s.invert(s.range()[1] - d)];
    setZoomed({ x: shift(pan.current.sx, dx), y: shift(pan.current.sy, dy) });
  };
  const step = (e: KeyboardEvent) => {
    const d = STEPS[e.key];
    if (tool !== 'crosshair' || !d) return;
    e.preventDefault();
    const from = at.cross ? { x: sx(at.cross.x), y: sy(at.cross.y) } : { x: size.w / 2, y: size.h / 2 };
    const far = e.shiftKey ? 1 : 10;
    setPlaces({ ...at, cross: { x: sx.invert(from.x + far * d[0]), y: sy.invert(from.y + far * d[1]) } });
  };
  const scale = { sx, sy, size, at };
  return (
    <div ref={box} className="relative min-h-0 flex-1">
      <svg
        ref={svg}
        width={size.w}
        height={size.h}
        role={tool === 'look' ? 'img' : 'group'}
        aria-label={inWords(what, choice, count)}
        tabIndex={tool === 'crosshair' ? 0 : undefined}
        className={`absolute inset-0 touch-none ${zoomed ? 'cursor-grab' : ''}`}
        onPointerDown={(e) => {
          if (e.button === 0) pan.current = { ...inside(e), sx, sy };
        }}
        onPointerMove={move}
        onPointerUp={() => {
          pan.current = null;
        }}
        onKeyDown={step}
      >
        <GraphPicture
          table={props.table}
          worked={props.worked}
          choice={choice}
          size={size}
          what={what}
          onPoint={props.onGoTo}
          under={tool === 'area' && <Under {...props} {...scale} />}
        />
        {points && <Over {...props} {...scale} count={count} />}
      </svg>
      {points && count > 0 && <ZoomButtons onZoom={zoom} onAll={zoomed ? () => setZoomed(null) : undefined} />}
      {points && choice.residuals && fits[0]?.result && x && y && (
        <Residuals
          rows={fits[0].result.rows}
          residuals={fits[0].result.residuals}
          x={x}
          unit={y.result.unit}
          sx={sx}
          size={size}
        />
      )}
    </div>
  );
}

interface OnScale {
  sx: Scale;
  sy: Scale;
  size: Size;
  at: ToolPlaces;
}

function Under({ worked, what: { x, ys, series }, setPlaces, sx, sy, size, at }: Props & OnScale) {
  return (
    x &&
    ys[0] &&
    series[0] && (
      <Area
        worked={worked}
        x={x}
        y={ys[0]}
        sx={sx}
        sy={sy}
        size={size}
        from={at.from}
        to={at.to}
        series={series[0]}
        onMove={(from, to) => setPlaces({ ...at, from, to })}
      />
    )
  );
}

function Over({ worked, what, tool, ofFit, setPlaces, sx, sy, size, at, count }: Props & OnScale & { count: number }) {
  const { columns, x, ys } = what;
  return (
    <>
      {tool === 'tangent' && x && ys[0] && (
        <Tangent
          worked={worked}
          x={x}
          y={ys[0]}
          sx={sx}
          sy={sy}
          size={size}
          at={at.at}
          fit={ofFit}
          onMove={(v) => setPlaces({ ...at, at: v })}
        />
      )}
      {tool === 'crosshair' && at.cross && <Crosshair sx={sx} sy={sy} size={size} at={at.cross} />}
      {count === 0 && (
        <text x={size.w / 2} y={size.h / 2} textAnchor="middle" fontSize="13" fill="var(--soft)" data-screen>
          {columns.length < 2 ? 'A graph needs two columns of numbers.' : 'Points appear here as you type rows.'}
        </text>
      )}
    </>
  );
}

function inWords({ x, ys, fits }: ReturnType<typeof drawn>, choice: GraphChoice, count: number) {
  const names = ys.map((c) => c.name).join(', ');
  if (choice.show === 'box') return `Box plots of ${names}`;
  if (choice.show === 'dots') return `Dot plot of ${names}`;
  if (choice.show === 'histogram') return `Histogram of ${names}`;
  const equations = fits.map((f) => (f.result ? `, fit ${f.result.equation}` : '')).join('');
  return `Graph of ${names} against ${x?.name ?? ''}, ${count} points${equations}`;
}

function ZoomButtons({ onZoom, onAll }: { onZoom: (by: number) => void; onAll?: () => void }) {
  const look = 'min-h-6! px-1!';
  return (
    <div className="absolute right-6 flex gap-0.5 rounded-house border bg-sheet" style={{ bottom: PAD.bottom + 4 }}>
      <Button small kind="quiet" className={look} aria-label="Zoom into the graph" onClick={() => onZoom(0.8)}>
        <Plus size={13} />
      </Button>
      <Button small kind="quiet" className={look} aria-label="Zoom out of the graph" onClick={() => onZoom(1.25)}>
        <Minus size={13} />
      </Button>
      {onAll && (
        <Button
          small
          kind="quiet"
          className={look}
          aria-label="Show all points"
          title="Show all points"
          onClick={onAll}
        >
          <Scan size={13} />
        </Button>
      )}
    </div>
  );
}
