import type { ColumnSpec, RowSpec, TableSpec } from '../core';
import type { Placing } from '../instruments/kind/state';
import type { Change, Slots } from './journal';

/** How a value was read: trial, frame, and where the instruments lay. */
export interface Reading {
  trial: string;
  frame: number;
  view?: string;
  instruments: Placing;
}
/** What was typed, how far it may be off (in the column's unit, as typed), and how it was read. */
export interface Cell {
  text: string;
  uncertainty?: string;
  reading?: Reading;
}
/** What is said of a row: why it is left out, and a note. */
export interface RowWords {
  out?: string;
  note?: string;
}
export type NotebookTable = TableSpec & {
  cells: Record<string, Cell>;
  /** The highest number a row ever had: a deleted row's cells must not come back with a new one. */ issued: number;
  /** Ends the ids of rows made in this tab, so that two tabs never mean two rows by one id. */ mark?: string;
};

/** What the sheet says of a table. */
export interface TableBlock {
  id: string;
  columns: ColumnSpec[];
  unitsAsked?: boolean;
  uncertaintiesHidden?: boolean;
}

/** A table of the notebook as the core takes it, from all that was written; `writer` tells this tab from others. */
export function tableOf(
  all: Slots,
  { id: block, columns: start, unitsAsked, uncertaintiesHidden }: TableBlock,
  writer?: string,
): NotebookTable {
  const slots = all[block] ?? {};
  const columns = (slots.columns?.columns as ColumnSpec[] | undefined) ?? start;
  const order = (slots.rows?.order as string[] | undefined) ?? [];
  const cells: Record<string, Cell> = {};
  const typed = columns.filter((c) => c.kind !== 'calculated' && c.kind !== 'constant');
  const rows = order.map((id) => {
    const row: RowSpec = { id, cells: {}, ...(slots[`row/${id}`] as RowWords | undefined) };
    for (const c of typed) {
      const cell = (slots[`cell/${id}/${c.id}`] ?? { text: '' }) as unknown as Cell;
      cells[`${id}/${c.id}`] = cell;
      row.cells[c.id] = cell.text;
      if (cell.uncertainty) (row.uncertainties ??= {})[c.id] = cell.uncertainty;
    }
    return row;
  });
  return {
    columns,
    rows,
    cells,
    unitsAsked,
    uncertaintiesHidden,
    issued: highest(order, (slots.rows?.issued as number | undefined) ?? 0),
    mark: writer?.slice(0, 3),
  };
}

function highest(order: string[], issued: number) {
  return order.reduce((most, id) => Math.max(most, parseInt(id.slice(1), 10) || 0), issued);
}

/** A fresh row's id. */
export function nextRow(table: Pick<NotebookTable, 'issued' | 'mark'>, ahead = 0) {
  return `r${table.issued + 1 + ahead}${table.mark ? `-${table.mark}` : ''}`;
}

/** The change that gives a table other rows. */
export function rowsChange(table: Pick<NotebookTable, 'issued'>, order: string[]): Change {
  return { slot: 'rows', value: { order, issued: highest(order, table.issued) } };
}
