import type { TableSpec, Worked } from '../core';
import { BoxPlots, Distribution } from './Distribution';
import {
  axes,
  domainOf,
  fitted,
  numberColumns,
  scales,
  seriesOf,
  type Domain,
  type GraphChoice,
  type Size,
} from './model';
import { Axes, Contents } from './Plot';
import { placed, SketchBehind, type Expected } from './SketchBehind';

/** What there is to draw of a graph: series, fits, what is in view. */
export function drawn(
  table: TableSpec,
  worked: Worked,
  choice: GraphChoice,
  expected: Expected[] = [],
  zoomed: Domain | null = null,
) {
  const columns = numberColumns(table, worked);
  const { x, ys } = axes(columns, choice);
  const series = seriesOf(table, x, ys, choice);
  const measured = domainOf(series, choice);
  const strokes = choice.noSketch || !x || !ys[0] ? [] : expected.flatMap((e) => placed(e, x, ys[0], measured));
  const full = strokes.length ? domainOf(series, choice, strokes.flat()) : measured;
  const domain = zoomed ?? full;
  const fits = (choice.show ?? 'points') === 'points' ? fitted(worked, x, ys, choice, domain, table) : [];
  return { columns, x, ys, series, strokes, domain, fits };
}
export type Drawn = ReturnType<typeof drawn>;

/** A graph as it stands, to be drawn into an SVG of some size; nothing in it can be taken hold of but its points. */
export function GraphPicture({
  table,
  worked,
  choice,
  size,
  what,
  under,
  onPoint,
}: {
  table: TableSpec;
  worked: Worked;
  choice: GraphChoice;
  size: Size;
  what: Drawn;
  under?: React.ReactNode;
  onPoint?: (row: number) => void;
}) {
  const { x, ys, series, fits, domain, strokes } = what;
  if (choice.show === 'histogram' || choice.show === 'dots')
    return <Distribution worked={worked} table={table} columns={ys} choice={choice} size={size} />;
  if (choice.show === 'box') return <BoxPlots worked={worked} table={table} columns={ys} choice={choice} size={size} />;
  const { sx, sy } = scales(domain, choice, size);
  return (
    <>
      <Axes sx={sx} sy={sy} size={size} x={x} ys={ys} />
      <Contents
        sx={sx}
        sy={sy}
        size={size}
        series={series}
        fits={fits}
        choice={choice}
        onPoint={onPoint}
        under={
          <>
            <SketchBehind strokes={strokes} sx={sx} sy={sy} />
            {under}
          </>
        }
      />
    </>
  );
}
