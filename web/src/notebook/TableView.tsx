import { Pencil, Plus, Target, Trash2 } from 'lucide-react';
import { useRef, useState } from 'react';
import type { ColumnResult, ColumnSpec, TableSpec } from '../core';
import { Button, Symbol } from '../ui';
import { ColumnDialog } from './ColumnDialog';
import type { Cell, Reading } from './table';

interface Props {
  title: string;
  table: TableSpec & { cells: Record<string, Cell> };
  results: ColumnResult[];
  readOnly: boolean;
  /** The reading that is being shown on the bench, as `row/column`. */
  shown: string | null;
  onCell: (row: string, column: string, text: string) => void;
  onColumns: (columns: ColumnSpec[]) => void;
  onShow: (key: string, reading: Reading) => void;
  /** The cell that is selected, which the bench's displays can be put into. */
  selected: { row: string; column: string } | null;
  onSelect: (cell: { row: string; column: string } | null) => void;
  /** Takes what a display shows into a cell; nothing happens where none suits. */
  onTake?: (row: string, column: string) => void;
  children?: React.ReactNode;
}

/** The readings: type, and rows grow; click a value to see how it was read. */
export function TableView({ title, table, results, readOnly, shown, onCell, onColumns, onShow, selected, onSelect, onTake, children }: Props) {
  const [editing, setEditing] = useState<ColumnSpec | 'new' | null>(null);
  const grid = useRef<HTMLTableElement>(null);
  // An empty row to type in; it becomes a real one with its first character.
  const next = `r${1 + table.rows.reduce((most, r) => Math.max(most, Number(r.id.slice(1)) || 0), 0)}`;
  const rows = readOnly ? table.rows : [...table.rows, { id: next, cells: {} }];

  const focus = (row: number, column: number) => {
    const input = grid.current?.querySelector<HTMLInputElement>(`[data-place="${row}/${column}"]`);
    input?.focus();
    input?.select();
  };
  const keys = (e: React.KeyboardEvent, row: number, column: number) => {
    if (e.key === 'Enter' || e.key === 'ArrowDown') { e.preventDefault(); focus(row + 1, column); }
    if (e.key === 'ArrowUp') { e.preventDefault(); focus(row - 1, column); }
  };
  return (
    <div className="flex h-full min-h-0 flex-col">
      <div className="flex items-center justify-between px-3 pt-1.5">
        <h2 className="font-bold">{title}</h2>
        {!readOnly && <Button small kind="quiet" onClick={() => setEditing('new')}><Plus size={14} />Column</Button>}
      </div>
      <div className="min-h-0 flex-1 overflow-auto px-3 pb-2">
        <table ref={grid} className="w-full border-collapse">
          <thead>
            <tr className="border-b-2 border-ink align-bottom">
              {table.columns.map((c, i) => (
                <th key={c.id} scope="col" className="px-1.5 pb-1 text-left font-semibold">
                  <span className="block leading-tight">
                    {c.name} {c.kind !== 'label' && <Symbol text={c.symbol} />}
                  </span>
                  <span className="flex items-center gap-1.5 text-fine font-normal text-soft">
                    {c.kind === 'calculated' ? <span className="whitespace-nowrap"><span className="mono">{c.formula}</span>{results[i]?.unit && `, ${results[i].unit}`}</span> : results[i]?.unit || (c.kind === 'label' ? '\u00a0' : 'no unit')}
                    {c.kind === 'calculated' && !readOnly && (
                      <>
                        <button type="button" aria-label={`Change the column ${c.name}`} title="Change" className="text-indigo" onClick={() => setEditing(c)}><Pencil size={13} /></button>
                        <button type="button" aria-label={`Remove the column ${c.name}`} title="Remove" onClick={() => onColumns(table.columns.filter((x) => x.id !== c.id))}><Trash2 size={13} /></button>
                      </>
                    )}
                  </span>
                  {results[i]?.trouble && <span role="alert" className="block max-w-48 text-fine font-normal text-copper">{results[i].trouble}</span>}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((row, r) => (
              <tr key={row.id} className="border-b">
                {table.columns.map((c, i) => {
                  if (c.kind === 'calculated') {
                    return <td key={c.id} className="mono bg-stage/60 px-1.5 text-right">{results[i]?.texts[r] ?? ''}</td>;
                  }
                  const key = `${row.id}/${c.id}`;
                  const cell = table.cells[key] ?? { text: '' };
                  const trouble = results[i]?.troubles[r];
                  return (
                    <td key={c.id} className={`relative p-0 ${shown === key ? 'outline-2 -outline-offset-1 outline-copper' : selected?.row === row.id && selected.column === c.id ? 'bg-wash' : ''}`}>
                      <input
                        data-place={`${r}/${i}`}
                        aria-label={`${c.name}, row ${r + 1}${cell.reading ? ', read on the picture' : ''}`}
                        aria-invalid={!!trouble}
                        title={trouble ?? (cell.uncertainty ? `± ${cell.uncertainty} ${results[i]?.unit ?? ''}` : undefined)}
                        readOnly={readOnly}
                        className={`h-8 w-full min-w-16 bg-transparent px-1.5 ${c.kind === 'label' ? '' : 'mono text-right'} ${cell.reading ? 'pr-5' : ''} ${trouble ? 'text-copper underline decoration-wavy' : ''}`}
                        value={cell.text}
                        placeholder={!readOnly && r === rows.length - 1 && i === 0 ? `next ${c.name}` : ''}
                        onChange={(e) => onCell(row.id, c.id, e.target.value)}
                        onClick={() => { if (cell.reading) onShow(key, cell.reading); }}
                        onFocus={() => onSelect({ row: row.id, column: c.id })}
                        onKeyDown={(e) => {
                          // A reading never begins with =, so that key takes what a display shows.
                          if (e.key === '=' && c.kind === 'measured' && onTake && !readOnly) { e.preventDefault(); onTake(row.id, c.id); return; }
                          keys(e, r, i);
                        }}
                      />
                      {cell.reading && (
                        <button type="button" tabIndex={-1} aria-label={`Show how ${cell.text} was read`} onClick={() => onShow(key, cell.reading!)} className="absolute top-2 right-0.5 text-copper">
                          <Target size={13} />
                        </button>
                      )}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {children}
      {editing && (
        <ColumnDialog
          column={editing === 'new' ? null : editing}
          table={table}
          onClose={() => setEditing(null)}
          onSave={(column) => {
            onColumns(table.columns.some((c) => c.id === column.id) ? table.columns.map((c) => (c.id === column.id ? column : c)) : [...table.columns, column]);
            setEditing(null);
          }}
        />
      )}
    </div>
  );
}
