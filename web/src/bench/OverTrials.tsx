import { useMemo, useRef, useState } from 'react';
import { isShown, type Manifest, type Outcome, type TrialTable } from '../core';
import { trialTable } from '../core/models';
import { Button, Dialog, Select, Symbol, Trouble } from '../ui';
import { useSize } from '../ui/useSize';
import { Axes, padOf, rangeOf, scaleOf } from './Axes';
import { BoxPlotsPanel } from './BoxPlotsPanel';
import { IntoNotebook, LaidWords, useLaying, type Laid, type MakeTable } from './IntoNotebook';
import { ShowMenu } from './ShowMenu';
import type { KeptTrial } from './trials';
import { nameOf, outcomeText } from './words';

const SETTING = 'set.';
const OUTCOME = 'came.';
/** As many boxes as stand legibly below one another. */
const MOST_BOXES = 12;

interface Props {
  m: Manifest;
  trials: KeptTrial[];
  /** Outcomes that may be seen. */
  told: Outcome[];
  onNotebook?: (make: MakeTable, trials: KeptTrial[]) => Laid;
  onClose: () => void;
}

/** Settings that are not the same in all trials in which they count. */
function varied(m: Manifest, trials: KeptTrial[]) {
  return m.settings.filter(
    (s) =>
      s.type !== 'items' &&
      new Set(trials.filter((t) => isShown(s.shownWhen, t.settings)).map((t) => String(t.settings[s.id]))).size > 1,
  );
}

/** Whether an outcome isn't told the same of all trials that came to it. */
function cameDifferently(told: Outcome[], trials: KeptTrial[], id: string) {
  const o = told.find((one) => OUTCOME + one.id === id);
  return !!o && new Set(trials.filter((t) => t.outcomes?.[o.id] !== undefined).map((t) => outcomeText(o, t))).size > 1;
}

/** All trials: what was set in each and what it came to, as a table, and one against another as points. */
export function OverTrials({ m, trials, told, onNotebook, onClose }: Props) {
  const items = [
    ...m.settings.filter((s) => s.type !== 'items').map((s) => ({ id: SETTING + s.id, name: s.name })),
    ...told.map((o) => ({ id: OUTCOME + o.id, name: o.name })),
  ];
  const numbers = items.filter((i) =>
    i.id.startsWith(SETTING)
      ? m.settings.some((s) => SETTING + s.id === i.id && s.type === 'amount')
      : told.some((o) => OUTCOME + o.id === i.id && o.words.length === 0),
  );
  const [ids, setIds] = useState(() => [
    ...varied(m, trials).map((s) => SETTING + s.id),
    ...told.filter((o) => !o.aside).map((o) => OUTCOME + o.id),
  ]);
  const [y, setY] = useState(() => {
    const came = numbers.filter((n) => n.id.startsWith(OUTCOME));
    return (came.find((n) => cameDifferently(told, trials, n.id)) ?? came[0]).id;
  });
  // Along may stand words, too: which core, which gas.
  const [x, setX] = useState(() => {
    const others = items.filter((n) => n.id !== y);
    const set = others.find((n) => n.id.startsWith(SETTING) && ids.includes(n.id));
    return (set ?? others.find((n) => cameDifferently(told, trials, n.id)) ?? others[0] ?? numbers[0]).id;
  });
  const laying = useLaying(JSON.stringify(ids));
  const rows = useMemo(
    () => trials.map((t) => ({ name: nameOf(t), settings: t.settings, outcomes: t.outcomes ?? {} })),
    [trials],
  );
  const table = useMemo(() => trialTable(m.id, rows, ids), [m, rows, ids]);
  const points = useMemo(() => trialTable(m.id, rows, [x, y]), [m, rows, x, y]);
  const trouble = 'error' in table ? table.error : 'error' in points ? points.error : undefined;
  /** The same rows, with what the notebook's own columns take besides. */
  const make = (takes: string[]) => {
    const whole = items.map((i) => i.id).filter((id) => ids.includes(id) || takes.includes(id));
    const answer = trialTable(m.id, rows, whole);
    return 'error' in answer ? answer : { ...answer, times: trials.map((t) => t.until) };
  };
  return (
    <Dialog open title="Over all trials" onClose={onClose} wide>
      {m.distributions
        .filter((d) => d.overTrials)
        .map((d) => (
          <BoxPlotsPanel key={d.id} m={m} distribution={d} trials={trials.slice(-MOST_BOXES)} />
        ))}
      <div className="grid grid-cols-2 items-end gap-3 [&_label]:min-w-0 [&_select]:w-full [&_select]:min-w-0">
        <Select label="Up" value={y} onChange={setY} options={numbers} />
        <Select label="Along" value={x} onChange={setX} options={items} />
      </div>
      {!('error' in points) && <Points table={points} trials={trials} />}
      <div className="flex flex-wrap items-center gap-2">
        <ShowMenu
          trigger={<Button small>Columns</Button>}
          items={items}
          chosen={ids}
          onChange={(next) => {
            setIds(items.map((i) => i.id).filter((id) => next.includes(id)));
          }}
        />
        {onNotebook && (
          <IntoNotebook
            disabled={'error' in table || laying.now?.said !== undefined}
            onPress={() => laying.tell(onNotebook(make, trials))}
          />
        )}
      </div>
      <LaidWords {...laying} />
      <Trouble error={trouble} />
      {!('error' in table) && <Rows table={table} />}
    </Dialog>
  );
}

function Points({ table, trials }: { table: TrialTable; trials: KeptTrial[] }) {
  const box = useRef<HTMLElement>(null);
  const { width: W, type } = useSize(box);
  const H = Math.min(0.42 * W, 300) + 2.6 * type;
  const pad = padOf(type, true);
  const [, along, up] = table.columns;
  const words = along.label ? [...new Set(table.rows.map((row) => row[1]).filter(Boolean))] : undefined;
  const known = table.numbers
    .map(([, a, b], i) => ({ a: words ? placeOf(words, table.rows[i][1]) : a, b, t: trials[i] }))
    .filter(({ a, b }) => !Number.isNaN(a) && !Number.isNaN(b));
  const [x0, x1] = words ? [-0.5, words.length - 0.5] : rangeOf(known.map((p) => p.a));
  const [y0, y1] = rangeOf([0, ...known.map((p) => p.b)]);
  const margin = 0.06 * (x1 - x0);
  const alongAxis = { symbol: along.symbol, unit: along.unit, from: x0 - margin, to: x1 + margin, words };
  const upAxis = { symbol: up.symbol, unit: up.unit, from: y0, to: y1, nice: true };
  const x = scaleOf(alongAxis, pad.left, W - pad.right);
  const y = scaleOf(upAxis, H - pad.bottom, pad.top);
  return (
    <figure ref={box}>
      <svg width={W} height={H} role="img" aria-label={`${up.name} against ${along.name}, a point for each trial`}>
        <Axes {...{ x, y, width: W, height: H, pad, type }} along={alongAxis} up={upAxis} />
        {known.map(({ a, b, t }) => (
          <g key={t.id} data-point={t.number}>
            <circle cx={x(a)} cy={y(b)} r="5" fill="var(--copper)" stroke="var(--sheet)" strokeWidth="1.5" />
            <text x={x(a) + 8} y={y(b) - 6} fontSize={type} fill="var(--ink)">
              {t.number}
            </text>
          </g>
        ))}
      </svg>
      <p className="text-fine text-soft">
        <Symbol text={up.symbol} />, {up.name}, against{' '}
        {words ? (
          along.name
        ) : (
          <>
            <Symbol text={along.symbol} />, {along.name}
          </>
        )}
        . Numbers are those of the trials.
        {known.length < trials.length &&
          ` ${trials.length - known.length} without both values are left out: not run to the end, perhaps.`}
      </p>
    </figure>
  );
}

function placeOf(words: string[], word: string) {
  const at = words.indexOf(word);
  return at < 0 ? NaN : at;
}

function Rows({ table }: { table: TrialTable }) {
  return (
    <div className="max-h-64 overflow-auto" tabIndex={0} role="region" aria-label="Table of all trials">
      <table className="w-full border-collapse text-fine">
        <thead className="sticky top-0 bg-sheet">
          <tr className="border-b-2 border-ink">
            {table.columns.map((c) => (
              <th key={c.id} scope="col" title={c.name} className={`px-2 py-1 ${c.label ? 'text-left' : 'text-right'}`}>
                {c.label ? c.name : <Symbol text={c.symbol} />}
                {c.unit && ` / ${c.unit}`}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {table.rows.map((row, i) => (
            <tr key={i} className="border-b">
              {table.columns.map((c, j) => (
                <td key={c.id} className={`px-2 py-0.5 whitespace-nowrap ${c.label ? '' : 'mono text-right'}`}>
                  {row[j]}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
