import { ListTree, Plus, Trash2 } from 'lucide-react';
import { lazy, useState } from 'react';
import { COLOURS, type SeriesFit, type Fitted } from './model';
import type { FitParameter, FromFit } from '../core';
import { compare } from './fitsAhead';
import { UnitAsk } from '../notebook/UnitAsk';
import { Button, Dialog, inputClass, Symbol, symbolText } from '../ui';
import { Fetched } from '../ui/Fetched';

const Compare = lazy(async () => ({ default: (await compare()).Compare }));

interface Props {
  fits: Fitted[];
  hidden: boolean;
  readOnly: boolean;
  onFit: (from: SeriesFit, to: SeriesFit) => void;
}

/**
 * What was fitted: the equation in the columns' symbols, what follows from it, and behind it each parameter and how
 * well it fits.
 */
export function FitWords({ fits, ...rest }: Props) {
  const [open, setOpen] = useState<number | null>(null);
  const shown = open === null ? undefined : fits[open];
  if (fits.length === 0) return null;
  return (
    <div className="flex max-h-24 flex-col overflow-auto px-3 pt-1" aria-live="polite">
      {fits.map((f, i) => (
        <p key={i} data-testid="equation">
          {f.result ? (
            <>
              <button
                type="button"
                className="mr-1 rounded-house align-middle hover:bg-line/60"
                aria-label={`Parameters of fit ${i + 1}`}
                title="Parameters, and what follows from them"
                onClick={() => setOpen(i)}
              >
                <ListTree size={14} />
              </button>
              <span className="font-semibold tabular-nums" style={{ color: COLOURS[(1 + i) % COLOURS.length] }}>
                {f.result.equation}
              </span>{' '}
              <span className="text-fine text-soft">
                <i>r</i>² = {f.result.rSquared}, {f.result.points} points
              </span>
              {f.result.note && <span className="block pl-6 text-fine text-copper">{f.result.note}.</span>}
              {f.result.follows.map(
                (q, k) =>
                  'text' in q &&
                  q.name && (
                    <span key={k} className="block pl-6 font-semibold tabular-nums" data-testid="follows">
                      <Symbol text={q.name} /> = {q.text}
                    </span>
                  ),
              )}
            </>
          ) : (
            <span className="text-copper">{f.error}</span>
          )}
        </p>
      ))}
      {shown?.result && (
        <Dialog open onClose={() => setOpen(null)} title={`What fit ${open! + 1} found`} wide>
          <Parameters fit={shown} {...rest} />
        </Dialog>
      )}
    </div>
  );
}

function Parameters({ fit, hidden, readOnly, onFit }: { fit: Fitted } & Omit<Props, 'fits'>) {
  const { choice, result } = fit;
  const ask = (p: FitParameter) =>
    p.unitAsked &&
    !p.unitFound && (
      <UnitAsk
        of={p.meaning || p.name}
        value={choice.found?.[p.name] ?? ''}
        hint={p.unitHint}
        readOnly={readOnly}
        onChange={(unit) => onFit(choice, { ...choice, found: { ...choice.found, [p.name]: unit } })}
      />
    );
  if (!result) return null;
  return (
    <div className="flex flex-col gap-4">
      <p className="text-lead tabular-nums">{symbolText(result.equation)}</p>
      <table className="w-full border-collapse">
        <thead>
          <tr className="border-b-2 border-ink text-left">
            <th scope="col" className="pr-3">
              parameter
            </th>
            <th scope="col" className="pr-3">
              value
            </th>
            <th scope="col">meaning</th>
          </tr>
        </thead>
        <tbody>
          {result.parameters.map((p) => (
            <tr key={p.name} className="border-b align-top">
              <td className="mono pr-3">{p.name}</td>
              <td className="mono pr-3">
                {p.text} {ask(p)}
              </td>
              <td>
                {p.meaning}
                {!p.unitFixed && ' (its unit isn’t fixed by those of the axes)'}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p>
        <i>r</i>² = <span className="mono">{result.rSquared}</span>
        {result.aboutZero && ' about zero'} · root mean square of the residuals{' '}
        <span className="mono">{result.rms}</span> · {result.points} points
      </p>
      <section className="flex flex-col gap-2">
        <h3 className="font-semibold">What follows from it</h3>
        {result.follows.length === 0 && (
          <p className="text-soft">
            Work out a quantity from the parameters, such as a constant from the{' '}
            {result.parameters[0].meaning || result.parameters[0].name}
            {hidden ? '.' : '; its uncertainty follows from theirs.'}
          </p>
        )}
        {result.follows.map((q, k) => (
          <Follows
            key={k}
            at={k}
            found={q}
            choice={choice}
            readOnly={readOnly}
            onFit={onFit}
            ask={ask}
            example={`4π²/${result.parameters[0].name}`}
          />
        ))}
        {!readOnly && (
          <Button
            small
            className="self-start"
            onClick={() =>
              onFit(choice, { ...choice, follows: [...(choice.follows ?? []), { name: '', formula: '' }] })
            }
          >
            <Plus size={14} aria-hidden />
            Work out a quantity
          </Button>
        )}
      </section>
      {[...result.parameters, ...result.follows.flatMap((q) => ('text' in q && q.name ? [q] : []))]
        .filter((p) => !p.unitAsked || p.unitFound)
        .map((p) => (
          <details key={p.name}>
            <summary className="cursor-pointer">Compare {p.meaning || p.name}</summary>
            <Fetched what="Comparing">
              <Compare
                name={p.meaning || p.name}
                value={p.value}
                uncertainty={hidden ? NaN : (p.uncertainty ?? NaN)}
                unit={p.unit}
              />
            </Fetched>
          </details>
        ))}
    </div>
  );
}

function Follows({
  at,
  found,
  choice,
  readOnly,
  onFit,
  ask,
  example,
}: {
  at: number;
  found: FromFit;
  choice: SeriesFit;
  readOnly: boolean;
  onFit: Props['onFit'];
  ask: (p: FitParameter) => React.ReactNode;
  example: string;
}) {
  const typed = choice.follows?.[at] ?? { name: '', formula: '' };
  const put = (more: Partial<typeof typed>) =>
    onFit(choice, { ...choice, follows: choice.follows!.map((q, k) => (k === at ? { ...q, ...more } : q)) });
  const trouble = 'error' in found && typed.formula ? found.error : '';
  return (
    <div className="flex flex-wrap items-start gap-2">
      <input
        aria-label={`Symbol of quantity ${at + 1}`}
        className={`${inputClass} mono w-16`}
        placeholder="g"
        value={typed.name}
        readOnly={readOnly}
        maxLength={12}
        onChange={(e) => put({ name: e.target.value.trim() })}
      />
      <span className="pt-1.5">=</span>
      <input
        aria-label={`Formula of quantity ${at + 1}`}
        aria-invalid={!!trouble}
        className={`${inputClass} mono w-48`}
        placeholder={example}
        value={typed.formula}
        readOnly={readOnly}
        maxLength={200}
        onChange={(e) => put({ formula: e.target.value })}
      />
      <span className={`mono pt-1.5 ${trouble ? 'text-copper' : 'font-semibold'}`} role="status" data-testid="quantity">
        {trouble || ('text' in found && `= ${found.text}`)} {'text' in found && ask(found)}
      </span>
      {!readOnly && (
        <Button
          small
          kind="quiet"
          className="ml-auto"
          aria-label={`Remove quantity ${at + 1}`}
          onClick={() => onFit(choice, { ...choice, follows: choice.follows!.filter((_, k) => k !== at) })}
        >
          <Trash2 size={14} />
        </Button>
      )}
    </div>
  );
}
