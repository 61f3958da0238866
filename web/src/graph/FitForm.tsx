import { Plus, Trash2 } from 'lucide-react';
import { fitKinds, parametersOf } from '../core';
import { Button, inputClass, Select, symbolText, Toggle } from '../ui';
import { fitsOf, type SeriesFit, type Fitted, type GraphChoice, type GraphColumn } from './model';
import { NumberBox } from './NumberBox';

const OWN = 'own';

/** Fits of a graph: kind, series, stretch, weights; the student's own formula and where its search begins. */
export function FitForm({
  x,
  ys,
  choice,
  found,
  onChoice,
}: {
  x?: GraphColumn;
  ys: GraphColumn[];
  choice: GraphChoice;
  found: Fitted[];
  onChoice: (c: GraphChoice) => void;
}) {
  const fits = fitsOf(choice, ys[0]?.id);
  const put = (next: SeriesFit[]) =>
    onChoice({ ...choice, fits: next, line: next.some((f) => f.kind === 'line' || f.kind === 'proportional') });
  const kinds = [...fitKinds, { id: OWN, name: 'a formula of my own' }];
  return (
    <>
      {fits.length === 0 && <p className="text-soft">No curve is fitted yet. Add one and choose its kind.</p>}
      {fits.map((f, i) => (
        <fieldset key={i} className="flex flex-col gap-2 border-b pb-3">
          <legend className="sr-only">Fit {i + 1}</legend>
          <div className="flex items-center gap-2">
            <Select
              label="Kind"
              value={f.kind}
              onChange={(kind) => put(fits.map((o, k) => (k === i ? { ...f, kind } : o)))}
              options={kinds}
              className="grow"
            />
            <Button
              small
              kind="quiet"
              aria-label={`Remove fit ${i + 1}`}
              onClick={() => put(fits.filter((_, k) => k !== i))}
            >
              <Trash2 size={14} />
            </Button>
          </div>
          {ys.length > 1 && (
            <Select
              label="Of"
              value={f.series}
              onChange={(series) => put(fits.map((o, k) => (k === i ? { ...f, series } : o)))}
              options={ys.map((c) => ({ id: c.id, name: symbolText(c.symbol) }))}
            />
          )}
          {f.kind === OWN && x && (
            <OwnFormula
              fit={f}
              x={x}
              y={ys.find((c) => c.id === f.series) ?? ys[0]}
              onChange={(n) => put(fits.map((o, k) => (k === i ? n : o)))}
            />
          )}
          <Stretch
            fit={f}
            symbol={symbolText(x?.symbol ?? '')}
            onChange={(n) => put(fits.map((o, k) => (k === i ? n : o)))}
          />
          <Outcome of={found.find((o) => o.choice === f)} />
          <Toggle
            label="points count by their uncertainties"
            checked={!!f.weighted}
            onChange={(weighted) => put(fits.map((o, k) => (k === i ? { ...f, weighted } : o)))}
          />
        </fieldset>
      ))}
      <Button
        small
        onClick={() => put([...fits, { kind: fits.length ? 'quadratic' : 'line', series: ys[0].id }])}
        disabled={!ys[0]}
      >
        <Plus size={14} aria-hidden />
        Add a fit
      </Button>
    </>
  );
}

/** What came of a fit: below the graph's controls there is room for two or three only. */
function Outcome({ of: f }: { of?: Fitted }) {
  if (!f) return null;
  return (
    <p aria-live="polite" className={`text-fine ${f.error ? 'text-copper' : 'text-indigo'}`}>
      {f.error ?? f.result?.equation}
    </p>
  );
}

/** Between which places the points count; empty: all. */
function Stretch({ fit, symbol, onChange }: { fit: SeriesFit; symbol: string; onChange: (f: SeriesFit) => void }) {
  return (
    <div className="flex items-center gap-2 text-fine text-soft">
      only where {symbol} is from
      <NumberBox label={`Fit from ${symbol}`} value={fit.from} onChange={(from) => onChange({ ...fit, from })} />
      to
      <NumberBox label={`Fit to ${symbol}`} value={fit.to} onChange={(to) => onChange({ ...fit, to })} />
    </div>
  );
}

function OwnFormula({
  fit,
  x,
  y,
  onChange,
}: {
  fit: SeriesFit;
  x: GraphColumn;
  y: GraphColumn;
  onChange: (f: SeriesFit) => void;
}) {
  const names = parametersOf(fit.formula ?? '', x.symbol);
  return (
    <div className="flex flex-col gap-2">
      <label className="flex items-center gap-2">
        <span className="whitespace-nowrap">{symbolText(y.symbol)} =</span>
        <input
          aria-label="Formula to fit"
          className={`${inputClass} mono min-w-0 grow`}
          value={fit.formula ?? ''}
          maxLength={500}
          onChange={(e) => onChange({ ...fit, formula: e.target.value })}
          placeholder={`a × (1 − exp(−${x.symbol}/b))`}
        />
      </label>
      <p className="text-fine text-soft">
        {names.length
          ? 'To be found, with where the search begins:'
          : `Use ${x.symbol}, numbers, and letters for what is to be found.`}
      </p>
      <div className="flex flex-wrap gap-2">
        {names.map((n) => (
          <label key={n} className="flex items-center gap-1 text-fine">
            {n}
            <NumberBox
              label={`Start of ${n}`}
              value={fit.start?.[n]}
              onChange={(v) =>
                onChange({
                  ...fit,
                  start: Object.fromEntries(
                    Object.entries({ ...fit.start, [n]: v }).filter(([, s]) => s !== undefined),
                  ) as Record<string, number>,
                })
              }
            />
          </label>
        ))}
      </div>
    </div>
  );
}
