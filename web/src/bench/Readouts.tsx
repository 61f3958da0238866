import { useRef } from 'react';
import { printFixed, type Channel, type Manifest } from '../core';
import { Symbol } from '../ui';
import { useSize } from '../ui/useSize';

/** Chosen channels as large figures, one below the other or, `lying`, beside one another. */
export function Readouts({
  m,
  shown,
  values,
  lying,
}: {
  m: Manifest;
  shown: string[];
  values: Float64Array;
  lying?: boolean;
}) {
  return (
    <dl className={lying ? 'flex flex-wrap gap-x-6' : 'flex flex-col'}>
      {m.channels.map(
        (c, i) =>
          shown.includes(c.id) && (
            <div
              key={c.id}
              className={`flex flex-wrap items-baseline justify-between gap-x-3 ${lying ? '' : 'border-b py-1.5'}`}
            >
              <dt className="text-fine text-soft">
                {c.name}, <Symbol text={c.symbol} />
              </dt>
              <dd className="mono ml-auto text-lead font-semibold whitespace-nowrap" data-channel={c.id}>
                {Number.isNaN(values[i]) ? '–' : printFixed(values[i] * c.perSi, c.figures)} {c.unit}
              </dd>
            </div>
          ),
      )}
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
  const box = useRef<HTMLDivElement>(null);
  const { width, type } = useSize(box);
  const step = width / Math.max(1, bars.length);
  const bar = Math.min(0.6 * step, 46);
  // An energy may lie below its level; then the line of zero moves up to make room.
  const below = bars.some((b) => b.value < 0) || m.channels.some((c) => c.account === 'elastic') ? 0.45 : 0;
  const height = (below ? 13 : 8) * type + 20;
  const zero = height * (1 - below);
  return (
    <div ref={box}>
      <svg
        className="overflow-visible"
        width={width}
        height={height + 1.6 * type + 6}
        role="img"
        aria-label={`Energy account in ${bars[0]?.c.unit ?? ''}: ${bars.map((b) => `${b.c.name} ${printFixed(b.value, b.c.figures)} J`).join(', ')}`}
      >
        <defs>
          {Object.entries(ACCOUNT_LOOK).map(([k, look]) => (
            <pattern key={k} id={`hatch-${k}`} width="6" height="6" patternUnits="userSpaceOnUse">
              <rect width="6" height="6" fill={look.color} fillOpacity="0.5" />
              <path d={look.hatch} stroke={look.color} strokeWidth="1.6" />
            </pattern>
          ))}
        </defs>
        {bars.map(({ c, value }, i) => {
          const room = value < 0 ? height - zero - 1.3 * type : zero - 1.5 * type;
          const h = largest > 0 ? Math.min(1, Math.abs(value) / largest) * room : 0;
          const top = value < 0 ? zero : zero - h;
          const total = c.account === 'total';
          return (
            <g key={c.id} transform={`translate(${i * step} 0)`}>
              <rect
                x={(step - bar) / 2}
                y={top}
                width={bar}
                height={h}
                fill={total ? 'none' : `url(#hatch-${c.account})`}
                stroke={ACCOUNT_LOOK[c.account!].color}
                strokeWidth={total ? 2 : 1}
              />
              <text
                x={step / 2}
                y={value < 0 ? top + h + 1.1 * type : top - 4}
                textAnchor="middle"
                fontSize={type}
                className="mono"
                fill="var(--ink)"
              >
                {printFixed(value, c.figures)}
              </text>
              <text x={step / 2} y={height + 1.3 * type} textAnchor="middle" fontSize={type} fill="var(--ink)">
                {step > 5.5 * type ? c.account : <SymbolSpan text={c.symbol} />}
              </text>
            </g>
          );
        })}
        <line x1="0" x2={width} y1={zero} y2={zero} stroke="var(--edge)" />
      </svg>
      <p className="text-fine text-soft">Energy account in {bars[0]?.c.unit}</p>
    </div>
  );
}

/** A symbol inside a drawing, with its subscript lowered. */
function SymbolSpan({ text }: { text: string }) {
  const [main, sub] = text.split('_');
  return (
    <>
      <tspan fontStyle="italic">{main}</tspan>
      {sub && (
        <tspan dy="0.3em" fontSize="0.75em">
          {sub}
        </tspan>
      )}
    </>
  );
}

export const LINE_LOOK = [
  { color: 'var(--copper)', dash: '' },
  { color: 'var(--indigo)', dash: '7 3' },
  { color: 'var(--verdigris)', dash: '2 3' },
  { color: 'var(--plum)', dash: '9 3 2 3' },
  { color: 'var(--ink)', dash: '12 4' },
];

export function lookOf(c: Channel, i: number) {
  const account = c.account ? ACCOUNT_LOOK[c.account].color : null;
  return { color: account ?? LINE_LOOK[i % LINE_LOOK.length].color, dash: LINE_LOOK[i % LINE_LOOK.length].dash };
}
