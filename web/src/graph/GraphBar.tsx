import { ArrowLeftRight, Maximize2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { Button, Select, symbolText, Toggle } from '../ui';
import { FitMenu } from './FitMenu';
import type { drawn } from './GraphPicture';
import { fitsOf, type Domain, type GraphChoice } from './model';
import type { Tool } from './Tools';
import { ViewMenu } from './ViewMenu';

const TOOLS: { id: Tool; name: string }[] = [
  { id: 'look', name: 'no tool' },
  { id: 'tangent', name: 'tangent' },
  { id: 'area', name: 'area' },
  { id: 'crosshair', name: 'crosshair' },
];

interface Props {
  what: ReturnType<typeof drawn>;
  choice: GraphChoice;
  readOnly: boolean;
  onChoice: (c: GraphChoice) => void;
  sketched: boolean;
  tool: Tool;
  onTool: (tool: Tool) => void;
  data: boolean;
  onData: (data: boolean) => void;
  setZoomed: (zoomed: Domain | null) => void;
  onEnlarge?: () => void;
  /** The menu to save it with. */
  menu: ReactNode;
}

/** Above a graph: its axes, its fits, its tools and how it is looked at. */
export function GraphBar(props: Props) {
  const { what, choice, readOnly, onChoice, sketched, data, onData, setZoomed, onEnlarge, menu } = props;
  const { columns, x, ys } = what;
  const [y] = ys;
  const points = (choice.show ?? 'points') === 'points';
  const options = columns.map((c) => ({ id: c.id, name: symbolText(c.symbol) }));
  const put = (more: Partial<GraphChoice>) => onChoice({ ...choice, x: x?.id, y: y?.id, ...more });
  return (
    <div className="flex flex-wrap items-center gap-x-2 gap-y-1 px-3 pt-1.5 text-fine">
      <Select
        label={points ? 'up' : 'of'}
        value={y?.id ?? ''}
        onChange={(v) => onChoice({ ...choice, x: x?.id, y: v, ...moved(choice, y?.id, v) })}
        options={options}
        disabled={readOnly}
      />
      {points && <OfPoints {...props} options={options} put={put} />}
      {!readOnly && (
        <ViewMenu
          sketched={sketched}
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
      <Button small aria-pressed={data} className={data ? 'border-copper!' : ''} onClick={() => onData(!data)}>
        Data
      </Button>
      {menu}
      {onEnlarge && (
        <Button small kind="quiet" aria-label="Enlarge the graph" title="Enlarge the graph" onClick={onEnlarge}>
          <Maximize2 size={14} />
        </Button>
      )}
    </div>
  );
}

/** What only a graph of points has. */
function OfPoints({
  what: { x, ys, fits },
  choice,
  readOnly,
  onChoice,
  tool,
  onTool,
  setZoomed,
  options,
  put,
}: Props & { options: { id: string; name: string }[]; put: (more: Partial<GraphChoice>) => void }) {
  const [y] = ys;
  // Fits of columns that are gone, or on no axis now, wait unseen.
  const lineOn = fitsOf(choice, y?.id).some((f) => f.kind === 'line' && f.series === y?.id);
  const toggleLine = (on: boolean) => {
    const rest = fitsOf(choice, y?.id).filter(
      (f) => !(f.kind === 'line' && f.series === y?.id) && ys.some((c) => c.id === f.series),
    );
    put({ line: on, fits: on ? [{ kind: 'line', series: y!.id }, ...rest] : rest });
  };
  return (
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
      <Select label="along" value={x?.id ?? ''} onChange={(v) => put({ x: v })} options={options} disabled={readOnly} />
      <Toggle label="origin" checked={!!choice.origin} onChange={(origin) => put({ origin })} />
      <Toggle label="line of best fit" checked={lineOn} onChange={toggleLine} />
      {!readOnly && <FitMenu x={x} ys={ys} choice={choice} found={fits} onChoice={(c) => put(c)} />}
      <Select label="Tool" hideLabel value={tool} onChange={(t) => onTool(t as Tool)} options={TOOLS} />
    </>
  );
}

/** Fits follow the series they belong to when another column takes its place. */
function moved(choice: GraphChoice, from: string | undefined, to: string): Partial<GraphChoice> {
  return { fits: fitsOf(choice, from).map((f) => (f.series === from ? { ...f, series: to } : f)) };
}
