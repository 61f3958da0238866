import { ArrowLeftRight, Download, Maximize2, Minus, Plus, Scan } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { useEffect, useMemo, useRef, useState } from 'react';
import { type TableSpec, type Worked } from '../core';
import { Button, menuBox, menuItem, Select, symbolText, Toggle } from '../ui';
import { FitMenu } from './FitMenu';
import { FitWords } from './FitWords';
import { drawn, GraphPicture } from './GraphPicture';
import { fitsOf, PAD, scales, type Domain, type GraphChoice } from './model';
import { savePng, saveSvg } from './picture';
import type { Expected } from './SketchBehind';
import { Area, Crosshair, ReadOff, Tangent, type Tool, type ToolPlaces } from './Tools';
import { ViewMenu } from './ViewMenu';
import { Residuals, DataBehind } from './Beneath';

interface Props {
  table: TableSpec;
  worked: Worked;
  choice: GraphChoice;
  readOnly: boolean;
  onChoice: (c: GraphChoice) => void;
  /** Goes to a row of the table. */
  onGoTo?: (row: number) => void;
  onEnlarge?: () => void;
  /** Sealed sketches, shown behind a graph of the same quantities. */
  expected?: Expected[];
}

const TOOLS: { id: Tool; name: string }[] = [
  { id: 'look', name: 'no tool' },
  { id: 'tangent', name: 'tangent' },
  { id: 'area', name: 'area' },
  { id: 'crosshair', name: 'crosshair' },
];

/** A graph that draws itself as rows are typed, with fits, and tools to read it. */
export function GraphView({ table, worked, choice, readOnly, onChoice, onGoTo, onEnlarge, expected }: Props) {
  const box = useRef<HTMLDivElement>(null);
  const svg = useRef<SVGSVGElement>(null);
  const [size, setSize] = useState({ w: 360, h: 240 });
  const [zoomed, setZoomed] = useState<Domain | null>(null);
  const [tool, setTool] = useState<Tool>('look');
  const [places, setPlaces] = useState<ToolPlaces | null>(null);
  const [data, setData] = useState(false);
  const [trouble, setTrouble] = useState('');
  useEffect(() => {
    const observer = new ResizeObserver(([e]) =>
      setSize({ w: Math.max(220, e.contentRect.width), h: Math.max(90, e.contentRect.height) }),
    );
    // While the data are shown there is no drawing to measure.
    if (box.current) observer.observe(box.current);
    return () => observer.disconnect();
  }, [data]);
  const what = useMemo(() => drawn(table, worked, choice, expected, zoomed), [table, worked, choice, expected, zoomed]);
  const { columns, x, ys, series, domain, fits } = what;
  const y = ys[0];
  const show = choice.show ?? 'points';
  const { sx, sy } = scales(domain, choice, size);
  const options = columns.map((c) => ({ id: c.id, name: symbolText(c.symbol) }));
  const count = series.reduce((n, s) => n + s.points.length, 0);
  const middle = (share: number) => sx.invert(PAD.left + share * (size.w - PAD.left - PAD.right));
  const at: ToolPlaces = places ?? { at: middle(0.5), from: middle(0.25), to: middle(0.75), cross: null };
  const ofFit = fits.find((f) => f.result && f.choice.series === y?.id)?.asked ?? null;
  const put = (more: Partial<GraphChoice>) => onChoice({ ...choice, x: x?.id, y: y?.id, ...more });
  // Fits of columns that are gone, or on no axis now, wait unseen.
  const lineOn = fitsOf(choice, y?.id).some((f) => f.kind === 'line' && f.series === y?.id);
  const toggleLine = (on: boolean) => {
    const rest = fitsOf(choice, y?.id).filter(
      (f) => !(f.kind === 'line' && f.series === y?.id) && ys.some((c) => c.id === f.series),
    );
    put({ line: on, fits: on ? [{ kind: 'line', series: y!.id }, ...rest] : rest });
  };
  const zoom = (by: number, px = (PAD.left + size.w - PAD.right) / 2, py = (PAD.top + size.h - PAD.bottom) / 2) => {
    const about = (scale: typeof sx, p: number): [number, number] => {
      const [a, b] = scale.range();
      return [scale.invert(p + (a - p) * by), scale.invert(p + (b - p) * by)];
    };
    setZoomed({ x: about(sx, px), y: about(sy, py) });
  };
  const pan = useRef<{ x: number; y: number; sx: typeof sx; sy: typeof sy } | null>(null);
  const inside = (e: React.PointerEvent | React.WheelEvent) => {
    const b = svg.current!.getBoundingClientRect();
    return { x: e.clientX - b.left, y: e.clientY - b.top };
  };
  // React listens to the wheel passively, so the page would scroll too.
  const wheel = useRef(zoom);
  wheel.current = zoom;
  useEffect(() => {
    const e = svg.current;
    const turn = (w: WheelEvent) => {
      w.preventDefault();
      const b = e!.getBoundingClientRect();
      wheel.current(w.deltaY < 0 ? 0.8 : 1.25, w.clientX - b.left, w.clientY - b.top);
    };
    e?.addEventListener('wheel', turn, { passive: false });
    return () => e?.removeEventListener('wheel', turn);
  }, [data]);
  const name = `${y?.name ?? 'graph'} against ${x?.name ?? ''}`;
  const words =
    show !== 'points'
      ? `${show === 'box' ? 'Box plots' : show === 'dots' ? 'Dot plot' : 'Histogram'} of ${ys.map((c) => c.name).join(', ')}`
      : `Graph of ${ys.map((c) => c.name).join(', ')} against ${x?.name ?? ''}, ${count} points${fits.map((f) => (f.result ? `, fit ${f.result.equation}` : '')).join('')}`;
  return (
    <div className="flex h-full min-h-0 flex-col">
      <div className="flex flex-wrap items-center gap-x-2 gap-y-1 px-3 pt-1.5 text-fine">
        <Select
          label={show === 'points' ? 'up' : 'of'}
          value={y?.id ?? ''}
          onChange={(v) => onChoice({ ...choice, x: x?.id, y: v, ...moved(choice, y?.id, v) })}
          options={options}
          disabled={readOnly}
        />
        {show === 'points' && (
          <>
            <Button
              small
              kind="quiet"
              aria-label="Swap the axes"
              title="Swap the axes"
              disabled={readOnly || !x || !y}
              onClick={() => {
                setZoomed(null);
                onChoice({
                  ...choice,
                  x: y!.id,
                  y: x!.id,
                  range: undefined,
                  logX: choice.logY,
                  logY: choice.logX,
                  ...moved(choice, y!.id, x!.id),
                });
              }}
            >
              <ArrowLeftRight size={14} />
            </Button>
            <Select
              label="along"
              value={x?.id ?? ''}
              onChange={(v) => put({ x: v })}
              options={options}
              disabled={readOnly}
            />
            <Toggle label="origin" checked={!!choice.origin} onChange={(origin) => put({ origin })} />
            <Toggle label="line of best fit" checked={lineOn} onChange={toggleLine} />
            {!readOnly && <FitMenu x={x} ys={ys} choice={choice} found={fits} onChoice={(c) => put(c)} />}
            <Select
              label="Tool"
              hideLabel
              value={tool}
              onChange={(t) => {
                setTool(t as Tool);
                setPlaces(null);
              }}
              options={TOOLS}
            />
          </>
        )}
        {!readOnly && (
          <ViewMenu
            sketched={!!expected?.length}
            columns={columns}
            x={x}
            ys={ys}
            choice={choice}
            onChoice={(c) => {
              setZoomed(null);
              put(c);
            }}
          />
        )}
        <Button small aria-pressed={data} className={data ? 'border-copper!' : ''} onClick={() => setData(!data)}>
          Data
        </Button>
        <DropdownMenu.Root modal={false}>
          <DropdownMenu.Trigger asChild>
            <Button small kind="quiet" aria-label="Save the graph" title="Save the graph">
              <Download size={14} />
            </Button>
          </DropdownMenu.Trigger>
          <DropdownMenu.Portal>
            <DropdownMenu.Content className={menuBox} align="end">
              <DropdownMenu.Item
                className={menuItem}
                onSelect={() => saveSvg(svg.current!, name, choice.caption ?? '')}
              >
                as SVG
              </DropdownMenu.Item>
              <DropdownMenu.Item
                className={menuItem}
                onSelect={() =>
                  void savePng(svg.current!, name, choice.caption ?? '').catch((e: unknown) => setTrouble(String(e)))
                }
              >
                as PNG
              </DropdownMenu.Item>
            </DropdownMenu.Content>
          </DropdownMenu.Portal>
        </DropdownMenu.Root>
        {onEnlarge && (
          <Button small kind="quiet" aria-label="Enlarge the graph" title="Enlarge the graph" onClick={onEnlarge}>
            <Maximize2 size={14} />
          </Button>
        )}
      </div>
      {trouble && (
        <p role="alert" className="px-3 text-fine text-copper">
          {trouble}
        </p>
      )}
      <FitWords
        fits={fits}
        hidden={!!table.uncertaintiesHidden}
        readOnly={readOnly}
        onFit={(from, to) =>
          put({
            fits: fitsOf(choice, y?.id).map((f) =>
              f === from || (f.kind === from.kind && f.series === from.series && !choice.fits) ? to : f,
            ),
          })
        }
      />
      {tool !== 'look' && show === 'points' && x && y && (
        <p className="px-3 text-plum" role="status" data-testid="read-off">
          <ReadOff tool={tool} worked={worked} x={x} y={y} places={at} fit={ofFit} asks={!!table.unitsAsked} />
        </p>
      )}
      {data ? (
        <DataBehind series={series} />
      ) : (
        <div ref={box} className="relative min-h-0 flex-1">
          <svg
            ref={svg}
            width={size.w}
            height={size.h}
            role={tool === 'look' ? 'img' : 'group'}
            aria-label={words}
            tabIndex={tool === 'crosshair' ? 0 : undefined}
            className={`absolute inset-0 touch-none ${zoomed ? 'cursor-grab' : ''}`}
            onPointerDown={(e) => {
              if (e.button === 0) pan.current = { ...inside(e), sx, sy };
            }}
            onPointerMove={(e) => {
              const p = inside(e);
              if (tool === 'crosshair') setPlaces({ ...at, cross: { x: sx.invert(p.x), y: sy.invert(p.y) } });
              if (!pan.current || e.buttons !== 1 || !zoomed) return;
              const [dx, dy] = [p.x - pan.current.x, p.y - pan.current.y];
              const shift = (s: typeof sx, d: number): [number, number] => [
                s.invert(s.range()[0] - d),
                s.invert(s.range()[1] - d),
              ];
              setZoomed({ x: shift(pan.current.sx, dx), y: shift(pan.current.sy, dy) });
            }}
            onPointerUp={() => {
              pan.current = null;
            }}
            onKeyDown={(e) => {
              const d = (
                { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] } as Record<
                  string,
                  number[]
                >
              )[e.key];
              if (tool !== 'crosshair' || !d) return;
              e.preventDefault();
              const from = at.cross ? { x: sx(at.cross.x), y: sy(at.cross.y) } : { x: size.w / 2, y: size.h / 2 };
              const step = e.shiftKey ? 1 : 10;
              setPlaces({ ...at, cross: { x: sx.invert(from.x + step * d[0]), y: sy.invert(from.y + step * d[1]) } });
            }}
          >
            <GraphPicture
              table={table}
              worked={worked}
              choice={choice}
              size={size}
              what={what}
              onPoint={onGoTo}
              under={
                tool === 'area' &&
                x &&
                y &&
                series[0] && (
                  <Area
                    worked={worked}
                    x={x}
                    y={y}
                    sx={sx}
                    sy={sy}
                    size={size}
                    from={at.from}
                    to={at.to}
                    series={series[0]}
                    onMove={(from, to) => setPlaces({ ...at, from, to })}
                  />
                )
              }
            />
            {show === 'points' && (
              <>
                {tool === 'tangent' && x && y && (
                  <Tangent
                    worked={worked}
                    x={x}
                    y={y}
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
                    {columns.length < 2
                      ? 'A graph needs two columns of numbers.'
                      : 'Points appear here as you type rows.'}
                  </text>
                )}
              </>
            )}
          </svg>
          {show === 'points' && count > 0 && (
            <div
              className="absolute right-6 flex gap-0.5 rounded-house border bg-sheet"
              style={{ bottom: PAD.bottom + 4 }}
            >
              <Button
                small
                kind="quiet"
                className="min-h-6! px-1!"
                aria-label="Zoom into the graph"
                onClick={() => zoom(0.8)}
              >
                <Plus size={13} />
              </Button>
              <Button
                small
                kind="quiet"
                className="min-h-6! px-1!"
                aria-label="Zoom out of the graph"
                onClick={() => zoom(1.25)}
              >
                <Minus size={13} />
              </Button>
              {zoomed && (
                <Button
                  small
                  kind="quiet"
                  className="min-h-6! px-1!"
                  aria-label="Show all points"
                  title="Show all points"
                  onClick={() => setZoomed(null)}
                >
                  <Scan size={13} />
                </Button>
              )}
            </div>
          )}
          {show === 'points' && choice.residuals && fits[0]?.result && x && y && (
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
      )}
      {choice.caption && <p className="px-3 pb-1 text-center text-fine">{choice.caption}</p>}
    </div>
  );
}

/** Fits follow the series they belong to when another column takes its place. */
function moved(choice: GraphChoice, from: string | undefined, to: string): Partial<GraphChoice> {
  return { fits: fitsOf(choice, from).map((f) => (f.series === from ? { ...f, series: to } : f)) };
}
