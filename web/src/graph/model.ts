import { scaleLinear, scaleLog } from 'd3-scale';
import type {
  BlockOf,
  ColumnResult,
  ColumnSpec,
  FitAsked,
  FitChoice,
  FitResult,
  Slots,
  TableSpec,
  Worked,
} from '../core';
import { symbolText } from '../ui';

/** What a graph shows, as the notebook keeps it. */
export type GraphChoice = Omit<Slots['graph']['view'], 'v'>;

/** A fit of one of its series. */
export type SeriesFit = FitChoice & { series: string };

/** How a graph is looked at: as the notebook says, else as the lab opens it. */
export function lookOf(block: BlockOf<'graph'>, kept: GraphChoice | undefined): GraphChoice {
  return kept ?? { origin: true, ...(block.along && { x: block.along }), ...(block.up && { y: block.up }) };
}

export type GraphColumn = ColumnSpec & { result: ColumnResult };
export interface Point {
  row: number;
  a: number;
  b: number;
  ua: number;
  ub: number;
  out: boolean;
}
export interface Series {
  column: GraphColumn;
  points: Point[];
  mark: number;
}
export type Scale = ReturnType<typeof scaleLinear<number, number>> | ReturnType<typeof scaleLog<number, number>>;
export interface Domain {
  x: [number, number];
  y: [number, number];
}
export interface Size {
  w: number;
  h: number;
}

export const COLOURS = ['var(--copper)', 'var(--indigo)', 'var(--verdigris)', 'var(--plum)'];
export const PAD = { left: 58, right: 22, top: 12, bottom: 40 };
/** At how many places a fitted curve is drawn. */
export const PLACES = 240;

export function numberColumns(table: TableSpec, worked: Worked): GraphColumn[] {
  return table.columns.flatMap((c, i) =>
    c.kind === 'label' || !worked.columns[i] ? [] : [{ ...c, result: worked.columns[i] }],
  );
}

/** The columns that a choice speaks of, or the first two. */
export function axes(columns: GraphColumn[], choice: GraphChoice) {
  const x = columns.find((c) => c.id === choice.x) ?? columns[0];
  const y = columns.find((c) => c.id === choice.y) ?? columns[1] ?? columns[0];
  const more = (choice.more ?? [])
    .map((id) => columns.find((c) => c.id === id))
    .filter((c): c is GraphColumn => !!c && c.id !== y?.id);
  return { x, ys: y ? [y, ...more] : [] };
}

export function seriesOf(
  table: TableSpec,
  x: GraphColumn | undefined,
  ys: GraphColumn[],
  choice: GraphChoice,
): Series[] {
  if (!x) return [];
  return ys.map((column, mark) => {
    const points: Point[] = [];
    for (let i = 0; i < table.rows.length; i++) {
      const [a, b] = [x.result.values[i], column.result.values[i]];
      if (!Number.isFinite(a) || !Number.isFinite(b) || (choice.logX && a <= 0) || (choice.logY && b <= 0)) continue;
      points.push({
        row: i,
        a,
        b,
        ua: x.result.uncertainties[i],
        ub: column.result.uncertainties[i],
        out: !!table.rows[i].out,
      });
    }
    return { column, points, mark };
  });
}

/** From least to most of some numbers, with room round them, and nought where it is wanted. */
function span(values: number[], origin: boolean, log: boolean, from?: number, to?: number): [number, number] {
  let low = Infinity;
  let high = -Infinity;
  for (const v of values) {
    low = Math.min(low, v);
    high = Math.max(high, v);
  }
  if (low > high) [low, high] = log ? [1, 10] : [0, 1];
  if (origin && !log) {
    low = Math.min(low, 0);
    high = Math.max(high, 0);
  }
  if (low === high)
    [low, high] = log
      ? [low / 2, high * 2]
      : [low - (0.5 * Math.abs(low) || 0.5), high + (0.5 * Math.abs(high) || 0.5)];
  const room = 0.06 * (high - low);
  const nice = log
    ? scaleLog([low, high], [0, 1]).nice()
    : scaleLinear([low === 0 && origin ? 0 : low - room, high + room], [0, 1]).nice();
  const [a, b] = nice.domain();
  return [from !== undefined && !(log && from <= 0) ? from : a, to !== undefined && !(log && to <= 0) ? to : b];
}

/** What is in view: all points with their bars, and what else there is to see. */
export function domainOf(series: Series[], choice: GraphChoice, more: [number, number][] = []): Domain {
  const r = choice.range ?? {};
  return {
    x: span(
      [
        ...series.flatMap((s) =>
          s.points.flatMap((p) => (p.ua > 0 && !choice.noBars && !choice.logX ? [p.a - p.ua, p.a + p.ua] : [p.a])),
        ),
        ...more.map(([a]) => a),
      ],
      !!choice.origin,
      !!choice.logX,
      r.x0,
      r.x1,
    ),
    y: span(
      [
        ...series.flatMap((s) =>
          s.points.flatMap((p) => (p.ub > 0 && !choice.noBars && !choice.logY ? [p.b - p.ub, p.b + p.ub] : [p.b])),
        ),
        ...more.map(([, b]) => b),
      ],
      !!choice.origin,
      !!choice.logY,
      r.y0,
      r.y1,
    ),
  };
}

export function scales(domain: Domain, choice: GraphChoice, { w, h }: Size): { sx: Scale; sy: Scale } {
  const along: [number, number] = [PAD.left, w - PAD.right];
  const up: [number, number] = [h - PAD.bottom, PAD.top];
  return {
    sx: choice.logX ? scaleLog(domain.x, along) : scaleLinear(domain.x, along),
    sy: choice.logY ? scaleLog(domain.y, up) : scaleLinear(domain.y, up),
  };
}

/** Ticks without commas between thousands: in half of the world those are decimal commas. */
export function ticks(scale: Scale, count: number) {
  const print = scale.tickFormat(count);
  return scale
    .ticks(count)
    .map((value) => ({ value, text: print(value).replaceAll(',', '') }))
    .filter((t) => t.text !== '');
}

export function axisTitle(c: GraphColumn | undefined, long: boolean) {
  if (!c) return '';
  const unit = c.result.unit ? ` / ${c.result.unit}` : c.result.asked ? ' / ?' : '';
  return `${long ? `${c.name}, ` : ''}${symbolText(c.symbol)}${unit}`;
}

/** The fits of a choice; one that names no series is of the first. */
export function fitsOf(choice: GraphChoice, y?: string): SeriesFit[] {
  const series = choice.y ?? y ?? '';
  return (choice.fits ?? []).map((f) => (f.series === undefined ? { ...f, series } : { ...f, series: f.series }));
}

export interface Fitted {
  choice: SeriesFit;
  asked: FitAsked;
  result?: FitResult;
  error?: string;
  from: number;
  to: number;
}

/** All fits of a graph, with their curves over what is in view. */
export function fitted(
  worked: Worked,
  x: GraphColumn | undefined,
  ys: GraphColumn[],
  choice: GraphChoice,
  domain: Domain,
  { unitsAsked, uncertaintiesHidden }: TableSpec,
): Fitted[] {
  if (!x) return [];
  return fitsOf(choice, ys[0]?.id)
    .filter((f) => ys.some((c) => c.id === f.series))
    .map((f) => {
      const { series, ...rest } = f;
      const asked: FitAsked = { ...rest, x: x.id, y: series, unitsAsked: !!unitsAsked, plain: !!uncertaintiesHidden };
      const [from, to] = domain.x;
      const answer = worked.fit(asked, from, to, PLACES);
      return 'error' in answer
        ? { choice: f, asked, error: answer.error, from, to }
        : { choice: f, asked, result: answer, from, to };
    });
}
