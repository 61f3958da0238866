import { useRef, useState } from 'react';
import { inOwn, printFixed, printShort, type Channel, type Manifest, type Run } from '../core';
import { Select, Symbol, Toggle } from '../ui';
import { useSize } from '../ui/useSize';
import { ACCOUNT_LOOK, LINE_LOOK } from './looks';

/** The energy account has no ledger of its own. */
export const ENERGY = 'energy';
const HATCHES = ['M0 6L6 0', 'M0 3H6', 'M0 0L6 6', 'M3 0V6', 'M0 3H6M3 0V6'];
/** Ends of the scale that can be set, in the unit of the account: 1, 2, 5 and so on. */
const ENDS = [-2, -1, 0, 1, 2, 3, 4].flatMap((p) => [1, 2, 5].map((n) => n * 10 ** p));

/** The accounts an apparatus has: that of energy first. */
export function ledgersOf(m: Manifest) {
  const own = m.channels.some((c) => c.account) ? [{ id: ENERGY, name: 'Energy account' }] : [];
  return [...own, ...m.ledgers];
}

function entriesOf(m: Manifest, ledger: string) {
  return m.channels
    .map((c, i) => ({ c, i }))
    .filter(({ c }) => (ledger === ENERGY ? !!c.account : c.ledger === ledger));
}

/** The largest entry so far, so that the bars keep one scale through the run; in SI. */
function largestOf(m: Manifest, run: Run, ledger: string) {
  let most = 0;
  for (const { i } of entriesOf(m, ledger)) {
    const samples = run.samples(i);
    for (let k = 0; k < run.sampleCount(); k++) if (Math.abs(samples[k]) > most) most = Math.abs(samples[k]);
  }
  return most;
}

interface Bar {
  c: Channel;
  value: number;
  look: { color: string; hatch: string };
  label: string;
}

/** An account as bars, told apart by colour, hatch and name; its total, where it has one, as an outline. */
export function Bars({ m, run, ledger }: { m: Manifest; run: Run; ledger: string }) {
  const box = useRef<HTMLDivElement>(null);
  const { width, type } = useSize(box);
  const [numbers, setNumbers] = useState(true);
  const [scale, setScale] = useState('');
  const names = run.bodies();
  const values = run.channels();
  const called = (c: Channel) => names[m.bodies.findIndex((b) => b.id === c.body)];
  const bars: Bar[] = entriesOf(m, ledger)
    .filter(({ c, i }) => !c.body || (!Number.isNaN(values[i]) && called(c) !== ''))
    .map(({ c, i }, k) => ({
      c,
      value: inOwn(c, values[i]),
      look: c.account
        ? ACCOUNT_LOOK[c.account]
        : { color: LINE_LOOK[k % LINE_LOOK.length].color, hatch: HATCHES[k % 5] },
      label: c.body ? called(c) : c.name,
    }));
  const { name } = ledgersOf(m).find((l) => l.id === ledger)!;
  const unit = bars[0]?.c.unit ?? '';
  const largest = scale ? Number(scale) : largestOf(m, run, ledger) * (bars[0]?.c.perSi ?? 1);
  const step = width / Math.max(1, bars.length);
  const bar = Math.min(0.6 * step, 46);
  // An entry may lie below its level; then the line of zero moves up to make room.
  const below = bars.some((b) => b.value < 0) || bars.some((b) => b.c.account === 'elastic') ? 0.45 : 0;
  const height = (below ? 13 : 8) * type + 20;
  const zero = height * (1 - below);
  const id = `hatch-${ledger}`;
  // Numbers wider than their bars stand by turns one line higher.
  const widest = Math.max(0, ...bars.map((b) => printFixed(b.value, b.c.figures).length));
  const tight = 0.62 * type * widest > step;
  const told = bars.map((b) => `${b.label} ${printFixed(b.value, b.c.figures)} ${unit}`).join(', ');
  return (
    <div ref={box} data-ledger={ledger}>
      <svg
        className="overflow-visible"
        width={width}
        height={height + 1.6 * type + 6}
        role="img"
        aria-label={`${name} in ${unit}: ${numbers ? told : bars.map((b) => b.label).join(', ')}`}
      >
        <defs>
          {bars.map((b, k) => (
            <pattern key={k} id={`${id}-${k}`} width="6" height="6" patternUnits="userSpaceOnUse">
              <rect width="6" height="6" fill={b.look.color} fillOpacity="0.5" />
              <path d={b.look.hatch} stroke={b.look.color} strokeWidth="1.6" />
            </pattern>
          ))}
        </defs>
        {bars.map((b, k) => (
          <OneBar
            key={b.c.id}
            {...{ b, numbers, type, bar, step, zero, height, largest }}
            x={k * step}
            raised={tight && k % 2 === 1 ? 1.1 * type : 0}
            fill={b.c.account === 'total' ? 'none' : `url(#${id}-${k})`}
          />
        ))}
        <line x1="0" x2={width} y1={zero} y2={zero} stroke="var(--edge)" />
      </svg>
      {bars.some((b) => b.c.body) && (
        <ul className="flex flex-wrap gap-x-3 text-fine">
          {bars.map((b) => (
            <li key={b.c.id}>
              <Symbol text={b.c.symbol} /> {b.label}
            </li>
          ))}
        </ul>
      )}
      <div className="flex flex-wrap items-center justify-between gap-x-3 text-fine text-soft">
        <span>
          {name} in {unit}
        </span>
        <span className="flex flex-wrap items-center gap-x-3">
          <Toggle label="Numbers" checked={numbers} onChange={setNumbers} />
          <Select
            label="Up to"
            value={scale}
            onChange={setScale}
            options={[
              { id: '', name: 'as needed' },
              ...ENDS.map((e) => ({ id: String(e), name: `${printShort(e)} ${unit}` })),
            ]}
          />
        </span>
      </div>
    </div>
  );
}

function OneBar({
  b,
  numbers,
  type,
  bar,
  step,
  zero,
  height,
  largest,
  x,
  raised,
  fill,
}: {
  b: Bar;
  numbers: boolean;
  type: number;
  bar: number;
  step: number;
  zero: number;
  height: number;
  largest: number;
  x: number;
  /** How much higher its number stands. */
  raised: number;
  fill: string;
}) {
  const { value, look } = b;
  const room = value < 0 ? height - zero - 1.3 * type : zero - 1.5 * type;
  const share = largest > 0 ? Math.abs(value) / largest : 0;
  const h = Math.min(1, share) * room;
  const top = value < 0 ? zero : zero - h;
  const end = value < 0 ? top + h : top;
  const left = (step - bar) / 2;
  return (
    <g transform={`translate(${x} 0)`}>
      <rect
        x={left}
        y={top}
        width={bar}
        height={h}
        fill={fill}
        stroke={look.color}
        strokeWidth={fill === 'none' ? 2 : 1}
      />
      {share > 1 + 1e-9 && (
        // It goes on beyond the scale: the bar is broken off.
        <path
          d={`M${left - 4} ${end}l${bar / 4 + 2} -5l${bar / 4} 9l${bar / 4} -9l${bar / 4 + 2} 5`}
          fill="none"
          stroke="var(--ink)"
          strokeWidth="2"
          data-broken
        />
      )}
      {numbers && (
        <text
          x={step / 2}
          y={value < 0 ? top + h + 1.1 * type + raised : top - (share > 1 ? 9 : 4) - raised}
          textAnchor="middle"
          fontSize={type}
          className="mono"
          fill="var(--ink)"
        >
          {printFixed(value, b.c.figures)}
        </text>
      )}
      <text x={step / 2} y={height + 1.3 * type} textAnchor="middle" fontSize={type} fill="var(--ink)">
        {b.c.account && step > 5.5 * type ? b.c.account : <SymbolSpan text={b.c.symbol} />}
      </text>
    </g>
  );
}

/** A symbol inside a drawing, with its subscript lowered. */
export function SymbolSpan({ text }: { text: string }) {
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
