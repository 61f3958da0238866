import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { api, ask } from '../../api/client';
import { OfALab } from '../../shell/OfALab';
import { Shell } from '../../shell/Shell';
import { Button, inputClass, Select, Toggle, Trouble } from '../../ui';
import { Constants, Key } from './Constants';
import { keyOf, looksOf, type Series, type View } from './looks';
import { PoolGraph } from './PoolGraph';

const OWN = '\u0000';

/** The tables of a class in one graph, names hidden until they are asked for. */
export function Pool() {
  const { assignmentId = '' } = useParams();
  const [params, setParams] = useSearchParams();
  const query = Object.fromEntries(params);
  const [names, setNames] = useState(false);
  const [origin, setOrigin] = useState(true);
  const { data: now, error } = useQuery({
    queryKey: ['pool', assignmentId, query],
    queryFn: () =>
      ask(api.GET('/api/teaching/assignments/{id}/pool', { params: { path: { id: assignmentId }, query } })),
    placeholderData: keepPreviousData,
    retry: false,
  });
  // A formula that can't be worked out leaves what was there before.
  const [before, setBefore] = useState<View>();
  useEffect(() => {
    if (now) setBefore(now);
  }, [now]);
  const data = now ?? before;
  const set = (changed: Record<string, string>) => setParams({ ...query, ...changed }, { replace: true });
  return (
    <Shell help="mark">
      {!data && !error && <p className="text-soft">Bringing the tables together …</p>}
      {data && (
        <OfALab lab={data} title="The class in one graph">
          <Toggle label="Zero in view" checked={origin} onChange={setOrigin} />
          <Toggle label="Show names" checked={names} onChange={setNames} />
        </OfALab>
      )}
      {data?.table && <Choices pool={data} onChange={set} />}
      <Trouble error={error} />
      {data && !data.table && <p>No table of this lab has two columns of numbers.</p>}
      {data?.table && <Pooled key={data.table} pool={data} names={names} origin={origin} />}
    </Shell>
  );
}

/** What is pooled: the table, both axes, the fit, and what rows are grouped by. */
function Choices({ pool, onChange }: { pool: View; onChange: (changed: Record<string, string>) => void }) {
  const table = pool.tables.find((t) => t.id === pool.table)!;
  return (
    <div className="mb-3 flex flex-wrap items-center gap-x-5 gap-y-2">
      {pool.tables.length > 1 && (
        <Select
          label="table"
          value={pool.table}
          options={pool.tables.map((t) => ({ id: t.id, name: t.title }))}
          onChange={(id) => onChange({ table: id, along: '', up: '', by: '' })}
        />
      )}
      <Axis
        key={`up ${pool.up!.formula}`}
        label="up"
        now={pool.up!}
        axes={table.axes}
        onChange={(up) => onChange({ up })}
      />
      <Axis
        key={`along ${pool.along!.formula}`}
        label="along"
        now={pool.along!}
        axes={table.axes}
        onChange={(along) => onChange({ along })}
      />
      <Select
        label="fit of each"
        value={pool.kind}
        options={[{ id: 'none', name: 'no fit' }, ...pool.kinds]}
        onChange={(kind) => onChange({ kind })}
      />
      {table.by.length > 0 && (
        <Select
          label="groups by"
          value={pool.by}
          options={[{ id: '', name: 'nothing' }, ...table.by]}
          onChange={(by) => onChange({ by })}
        />
      )}
    </div>
  );
}

/** One axis: a column, something that is to be worked out, or a formula of one's own. */
function Axis({
  label,
  now,
  axes,
  onChange,
}: {
  label: string;
  now: NonNullable<View['up']>;
  axes: View['tables'][number]['axes'];
  onChange: (formula: string) => void;
}) {
  const known = axes.some((a) => a.id === now.formula);
  const [own, setOwn] = useState(!known);
  const [typed, setTyped] = useState(now.formula);
  return (
    <span className="inline-flex items-center gap-2">
      <Select
        label={label}
        value={own ? OWN : now.formula}
        options={[...axes, { id: OWN, name: 'a formula …' }]}
        onChange={(id) => {
          setOwn(id === OWN);
          if (id !== OWN) onChange(id);
        }}
      />
      {own && (
        <form
          className="inline-flex gap-1"
          onSubmit={(e) => {
            e.preventDefault();
            onChange(typed);
          }}
        >
          <input
            className={`${inputClass} mono min-h-8! w-36`}
            aria-label={`Formula ${label}, over the lab’s columns`}
            value={typed}
            maxLength={2000}
            onChange={(e) => setTyped(e.target.value)}
          />
          <Button small type="submit">
            Show
          </Button>
        </form>
      )}
    </span>
  );
}

function Pooled({ pool, names, origin }: { pool: View; names: boolean; origin: boolean }) {
  const [chosenKey, setChosen] = useState<string | null>(null);
  const [which, setWhich] = useState(0);
  const looks = looksOf(pool.series);
  const chosen = pool.series.find((s) => keyOf(s) === chosenKey);
  const constant = Math.min(which, pool.constants.length - 1);
  if (pool.series.length === 0)
    return <p>Nobody has values for both axes yet. They stand here as soon as they are typed.</p>;
  const common = { pool, looks, chosen: chosenKey, onChoose: setChosen };
  return (
    <div className="grid grid-cols-[minmax(0,1.7fr)_minmax(0,1fr)] gap-6">
      <section aria-label="Graph" className="rounded-house border bg-sheet p-3">
        {looks.size > 1 && (
          <p className="mb-1 flex flex-wrap gap-x-4 text-fine">
            {[...looks].map(([group, look]) => (
              <span key={group} className="inline-flex items-center gap-1.5">
                <Key look={look} /> {group || 'no group'}
              </span>
            ))}
          </p>
        )}
        <PoolGraph {...common} origin={origin} />
        {pool.equation && (
          <p className="text-fine">
            <span className="text-soft">all points together: </span>
            <span className="mono">{pool.equation}</span>
          </p>
        )}
        {pool.trouble && <p className="text-fine text-copper">{pool.trouble}.</p>}
      </section>
      <section aria-label="Fitted constants" className="flex flex-col gap-3">
        {pool.constants.length > 0 && (
          <div className="rounded-house border bg-sheet p-3">
            <div className="mb-2 flex items-center gap-2">
              <h2 className="mr-auto font-bold">
                Each student’s own{' '}
                {pool.constants[constant].unit && (
                  <span className="font-normal text-soft">in {pool.constants[constant].unit}</span>
                )}
              </h2>
              <Select
                label="constant"
                hideLabel
                value={String(constant)}
                options={pool.constants.map((c, i) => ({ id: String(i), name: c.meaning || c.name }))}
                onChange={(i) => setWhich(Number(i))}
              />
            </div>
            {pool.constants[constant].spreads[0].count > 0 ? (
              <Constants {...common} which={constant} />
            ) : (
              <p className="text-soft">Nobody has points enough for this fit{pool.by && ' within one group'}.</p>
            )}
          </div>
        )}
        <One series={chosen} pool={pool} names={names} onChoose={setChosen} />
      </section>
    </div>
  );
}

/** The student whose points are chosen. */
function One({
  series,
  pool,
  names,
  onChoose,
}: {
  series: Series | undefined;
  pool: View;
  names: boolean;
  onChoose: (key: string | null) => void;
}) {
  const who = (s: Series, i: number) => (names ? s.student : `${i + 1}`) + (s.group ? ` · ${s.group}` : '');
  const choice = (
    <Select
      label={names ? 'student' : 'student no.'}
      value={series ? keyOf(series) : ''}
      options={[
        { id: '', name: 'press points, or choose …' },
        ...pool.series.map((s, i) => ({ id: keyOf(s), name: who(s, i) })),
      ]}
      onChange={(key) => onChoose(key || null)}
    />
  );
  if (!series) return choice;
  return (
    <div className="flex flex-col gap-1 rounded-house border border-copper bg-sheet p-3" data-testid="one">
      {choice}
      <p className="text-fine text-soft">
        {series.x.length} {series.x.length === 1 ? 'point' : 'points'}
      </p>
      {series.trouble && <p className="text-fine text-copper">{series.trouble}.</p>}
      {series.told.map((value, i) => (
        <p key={pool.constants[i].name} className="text-fine">
          {pool.constants[i].meaning || pool.constants[i].name}: <span className="mono">{value}</span>
        </p>
      ))}
      <Link to={`/work/${series.workId}?nameless`} className="mt-1 inline-block text-indigo underline">
        Show this work without the name
      </Link>
    </div>
  );
}
