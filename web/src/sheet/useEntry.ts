import { useState } from 'react';
import { meantElsewhere, wordsOf, type Elsewhere, type NamedFilm } from './named';
import { uncertaintyOf } from '../core';
import { displayFor, displays } from '../instruments/displays';
import { lying } from '../instruments/placing';
import { rowsChange, type Cell } from '../notebook/table';
import type { Standing } from './standing';
import type { TableAtWork } from './useTable';

/** How values come into a table's cells: typed, taken from a display, or tied to where the bench stands now. */
export function useEntry(at: TableAtWork | null, standing: Standing, films: NamedFilm[], onWritten: () => void) {
  const [hint, setHint] = useState('');
  const [elsewhere, setElsewhere] = useState<Elsewhere | null>(null);
  const write = (row: string, column: string, cell: Cell) => {
    if (!at) return;
    const order = at.table.rows.map((r) => r.id);
    const slot = `cell/${row}/${column}`;
    at.edits.apply(
      [...(order.includes(row) ? [] : [rowsChange(at.table, [...order, row])]), { slot, value: { ...cell } }],
      slot,
    );
    setHint('');
    const words = cell.reading ? wordsOf(at.table, row) : [];
    setElsewhere(meantElsewhere(words, cell.reading?.trial, films) ?? null);
    onWritten();
  };
  const tied = (cell: Cell, column: string, before?: Cell): Cell => {
    const now = standing.now();
    const reading = now?.reading();
    if (!reading || !at) return cell;
    const lies = lying(now!.state.tray, reading.instruments);
    const uncertainty = before?.uncertainty ?? uncertaintyOf(lies, at.unitOf(column))?.text;
    return { ...cell, reading, ...(uncertainty && { uncertainty }) };
  };
  return {
    hint,
    /** The recording that the row's words name, where a value was just tied to another. */
    elsewhere,
    forget: () => {
      setHint('');
      setElsewhere(null);
    },
    write,
    /** The value stays; how it was read is no longer known. */
    untie: (row: string, column: string, { text, uncertainty }: Cell) =>
      write(row, column, { text, ...(uncertainty && { uncertainty }) }),
    tie: (row: string, column: string, cell: Cell) => write(row, column, tied(cell, column, cell)),
    /** A value that is typed while a trial is on the bench remembers how it was read. */
    type: (row: string, column: string, text: string) => {
      const measured = at?.table.columns.find((c) => c.id === column)?.kind === 'measured';
      const before = at?.table.cells[`${row}/${column}`];
      write(row, column, measured && text.trim() !== '' ? tied({ text }, column, before) : { text });
    },
    take: (row: string, column: string, laidAs?: string) => {
      const now = standing.now();
      if (!now || !at) return;
      const unit = at.unitOf(column);
      const found = displayFor(
        displays(now.state).filter((d) => !laidAs || d.laidAs === laidAs),
        unit,
      );
      if (found) write(row, column, tied({ text: found.typed }, column));
      else
        setHint(
          `Nothing on the bench shows ${unit ? `a value in ${unit}` : 'such a value'} now. Take an instrument with` +
            ' a display from the tray, or type what you read.',
        );
    },
  };
}

export type Entry = ReturnType<typeof useEntry>;
