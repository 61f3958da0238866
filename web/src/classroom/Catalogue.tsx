import { useQuery } from '@tanstack/react-query';
import { Suspense } from 'react';
import { useSearchParams } from 'react-router';
import { api, ask } from '../api/client';
import { apparatusList } from '../core';
import { Shell } from '../shell/Shell';
import { Trouble } from '../ui';
import { ApparatusList } from './ApparatusList';
import { ANYTHING, fittingApparatus, fittingLabs, type Wanted } from './find';
import { Finder } from './Finder';
import { LabList } from './LabList';

const FIELDS = Object.keys(ANYTHING) as (keyof Wanted)[];

/** Apparatus to demonstrate with, and labs to give; what is looked for stands in the address. */
export function Catalogue() {
  const { data, error } = useQuery({ queryKey: ['labs'], queryFn: () => ask(api.GET('/api/labs')) });
  const [params, setParams] = useSearchParams();
  const wanted = Object.fromEntries(FIELDS.map((f) => [f, params.get(f) ?? ''])) as unknown as Wanted;
  const labs = fittingLabs(data ?? [], apparatusList, wanted);
  const apparatus = fittingApparatus(data ?? [], apparatusList, wanted);
  const look = (w: Wanted) =>
    setParams(Object.fromEntries(FIELDS.filter((f) => w[f]).map((f) => [f, w[f]])), { replace: true });
  return (
    <Shell help="give">
      <h1 className="mb-4 text-title font-bold">Catalogue</h1>
      <Finder wanted={wanted} onChange={look} />
      <Trouble error={error} />
      <section className="mb-10">
        <h2 className="mb-3 text-lead font-bold">
          Apparatus <Count of={apparatus.length} all={apparatusList.length} />
        </h2>
        {apparatus.length === 0 && <Nothing what="apparatus" />}
        <Suspense fallback={<p className="text-soft">Opening …</p>}>
          <ApparatusList list={apparatus} />
        </Suspense>
      </section>
      <section>
        <h2 className="mb-3 text-lead font-bold">Ready labs {data && <Count of={labs.length} all={data.length} />}</h2>
        {data && labs.length === 0 && <Nothing what="lab" />}
        <LabList labs={labs} />
      </section>
    </Shell>
  );
}

function Count({ of, all }: { of: number; all: number }) {
  return <span className="text-fine font-normal text-soft">{of === all ? all : `${of} of ${all}`}</span>;
}

function Nothing({ what }: { what: string }) {
  return <p className="text-soft">No {what} fits all of that. Take back one of the choices above, or show all.</p>;
}
