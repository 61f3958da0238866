import type { ColumnSpec, TableSpec } from '../core';
import type { Placing } from '../instruments/placing';
import type { Journal } from './journal';

/** How a value was read: trial, frame, and where the instruments lay. */
export interface Reading { trial: string; frame: number; view?: string; instruments: Placing }
/** What was typed, how far it may be off (in the column's unit, as typed), and how it was read. */
export interface Cell { text: string; uncertainty?: string; reading?: Reading }

/** A table of the notebook as the core takes it, from the journal's slots. */
export function tableOf(journal: Journal, block: string, start: ColumnSpec[]): TableSpec & { cells: Record<string, Cell> } {
  const slots = journal.all()[block] ?? {};
  const columns = (slots.columns?.columns as ColumnSpec[] | undefined) ?? start;
  const order = (slots.rows?.order as string[] | undefined) ?? [];
  const cells: Record<string, Cell> = {};
  const rows = order.map((id) => ({
    id,
    cells: Object.fromEntries(columns.filter((c) => c.kind !== 'calculated').map((c) => {
      const cell = (slots[`cell/${id}/${c.id}`] ?? { text: '' }) as unknown as Cell;
      cells[`${id}/${c.id}`] = cell;
      return [c.id, cell.text];
    })),
  }));
  return { columns, rows, cells };
}
