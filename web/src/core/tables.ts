/** Tables, formulas and fits, as the core works them out. */
import * as door from './generated/notebook.js';
import type { TableDoor } from './generated/notebook';
import type { Column } from './generated/sheet';
import type { Failure } from './types';

/** A column, as it is declared and as a student may have changed it. */
export type ColumnSpec = Column;
export interface RowSpec {
  id: string;
  cells: Record<string, string>;
  uncertainties?: Record<string, string>;
  /** Why the row is left out, if it is. */
  out?: string;
  note?: string;
}
export interface TableSpec {
  columns: ColumnSpec[];
  rows: RowSpec[];
  /** Whether units of calculated columns, gradients and areas are for the student to find. */
  unitsAsked?: boolean;
  /** Whether ± is kept away. */
  uncertaintiesHidden?: boolean;
}
/** A column worked out. Values are in its unit, NaN where there is none. */
export interface ColumnResult {
  id: string;
  symbol: string;
  unit: string;
  /** A unit the student has still to find: what it is held against, and what is to be said of what was typed. */
  asked?: { due: string; hint: string };
  calculated: boolean;
  trouble: string | null;
  troubleAt: number;
  /** What is to be said of it beside its values; empty where nothing is. */
  note: string;
  values: Float64Array;
  uncertainties: Float64Array;
  text(row: number): string;
  sureness(row: number): string;
  troubleIn(row: number): string;
}
export interface FitAsked {
  x: string;
  y: string;
  kind: string;
  formula?: string;
  start?: Record<string, number>;
  weighted?: boolean;
  from?: number;
  to?: number;
  follows?: { name: string; formula: string }[];
  unitsAsked?: boolean;
  found?: Record<string, string>;
  plain?: boolean;
}
/** A parameter, or what follows from them. */
export interface FitParameter {
  name: string;
  meaning: string;
  value: number;
  uncertainty: number | null;
  text: string;
  unit: string;
  /**
   * Whether its unit is fixed by those of the axes; for the student to find; found; and what is to be said of what
   * was typed.
   */
  unitFixed: boolean;
  unitAsked: boolean;
  unitFound: boolean;
  unitHint: string;
}
export type FromFit =
  (FitParameter & { formula: string }) | { name: string; formula: string; error: string; at: number };
export interface FitResult {
  points: number;
  parameters: FitParameter[];
  follows: FromFit[];
  equation: string;
  rSquared: string;
  aboutZero: boolean;
  rms: string;
  rows: number[];
  residuals: number[];
  /** What should be known of it, in words; empty where nothing is. */
  note: string;
  curve: (number | null)[];
}
export interface Bins {
  start: number;
  width: number;
  counts: number[];
  n: number;
  mean: number;
  sd: number | null;
  normal: number[];
}
type Measure =
  'sum' | 'mean' | 'median' | 'min' | 'max' | 'range' | 'lowerQuartile' | 'upperQuartile' | 'sd' | 'standardError';
export type Statistics = { count: number; unit: string } & Record<Measure, number | null> &
  Record<`${Measure}Text`, string>;

export const fitKinds = door.fitKinds() as { id: string; name: string }[];

/** A table at one moment, with what can be asked of it. */
export class Worked {
  constructor(
    private readonly door: TableDoor,
    readonly columns: ColumnResult[],
  ) {}

  /** The core's own table, for what else the core is asked of it. */
  get worked() {
    return this.door;
  }

  column(id: string) {
    return this.columns.find((c) => c.id === id);
  }
  /** A fit, with the curve's heights at so many places. */
  fit(asked: FitAsked, from: number, to: number, places: number) {
    return this.door.fit(asked, from, to, places) as FitResult | Failure;
  }
  statistics(column: string) {
    const found = this.door.statistics(column) as Statistics | Failure;
    return 'unit' in found && this.column(column)?.asked ? { ...found, unit: '' } : found;
  }
  bins(column: string, start = NaN, width = NaN) {
    return this.door.bins(column, start, width) as Bins | Failure;
  }
  tangent(x: string, y: string, at: number, fit: FitAsked | null) {
    return this.door.tangent(x, y, at, fit) as
      { at: number; height: number; gradient: number; number: string; unit: string } | Failure;
  }
  area(x: string, y: string, from: number, to: number) {
    return this.door.area(x, y, from, to) as
      { area: number; number: string; unit: string; from: number; to: number } | Failure;
  }
}

/** What was printed of a column, and of which numbers. */
interface Printed {
  values: Float64Array;
  uncertainties: Float64Array;
  texts: string[];
  sure: string[];
}

/**
 * A table that is worked out again and again; only cells that have changed go to the core, and only those are printed
 * anew.
 */
export class Worktable {
  private readonly door: TableDoor = door.openTable();
  private cells = new Map<string, string[]>();
  private sure = new Map<string, string[]>();
  private out: boolean[] = [];
  private shape = '';
  private printed: Printed[] = [];

  update(spec: TableSpec): Worked {
    const n = spec.rows.length;
    const shape = JSON.stringify([spec.columns, n]);
    if (shape !== this.shape) {
      this.shape = shape;
      this.printed = [];
      this.door.shape(spec.columns, n);
    }
    for (const c of spec.columns) {
      if (c.kind === 'calculated' || c.kind === 'constant') {
        this.cells.delete(c.id);
        continue;
      }
      const typed = this.cells.get(c.id) ?? [];
      const sure = this.sure.get(c.id) ?? [];
      typed.length = Math.min(typed.length, n);
      for (let i = 0; i < n; i++) {
        const row = spec.rows[i];
        const text = row.cells[c.id] ?? '';
        const u = row.uncertainties?.[c.id] ?? '';
        if (typed[i] === text && sure[i] === u) continue;
        this.door.set(c.id, i, text, u);
        typed[i] = text;
        sure[i] = u;
      }
      this.cells.set(c.id, typed);
      this.sure.set(c.id, sure);
    }
    this.out.length = Math.min(this.out.length, n);
    spec.rows.forEach((row, i) => {
      if (this.out[i] === !!row.out) return;
      this.out[i] = !!row.out;
      this.door.leaveOut(i, this.out[i]);
    });
    this.door.work();
    const before = this.printed;
    this.printed = [];
    return new Worked(
      this.door,
      spec.columns.map((c, i) => {
        const [values, uncertainties] = [
          this.door.values(i),
          spec.uncertaintiesHidden ? new Float64Array(n).fill(NaN) : this.door.uncertainties(i),
        ];
        const old = before[i];
        const now: Printed = (this.printed[i] = { values, uncertainties, texts: [], sure: [] });
        // A typed cell may say the same number in another way, and the core keeps its numbers in place.
        const same = (row: number) =>
          c.kind === 'calculated' &&
          old &&
          Object.is(old.values[row], values[row]) &&
          Object.is(old.uncertainties[row], uncertainties[row]);
        const result = {
          ...(this.door.column(i) as Pick<
            ColumnResult,
            'id' | 'symbol' | 'unit' | 'calculated' | 'trouble' | 'troubleAt' | 'note'
          >),
          values,
          uncertainties,
          text: (row: number) =>
            (now.texts[row] ??= (same(row) ? old.texts[row] : undefined) ?? this.door.text(i, row)),
          sureness: (row: number) =>
            spec.uncertaintiesHidden
              ? ''
              : (now.sure[row] ??= (same(row) ? old.sure[row] : undefined) ?? this.door.sureness(i, row)),
          troubleIn: (row: number) => this.door.trouble(i, row),
        };
        if (!spec.unitsAsked || !result.calculated || result.trouble) return result;
        const check = checkUnit(c.found ?? '', result.unit);
        return check.right ? result : { ...result, unit: '', asked: { due: result.unit, hint: check.note } };
      }),
    );
  }
}

/** A unit that was asked for, held against one of the right kind. */
export function checkUnit(typed: string, due: string) {
  return door.checkUnit(typed, due) as { right: boolean; note: string };
}
/** A table worked out once. */
export function workOut(spec: TableSpec) {
  return new Worktable().update(spec);
}
/** The letters of a typed model that a fit would find. */
export function parametersOf(typed: string, symbol: string) {
  return (door.parameters(typed, symbol) as { names: string[] }).names;
}
/** Texts from start to end by a step, with as many decimals as were typed. */
export function seriesOf(start: string, step: string, end: string) {
  return door.series(start, step, end) as { texts: string[] } | Failure;
}
/** A formula as MathML, or what is wrong with it and where. */
export function prettyFormula(typed: string, symbols: string[]) {
  return door.formula(typed, symbols) as { mathMl: string; note: string } | { error: string; at: number };
}
