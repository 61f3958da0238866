import Papa from 'papaparse';
import type { TableSpec, Worked } from '../core';

/** A table as text, units in the headings, cells that a spreadsheet would take for formulas made harmless. */
export function tableText(table: TableSpec, worked: Worked, delimiter: string) {
  const head = table.columns.map((c, i) => {
    const unit = worked.columns[i]?.unit;
    return c.kind === 'label' ? c.name : `${c.name} ${c.symbol}${unit ? ` / ${unit}` : ''}`;
  });
  const out = table.rows.some((r) => r.out);
  const notes = table.rows.some((r) => r.note);
  const lines = table.rows.map((row, r) => [
    ...table.columns.map((c, i) => (c.kind === 'label' ? (row.cells[c.id] ?? '') : (worked.columns[i]?.text(r) ?? '').replace('\u2212', '-'))),
    ...(out ? [row.out ?? ''] : []), ...(notes ? [row.note ?? ''] : []),
  ]);
  return Papa.unparse([[...head, ...(out ? ['left out because'] : []), ...(notes ? ['note'] : [])], ...lines], {
    // A negative number is no formula; anything else that begins like one is.
    delimiter, newline: '\r\n', escapeFormulae: /^[=+\-@\t\r](?![\d.])/,
  });
}
