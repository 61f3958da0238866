import { useState } from 'react';
import { compareValues, readNumber, readUnit } from '../core';
import { Field } from '../ui';

/** A value held against theory or another method's, in words. */
export function Compare({
  name,
  value,
  uncertainty,
  unit,
}: {
  name: string;
  value: number;
  uncertainty: number;
  unit: string;
}) {
  const [number, setNumber] = useState('');
  const [off, setOff] = useState('');
  const [typedUnit, setTypedUnit] = useState(unit);
  const other = number.trim() ? readNumber(number) : null;
  const u = off.trim() ? readNumber(off) : { value: NaN };
  const u2 = readUnit(typedUnit);
  const trouble = other && 'error' in other ? other.error : 'error' in u ? u.error : 'error' in u2 ? u2.error : null;
  const found =
    other && 'value' in other && 'value' in u && !trouble
      ? compareValues(value, uncertainty, unit, other.value, u.value, typedUnit)
      : null;
  return (
    <section className="flex flex-col gap-2 border-t pt-3">
      <h3 className="font-semibold">Compare {name} with theory or another method</h3>
      <div className="grid grid-cols-3 gap-3">
        <Field label="Value" mono value={number} onChange={(e) => setNumber(e.target.value)} />
        <Field label="Uncertainty" mono value={off} onChange={(e) => setOff(e.target.value)} hint="empty: exact" />
        <Field label="Unit" mono value={typedUnit} onChange={(e) => setTypedUnit(e.target.value)} />
      </div>
      <p aria-live="polite" data-testid="comparison" className={trouble ? 'text-copper' : ''}>
        {trouble ??
          (found &&
            ('error' in found
              ? found.error
              : `Difference ` +
                `${found.differenceText}${found.percentText ? `, ${found.percentText}` : ''}. ` +
                `${found.words}.`))}
      </p>
    </section>
  );
}
