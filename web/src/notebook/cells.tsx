import { Target } from 'lucide-react';
import type { KeyboardEvent } from 'react';
import type { ColumnResult, ColumnSpec, RowSpec } from '../core';
import type { Cell, Reading } from './table';

/*
 * Cells are functions rather than components: a table has thousands, and each component would cost its share of every
 * key that is pressed.
 */

/** A cell that is worked out; nothing stands in it without a result. */
export function workedCell(column: ColumnSpec, result: ColumnResult | undefined, row: number) {
  const odd = result && !result.trouble ? result.troubleIn(row) : '';
  const sure = result?.sureness(row);
  return (
    <td
      key={column.id}
      role="gridcell"
      title={odd || (sure ? `${sure} ${result!.unit}` : undefined)}
      className={`mono bg-stage/60 px-1.5 text-right ${odd ? 'text-copper' : ''}`}
    >
      {odd ? '∞' : (result?.text(row) ?? '')}
    </td>
  );
}

interface Typed {
  column: ColumnSpec;
  row: Pick<RowSpec, 'id' | 'out'>;
  /** Row and column in the grid. */
  place: [number, number];
  cell: Cell;
  result: ColumnResult | undefined;
  uncertaintiesHidden: boolean;
  /** Why it is to be looked at; missing where it isn't. */
  sign?: string;
  isShown: boolean;
  isSelected: boolean;
  placeholder: string;
  readOnly: boolean;
  onText: (row: string, column: string, text: string) => void;
  onShow: (key: string, reading: Reading) => void;
  onSelect: (cell: { row: string; column: string }) => void;
  onTake?: (row: string, column: string) => void;
  onKeys: (e: KeyboardEvent<HTMLInputElement>, row: number, column: number) => void;
  onPaste: (text: string, row: number, column: string) => void;
}

/** A cell to type in; where it was read on the picture, a sign shows how. */
export function typedCell(t: Typed) {
  const { column: c, row, cell } = t;
  const [r, i] = t.place;
  const trouble = t.result?.troubleIn(r) ?? '';
  const about =
    cell.uncertainty && !t.uncertaintiesHidden ? `± ${cell.uncertainty} ${t.result?.unit ?? ''}` : undefined;
  const show = () => cell.reading && t.onShow(`${row.id}/${c.id}`, cell.reading);
  return (
    <td
      key={c.id}
      role="gridcell"
      className={
        `relative p-0 ` + (t.isShown ? 'outline-2 -outline-offset-1 outline-copper' : t.isSelected ? 'bg-wash' : '')
      }
    >
      <input
        data-place={`${r}/${i}`}
        aria-label={
          `${c.name}, row ${r + 1}${row.out ? ', left out' : ''}` + (cell.reading ? ', read on the picture' : '')
        }
        aria-invalid={!!trouble}
        aria-description={t.sign}
        title={trouble || t.sign || about}
        readOnly={t.readOnly}
        className={lookOf(c, !!row.out, !!cell.reading, !!trouble)}
        value={cell.text}
        placeholder={t.placeholder}
        onChange={(e) => t.onText(row.id, c.id, e.target.value)}
        onPaste={(e) => {
          const text = e.clipboardData.getData('text/plain');
          if (!t.readOnly && /[\t\n;]|,.*,/.test(text.trim())) {
            e.preventDefault();
            t.onPaste(text, r, c.id);
          }
        }}
        onClick={show}
        onFocus={() => t.onSelect({ row: row.id, column: c.id })}
        onKeyDown={(e) => {
          // A reading never begins with =, so that key takes what a display shows.
          if (e.key === '=' && c.kind === 'measured' && t.onTake && !t.readOnly) {
            e.preventDefault();
            t.onTake(row.id, c.id);
          } else t.onKeys(e, r, i);
        }}
      />
      {t.sign && (
        <span
          aria-hidden
          className={`pointer-events-none absolute top-1.5 text-fine font-bold text-copper ${c.kind === 'label' ? 'right-1' : 'left-0.5'}`}
        >
          ≠
        </span>
      )}
      {cell.reading && (
        <button
          type="button"
          tabIndex={-1}
          aria-label={`Show how ${cell.text} was read`}
          onClick={show}
          className="absolute top-2 right-0.5 text-copper"
        >
          <Target size={13} />
        </button>
      )}
    </td>
  );
}

function lookOf(column: ColumnSpec, out: boolean, read: boolean, trouble: boolean): string {
  return [
    'h-8 w-full min-w-16 bg-transparent px-1.5',
    column.kind !== 'label' && 'mono text-right',
    out && 'line-through decoration-copper',
    read && 'pr-5',
    trouble && 'text-copper underline decoration-wavy',
  ]
    .filter(Boolean)
    .join(' ');
}
