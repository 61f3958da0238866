import type { ColumnSpec, Worked } from '../core';
import { Dialog, Symbol, symbolText } from '../ui';
import { Compare } from './Compare';

const NAMES = [
  ['mean', 'mean'],
  ['median', 'median'],
  ['min', 'smallest'],
  ['max', 'largest'],
  ['range', 'range'],
  ['lowerQuartile', 'lower quartile'],
  ['upperQuartile', 'upper quartile'],
  ['sd', 'standard deviation'],
  ['standardError', 'standard error of the mean'],
  ['sum', 'sum'],
] as const;

/** Statistics of all columns with numbers, side by side, and a mean held against another value. */
export function StatisticsDialog({
  columns,
  worked,
  focus,
  onClose,
}: {
  columns: ColumnSpec[];
  worked: Worked;
  focus: string;
  onClose: () => void;
}) {
  const shown = columns
    .filter((c) => c.kind === 'measured' || c.kind === 'calculated')
    .map((c) => ({ c, s: worked.statistics(c.id) }))
    .flatMap(({ c, s }) => ('error' in s ? [] : [{ c, s }]));
  const own = shown.find(({ c }) => c.id === focus);
  return (
    <Dialog open onClose={onClose} title="Statistics" wide>
      <div className="flex flex-col gap-5">
        <div className="overflow-x-auto">
          <table className="w-full border-collapse">
            <thead>
              <tr className="border-b-2 border-ink">
                <th scope="col" className="px-2 text-left font-normal text-soft">
                  rows left out don’t count
                </th>
                {shown.map(({ c, s }) => (
                  <th key={c.id} scope="col" className={`px-2 text-right ${c.id === focus ? 'bg-wash' : ''}`}>
                    <Symbol text={c.symbol} />
                    {s.unit && <span className="font-normal text-soft"> / {s.unit}</span>}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              <tr className="border-b">
                <th scope="row" className="px-2 text-left font-normal">
                  count
                </th>
                {shown.map(({ c, s }) => (
                  <td key={c.id} className={`mono px-2 text-right ${c.id === focus ? 'bg-wash' : ''}`}>
                    {s.count}
                  </td>
                ))}
              </tr>
              {NAMES.map(([id, name]) => (
                <tr key={id} className="border-b">
                  <th scope="row" className="px-2 text-left font-normal">
                    {name}
                  </th>
                  {shown.map(({ c, s }) => (
                    <td key={c.id} className={`mono px-2 text-right ${c.id === focus ? 'bg-wash' : ''}`}>
                      {s[`${id}Text`]}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
        {own && own.s.mean !== null && !worked.column(own.c.id)?.asked && (
          <Compare
            name={`mean of ${symbolText(own.c.symbol)}`}
            value={own.s.mean}
            uncertainty={own.s.standardError ?? NaN}
            unit={own.s.unit}
          />
        )}
      </div>
    </Dialog>
  );
}
