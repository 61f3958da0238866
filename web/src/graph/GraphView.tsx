import { Download } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { useMemo, useRef, useState } from 'react';
import { type TableSpec, type Worked } from '../core';
import { Button, menuBox, menuItem } from '../ui';
import { DataBehind } from './Beneath';
import { FitWords } from './FitWords';
import { GraphBar } from './GraphBar';
import { firstPlaces, GraphDrawing } from './GraphDrawing';
import { drawn } from './GraphPicture';
import { fitsOf, type Domain, type GraphChoice } from './model';
import { savePng, saveSvg } from '../ui/svgFile';
import type { Expected } from './SketchBehind';
import { ReadOff, type Tool, type ToolPlaces } from './Tools';

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

/** A graph that draws itself as rows are typed, with fits, and tools to read it. */
export function GraphView({ table, worked, choice, readOnly, onChoice, onGoTo, onEnlarge, expected }: Props) {
  const svg = useRef<SVGSVGElement>(null);
  const [zoomed, setZoomed] = useState<Domain | null>(null);
  const [tool, setTool] = useState<Tool>('look');
  const [places, setPlaces] = useState<ToolPlaces | null>(null);
  const [data, setData] = useState(false);
  const [trouble, setTrouble] = useState('');
  const what = useMemo(() => drawn(table, worked, choice, expected, zoomed), [table, worked, choice, expected, zoomed]);
  const { x, ys, series, fits, domain } = what;
  const [y] = ys;
  const ofFit = fits.find((f) => f.result && f.choice.series === y?.id)?.asked ?? null;
  const reading = tool !== 'look' && (choice.show ?? 'points') === 'points' && x && y;
  return (
    <div className="flex h-full min-h-0 flex-col">
      <GraphBar
        what={what}
        choice={choice}
        readOnly={readOnly}
        onChoice={onChoice}
        sketched={!!expected?.length}
        tool={tool}
        onTool={(t) => {
          setTool(t);
          setPlaces(null);
        }}
        data={data}
        onData={setData}
        setZoomed={setZoomed}
        onEnlarge={onEnlarge}
        menu={
          <SaveMenu
            onSvg={() => saveSvg(svg.current!, nameOf(x, y), choice.caption ?? '')}
            onPng={() => {
              savePng(svg.current!, nameOf(x, y), choice.caption ?? '').catch((e: unknown) => setTrouble(String(e)));
            }}
          />
        }
      />
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
          onChoice({
            ...choice,
            x: x?.id,
            y: y?.id,
            fits: fitsOf(choice, y?.id).map((f) =>
              JSON.stringify(f) === JSON.stringify(from) ||
              (f.kind === from.kind && f.series === from.series && !choice.fits)
                ? to
                : f,
            ),
          })
        }
      />
      {reading && (
        <p className="px-3 text-plum" role="status" data-testid="read-off">
          <ReadOff
            tool={tool}
            worked={worked}
            x={x}
            y={y}
            places={places ?? firstPlaces(domain, choice)}
            fit={ofFit}
            asks={!!table.unitsAsked}
          />
        </p>
      )}
      {data ? (
        <DataBehind series={series} />
      ) : (
        <GraphDrawing
          svg={svg}
          table={table}
          worked={worked}
          choice={choice}
          what={what}
          tool={tool}
          places={places}
          setPlaces={setPlaces}
          ofFit={ofFit}
          zoomed={!!zoomed}
          setZoomed={setZoomed}
          onGoTo={onGoTo}
        />
      )}
      {choice.caption && <p className="px-3 pb-1 text-center text-fine">{choice.caption}</p>}
    </div>
  );
}

function nameOf(x: { name: string } | undefined, y: { name: string } | undefined) {
  return `${y?.name ?? 'graph'} against ${x?.name ?? ''}`;
}

function SaveMenu({ onSvg, onPng }: { onSvg: () => void; onPng: () => void }) {
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger asChild>
        <Button small kind="quiet" aria-label="Save the graph" title="Save the graph">
          <Download size={14} />
        </Button>
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content className={menuBox} align="end">
          <DropdownMenu.Item className={menuItem} onSelect={onSvg}>
            as SVG
          </DropdownMenu.Item>
          <DropdownMenu.Item className={menuItem} onSelect={onPng}>
            as PNG
          </DropdownMenu.Item>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
