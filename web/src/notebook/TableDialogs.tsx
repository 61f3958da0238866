import type { ColumnSpec, Worked } from '../core';
import { FetchedDialog } from '../ui/FetchedDialog';
import type { Brought } from './ImportDialog';
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
    const { column } = asked;
    return (
      <FetchedDialog
        title={column ? `Change ${column.name}` : 'New column'}
        load={onAColumn}
        props={{
          column,
          table,
          onClose,
          onSave: (next: ColumnSpec, converted: boolean) => done(() => ops.saveColumn(next, converted)),
        }}
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
    const fill = {
      name: asked.column.name,
      onClose,
      onFill: (texts: string[]) => done(() => ops.paste(0, asked.column.id, down(texts))),
    };
    return <FetchedDialog title={`Fill ${asked.column.name} with a series`} load={filling} props={fill} />;
  }
  if (asked?.what === 'statistics') {
    const shown = { columns: table.columns, worked, focus: asked.column.id, onClose };
    return <FetchedDialog title="Statistics" load={statistics} props={shown} />;
  }
  return null;
}

const onAColumn = () => import('./ColumnDialog').then((m) => m.ColumnDialog);
const statistics = () => import('./StatisticsDialog').then((m) => m.StatisticsDialog);
const filling = () => import('./FillDialog').then((m) => m.FillDialog);
const pasting = () => import('./PasteDialog').then((m) => m.PasteDialog);
const bringingIn = () => import('./ImportDialog').then((m) => m.ImportDialog);

/** What a table asks in dialogs, to be fetched before it is asked. */
export const dialogsAhead = [pasting, onAColumn, statistics, filling];
