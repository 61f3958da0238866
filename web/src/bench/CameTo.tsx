import { inOwn, type Manifest, type Run } from '../core';
import { outcomeWords } from './words';

/** What the run has come to by the moment shown, as far as that is settled; what stands aside is a press away. */
export function CameTo({ m, run, only }: { m: Manifest; run: Run; only?: string[] }) {
  const values = run.outcomes();
  const known = m.outcomes
    .map((o, i) => ({ o, text: outcomeWords(o, inOwn(o, values[i])), settled: !Number.isNaN(values[i]) }))
    .filter(({ o, settled }) => settled && !o.unshown && (!only || only.includes(o.id)));
  if (known.length === 0) return null;
  const rows = (aside: boolean) =>
    known
      .filter(({ o }) => (o.aside && !only) === aside)
      .map(({ o, text }) => (
        <div key={o.id} className="flex justify-between gap-3 first:text-base first:font-semibold">
          <dt className="text-soft">{o.name}</dt>
          <dd className={o.words.length ? 'text-right' : 'mono text-right whitespace-nowrap'}>{text}</dd>
        </div>
      ));
  const more = rows(true);
  return (
    <section className="rounded-house border px-3 py-1.5 text-fine" aria-label="What it came to" data-came>
      <dl>{rows(false)}</dl>
      {more.length > 0 && (
        <details>
          <summary className="cursor-pointer">More</summary>
          <dl className="[&>*]:text-fine! [&>*]:font-normal!">{more}</dl>
        </details>
      )}
    </section>
  );
}
