import { useMemo, useState } from 'react';
import { Button, Dialog, Select } from '../ui';
import { cellsOf, guessMark, guessSeparator, MARKS, SEPARATORS } from './delimited';

const SHOWN = 6;

/** What would be pasted, cell by cell, before it is. */
export function PasteDialog({
  text,
  columns,
  onPaste,
  onClose,
}: {
  text: string;
  columns: string[];
  onPaste: (lines: string[][]) => void;
  onClose: () => void;
}) {
  const [separator, setSeparator] = useState(() => guessSeparator(text));
  const [decimal, setDecimal] = useState(() => guessMark(text));
  const [heading, setHeading] = useState(false);
  const lines = useMemo(
    () => cellsOf(text, separator, decimal).slice(heading ? 1 : 0),
    [text, separator, decimal, heading],
  );
  const widest = lines.reduce((w, l) => Math.max(w, l.length), 0);
  return (
    <Dialog open onClose={onClose} title="Paste into the table" wide>
      <div className="flex flex-col gap-4">
        <div className="flex flex-wrap gap-4">
          <Select label="Cells are separated by a" value={separator} onChange={setSeparator} options={SEPARATORS} />
          <Select label="Decimals are written with a" value={decimal} onChange={setDecimal} options={MARKS} />
          <label className="flex items-center gap-2">
            <input
              type="checkbox"
              className="h-4 w-4 accent-(--copper)"
              checked={heading}
              onChange={(e) => setHeading(e.target.checked)}
            />
            the first line is a heading
          </label>
        </div>
        <table className="w-full border-collapse">
          <thead>
            <tr>
              {Array.from({ length: widest }, (_, i) => (
                <th
                  key={i}
                  scope="col"
                  className={`border-b-2 border-ink px-2 text-left ${columns[i] ? '' : 'text-copper'}`}
                >
                  {columns[i] ?? 'no column left'}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {lines.slice(0, SHOWN).map((l, i) => (
              <tr key={i} className="border-b">
                {Array.from({ length: widest }, (_, j) => (
                  <td key={j} className={`mono px-2 ${columns[j] ? '' : 'text-soft line-through'}`}>
                    {l[j]}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
        <p className="text-soft">
          {lines.length} {lines.length === 1 ? 'row' : 'rows'}
          {lines.length > SHOWN && `, the first ${SHOWN} shown`}
          {widest > columns.length && '. Columns without a place are left behind; add columns first to keep them'}.
        </p>
        <div className="flex gap-2">
          <Button kind="main" onClick={() => onPaste(lines)}>
            Paste {lines.length} {lines.length === 1 ? 'row' : 'rows'}
          </Button>
          <Button onClick={onClose}>Cancel</Button>
        </div>
      </div>
    </Dialog>
  );
}
