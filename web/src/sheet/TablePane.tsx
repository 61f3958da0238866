import { lazy, Suspense, useState } from 'react';
import { CellBar } from '../notebook/CellBar';
import type { BlockOf } from '../core';
import type { Judged, Signs } from '../marking';
import type { Reading } from '../notebook/table';
import { tableOps } from '../notebook/tableOps';
import { TableView } from '../notebook/TableView';
import { Button } from '../ui';
import { Tabs } from './BenchTabs';
import type { Elsewhere as Named, NamedFilm } from './named';
import { useOffer, useStands, type Standing } from './standing';
import type { Entry } from './useEntry';
import type { TableAtWork } from './useTable';

const TableJudged = lazy(async () => ({ default: (await import('../marking')).TableJudged }));

export interface SelectedCell {
  row: string;
  column: string;
}

/** The notebook's table in front, and below it what can be done with the selected cell. */
export function TablePane({
  tables,
  at,
  entry,
  standing,
  judged,
  narrow,
  readOnly,
  shown,
  goTo,
  selected,
  onSelect,
  onShow,
  onBring,
  onFront,
}: {
  tables: BlockOf<'table'>[];
  at: TableAtWork;
  entry: Entry;
  standing: Standing;
  /** For whoever marks: whose table is held against what the apparatus showed. */
  judged?: Judged;
  /** Whether there is little room, as below a bench. */
  narrow: boolean;
  readOnly: boolean;
  /** The cell whose reading is shown on the bench. */
  shown: string | null;
  goTo: { row: number } | null;
  selected: SelectedCell | null;
  onSelect: (cell: SelectedCell | null) => void;
  onShow: (key: string, reading: Reading) => void;
  /** Brings a recording to the front that a row's words name. */
  onBring: (film: NamedFilm) => void;
  onFront: (id: string) => void;
}) {
  const { block, table, worked, edits, unitOf } = at;
  const [signs, setSigns] = useState<Signs>();
  const column = selected && table.columns.find((c) => c.id === selected.column);
  const cell = selected && table.cells[`${selected.row}/${selected.column}`];
  const offer = useOffer(standing, column ? unitOf(column.id) : null);
  const stands = useStands(standing);
  // The row that waits for its first character stands below all others.
  const rowAt = selected ? table.rows.findIndex((r) => r.id === selected.row) : -1;
  return (
    <div className="flex h-full min-h-0 flex-col">
      <Tabs
        label="Tables"
        items={tables.length > 1 ? tables.map((t) => ({ id: t.id, name: t.title })) : []}
        current={block.id}
        onChoose={onFront}
      />
      <TableView
        key={block.id}
        title={block.title}
        table={table}
        worked={worked}
        readOnly={readOnly}
        shown={shown}
        onCell={entry.type}
        onShow={onShow}
        ops={tableOps(table, edits)}
        history={edits}
        goTo={goTo}
        selected={selected}
        onSelect={(c) => {
          entry.forget();
          onSelect(c);
        }}
        onTake={(row, col) => entry.take(row, col)}
        signs={signs}
      >
        <p role="status" className="px-3 text-fine text-copper">
          {entry.hint}
          {entry.elsewhere && <Elsewhere of={entry.elsewhere} onBring={onBring} />}
        </p>
        {selected && column && (
          <CellBar
            column={column}
            unit={unitOf(column.id)}
            row={1 + (rowAt < 0 ? table.rows.length : rowAt)}
            cell={cell ?? { text: '' }}
            readOnly={readOnly}
            hidden={!!table.uncertaintiesHidden}
            canRecord={stands}
            offer={offer}
            onRecord={() => entry.tie(selected.row, column.id, cell!)}
            onUntie={() => entry.untie(selected.row, column.id, cell!)}
            onUncertainty={(u) => entry.write(selected.row, column.id, { ...cell!, uncertainty: u })}
            onTake={() => entry.take(selected.row, column.id)}
          />
        )}
      </TableView>
      {judged && (
        <Suspense>
          <TableJudged
            judged={judged}
            narrow={narrow}
            block={block.id}
            rows={table.rows.map((r) => r.id)}
            columns={table.columns}
            onSigns={setSigns}
            selected={selected && `${selected.row}/${selected.column}`}
            onGo={(row, col) => {
              onSelect({ row, column: col });
              const key = `${row}/${col}`;
              const reading = table.cells[key]?.reading;
              if (reading) onShow(key, reading);
            }}
          />
        </Suspense>
      )}
    </div>
  );
}

/** What a row's words name, where a value was tied to something else. */
function Elsewhere({ of: { said, meant, here }, onBring }: { of: Named; onBring: (film: NamedFilm) => void }) {
  return (
    <>
      The words of this row name “{said}”, but the value is tied to what is in front, “{here.said}”.{' '}
      {meant ? (
        <>
          <Button small onClick={() => onBring(meant)}>
            To “{said}”
          </Button>{' '}
          There, find the moment and press “Record here”.
        </>
      ) : (
        'That isn’t recorded yet.'
      )}
    </>
  );
}
