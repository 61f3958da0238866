import type { Laid, MakeTable } from '../bench/IntoNotebook';
import type { BlockOf } from '../core';
import type { Reading } from '../notebook/table';
import { columnsFor, takenWords, takeRun } from '../notebook/takeRun';
import type { TableAtWork } from './useTable';

/** The table in front, and what else there is to bring there. */
export interface TablesInFront {
  at: TableAtWork;
  tables: BlockOf<'table'>[];
  bringToFront: (id: string) => void;
}

/**
 * Lays rows of a bench into the table in front; one that has no column for them makes way for one that has.
 *
 * @param inFront as it stands by then
 */
export function layRows(
  inFront: () => TablesInFront | null,
  make: MakeTable,
  reading: (time: number, row: number) => Reading,
  ownColumns = false,
): Laid {
  const front = inFront();
  if (!front) return { trouble: 'This lab has no table to take them into.' };
  const { at, tables, bringToFront } = front;
  const run = make(at.block.columns.flatMap((c) => c.takes ?? []));
  if ('error' in run) return { trouble: run.error };
  const fitting = (block: BlockOf<'table'>) => {
    const made = block === at.block ? run : make(block.columns.flatMap((c) => c.takes ?? []));
    const columns = block === at.block ? at.table.columns : block.columns;
    return 'error' in made ? 0 : columnsFor(columns, made.columns, block.columns).filter(Boolean).length;
  };
  if (!ownColumns && at.block.columns.length > 0 && fitting(at.block) === 0) {
    const better = tables.find((t) => t.id !== at.block.id && fitting(t) > 0);
    if (better) {
      bringToFront(better.id);
      const here = `“${at.block.title}” has no column for these rows.`;
      return { trouble: `${here} “${better.title}” has, and is in front now: press again.` };
    }
  }
  const taken = takeRun(at.table, at.edits, run, reading, { asked: at.block.columns, ownColumns });
  if (taken.trouble) return { trouble: taken.trouble };
  return {
    said: takenWords(taken, at.block.title),
    ...(taken.left.length > 0 && { rest: () => layRows(inFront, make, reading, true) }),
  };
}
