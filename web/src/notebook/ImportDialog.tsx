import { useEffect, useMemo, useState } from 'react';
import { sendFile } from '../api/desk';
import { convert, type ColumnSpec, type TableSpec } from '../core';
import { Button, Dialog, Select, Trouble } from '../ui';
import { cellsOf, guessMark, guessSeparator, MARKS, SEPARATORS } from './delimited';
import { freshColumn, looksLikeHeading, readHeading, type Heading } from './heading';

const SHOWN = 6;
const MOST_ROWS = 10_000;
const LARGEST = 5_000_000;
const AWAY = '';
const NEW = 'new';

/** A sheet of a file, as the server reads it. */
interface BookSheet {
  name: string;
  rows: string[][];
}

/** What a file brings into a table: new columns, and texts for columns, by their ids. */
export interface Brought {
  fresh: ColumnSpec[];
  cells: Record<string, string[]>;
  below: boolean;
}
interface Bringing {
  to: string;
  heading: Heading;
  values: string[];
}

/** A text as it was written, in Unicode or, where it isn't that, as western Europe's older spreadsheets write. */
export function decode(bytes: ArrayBuffer): string {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}

/** What is in a file is shown first; then it is chosen which column goes where. */
export function ImportDialog({
  file,
  table,
  onBring,
  onClose,
}: {
  file: File;
  table: TableSpec;
  onBring: (b: Brought) => void;
  onClose: () => void;
}) {
  const [text, setText] = useState<string | null>(null);
  const [book, setBook] = useState<BookSheet[] | null>(null);
  const [error, setError] = useState<unknown>(null);
  const [place, setPlace] = useState(0);
  const [page, setPage] = useState(0);
  const [separator, setSeparator] = useState(',');
  const [mark, setMark] = useState('.');
  const [heading, setHeading] = useState<boolean | null>(null);
  const [chosen, setChosen] = useState<Record<number, string>>({});
  const [below, setBelow] = useState(table.rows.length > 0);

  useEffect(() => {
    let gone = false;
    const leaving = new AbortController();
    const read = async () => {
      if (file.size > LARGEST) throw new Error(`File: at most ${LARGEST / 1e6} MB.`);
      if (/\.(xlsx|ods)$/i.test(file.name)) {
        const found = (await sendFile('/api/spreadsheets/reading', file, setPlace, leaving.signal)) as {
          sheets: BookSheet[];
        };
        if (!gone) setBook(found.sheets.filter((s) => s.rows.length > 0));
      } else {
        const found = decode(await file.arrayBuffer()).replace(/^\ufeff/, '');
        if (found.includes('\0')) throw new Error('File: this is no text. Save it as .csv, .xlsx or .ods.');
        if (gone) return;
        setSeparator(guessSeparator(found));
        setMark(guessMark(found));
        setText(found);
      }
    };
    read().catch((e: unknown) => {
      if (!gone) setError(e);
    });
    return () => {
      gone = true;
      leaving.abort();
    };
  }, [file]);

  const lines = useMemo(() => {
    const all = book ? (book[page]?.rows ?? []) : text === null ? null : cellsOf(text, separator, mark);
    return all && all.filter((l) => l.some((t) => t.trim()));
  }, [book, page, text, separator, mark]);
  const headed = heading ?? (lines ? looksLikeHeading(lines) : false);
  const typed = useMemo(
    () => table.columns.filter((c) => c.kind === 'measured' || c.kind === 'label'),
    [table.columns],
  );
  const columns = useMemo(() => {
    if (!lines) return [];
    const body = headed ? lines.slice(1) : lines;
    const width = lines.reduce((w, l) => Math.max(w, l.length), 0);
    const free = new Set(typed.map((c) => c.id));
    return Array.from({ length: width }, (_, j): Bringing => {
      const read: Heading = headed ? readHeading(lines[0][j] ?? '') : { name: `column ${j + 1}`, symbol: '', unit: '' };
      // A column of the same name, or symbol with name or unit alike, takes it in.
      const same = headed
        ? typed.find(
            (c) =>
              free.has(c.id) &&
              (c.name.toLowerCase() === read.name.toLowerCase() || c.symbol === (read.symbol || read.name)),
          )
        : typed.find((c) => free.has(c.id));
      if (same) free.delete(same.id);
      return { to: chosen[j] ?? same?.id ?? NEW, heading: read, values: body.map((l) => l[j] ?? '') };
    });
  }, [lines, headed, chosen, typed]);
  const target = (b: Bringing) => typed.find((c) => c.id === b.to);
  const unlike = (b: Bringing) => {
    const to = target(b);
    return to?.kind === 'measured' && b.heading.unit && b.heading.unit !== to.unit
      ? convert(['1'], b.heading.unit, to.unit)
      : null;
  };
  const rows = columns[0]?.values.length ?? 0;
  const twice = columns.some((b, i) => b.to !== NEW && b.to !== AWAY && columns.findIndex((o) => o.to === b.to) !== i);
  const wrong = columns.map(unlike).find((u) => u && 'error' in u);
  const trouble =
    rows > MOST_ROWS
      ? `A table takes at most ${MOST_ROWS} rows; this has ${rows}.`
      : twice
        ? 'Two columns go to the same place. Choose another for one of them.'
        : wrong && 'error' in wrong
          ? `${wrong.error}. Choose another place for it.`
          : '';
  const bring = () => {
    const taken = new Set(table.columns.map((c) => c.symbol));
    const brought: Brought = { fresh: [], cells: {}, below };
    for (const b of columns) {
      if (b.to === AWAY) continue;
      const to = target(b);
      const own = to ?? freshColumn(b.heading, b.values, taken);
      if (!to) brought.fresh.push(own);
      const said = to && unlike(b) ? convert(b.values, b.heading.unit, to.unit) : null;
      brought.cells[own.id] = (said && 'texts' in said ? said.texts : b.values).map((t) => t.trim());
    }
    onBring(brought);
  };
  const places = [
    ...typed.map((c) => ({ id: c.id, name: `to ${c.name}` })),
    { id: NEW, name: 'a new column' },
    { id: AWAY, name: 'leave it behind' },
  ];
  return (
    <Dialog open onClose={onClose} title={`Bring in ${file.name}`} wide>
      <Trouble error={error} />
      {!lines && !error && (
        <p className="text-soft" role="status">
          {place > 0 ? `Waiting to be read: ${place} before you …` : 'Reading the file …'}
        </p>
      )}
      {lines && lines.length === 0 && !error && (
        <p>There is nothing in this {book ? 'sheet' : 'file'}. Choose another.</p>
      )}
      {lines && (
        <div className="flex flex-col gap-4">
          <div className="flex flex-wrap gap-x-4 gap-y-2">
            {book && book.length > 1 && (
              <Select
                label="Sheet"
                value={String(page)}
                onChange={(p) => {
                  setPage(Number(p));
                  setChosen({});
                  setHeading(null);
                }}
                options={book.map((s, i) => ({ id: String(i), name: s.name }))}
              />
            )}
            {text !== null && (
              <Select
                label="Cells are separated by a"
                value={separator}
                onChange={(s) => {
                  setSeparator(s);
                  setChosen({});
                }}
                options={SEPARATORS}
              />
            )}
            {text !== null && (
              <Select label="Decimals are written with a" value={mark} onChange={setMark} options={MARKS} />
            )}
            <label className="flex items-center gap-2">
              <input
                type="checkbox"
                className="h-4 w-4 accent-(--copper)"
                checked={headed}
                onChange={(e) => {
                  setHeading(e.target.checked);
                  setChosen({});
                }}
              />
              the first line is a heading
            </label>
          </div>
          <div className="overflow-x-auto">
            <table className="w-full border-collapse">
              <thead>
                <tr className="align-bottom">
                  {columns.map((b, j) => {
                    const into = target(b);
                    const converted = unlike(b);
                    return (
                      <th key={j} scope="col" className="border-b-2 border-ink px-2 pb-1 text-left">
                        <span className="block">
                          {b.heading.name}
                          {b.heading.unit && <span className="font-normal text-soft"> / {b.heading.unit}</span>}
                        </span>
                        <Select
                          label={`Where ${b.heading.name} goes`}
                          hideLabel
                          value={b.to}
                          onChange={(to) => setChosen({ ...chosen, [j]: to })}
                          options={places}
                        />
                        <span className="block text-fine font-normal text-soft">
                          {converted && 'texts' in converted ? `${b.heading.unit} become ${into!.unit}` : '\u00a0'}
                        </span>
                      </th>
                    );
                  })}
                </tr>
              </thead>
              <tbody>
                {Array.from({ length: Math.min(SHOWN, rows) }, (_, i) => (
                  <tr key={i} className="border-b">
                    {columns.map((b, j) => (
                      <td key={j} className={`mono px-2 ${b.to === AWAY ? 'text-soft line-through' : ''}`}>
                        {b.values[i]}
                      </td>
                    ))}
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
          <p className={trouble ? 'text-copper' : 'text-soft'} aria-live="polite">
            {trouble || `${rows} ${rows === 1 ? 'row' : 'rows'}${rows > SHOWN ? `, the first ${SHOWN} shown` : ''}.`}
          </p>
          {table.rows.length > 0 && (
            <div role="radiogroup" aria-label="Where the rows go" className="flex flex-wrap gap-x-4">
              <label className="flex items-center gap-2">
                <input type="radio" className="accent-(--copper)" checked={below} onChange={() => setBelow(true)} />
                below the {table.rows.length} rows there are
              </label>
              <label className="flex items-center gap-2">
                <input type="radio" className="accent-(--copper)" checked={!below} onChange={() => setBelow(false)} />
                beside them, from the first row on
              </label>
            </div>
          )}
          <div className="flex gap-2">
            <Button
              kind="main"
              disabled={!!trouble || rows === 0 || columns.every((b) => b.to === AWAY)}
              onClick={bring}
            >
              Bring in {rows} {rows === 1 ? 'row' : 'rows'}
            </Button>
            <Button onClick={onClose}>Cancel</Button>
          </div>
        </div>
      )}
    </Dialog>
  );
}
