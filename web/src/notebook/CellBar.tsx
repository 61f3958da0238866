import { Crosshair, TextCursorInput, Unlink } from 'lucide-react';
import type { ColumnSpec } from '../core';
import { Button, inputClass } from '../ui';
import type { Cell } from './table';

/** Below the table: how the selected cell was read, its uncertainty, and what the displays could put in. */
export function CellBar({
  column,
  unit,
  row,
  cell,
  readOnly,
  canRecord,
  hidden,
  offer,
  onRecord,
  onUntie,
  onUncertainty,
  onTake,
}: {
  column: ColumnSpec;
  unit: string;
  row: number;
  cell: Cell;
  readOnly: boolean;
  canRecord: boolean;
  /** Whether the lab keeps ± away. */
  hidden: boolean;
  /** What a display would put into it. */
  offer?: string;
  onRecord: () => void;
  /** Unties it from the picture it was read on. */
  onUntie: () => void;
  onUncertainty: (text: string) => void;
  onTake: () => void;
}) {
  if (column.kind !== 'measured') return null;
  return (
    <div
      className="flex flex-wrap items-center gap-x-3 gap-y-1 border-t bg-sheet px-3 py-1 text-fine"
      role="group"
      aria-label="Selected cell"
    >
      <span>
        <b>{column.name}</b>, row {row}
      </span>
      {!hidden && (
        <label className="inline-flex items-center gap-1">
          ±
          <input
            className={`${inputClass} mono min-h-7! w-16 text-right`}
            aria-label={`Uncertainty in row ${row} of ${column.name}`}
            value={cell.uncertainty ?? ''}
            readOnly={readOnly || !cell.text}
            maxLength={12}
            onChange={(e) => onUncertainty(e.target.value)}
          />
          {unit}
        </label>
      )}
      {!readOnly && (
        <Button
          small
          onClick={onRecord}
          disabled={!canRecord || !cell.text}
          title="Fix trial, frame and instruments, as they are now, to this value"
        >
          <Crosshair size={13} aria-hidden />
          Record here
        </Button>
      )}
      {!readOnly && cell.reading && (
        <Button small onClick={onUntie} title="The value stays; trial, frame and instruments are forgotten">
          <Unlink size={13} aria-hidden />
          Untie
        </Button>
      )}
      {!readOnly && offer && (
        <Button small onMouseDown={(e) => e.preventDefault()} onClick={onTake}>
          <TextCursorInput size={13} aria-hidden />
          <kbd className="mono">=</kbd> takes the {offer.toLowerCase()}
        </Button>
      )}
      {!cell.reading && cell.text && <span className="text-soft">not tied to a picture</span>}
    </div>
  );
}
