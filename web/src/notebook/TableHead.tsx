import type { ColumnSpec, Worked } from '../core';
import { Symbol } from '../ui';
import { ColumnMenu } from './ColumnMenu';
import { HeadNote } from './HeadNote';
import type { NotebookTable } from './table';
import type { Asked } from './TableDialogs';
import type { TableOps } from './tableOps';

interface Props {
  table: NotebookTable;
  worked: Worked;
  readOnly: boolean;
  ops: TableOps;
  onAsk: (what: Asked) => void;
}

/** The columns' names, symbols and units, what is wrong with one, and what can be done with it. */
export function TableHead({ table, worked: { columns: results }, readOnly, ops, onAsk }: Props) {
  return (
    <thead className="sticky top-0 z-10 bg-paper">
      <tr className="align-bottom">
        <th scope="col" className="w-8">
          <span className="sr-only">Row</span>
        </th>
        {table.columns.map((c, i) => (
          <th
            key={c.id}
            scope="col"
            className="px-1.5 pb-1 text-left font-semibold"
            style={{ minWidth: `${widthOf(table, c)}ch` }}
          >
            {readOnly ? (
              <span className="block leading-tight">
                {c.name} {c.kind !== 'label' && <Symbol text={c.symbol} />}
              </span>
            ) : (
              <ColumnMenu
                column={c}
                index={i}
                last={table.columns.length - 1}
                onChange={() => onAsk({ what: 'column', column: c })}
                onMove={(to) => ops.moveColumn(i, to)}
                onRemove={() => ops.setColumns(table.columns.filter((x) => x.id !== c.id))}
                onFill={() => onAsk({ what: 'fill', column: c })}
                onStatistics={() => onAsk({ what: 'statistics', column: c })}
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
  );
}

/** Rows that are looked at for how much room a column needs. */
const LOOKED_AT = 40;
const WIDEST = 24;

/** How many characters a column has to have room for, with the sign of a reading beside them. */
function widthOf(table: NotebookTable, column: ColumnSpec) {
  let most = 0;
  for (const r of table.rows.slice(0, LOOKED_AT)) {
    const cell = table.cells[`${r.id}/${column.id}`];
    most = Math.max(most, (cell?.text.length ?? 0) + (cell?.reading ? 4 : 1));
  }
  return Math.min(WIDEST, most);
}
