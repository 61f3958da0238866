import type { TableSpec, Worked } from '../core';

/** Headings with units, and what stands in each cell: numbers as numbers, what is no number as text. */
export function tableCells(
  table: TableSpec,
  worked: Worked,
): { headings: string[]; rows: (string | number | null)[][] } {
  const out = table.rows.some((r) => r.out);
  const notes = table.rows.some((r) => r.note);
  const headings = table.columns.map((c, i) => {
    const unit = worked.columns[i]?.unit;
    return c.kind === 'label' ? c.name : `${c.name} ${c.symbol}${unit ? ` / ${unit}` : ''}`;
  });
  const rows = table.rows.map((row, r) => [
    ...table.columns.map((c, i) => {
      const value = worked.columns[i]?.values[r];
      return c.kind !== 'label' && Number.isFinite(value) ? value : row.cells[c.id] || null;
    }),
    ...(out ? [row.out || null] : []),
    ...(notes ? [row.note || null] : []),
  ]);
  return { headings: [...headings, ...(out ? ['left out because'] : []), ...(notes ? ['note'] : [])], rows };
}

/**
 * A table as text (RFC 4180), as it is shown; cells that a spreadsheet would take for formulas are made harmless. What
 * writes it is fetched at the first time.
 *
 * @throws Error in words for people, where it can't be fetched
 */
export async function tableText(table: TableSpec, worked: Worked, delimiter: string) {
  const { default: Papa } = await import('papaparse').catch(() => {
    throw new Error("The server can't be reached just now. Try again when the network is back.");
  });
  const { headings, rows } = tableCells(table, worked);
  // The figures that are shown, in the one form that every spreadsheet reads as a number.
  const plain = (shown: string, value: number) =>
    /[×^]|10[⁻⁰¹²³⁴⁵⁶⁷⁸⁹]/.test(shown) ? String(value) : shown.trim().replace('\u2212', '-').replace(',', '.');
  const lines = rows.map((row, r) =>
    row.map((cell, i) => (typeof cell === 'number' ? plain(worked.columns[i].text(r), cell) : cell)),
  );
  return Papa.unparse([headings, ...lines], {
    // A negative number is no formula; anything else that begins like one is.
    delimiter,
    newline: '\r\n',
    escapeFormulae: /^[=+\-@\t\r](?![\d.])/,
  });
}
