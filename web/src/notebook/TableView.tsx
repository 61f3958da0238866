import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useEffectEvent, useRef, useState } from 'react';
import type { Worked } from '../core';
import { typedCell, workedCell } from './cells';
import { gridKeys, historyKeys } from './gridKeys';
import { RowMenu } from './RowMenu';
import { nextRow, type Cell, type NotebookTable, type Reading } from './table';
import type { TableOps } from './tableOps';
import { TableDialogs, type Asked } from './TableDialogs';
import { TableHead } from './TableHead';
import { TableTools, type History } from './TableTools';

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
  history: History;
  /** Takes what a display shows into a cell; nothing happens where none suits. */
  onTake?: (row: string, column: string) => void;
  /** A row the graph points at. */
  goTo?: { row: number } | null;
  /** Cells that are to be looked at, by `row/column`, and why. */
  signs?: ReadonlyMap<string, string>;
  children?: React.ReactNode;
}

/** Height of a row in pixels, and from how many rows on only those in view are drawn. */
const ROW = 33;
/** Which row it is, and its first column, stay in view while the others are looked at. */
const STAYS =
  '[&_thead_th]:shadow-[inset_0_-2px_0_var(--ink)] [&_th:first-child]:sticky [&_th:first-child]:left-0' +
  ' [&_th:first-child]:z-1 [&_th:first-child]:w-8' +
  ' [&_th:first-child]:min-w-8 [&_th:first-child]:bg-paper [&_th:nth-child(2)]:sticky [&_th:nth-child(2)]:left-8' +
  ' [&_th:nth-child(2)]:z-1 [&_th:nth-child(2)]:bg-paper [&_td:nth-child(2)]:sticky [&_td:nth-child(2)]:left-8' +
  ' [&_td:nth-child(2)]:bg-paper';
const MANY = 150;
const NOTHING: Cell = { text: '' };

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
  signs,
  children,
}: Props) {
  const [asked, setAsked] = useState<Asked>(null);
  const [said, setSaid] = useState('');
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
  // A column that was added stands in view, however many stand before it.
  const columns = useRef(table.columns.length);
  useEffect(() => {
    if (table.columns.length > columns.current)
      box.current?.querySelector('thead th:last-child')?.scrollIntoView({ inline: 'end', block: 'nearest' });
    columns.current = table.columns.length;
  }, [table.columns.length]);
  const keys = gridKeys(typed, rows.length, focus);
  const names = (column: string) => {
    const from = typed.findIndex((i) => table.columns[i].id === column);
    return typed.slice(Math.max(0, from)).map((i) => table.columns[i].name);
  };
  const hands = {
    onText: onCell,
    onShow,
    onSelect,
    onTake,
    onKeys: keys,
    onPaste: (text: string, row: number, column: string) => setAsked({ what: 'paste', text, row, column }),
  };
  return (
    <div className="flex h-full min-h-0 flex-col" onKeyDown={readOnly ? undefined : historyKeys(history)}>
      <TableTools
        title={title}
        table={table}
        worked={worked}
        readOnly={readOnly}
        history={history}
        onAsk={setAsked}
        onSaid={setSaid}
      />
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
          className={`w-full border-collapse ${STAYS}`}
        >
          <TableHead table={table} worked={worked} readOnly={readOnly} ops={ops} onAsk={setAsked} />
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
                  {table.columns.map((c, i) =>
                    c.kind === 'calculated' || c.kind === 'constant'
                      ? workedCell(c, real ? results[i] : undefined, r)
                      : typedCell({
                          column: c,
                          row,
                          place: [r, i],
                          cell: table.cells[`${row.id}/${c.id}`] ?? NOTHING,
                          result: real ? results[i] : undefined,
                          uncertaintiesHidden: !!table.uncertaintiesHidden,
                          sign: signs?.get(`${row.id}/${c.id}`),
                          isShown: shown === `${row.id}/${c.id}`,
                          isSelected: selected?.row === row.id && selected.column === c.id,
                          placeholder: !readOnly && r === rows.length - 1 && i === typed[0] ? `next ${c.name}` : '',
                          readOnly,
                          ...hands,
                        }),
                  )}
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
