import type { ColumnSpec, Worked } from '../core';
import { FetchedDialog } from '../ui/FetchedDialog';
import { ColumnDialog } from './ColumnDialog';
import { FillDialog } from './FillDialog';
import type { Brought } from './ImportDialog';
import { StatisticsDialog } from './StatisticsDialog';
import type { NotebookTable } from './table';
import type { tableOps } from './tableOps';

/** What a table asks about in a dialog; a column of null is a new one. */
export type Asked =
  | { what: 'column'; column: ColumnSpec | null }
  | { what: 'file'; file: File }
  | { what: 'paste'; text: string; row: number; column: string }
  | { what: 'fill'; column: ColumnSpec }
  | { what: 'statistics'; column: ColumnSpec }
  | null;

interface Props {
  asked: Asked;
  table: NotebookTable;
  worked: Worked;
  ops: ReturnType<typeof tableOps>;
  /** Names of the columns that can be typed into, from one on. */
  names: (from: string) => string[];
  onClose: () => void;
}

/** The one dialog of a table that is open. */
export function TableDialogs({ asked, table, worked, ops, names, onClose }: Props) {
  const done = (change: () => void) => {
    change();
    onClose();
  };
  if (asked?.what === 'column') {
    return (
      <ColumnDialog
        column={asked.column}
        table={table}
        onClose={onClose}
        onSave={(column, converted) => done(() => ops.saveColumn(column, converted))}
      />
    );
  }
  if (asked?.what === 'file') {
    const bring = { file: asked.file, table, onClose, onBring: (b: Brought) => done(() => ops.bringIn(b)) };
    return <FetchedDialog title="Bring in a file" load={bringingIn} props={bring} />;
  }
  if (asked?.what === 'paste') {
    const paste = {
      text: asked.text,
      columns: names(asked.column),
      onClose,
      onPaste: (lines: string[][]) => done(() => ops.paste(asked.row, asked.column, lines)),
    };
    return <FetchedDialog title="Paste into the table" load={pasting} props={paste} />;
  }
  if (asked?.what === 'fill') {
    const down = (texts: string[]) => texts.map((t) => [t]);
    return (
      <FillDialog
        name={asked.column.name}
        onClose={onClose}
        onFill={(texts) => done(() => ops.paste(0, asked.column.id, down(texts)))}
      />
    );
  }
  if (asked?.what === 'statistics') {
    return <StatisticsDialog columns={table.columns} worked={worked} focus={asked.column.id} onClose={onClose} />;
  }
  return null;
}

/** Fetches what pasting and writing a table need, once somebody works on one: later the network may be gone. */
export function fetchAhead() {
  pasting().catch(() => undefined);
}

const pasting = () => import('./PasteDialog').then((m) => m.PasteDialog);
const bringingIn = () => import('./ImportDialog').then((m) => m.ImportDialog);
