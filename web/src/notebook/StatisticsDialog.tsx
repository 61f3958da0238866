import { useState } from 'react';
import { compareValues, readNumber, readUnit, type ColumnSpec, type Worked } from '../core';
import { Dialog, Field, Symbol, symbolText } from '../ui';

const NAMES = [['mean', 'mean'], ['median', 'median'], ['min', 'smallest'], ['max', 'largest'], ['range', 'range'], ['lowerQuartile', 'lower quartile'], ['upperQuartile', 'upper quartile'], ['sd', 'standard deviation'], ['standardError', 'standard error of the mean'], ['sum', 'sum']] as const;

/** Statistics of all columns with numbers, side by side, and a mean held against another value. */
export function StatisticsDialog({ columns, worked, focus, onClose }: { columns: ColumnSpec[]; worked: Worked; focus: string; onClose: () => void }) {
  const shown = columns.filter((c) => c.kind === 'measured' || c.kind === 'calculated').map((c) => ({ c, s: worked.statistics(c.id) }))
    .flatMap(({ c, s }) => ('error' in s ? [] : [{ c, s }]));
  const own = shown.find(({ c }) => c.id === focus);
  return (
    <Dialog open onClose={onClose} title="Statistics" wide>
      <div className="flex flex-col gap-5">
        <div className="overflow-x-auto">
          <table className="w-full border-collapse">
            <thead>
              <tr className="border-b-2 border-ink">
                <th scope="col" className="px-2 text-left font-normal text-soft">rows left out don’t count</th>
                {shown.map(({ c, s }) => <th key={c.id} scope="col" className={`px-2 text-right ${c.id === focus ? 'bg-wash' : ''}`}><Symbol text={c.symbol} />{s.unit && <span className="font-normal text-soft"> / {s.unit}</span>}</th>)}
              </tr>
            </thead>
            <tbody>
              <tr className="border-b"><th scope="row" className="px-2 text-left font-normal">count</th>{shown.map(({ c, s }) => <td key={c.id} className={`mono px-2 text-right ${c.id === focus ? 'bg-wash' : ''}`}>{s.count}</td>)}</tr>
              {NAMES.map(([id, name]) => (
                <tr key={id} className="border-b"><th scope="row" className="px-2 text-left font-normal">{name}</th>{shown.map(({ c, s }) => <td key={c.id} className={`mono px-2 text-right ${c.id === focus ? 'bg-wash' : ''}`}>{s[`${id}Text`]}</td>)}</tr>
              ))}
            </tbody>
          </table>
        </div>
        {own && own.s.mean !== null && <Compare name={`mean of ${symbolText(own.c.symbol)}`} value={own.s.mean} uncertainty={own.s.standardError ?? NaN} unit={own.s.unit} />}
      </div>
    </Dialog>
  );
}

/** A value held against theory or another method's, in words. */
export function Compare({ name, value, uncertainty, unit }: { name: string; value: number; uncertainty: number; unit: string }) {
  const [number, setNumber] = useState('');
  const [off, setOff] = useState('');
  const [typedUnit, setTypedUnit] = useState(unit);
  const other = number.trim() ? readNumber(number) : null;
  const u = off.trim() ? readNumber(off) : { value: NaN };
  const u2 = readUnit(typedUnit);
  const trouble = other && 'error' in other ? other.error : 'error' in u ? u.error : 'error' in u2 ? u2.error : null;
  const found = other && 'value' in other && 'value' in u && !trouble ? compareValues(value, uncertainty, unit, other.value, u.value, typedUnit) : null;
  return (
    <section className="flex flex-col gap-2 border-t pt-3">
      <h3 className="font-semibold">Compare the {name} with theory or another method</h3>
      <div className="grid grid-cols-3 gap-3">
        <Field label="Value" mono value={number} onChange={(e) => setNumber(e.target.value)} />
        <Field label="Uncertainty" mono value={off} onChange={(e) => setOff(e.target.value)} hint="empty: exact" />
        <Field label="Unit" mono value={typedUnit} onChange={(e) => setTypedUnit(e.target.value)} />
      </div>
      <p aria-live="polite" data-testid="comparison" className={trouble ? 'text-copper' : ''}>
        {trouble ?? (found && ('error' in found ? found.error : `Difference ${found.differenceText}${found.percentText ? `, ${found.percentText}` : ''}. ${found.words}.`))}
      </p>
    </section>
  );
}
