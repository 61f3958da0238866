import Papa from 'papaparse';
import { useMemo, useState } from 'react';
import { Button, Dialog, Select } from '../ui';

const SEPARATORS = [{ id: '\t', name: 'tab' }, { id: ';', name: 'semicolon' }, { id: ',', name: 'comma' }];
const SHOWN = 6;

/** Whether all numbers with a comma in them look like decimals rather than several values. */
function guess(text: string): string {
  if (text.includes('\t')) return '\t';
  if (text.includes(';')) return ';';
  const lines = text.trim().split('\n');
  // One comma in each line may stand in a number or between two: a point elsewhere tells.
  return lines.every((l) => /^\s*[-−]?\d+(,\d+)?\s*$/.test(l)) && !text.includes('.') ? '\t' : ',';
}

/** What would be pasted, cell by cell, before it is. */
export function PasteDialog({ text, columns, onPaste, onClose }: { text: string; columns: string[]; onPaste: (lines: string[][]) => void; onClose: () => void }) {
  const [separator, setSeparator] = useState(() => guess(text));
  const [decimal, setDecimal] = useState(() => (guess(text) !== ',' && /\d,\d/.test(text) && !/\d\.\d/.test(text) ? ',' : '.'));
  const [heading, setHeading] = useState(false);
  const lines = useMemo(() => {
    const read = Papa.parse<string[]>(text.replace(/\r\n?/g, '\n').replace(/\n+$/, ''), { delimiter: separator }).data;
    const kept = heading ? read.slice(1) : read;
    return decimal === ',' ? kept.map((l) => l.map((t) => t.replace(/(\d)\.(?=\d{3}\b)/g, '$1').replace(',', '.'))) : kept;
  }, [text, separator, decimal, heading]);
  const widest = lines.reduce((w, l) => Math.max(w, l.length), 0);
  return (
    <Dialog open onClose={onClose} title="Paste into the table" wide>
      <div className="flex flex-col gap-4">
        <div className="flex flex-wrap gap-4">
          <Select label="Cells are separated by a" value={separator} onChange={setSeparator} options={SEPARATORS} />
          <Select label="Decimals are written with a" value={decimal} onChange={setDecimal} options={[{ id: '.', name: 'point: 2.5' }, { id: ',', name: 'comma: 2,5' }]} />
          <label className="flex items-center gap-2"><input type="checkbox" className="h-4 w-4 accent-(--copper)" checked={heading} onChange={(e) => setHeading(e.target.checked)} />the first line is a heading</label>
        </div>
        <table className="w-full border-collapse">
          <thead><tr>{Array.from({ length: widest }, (_, i) => <th key={i} scope="col" className={`border-b-2 border-ink px-2 text-left ${columns[i] ? '' : 'text-copper'}`}>{columns[i] ?? 'no column left'}</th>)}</tr></thead>
          <tbody>{lines.slice(0, SHOWN).map((l, i) => <tr key={i} className="border-b">{Array.from({ length: widest }, (_, j) => <td key={j} className={`mono px-2 ${columns[j] ? '' : 'text-soft line-through'}`}>{l[j]}</td>)}</tr>)}</tbody>
        </table>
        <p className="text-soft">{lines.length} {lines.length === 1 ? 'row' : 'rows'}{lines.length > SHOWN && `, the first ${SHOWN} shown`}{widest > columns.length && '. Columns without a place are left behind; add columns first to keep them'}.</p>
        <div className="flex gap-2"><Button kind="main" onClick={() => onPaste(lines)}>Paste {lines.length} {lines.length === 1 ? 'row' : 'rows'}</Button><Button onClick={onClose}>Cancel</Button></div>
      </div>
    </Dialog>
  );
}
