import { ListTree } from 'lucide-react';
import { useState } from 'react';
import { COLOURS, type Fitted } from './model';
import { Compare } from '../notebook/Compare';
import { Dialog, symbolText } from '../ui';

/** What was fitted: the equation in the columns' symbols, and behind it each parameter and how well it fits. */
export function FitWords({ fits }: { fits: Fitted[] }) {
  const [open, setOpen] = useState<number | null>(null);
  const shown = open === null ? null : fits[open]?.result;
  if (fits.length === 0) return null;
  return (
    <div className="flex max-h-24 flex-col overflow-auto px-3 pt-1" aria-live="polite">
      {fits.map((f, i) => (
        <p key={i} data-testid="equation">
          {f.result ? (
            <>
              <button type="button" className="mr-1 rounded-house align-middle hover:bg-line/60" aria-label={`Parameters of fit ${i + 1}`} title="Parameters" onClick={() => setOpen(i)}><ListTree size={14} /></button>
              <span className="font-semibold tabular-nums" style={{ color: COLOURS[(1 + i) % COLOURS.length] }}>{f.result.equation}</span>{' '}
              <span className="text-fine text-soft"><i>r</i>² = {f.result.rSquared}, {f.result.points} points</span>
            </>
          ) : <span className="text-copper">{f.error}</span>}
        </p>
      ))}
      {shown && (
        <Dialog open onClose={() => setOpen(null)} title={symbolText(shown.equation)} wide>
          <div className="flex flex-col gap-4">
            <table className="w-full border-collapse">
              <thead><tr className="border-b-2 border-ink text-left"><th scope="col" className="pr-3">parameter</th><th scope="col" className="pr-3">value</th><th scope="col">meaning</th></tr></thead>
              <tbody>{shown.parameters.map((p) => <tr key={p.name} className="border-b"><td className="mono pr-3">{p.name}</td><td className="mono pr-3">{p.text}</td><td>{p.meaning}{p.unitNote && ' (in the units of the axes)'}</td></tr>)}</tbody>
            </table>
            <p><i>r</i>² = <span className="mono">{shown.rSquared}</span>{shown.aboutZero && ' about zero'} · root mean square of the residuals <span className="mono">{shown.rms}</span> · {shown.points} points</p>
            {shown.parameters.map((p) => <details key={p.name}><summary className="cursor-pointer">Compare {p.meaning || p.name}</summary><Compare name={p.meaning || p.name} value={p.value} uncertainty={p.uncertainty ?? NaN} unit={p.unit} /></details>)}
          </div>
        </Dialog>
      )}
    </div>
  );
}
