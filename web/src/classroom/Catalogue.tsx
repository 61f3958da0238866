import { useQuery } from '@tanstack/react-query';
import { Suspense } from 'react';
import { Link } from 'react-router';
import { api, ask } from '../api/client';
import { apparatusList } from '../core';
import { Shell } from '../shell/Shell';
import { Trouble } from '../ui';
import { ApparatusList } from './ApparatusList';

/** Apparatus to demonstrate with, and labs to give. */
export function Catalogue() {
  const { data, error } = useQuery({ queryKey: ['labs'], queryFn: () => ask(api.GET('/api/labs')) });
  return (
    <Shell help="give">
      <h1 className="mb-6 text-title font-bold">Catalogue</h1>
      <section className="mb-10">
        <h2 className="mb-3 text-lead font-bold">Apparatus</h2>
        <Suspense fallback={<p className="text-soft">Opening …</p>}>
          <ApparatusList />
        </Suspense>
      </section>
      <section>
        <h2 className="mb-3 text-lead font-bold">Ready labs</h2>
        <Trouble error={error} />
        <ul className="flex flex-col gap-3">
          {data?.map((lab) => (
            <li key={lab.id} className="flex items-center gap-6 rounded-house border bg-sheet px-5 py-4">
              <div className="flex-1">
                <h3 className="font-bold">{lab.title}</h3>
                <p className="max-w-prose">{lab.summary}</p>
                <p className="text-fine text-soft">
                  about {lab.minutes} minutes · {lab.points} points ·{' '}
                  {apparatusList.find((a) => a.id === lab.apparatus)?.name ?? lab.apparatus}
                </p>
              </div>
              <Link
                to={`/labs/${lab.id}`}
                className="rounded-house border border-edge px-3.5 py-1.5 font-semibold hover:border-ink"
              >
                Read and give
              </Link>
            </li>
          ))}
        </ul>
      </section>
    </Shell>
  );
}
