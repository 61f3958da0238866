import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, ask } from '../api/client';
import { apparatusList } from '../core';
import { Shell } from '../shell/Shell';
import { Button, Select, Trouble } from '../ui';
import { dayAndTime } from '../ui/dates';

/** A teacher's own labs, the one changed last first. */
export function MyLabs() {
  const { data, error } = useQuery({ queryKey: ['drafts'], queryFn: () => ask(api.GET('/api/drafts')), staleTime: 0 });
  return (
    <Shell help="write">
      <div className="mb-4 flex items-end justify-between gap-6">
        <h1 className="text-title font-bold">My labs</h1>
        <Begin />
      </div>
      <Trouble error={error} />
      {data?.length === 0 && (
        <p className="max-w-prose">
          You have no lab of your own yet. Find one that is near to what you want in the{' '}
          <Link to="/catalogue" className="text-indigo underline">
            catalogue
          </Link>
          , open it with <b>Read and give</b>, and press <b>Copy and change</b>. Or begin one with an apparatus, above.
        </p>
      )}
      <ul className="flex flex-col gap-3">
        {data?.map((lab) => (
          <li key={lab.id} className="flex items-center gap-6 rounded-house border bg-sheet px-5 py-4">
            <div className="flex-1">
              <h2 className="font-bold">{lab.title}</h2>
              <p className="text-fine text-soft">
                changed {dayAndTime(lab.changedAt)} ·{' '}
                {lab.version === 0 ? 'not ready to give yet' : `version ${lab.version} can be given`}
              </p>
            </div>
            <Link
              to={`/labs/${lab.id}/write`}
              aria-label={`Write ${lab.title}`}
              className="rounded-house border border-edge px-3.5 py-1.5 font-semibold hover:border-ink"
            >
              Write
            </Link>
            {lab.version > 0 && (
              <Link
                to={`/labs/${lab.id}`}
                aria-label={`Read and give ${lab.title}`}
                className="rounded-house border border-edge px-3.5 py-1.5 font-semibold hover:border-ink"
              >
                Read and give
              </Link>
            )}
          </li>
        ))}
      </ul>
    </Shell>
  );
}

/** A lab with the parts that every lab has, to be written. */
function Begin() {
  const navigate = useNavigate();
  const [apparatus, setApparatus] = useState(apparatusList[0].id);
  const begin = useMutation({
    mutationFn: () => ask(api.POST('/api/drafts', { body: { apparatus } })),
    onSuccess: ({ id }) => navigate(`/labs/${id}/write`),
  });
  return (
    <div className="flex items-center gap-3">
      <Trouble error={begin.error} />
      <Select
        label="A new lab with the"
        value={apparatus}
        onChange={setApparatus}
        options={apparatusList.map((a) => ({ id: a.id, name: a.name.toLowerCase() }))}
      />
      <Button disabled={begin.isPending} onClick={() => begin.mutate()}>
        Begin
      </Button>
    </div>
  );
}
