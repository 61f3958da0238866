import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense, useState } from 'react';
import { api, ask } from '../api/client';
import type { Block, Sheet } from '../core';
import { Button, Dialog, Trouble } from '../ui';

const MadeUpFilm = lazy(() => import('./MadeUpFilm').then((m) => ({ default: m.MadeUpFilm })));

/** What recordings or a question would be for students who don't exist. */
export function MadeUp({
  labId,
  block,
  what,
  shown,
  settle,
}: {
  labId: string;
  block: string;
  what: 'films' | 'number';
  /** The sheet as students see it, where nothing is wrong. */
  shown: Record<string, unknown> | undefined;
  settle: () => Promise<boolean>;
}) {
  const [open, setOpen] = useState(false);
  return (
    <div className="mt-5 border-t pt-4">
      <Button onClick={() => void settle().then((kept) => kept && setOpen(true))}>
        {what === 'films' ? 'Five made-up students' : 'Try it on answers'}
      </Button>
      <p className="mt-1 text-fine text-soft">
        {what === 'films'
          ? 'Which values they would have, and whether they could answer with them.'
          : 'What this question says to answers that students often give.'}
      </p>
      {open && (
        <Shown
          labId={labId}
          block={block}
          films={(shown as unknown as Sheet | undefined)?.parts.flatMap((p) => p.blocks).find((b) => b.id === block)}
          onClose={() => setOpen(false)}
        />
      )}
    </div>
  );
}

function Shown({
  labId,
  block,
  films,
  onClose,
}: {
  labId: string;
  block: string;
  films: Block | undefined;
  onClose: () => void;
}) {
  const { data, error } = useQuery({
    queryKey: ['made-up', labId, block],
    queryFn: () =>
      ask(api.GET('/api/drafts/{labId}/made-up/{blockId}', { params: { path: { labId, blockId: block } } })),
    staleTime: 0,
    gcTime: 0,
  });
  const values = data?.students[0]?.values ?? [];
  return (
    <Dialog open full onClose={onClose} title="Tried on students who don’t exist">
      <Trouble error={error} />
      {!data && !error && <p className="text-soft">Making them up …</p>}
      {data && data.warnings.length > 0 && (
        <section className="mb-4 rounded-house border-l-3 border-ochre bg-wash px-3 py-2">
          <h3 className="font-semibold">Students could be unable to answer:</h3>
          <ul className="list-disc pl-5">
            {data.warnings.map((w) => (
              <li key={w}>{w}.</li>
            ))}
          </ul>
        </section>
      )}
      {data && data.answers.length === 0 && data.warnings.length === 0 && (
        <p className="mb-3 font-semibold text-verdigris">Nothing found that would keep students from answering.</p>
      )}
      {data && data.answers.length === 0 && values.length === 0 && (
        <p>Nothing is drawn from a range here: all students have the same.</p>
      )}
      {values.length > 0 && (
        <div className="mb-4 overflow-x-auto">
          <table className="text-left text-fine">
            <thead className="text-fine text-soft">
              <tr>
                <th scope="col" className="py-1 pr-4 font-semibold">
                  <span className="sr-only">What</span>
                </th>
                {data!.students.map((s) => (
                  <th key={s.name} scope="col" className="px-3 py-1 text-right font-semibold">
                    {s.name}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {values.map((v, i) => (
                <tr key={v.what} className="border-t">
                  <th scope="row" className="min-w-56 py-1 pr-4 font-normal">
                    {v.what}
                  </th>
                  {data!.students.map((s) => (
                    <td key={s.name} className="mono px-3 text-right whitespace-nowrap">
                      {s.values[i].value}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      {data && films?.type === 'films' && (
        <Suspense fallback={<p className="text-soft">Fetching the bench …</p>}>
          <MadeUpFilm labId={labId} block={films} students={data.students.map((s) => s.name)} />
        </Suspense>
      )}
      {data && data.answers.length > 0 && (
        <>
          <p className="mb-2">
            {data.assumed && 'What is right follows from each student’s own work. '}
            Where <b className="mono">{data.right}</b> is right:
          </p>
          <table className="w-full text-left">
            <thead className="text-fine text-soft">
              <tr>
                {['Answer', 'Typed', 'The question says'].map((h) => (
                  <th key={h} scope="col" className="py-1 pr-4 font-semibold">
                    {h}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {data.answers.map((a) => (
                <tr key={a.why} className="border-t align-top">
                  <th scope="row" className="py-1 pr-4 font-normal">
                    {a.why}
                  </th>
                  <td className="mono pr-4 whitespace-nowrap">
                    {a.number} {a.unit}
                  </td>
                  <td className={a.right ? 'font-semibold text-verdigris' : ''}>{a.feedback}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
    </Dialog>
  );
}
