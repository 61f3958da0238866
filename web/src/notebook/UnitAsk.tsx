import { useState } from 'react';
import { inputClass } from '../ui';

/** Where the lab wants the student to find a unit: typed, then checked, with a hint where it isn't right yet. */
export function UnitAsk({
  of,
  value,
  hint,
  onChange,
  readOnly,
  bare,
}: {
  of: string;
  value: string;
  hint: string;
  onChange: (unit: string) => void;
  readOnly?: boolean;
  /** Whether the hint is said elsewhere, for want of room here. */
  bare?: boolean;
}) {
  const [typed, setTyped] = useState(value);
  const put = () => {
    if (typed.trim() !== value) onChange(typed.trim());
  };
  return (
    <span className="inline-flex flex-col gap-0.5 font-sans font-normal">
      <input
        className={`${inputClass} mono min-h-7! w-20 px-1.5! text-fine`}
        aria-label={`Unit of ${of}`}
        title="Find its unit, then press Enter. A pure number has the unit 1."
        placeholder="unit?"
        aria-invalid={!!hint && typed.trim() === value}
        value={typed}
        readOnly={readOnly}
        maxLength={40}
        onChange={(e) => setTyped(e.target.value)}
        onBlur={put}
        onKeyDown={(e) => {
          if (e.key === 'Enter') {
            e.preventDefault();
            put();
          }
        }}
      />
      {!bare && (
        <span role="status" className="max-w-72 text-fine text-copper">
          {typed.trim() === value ? hint : ''}
        </span>
      )}
    </span>
  );
}
