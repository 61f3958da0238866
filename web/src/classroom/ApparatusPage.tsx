import { useQuery } from '@tanstack/react-query';
import { Suspense, use, type ReactNode } from 'react';
import { Link, Navigate, useParams } from 'react-router';
import { api, ask } from '../api/client';
import { apparatusList, isApparatus, manifestOf, type SetUp } from '../core';
import { channelName, toldOutcomes } from '../core/words';
import { ApparatusPortrait } from '../scenes/ApparatusPortrait';
import { Shell } from '../shell/Shell';
import { Symbol, Trouble } from '../ui';
import { toBench } from './ApparatusList';
import { LabList } from './LabList';

/** One apparatus: what it shows, what can be set, its set-ups and its labs. */
export function ApparatusPage() {
  const { apparatus = '' } = useParams();
  if (!isApparatus(apparatus)) return <Navigate to="/catalogue" replace />;
  return (
    <Shell help="give">
      <Suspense fallback={<p className="text-soft">Opening …</p>}>
        <Known key={apparatus} id={apparatus} />
      </Suspense>
    </Shell>
  );
}

function Known({ id }: { id: string }) {
  const m = use(manifestOf(id));
  const { data, error } = useQuery({ queryKey: ['labs'], queryFn: () => ask(api.GET('/api/labs')) });
  const listed = apparatusList.find((a) => a.id === id)!;
  const setUps = m.setUps as SetUp[];
  const labs = data?.filter((lab) => lab.apparatus === id);
  const bodies = m.bodies.map((b) => b.name);
  const shown = [...m.channels.map((c) => ({ ...c, name: channelName(m, c, bodies) })), ...toldOutcomes(m)];
  return (
    <>
      <p className="mb-2 text-fine">
        <Link to="/catalogue" className="underline underline-offset-4">
          Catalogue
        </Link>
      </p>
      <div className="mb-8 flex overflow-hidden rounded-house border bg-sheet">
        <ApparatusPortrait id={id} className="w-72 shrink-0" />
        <div className="flex flex-1 flex-col gap-3 p-6">
          <h1 className="text-title font-bold">{m.name}</h1>
          <p className="max-w-prose">{m.summary}</p>
          <p className="text-fine text-soft">{[...new Set([...m.topics, ...listed.quantities])].join(' · ')}</p>
          <Link to={`/bench/${id}`} className={`mt-auto ${toBench}`}>
            Open on the bench
          </Link>
        </div>
      </div>
      <div className="mb-8 grid grid-cols-2 gap-x-10 gap-y-6">
        <Listing title="What it shows">
          {shown.map((c, i) => (
            <li key={i} className="flex justify-between gap-3 border-b py-1">
              <span>{c.name}</span>
              <span className="whitespace-nowrap text-soft">
                <Symbol text={c.symbol} />
                {c.unit && ` in ${c.unit}`}
              </span>
            </li>
          ))}
        </Listing>
        <div className="flex flex-col gap-6">
          <Listing title="What can be set and done">
            {m.settings.map((s) => (
              <li key={s.id} className="border-b py-1">
                {s.name}
              </li>
            ))}
            {m.acts.map((a) => (
              <li key={a.id} className="border-b py-1">
                {a.name.replace(/ …$/, '')}
              </li>
            ))}
          </Listing>
          {m.instruments.length > 0 && (
            <Listing title="On the tray">
              {m.instruments.map((i) => (
                <li key={i.id} className="border-b py-1">
                  {i.name}
                </li>
              ))}
            </Listing>
          )}
          <Listing title="What students take wrongly">
            {m.slips.map((s) => (
              <li key={s} className="border-b py-1">
                {s}
              </li>
            ))}
          </Listing>
        </div>
      </div>
      {setUps.length > 0 && (
        <section className="mb-8">
          <h2 className="mb-3 text-lead font-bold">Set-ups for showing</h2>
          <ul className="flex flex-col gap-3">
            {setUps.map((s) => (
              <li key={s.id} className="flex items-center gap-6 rounded-house border bg-sheet px-5 py-4">
                <div className="flex-1">
                  <h3 className="font-bold">{s.name}</h3>
                  <p className="max-w-prose">{s.about}</p>
                </div>
                <Link
                  to={`/bench/${id}?set-up=${s.id}`}
                  className="rounded-house border border-edge px-3.5 py-1.5 font-semibold hover:border-ink"
                  aria-label={`Show ${s.name}`}
                >
                  Show
                </Link>
              </li>
            ))}
          </ul>
        </section>
      )}
      <section>
        <h2 className="mb-3 text-lead font-bold">Labs with it</h2>
        <Trouble error={error} />
        {labs?.length === 0 && <p className="text-soft">No lab yet: it is for showing on the bench.</p>}
        {labs && <LabList labs={labs} />}
      </section>
    </>
  );
}

function Listing({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section>
      <h2 className="mb-2 text-lead font-bold">{title}</h2>
      <ul className="text-fine">{children}</ul>
    </section>
  );
}
