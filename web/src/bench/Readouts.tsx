import { printFixed, type Channel, type Manifest } from '../core';
import { Symbol } from '../ui';

/** Chosen channels as large figures. */
export function Readouts({ m, shown, values }: { m: Manifest; shown: string[]; values: Float64Array }) {
  return (
    <dl className="flex flex-col">
      {m.channels.map((c, i) => shown.includes(c.id) && (
        <div key={c.id} className="flex items-baseline justify-between gap-3 border-b py-1.5">
          <dt className="text-fine text-soft">{c.name}, <Symbol text={c.symbol} /></dt>
          <dd className="mono text-lead font-semibold whitespace-nowrap" data-channel={c.id}>
            {Number.isNaN(values[i]) ? '–' : printFixed(values[i] * c.perSi, c.figures)} {c.unit}
          </dd>
        </div>
      ))}
    </dl>
  );
}

export const ACCOUNT_LOOK: Record<string, { color: string; hatch: string }> = {
  kinetic: { color: 'var(--copper)', hatch: 'M0 6L6 0' },
  potential: { color: 'var(--indigo)', hatch: 'M0 3H6' },
  elastic: { color: 'var(--verdigris)', hatch: 'M0 0L6 6' },
  thermal: { color: 'var(--plum)', hatch: 'M3 0V6' },
  total: { color: 'var(--ink)', hatch: '' },
};

/** The energy account: one bar a form, told apart by colour, hatch and name; the total as an outline. */
export function EnergyBars({ m, values, largest }: { m: Manifest; values: Float64Array; largest: number }) {
  const bars = m.channels.map((c, i) => ({ c, value: values[i] })).filter((b) => b.c.account);
  const height = 110;
  const step = 62;
  return (
    <svg viewBox={`0 0 ${bars.length * step} ${height + 38}`} className="w-full" role="img" aria-label={`Energy account: ${bars.map((b) => `${b.c.name} ${printFixed(b.value, b.c.figures)} J`).join(', ')}`}>
      <defs>
        {Object.entries(ACCOUNT_LOOK).map(([k, look]) => (
          <pattern key={k} id={`hatch-${k}`} width="6" height="6" patternUnits="userSpaceOnUse">
            <rect width="6" height="6" fill={look.color} fillOpacity="0.5" />
            <path d={look.hatch} stroke={look.color} strokeWidth="1.6" />
          </pattern>
        ))}
      </defs>
      {bars.map(({ c, value }, i) => {
        const h = largest > 0 ? (Math.max(0, value) / largest) * (height - 16) : 0;
        const total = c.account === 'total';
        return (
          <g key={c.id} transform={`translate(${i * step} 0)`}>
            <rect x="13" y={height - h} width="36" height={h} fill={total ? 'none' : `url(#hatch-${c.account})`} stroke={ACCOUNT_LOOK[c.account!].color} strokeWidth={total ? 2 : 1} />
            <text x="31" y={height - h - 4} textAnchor="middle" fontSize="11" className="mono" fill="var(--ink)">{printFixed(value, c.figures)}</text>
            <text x="31" y={height + 14} textAnchor="middle" fontSize="11.5" fill="var(--ink)">{c.account}</text>
            <text x="31" y={height + 28} textAnchor="middle" fontSize="11" fill="var(--soft)">{c.unit}</text>
          </g>
        );
      })}
      <line x1="0" x2={bars.length * step} y1={height} y2={height} stroke="var(--edge)" />
    </svg>
  );
}

export const LINE_LOOK = [
  { color: 'var(--copper)', dash: '' }, { color: 'var(--indigo)', dash: '7 3' }, { color: 'var(--verdigris)', dash: '2 3' },
  { color: 'var(--plum)', dash: '9 3 2 3' }, { color: 'var(--ink)', dash: '12 4' },
];

export function lookOf(c: Channel, i: number) {
  const account = c.account ? ACCOUNT_LOOK[c.account].color : null;
  return { color: account ?? LINE_LOOK[i % LINE_LOOK.length].color, dash: LINE_LOOK[i % LINE_LOOK.length].dash };
}
