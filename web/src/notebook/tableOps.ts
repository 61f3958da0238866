import { convert, type ColumnSpec } from '../core';
import type { Brought } from './ImportDialog';
import type { Change } from './journal';
import { nextRow, rowsChange, type NotebookTable, type RowWords } from './table';
import type { Edits } from './useEdits';

/** What can be done to a table besides typing; each is one step that can be taken back. */
export function tableOps(table: NotebookTable, edits: Edits) {
  const order = table.rows.map((r) => r.id);
  const rows = (next: string[]) => rowsChange(table, next);
  const columns = (next: ColumnSpec[]): Change => ({ slot: 'columns', value: { columns: next } });
  const words = (row: string): RowWords => {
    const found = table.rows.find((r) => r.id === row);
    return { ...(found?.out && { out: found.out }), ...(found?.note && { note: found.note }) };
  };
  /** So many rows from one on, new ones where there are none. */
  const rowsFrom = (at: number, count: number) => {
    const next = [...order];
    for (let ahead = 0; next.length < at + count; ahead++) next.push(nextRow(table, ahead));
    return next;
  };
  return {
    setColumns: (next: ColumnSpec[]) => edits.apply([columns(next)]),
    /**
     * Puts a column in, or in the place of its former self; its numbers are said in its new unit where that is
     * wanted.
     */
    saveColumn: (column: ColumnSpec, converted: boolean) => {
      const before = table.columns.find((c) => c.id === column.id);
      if (!before) return edits.apply([columns([...table.columns, column])]);
      const said = (text: string | undefined, uncertain = false) => {
        const answer = text ? convert([text], before.unit, column.unit, uncertain) : null;
        return answer && 'texts' in answer ? answer.texts[0] : text;
      };
      const next = !converted
        ? column
        : {
            ...column,
            ...(column.constant && { constant: said(column.constant) }),
            // One that was typed anew is meant in the new unit.
            ...(column.uncertainty &&
              column.uncertainty === before.uncertainty && { uncertainty: said(column.uncertainty, true) }),
          };
      const cells: Change[] = !converted
        ? []
        : table.rows.flatMap((r) => {
            const cell = table.cells[`${r.id}/${column.id}`];
            if (!cell?.text) return [];
            return [
              {
                slot: `cell/${r.id}/${column.id}`,
                value: {
                  ...cell,
                  text: said(cell.text),
                  ...(cell.uncertainty && { uncertainty: said(cell.uncertainty, true) }),
                },
              },
            ];
          });
      edits.apply([columns(table.columns.map((c) => (c.id === column.id ? next : c))), ...cells]);
    },
    moveColumn: (from: number, to: number) => {
      const next = [...table.columns];
      next.splice(to, 0, ...next.splice(from, 1));
      edits.apply([columns(next)]);
    },
    insertRow: (at: number) => edits.apply([rows([...order.slice(0, at), nextRow(table), ...order.slice(at)])]),
    deleteRow: (row: string) => edits.apply([rows(order.filter((r) => r !== row))]),
    moveRow: (from: number, to: number) => {
      const next = [...order];
      next.splice(to, 0, ...next.splice(from, 1));
      edits.apply([rows(next)]);
    },
    leaveOut: (row: string, reason: string) =>
      edits.apply([{ slot: `row/${row}`, value: { ...words(row), out: reason } }]),
    note: (row: string, note: string) => edits.apply([{ slot: `row/${row}`, value: { ...words(row), note } }]),
    /** Takes in what a file brings, as one step. */
    bringIn: ({ fresh, cells, below }: Brought) => {
      const at = below ? order.length : 0;
      const count = Object.values(cells).reduce((most, texts) => Math.max(most, texts.length), 0);
      const next = rowsFrom(at, count);
      edits.apply([
        ...(fresh.length ? [columns([...table.columns, ...fresh])] : []),
        rows(next),
        ...Object.entries(cells).flatMap(([c, texts]) =>
          texts.flatMap((text, i) => (text || !below ? [{ slot: `cell/${next[at + i]}/${c}`, value: { text } }] : [])),
        ),
      ]);
    },
    /** Writes lines of texts, from a cell on, into the columns that can be typed in. */
    paste: (at: number, column: string, lines: string[][]) => {
      const typed = table.columns.filter((c) => c.kind === 'measured' || c.kind === 'label');
      const first = Math.max(
        0,
        typed.findIndex((c) => c.id === column),
      );
      const next = rowsFrom(at, lines.length);
      const changes: Change[] = next.length > order.length ? [rows(next)] : [];
      lines.forEach((line, i) =>
        line.forEach((text, j) => {
          const c = typed[first + j];
          if (c) changes.push({ slot: `cell/${next[at + i]}/${c.id}`, value: { text: text.trim() } });
        }),
      );
      edits.apply(changes);
    },
  };
}

export type TableOps = ReturnType<typeof tableOps>;
