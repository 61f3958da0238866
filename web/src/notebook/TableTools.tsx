import { ClipboardCopy, FileUp, Plus, Redo2, Undo2 } from 'lucide-react';
import { useRef } from 'react';
import type { Worked } from '../core';
import { Button } from '../ui';
import { SaveTable } from './SaveTable';
import type { NotebookTable } from './table';
import type { Asked } from './TableDialogs';
import { tableText } from './tableText';

export interface History {
  undo: () => void;
  redo: () => void;
  canUndo: boolean;
  canRedo: boolean;
}

interface Props {
  title: string;
  table: NotebookTable;
  worked: Worked;
  readOnly: boolean;
  history: History;
  onAsk: (what: Asked) => void;
  /** Told what became of a copy. */
  onSaid: (words: string) => void;
}

/** A table's name and what can be done with the whole of it. */
export function TableTools({ title, table, worked, readOnly, history, onAsk, onSaid }: Props) {
  const picker = useRef<HTMLInputElement>(null);
  const copy = async () => {
    const text = await tableText(table, worked, '\t').catch((e: Error) => onSaid(e.message));
    if (!text) return;
    try {
      await navigator.clipboard.writeText(text);
      onSaid('Copied, with headings. Paste it into a spreadsheet.');
    } catch {
      // Also where the page has no clipboard at all, as without TLS.
      onSaid('The browser doesn’t let the page copy.');
    }
  };
  return (
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
      <Button small kind="quiet" aria-label="Copy the table" title="Copy the table" onClick={() => void copy()}>
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
          if (file) onAsk({ what: 'file', file });
          e.target.value = '';
        }}
      />
      <SaveTable title={title} table={table} worked={worked} />
      {!readOnly && (
        <Button small kind="quiet" onClick={() => onAsk({ what: 'column', column: null })}>
          <Plus size={14} />
          Column
        </Button>
      )}
    </div>
  );
}
