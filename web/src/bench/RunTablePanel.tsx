import { useVirtualizer } from '@tanstack/react-virtual';
import { Save } from 'lucide-react';
import { useMemo, useRef, useState } from 'react';
import { printShort, type Manifest, type Run, type RunTable, type TablePlan } from '../core';
import { tableOf } from '../core/models';
import { Button, inputClass, Select, Symbol, Trouble } from '../ui';
import { save } from '../ui/save';
import { IntoNotebook, LaidWords, useLaying, type LayRows } from './IntoNotebook';
import { ShowMenu } from './ShowMenu';
import { toldOutcomes } from '../core/words';
import { channelItems } from './words';

const ROW = 26;
/** Rows at an interval at first: so many wall seconds at speed 1 apart. */
const APART = 0.1;

/** Everything in the run's table is laid out anew only when the run, or what is asked of it, is another. */
interface Props {
  m: Manifest;
  run: Run;
  playing: boolean;
  /** Channels, outcomes and profiles that may be taken; without it, all. */
  allowed?: string[];
  /** Events at which there are rows at first; without it, as the apparatus suggests. */
  at?: string[];
  onSeek: (time: number) => void;
  /** Brings the table into the notebook, where there is one. */
  onNotebook?: LayRows;
}

/** How rows are made, as one of the ways offered. */
function wayOf(plan: TablePlan) {
  return plan.rows === 'profile' ? `profile:${plan.profile}` : plan.rows;
}

function firstPlan(m: Manifest, allowed: string[] | undefined, at: string[]): TablePlan {
  const may = (id: string) => !allowed || allowed.includes(id);
  const plain = m.channels.filter((c) => may(c.id) && (allowed || (!c.account && !c.ledger)));
  return {
    rows: at.length ? 'events' : m.clock === 'steps' ? 'actions' : 'interval',
    interval: Number(printShort(APART * m.speed * m.timePerSi).replace(',', '.')),
    events: at.length ? at : m.events.map((e) => e.id),
    channels: plain.slice(0, allowed ? 12 : 4).map((c) => c.id),
    outcomes: allowed ? m.outcomes.filter((o) => may(o.id)).map((o) => o.id) : [],
    settings: [],
    profile: '',
  };
}

/** The run as rows: at an interval, at events, or one for each thing done; on to the notebook, or out as CSV. */
export function RunTablePanel({ m, run, playing, allowed, at = [], onSeek, onNotebook }: Props) {
  const [plan, setPlan] = useState(() => firstPlan(m, allowed, at));
  const [interval, setInterval] = useState(() => String(plan.interval));
  const may = (id: string) => !allowed || allowed.includes(id);
  const bodies = run.bodies();
  const named = [...channelItems(m, bodies), ...toldOutcomes(m)].filter((c) => may(c.id));
  const head = run.head();
  const actions = run.head() > 0 ? run.actionsDone() : 0;
  // While it runs the rows stay: they are made when it rests.
  const key = playing
    ? 'playing'
    : JSON.stringify([
        plan,
        head,
        actions,
        bodies,
        ['profile', 'now'].includes(plan.rows) ? run.time() : run.time() === head,
      ]);
  const kept = useRef<{ key: string; run: Run; table: RunTable | null; error?: string }>({ key: '', run, table: null });
  const made = useMemo(() => {
    if (playing && kept.current.run === run) return kept.current;
    const answer = tableOf(run, plan);
    kept.current = 'error' in answer ? { key, run, table: null, error: answer.error } : { key, run, table: answer };
    return kept.current;
  }, [key, run]); // eslint-disable-line react-hooks/exhaustive-deps
  const setRows = (way: string) => {
    const [rows, profile = ''] = way.split(':');
    setPlan({ ...plan, rows: rows as TablePlan['rows'], profile });
  };
  const ways = [
    ...(m.clock === 'steps' ? [] : [{ id: 'interval', name: 'at an interval' }]),
    ...(m.clock !== 'steps' && m.events.length ? [{ id: 'events', name: 'at events' }] : []),
    { id: 'actions', name: 'at each thing done' },
    { id: 'now', name: 'the moment shown' },
    ...m.profiles.filter((p) => may(p.id)).map((p) => ({ id: `profile:${p.id}`, name: `${p.name}, now` })),
  ];
  const laying = useLaying(key);
  /** The same rows, with what the notebook's own columns take besides. */
  const make = (takes: string[]) => {
    const also = (has: string[], from: readonly { id: string }[], prefix = '') => [
      ...new Set([...has, ...from.filter((x) => takes.includes(prefix + x.id)).map((x) => x.id)]),
    ];
    const whole = {
      ...plan,
      channels: also(plan.channels, m.channels),
      outcomes: also(plan.outcomes, m.outcomes, 'came.'),
      settings: also(
        [],
        m.settings.filter((s) => s.type !== 'items'),
        'set.',
      ),
    };
    return tableOf(run, plan.rows === 'profile' ? plan : whole);
  };
  const csv = async () => {
    const { default: Papa } = await import('papaparse');
    const { columns, rows } = made.table!;
    const plain = (text: string, label: boolean) => (label ? text : text.replace('−', '-'));
    const text = Papa.unparse(
      [
        columns.map((c) => `${c.name} ${c.symbol}${c.unit ? ` / ${c.unit}` : ''}`),
        ...rows.map((row) => row.map((t, i) => plain(t, columns[i].label))),
      ],
      { newline: '\r\n', escapeFormulae: /^[=+\-@\t\r](?![\d.])/ },
    );
    save(`${m.name}.csv`, 'text/csv;charset=utf-8', `\ufeff${text}`);
  };
  return (
    <section className="flex min-h-0 flex-col" aria-label="Run table">
      <header className="flex flex-wrap items-center gap-2 px-3 py-1.5 text-fine">
        <b>Run table</b>
        {ways.length > 1 && <Select label="Rows" value={wayOf(plan)} onChange={setRows} options={ways} />}
        {plan.rows === 'interval' && (
          <label className="flex items-center gap-1">
            every
            <input
              className={`${inputClass} mono min-h-7! w-16 px-1.5!`}
              value={interval}
              onChange={(e) => setInterval(e.target.value)}
              onBlur={() => setPlan({ ...plan, interval: Number(interval.replace(',', '.')) || 0 })}
              onKeyDown={(e) => {
                if (e.key === 'Enter') setPlan({ ...plan, interval: Number(interval.replace(',', '.')) || 0 });
              }}
            />
            {m.timeUnit}
          </label>
        )}
        {plan.rows === 'events' && (
          <ShowMenu
            trigger={<Button small>Events</Button>}
            items={m.events}
            chosen={plan.events}
            onChange={(events) => setPlan({ ...plan, events })}
          />
        )}
        {plan.rows !== 'profile' && (
          <ShowMenu
            trigger={<Button small>Columns</Button>}
            items={named}
            chosen={[...plan.channels, ...plan.outcomes]}
            onChange={(ids) =>
              setPlan({
                ...plan,
                channels: ids.filter((id) => m.channels.some((c) => c.id === id)),
                outcomes: ids.filter((id) => m.outcomes.some((o) => o.id === id)),
              })
            }
          />
        )}
        <span className="ml-auto flex gap-1.5">
          {onNotebook && (
            <IntoNotebook disabled={!made.table?.rows.length} onPress={() => laying.tell(onNotebook(make))} />
          )}
          <Button small disabled={!made.table?.rows.length} onClick={() => void csv()}>
            <Save size={13} aria-hidden />
            CSV
          </Button>
        </span>
      </header>
      <Trouble error={made.error} />
      <LaidWords {...laying} />
      {made.table && <Rows m={m} table={made.table} now={run.time()} onSeek={onSeek} />}
    </section>
  );
}

function Rows({
  m,
  table,
  now,
  onSeek,
}: {
  m: Manifest;
  table: RunTable;
  now: number;
  onSeek: (time: number) => void;
}) {
  const box = useRef<HTMLDivElement>(null);
  const { columns, rows, times } = table;
  const view = useVirtualizer({
    count: rows.length,
    getScrollElement: () => box.current,
    estimateSize: () => ROW,
    overscan: 10,
  });
  const items = view.getVirtualItems();
  const above = items.length ? items[0].start : 0;
  const below = items.length ? view.getTotalSize() - items.at(-1)!.end : 0;
  const here = Array.from(times).findIndex((t) => Math.abs(t - now) < 1e-6 * m.interval);
  return (
    <div
      ref={box}
      className="min-h-0 flex-1 overflow-auto"
      tabIndex={0}
      role="region"
      aria-label="Rows of the run table"
    >
      <table className="w-full border-collapse text-fine">
        <thead className="sticky top-0 bg-sheet">
          <tr className="border-b-2 border-ink">
            {columns.map((c) => (
              <th
                key={c.id}
                scope="col"
                title={c.name}
                className={`px-2 py-1 font-semibold whitespace-nowrap ${c.label ? 'text-left' : 'text-right'}`}
              >
                {c.label ? c.name : <Symbol text={c.symbol} />}
                {c.unit && ` / ${c.unit}`}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {above > 0 && (
            <tr aria-hidden>
              <td style={{ height: above }} />
            </tr>
          )}
          {items.map(({ index }) => (
            <tr
              key={index}
              ref={view.measureElement}
              data-index={index}
              data-run-row={index}
              aria-current={index === here || undefined}
              className={`cursor-pointer border-b hover:bg-wash ${index === here ? 'bg-wash' : ''}`}
              onClick={() => onSeek(times[index])}
            >
              {columns.map((c, i) => (
                <td key={c.id} className={c.label ? 'min-w-36 px-2 text-left leading-tight' : 'mono px-2 text-right'}>
                  {rows[index][i]}
                </td>
              ))}
            </tr>
          ))}
          {below > 0 && (
            <tr aria-hidden>
              <td style={{ height: below }} />
            </tr>
          )}
        </tbody>
      </table>
    </div>
  );
}
