import type { Manifest, Run } from '../core';
import { outcomeWords } from './words';

/** What the run has come to by the moment shown, as far as that is settled. */
export function CameTo({ m, run, only }: { m: Manifest; run: Run; only?: string[] }) {
  const values = run.outcomes();
  const known = m.outcomes
    .map((o, i) => ({ o, v: values[i] * o.perSi }))
    .filter(({ o, v }) => !Number.isNaN(v) && (!only || only.includes(o.id)));
  if (known.length === 0) return null;
  return (
    <dl className="rounded-house border px-3 py-1.5 text-fine" aria-label="What it came to" data-came>
      {known.map(({ o, v }, i) => (
        <div key={o.id} className={`flex justify-between gap-3 ${i ? '' : 'text-base font-semibold'}`}>
          <dt className={i ? 'text-soft' : ''}>{o.name}</dt>
          <dd className="mono text-right whitespace-nowrap">{outcomeWords(o, v)}</dd>
        </div>
      ))}
    </dl>
  );
}
