import { useVirtualizer } from '@tanstack/react-virtual';
import { ClipboardCopy, FileUp, Plus, Redo2, Target, Undo2 } from 'lucide-react';
import { useEffect, useEffectEvent, useRef, useState } from 'react';
import type { Worked } from '../core';
import { Button, Symbol } from '../ui';
import { ColumnMenu } from './ColumnMenu';
import { RowMenu } from './RowMenu';
import { SaveTable } from './SaveTable';
import { nextRow, type Cell, type NotebookTable, type Reading } from './table';
import type { TableOps } from './tableOps';
import { tableText } from './tableText';
import { HeadNote } from './HeadNote';
import { TableDialogs, type Asked } from './TableDialogs';

interface Props {
  title: string;
  table: NotebookTable;
  worked: Worked;
  readOnly: boolean;
  /** The reading that is being shown on the bench, as `row/column`. */
  shown: string | null;
  onCell: (row: string, column: string, text: string) => void;
  onShow: (key: string, reading: Reading) => void;
  /** The cell that is selected, which the bench's displays can be put into. */
  selected: { row: string; column: string } | null;
  onSelect: (cell: { row: string; column: string } | null) => void;
  ops: TableOps;
  history: { undo: () => void; redo: () => void; canUndo: boolean; canRedo: boolean };
  /** Takes what a display shows into a cell; nothing happens where none suits. */
  onTake?: (row: string, column: string) => void;
  /** A row the graph points at. */
  goTo?: { row: number } | null;
  children?: React.ReactNode;
}

/** Height of a row in pixels, and from how many rows on only those in view are drawn. */
const ROW = 33;
const MANY = 150;

/** The readings: type, and rows grow; click a value to see how it was read. */
export function TableView({
  title,
  table,
  worked,
  readOnly,
  shown,
  onCell,
  onShow,
  selected,
  onSelect,
  ops,
  history,
  onTake,
  goTo,
  children,
}: Props) {
  const [asked, setAsked] = useState<Asked>(null);
  const [said, setSaid] = useState('');
  const picker = useRef<HTMLInputElement>(null);
  const box = useRef<HTMLDivElement>(null);
  const results = worked.columns;
  const now = useRef(ops);
  now.current = ops;
  // An empty row to type in; it becomes a real one with its first character.
  const rows = readOnly ? table.rows : [...table.rows, { id: nextRow(table), cells: {} }];
  const many = rows.length > MANY;
  const view = useVirtualizer({
    count: rows.length,
    getScrollElement: () => box.current,
    estimateSize: () => ROW,
    overscan: 12,
    enabled: many,
  });
  const inView = many ? view.getVirtualItems().map((v) => v.index) : rows.map((_, i) => i);
  const above = many && inView.length ? inView[0] * ROW : 0;
  const below = many && inView.length ? (rows.length - 1 - inView.at(-1)!) * ROW : 0;
  const typed = table.columns.flatMap((c, i) => (c.kind === 'measured' || c.kind === 'label' ? [i] : []));

  const focus = (row: number, column: number) => {
    if (row < 0 || row >= rows.length) return;
    if (many) view.scrollToIndex(row);
    const at = () => {
      const input = box.current?.querySelector<HTMLInputElement>(`[data-place="${row}/${column}"]`);
      input?.focus();
      input?.select();
      return !!input;
    };
    if (!at()) requestAnimationFrame(at);
  };
  const goThere = useEffectEvent((row: number) => {
    if (typed.length) focus(row, typed[0]);
  });
  useEffect(() => {
    if (goTo) goThere(goTo.row);
  }, [goTo]);
  const keys = (e: React.KeyboardEvent<HTMLInputElement>, row: number, column: number) => {
    const input = e.currentTarget;
    const place = typed.indexOf(column);
    const all = input.selectionStart === 0 && input.selectionEnd === input.value.length;
    const go = (r: number, c: number | undefined) => {
      if (c !== undefined) {
        e.preventDefault();
        focus(r, c);
      }
    };
    if (e.key === 'Enter' || e.key === 'ArrowDown') go(row + 1, column);
    else if (e.key === 'ArrowUp') go(row - 1, column);
    else if (e.key === 'ArrowRight' && (all || input.selectionStart === input.value.length)) go(row, typed[place + 1]);
    else if (e.key === 'ArrowLeft' && (all || input.selectionEnd === 0)) go(row, typed[place - 1]);
    else if (e.key === 'PageDown') go(Math.min(rows.length - 1, row + 15), column);
    else if (e.key === 'PageUp') go(Math.max(0, row - 15), column);
    else if (e.ctrlKey && e.key === 'Home') go(0, typed[0]);
    else if (e.ctrlKey && e.key === 'End') go(rows.length - 1, typed.at(-1));
  };
  const history_ = (e: React.KeyboardEvent) => {
    if (readOnly || !(e.ctrlKey || e.metaKey)) return;
    if (e.key === 'z' && !e.shiftKey) {
      e.preventDefault();
      history.undo();
    }
    if (e.key === 'y' || (e.key.toLowerCase() === 'z' && e.shiftKey)) {
      e.preventDefault();
      history.redo();
    }
  };
  const copy = () => {
    void navigator.clipboard.writeText(tableText(table, worked, '\t')).then(
      () => setSaid('Copied, with headings. Paste it into a spreadsheet.'),
      () => setSaid('The browser doesn’t let the page copy.'),
    );
  };
  const names = (column: string) => {
    const from = typed.findIndex((i) => table.columns[i].id === column);
    return typed.slice(Math.max(0, from)).map((i) => table.columns[i].name);
  };
  return (
    <div className="flex h-full min-h-0 flex-col" onKeyDown={history_}>
      <div className="flex items-center gap-0.5 px-3 pt-1.5">
        <h2 className="mr-auto font-bold">{title}</h2>
        {!readOnly && (
          <Button
            small
            kind="quiet"
            aria-label="Undo"
            title="Undo (Ctrl+Z)"
            disabled={!history.canUndo}
            onClick={history.undo}
          >
            <Undo2 size={14} />
          </Button>
        )}
        {!readOnly && (
          <Button
            small
            kind="quiet"
            aria-label="Redo"
            title="Do it again (Ctrl+Y)"
            disabled={!history.canRedo}
            onClick={history.redo}
          >
            <Redo2 size={14} />
          </Button>
        )}
        <Button small kind="quiet" aria-label="Copy the table" title="Copy the table" onClick={copy}>
          <ClipboardCopy size={14} />
        </Button>
        {!readOnly && (
          <Button
            small
            kind="quiet"
            aria-label="Bring in a file"
            title="Bring in a file (CSV, XLSX, ODS)"
            onClick={() => picker.current?.click()}
          >
            <FileUp size={14} />
          </Button>
        )}
        <input
          ref={picker}
          type="file"
          hidden
          accept=".csv,.tsv,.txt,.xlsx,.ods"
          aria-label="File to bring in"
          onChange={(e) => {
            const file = e.target.files?.[0];
            if (file) setAsked({ what: 'file', file });
            e.target.value = '';
          }}
        />
        <SaveTable title={title} table={table} worked={worked} />
        {!readOnly && (
          <Button small kind="quiet" onClick={() => setAsked({ what: 'column', column: null })}>
            <Plus size={14} />
            Column
          </Button>
        )}
      </div>
      {said && (
        <p role="status" className="px-3 text-fine text-soft">
          {said}
        </p>
      )}
      {table.unitsAsked && (
        <p role="status" className="px-3 text-fine text-copper">
          {results.map((r, i) => (r.asked?.hint ? `Unit of ${table.columns[i].name}: ${r.asked.hint}. ` : ''))}
        </p>
      )}
      <div ref={box} className="min-h-0 flex-1 overflow-auto px-3 pb-2">
        <table
          role="grid"
          aria-label={title}
          aria-rowcount={rows.length + 1}
          aria-colcount={table.columns.length}
          className="w-full border-collapse"
        >
          <thead className="sticky top-0 z-10 bg-paper">
            <tr className="align-bottom shadow-[inset_0_-2px_0_var(--ink)]">
              <th scope="col" className="w-8">
                <span className="sr-only">Row</span>
              </th>
              {table.columns.map((c, i) => (
                <th key={c.id} scope="col" className="px-1.5 pb-1 text-left font-semibold">
                  {readOnly ? (
                    <span className="block leading-tight">
                      {c.name} {c.kind !== 'label' && <Symbol text={c.symbol} />}
                    </span>
                  ) : (
                    <ColumnMenu
                      column={c}
                      index={i}
                      last={table.columns.length - 1}
                      onChange={() => setAsked({ what: 'column', column: c })}
                      onMove={(to) => ops.moveColumn(i, to)}
                      onRemove={() => ops.setColumns(table.columns.filter((x) => x.id !== c.id))}
                      onFill={() => setAsked({ what: 'fill', column: c })}
                      onStatistics={() => setAsked({ what: 'statistics', column: c })}
                    >
                      {c.name} {c.kind !== 'label' && <Symbol text={c.symbol} />}
                    </ColumnMenu>
                  )}
                  <HeadNote
                    column={c}
                    result={results[i]}
                    asks={!!table.unitsAsked}
                    hidden={!!table.uncertaintiesHidden}
                    readOnly={readOnly}
                    onFound={(found) => ops.setColumns(table.columns.map((o) => (o.id === c.id ? { ...c, found } : o)))}
                  />
                  {results[i]?.note && !table.uncertaintiesHidden && (
                    <span className="block max-w-48 text-fine font-normal text-soft">{results[i].note}</span>
                  )}
                  {results[i]?.trouble && (
                    <span role="alert" className="block max-w-48 text-fine font-normal text-copper">
                      {results[i].trouble}
                    </span>
                  )}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {above > 0 && <tr aria-hidden style={{ height: above }} />}
            {inView.map((r) => {
              const row = rows[r];
              const real = r < table.rows.length;
              return (
                <tr
                  key={row.id}
                  aria-rowindex={r + 2}
                  className={`border-b ${row.out ? 'text-soft line-through decoration-copper' : ''}`}
                  style={{ height: ROW }}
                >
                  <th scope="row" className="p-0 font-normal">
                    {real && !readOnly ? (
                      <RowMenu row={row} index={r} last={table.rows.length - 1} now={now} />
                    ) : (
                      <span
                        className="mono text-fine text-soft"
                        title={[row.out && `left out: ${row.out}`, row.note].filter(Boolean).join('\n')}
                      >
                        {r + 1}
                        {row.note && ' ✎'}
                      </span>
                    )}
                  </th>
                  {table.columns.map((c, i) => {
                    if (c.kind === 'calculated' || c.kind === 'constant') {
                      const odd = real && results[i] && !results[i].trouble ? results[i].troubleIn(r) : '';
                      return (
                        <td
                          key={c.id}
                          role="gridcell"
                          title={
                            odd ||
                            (real && results[i]
                              ? results[i].sureness(r) && `${results[i].sureness(r)} ${results[i].unit}`
                              : undefined)
                          }
                          className={`mono bg-stage/60 px-1.5 text-right ${odd ? 'text-copper' : ''}`}
                        >
                          {odd ? '∞' : real && results[i] ? results[i].text(r) : ''}
                        </td>
                      );
                    }
                    const key = `${row.id}/${c.id}`;
                    const cell: Cell = table.cells[key] ?? { text: '' };
                    const trouble = real && results[i] ? results[i].troubleIn(r) : '';
                    return (
                      <td
                        key={c.id}
                        role="gridcell"
                        className={`relative p-0 ${shown === key ? 'outline-2 -outline-offset-1 outline-copper' : selected?.row === row.id && selected.column === c.id ? 'bg-wash' : ''}`}
                      >
                        <input
                          data-place={`${r}/${i}`}
                          aria-label={`${c.name}, row ${r + 1}${row.out ? ', left out' : ''}${cell.reading ? ', read on the picture' : ''}`}
                          aria-invalid={!!trouble}
                          title={
                            trouble ||
                            (cell.uncertainty && !table.uncertaintiesHidden
                              ? `± ${cell.uncertainty} ${results[i]?.unit ?? ''}`
                              : undefined)
                          }
                          readOnly={readOnly}
                          className={`h-8 w-full min-w-16 bg-transparent px-1.5 ${c.kind === 'label' ? '' : 'mono text-right'} ${row.out ? 'line-through decoration-copper' : ''} ${cell.reading ? 'pr-5' : ''} ${trouble ? 'text-copper underline decoration-wavy' : ''}`}
                          value={cell.text}
                          placeholder={!readOnly && r === rows.length - 1 && i === typed[0] ? `next ${c.name}` : ''}
                          onChange={(e) => onCell(row.id, c.id, e.target.value)}
                          onPaste={(e) => {
                            const text = e.clipboardData.getData('text/plain');
                            if (!readOnly && /[\t\n;]|,.*,/.test(text.trim())) {
                              e.preventDefault();
                              setAsked({ what: 'paste', text, row: r, column: c.id });
                            }
                          }}
                          onClick={() => {
                            if (cell.reading) onShow(key, cell.reading);
                          }}
                          onFocus={() => onSelect({ row: row.id, column: c.id })}
                          onKeyDown={(e) => {
                            // A reading never begins with =, so that key takes what a display shows.
                            if (e.key === '=' && c.kind === 'measured' && onTake && !readOnly) {
                              e.preventDefault();
                              onTake(row.id, c.id);
                              return;
                            }
                            keys(e, r, i);
                          }}
                        />
                        {cell.reading && (
                          <button
                            type="button"
                            tabIndex={-1}
                            aria-label={`Show how ${cell.text} was read`}
                            onClick={() => onShow(key, cell.reading!)}
                            className="absolute top-2 right-0.5 text-copper"
                          >
                            <Target size={13} />
                          </button>
                        )}
                      </td>
                    );
                  })}
                </tr>
              );
            })}
            {below > 0 && <tr aria-hidden style={{ height: below }} />}
          </tbody>
        </table>
      </div>
      {children}
      <TableDialogs
        asked={asked}
        table={table}
        worked={worked}
        ops={ops}
        names={names}
        onClose={() => setAsked(null)}
      />
    </div>
  );
}
