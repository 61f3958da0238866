import type { ColumnResult, ColumnSpec } from '../core';
import { UnitAsk } from './UnitAsk';

/**
 * Below a column's name: its unit, and of a calculated one its formula as typed; set in fractions it would be too
 * small to read.
 */
export function HeadNote({
  column: c,
  result,
  asks,
  hidden,
  readOnly,
  onFound,
}: {
  column: ColumnSpec;
  result?: ColumnResult;
  asks: boolean;
  hidden: boolean;
  readOnly: boolean;
  onFound: (unit: string) => void;
}) {
  const unit = result?.unit ?? '';
  return (
    <span className="flex flex-wrap items-center gap-1.5 text-fine font-normal text-soft">
      {c.kind === 'calculated' ? (
        <span className="whitespace-nowrap">
          <span className="mono inline-block max-w-36 overflow-hidden align-bottom text-ellipsis" title={c.formula}>
            {c.formula}
          </span>
          {unit && `, ${unit}`}
          {asks && result && !result.asked && !result.trouble && (
            <span className="text-verdigris" title="You have found its unit">
              {' '}
              ✓
            </span>
          )}
        </span>
      ) : (
        unit || (c.kind === 'label' ? '\u00a0' : 'no unit')
      )}
      {result?.asked && (
        <UnitAsk
          of={c.name}
          value={c.found ?? ''}
          hint={result.asked.hint}
          bare
          readOnly={readOnly}
          onChange={onFound}
        />
      )}
      {c.uncertainty && !hidden && <span className="whitespace-nowrap">± {c.uncertainty}</span>}
    </span>
  );
}
