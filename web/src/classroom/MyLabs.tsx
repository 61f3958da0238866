import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { FileInput } from 'lucide-react';
import { useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, ask, posted, type Schemas } from '../api/client';
import { apparatusList } from '../core';
import { Shell } from '../shell/Shell';
import { Button, inputClass, Select, Trouble } from '../ui';
import { dayAndTime } from '../ui/dates';
import { LabMenu } from './LabMenu';

type Own = Schemas['OwnView'];

/** A teacher's own labs in their folders, the one changed last first, and what colleagues share. */
export function MyLabs() {
  const [words, setWords] = useState('');
  const { data, error } = useQuery({ queryKey: ['drafts'], queryFn: () => ask(api.GET('/api/drafts')), staleTime: 0 });
  const given = useQuery({ queryKey: ['given'], queryFn: () => ask(api.GET('/api/teaching/given')), staleTime: 0 });
  const wanted = words.toLowerCase().split(/\s+/);
  const fitting = data?.filter((lab) => wanted.every((w) => `${lab.title} ${lab.folder}`.toLowerCase().includes(w)));
  const folders = [...new Set(fitting?.map((lab) => lab.folder))].sort((a, b) => a.localeCompare(b, 'en'));
  return (
    <Shell help="write">
      <div className="mb-4 flex flex-wrap items-end justify-between gap-x-6 gap-y-3">
        <h1 className="text-title font-bold">My labs</h1>
        <Begin />
      </div>
      <Trouble error={error ?? given.error} />
      {data?.length === 0 && (
        <p className="max-w-prose">
          You have no lab of your own yet. Find one that is near to what you want in the{' '}
          <Link to="/catalogue" className="text-indigo underline">
            catalogue
          </Link>
          , open it with <b>Read and give</b>, and press <b>Copy and change</b>. Or begin one with an apparatus, above.
        </p>
      )}
      {!!data?.length && (
        <input
          type="search"
          aria-label="Search in my labs"
          placeholder="Search in my labs"
          className={`${inputClass} mb-4 w-72`}
          value={words}
          onChange={(e) => setWords(e.target.value)}
        />
      )}
      {data && data.length > 0 && fitting?.length === 0 && <p>No lab of yours has these words.</p>}
      {folders.map((folder) => (
        <section key={folder} className="mb-5" aria-label={folder || 'In no folder'}>
          {folder && <h2 className="mb-2 font-bold text-soft">{folder}</h2>}
          <ul className="flex flex-col gap-2">
            {fitting
              ?.filter((lab) => lab.folder === folder)
              .map((lab) => (
                <OwnLab
                  key={lab.id}
                  lab={lab}
                  folders={folders.filter((f) => f !== '')}
                  given={given.data?.filter((g) => g.labId === lab.id) ?? []}
                />
              ))}
          </ul>
        </section>
      ))}
      <Shelf />
    </Shell>
  );
}

const LINK = 'rounded-house border border-edge px-3.5 py-1.5 font-semibold whitespace-nowrap hover:border-ink';

function OwnLab({ lab, folders, given }: { lab: Own; folders: string[]; given: Schemas['GivenLabIn'][] }) {
  return (
    <li className="flex items-center gap-4 rounded-house border bg-sheet px-5 py-3">
      <div className="flex-1">
        <h3 className="font-bold">{lab.title}</h3>
        <p className="text-fine text-soft">
          changed {dayAndTime(lab.changedAt)} ·{' '}
          {lab.version === 0 ? 'not ready to give yet' : `version ${lab.version} can be given`}
          {lab.shared && ' · on the school’s shelf'}
          {given.map((g, i) => (
            <span key={g.assignmentId}>
              {i === 0 ? ' · given to ' : ', '}
              <Link to={`/assignments/${g.assignmentId}`} className="text-indigo underline underline-offset-3">
                {g.className}
              </Link>
            </span>
          ))}
        </p>
      </div>
      <Link to={`/labs/${lab.id}/write`} aria-label={`Write ${lab.title}`} className={LINK}>
        Write
      </Link>
      {lab.version > 0 && (
        <Link to={`/labs/${lab.id}`} aria-label={`Read and give ${lab.title}`} className={LINK}>
          Read and give
        </Link>
      )}
      <LabMenu lab={lab} folders={folders} given={given.length} />
    </li>
  );
}

/** What teachers of the school share. */
function Shelf() {
  const { data, error } = useQuery({ queryKey: ['shelf'], queryFn: () => ask(api.GET('/api/shelf')), staleTime: 0 });
  return (
    <section className="mt-8" aria-label="The school’s shelf">
      <h2 className="mb-1 text-lead font-bold">The school’s shelf</h2>
      <p className="mb-3 max-w-prose text-soft">
        Labs that teachers of your school share. Read one and copy it; the copy is yours to change.
      </p>
      <Trouble error={error} />
      {data?.length === 0 && <p>Nothing is there yet. Put one of yours there with its menu.</p>}
      <ul className="flex flex-col gap-2">
        {data?.map((lab) => (
          <li key={lab.id} className="flex items-center gap-4 rounded-house border bg-sheet px-5 py-3">
            <div className="flex-1">
              <h3 className="font-bold">{lab.title}</h3>
              <p className="max-w-prose">{lab.summary}</p>
              <p className="text-fine text-soft">
                {lab.own ? 'by you' : `by ${lab.owner}`} · about {lab.minutes} minutes · {lab.points} points ·{' '}
                {apparatusList.find((a) => a.id === lab.apparatus)?.name}
              </p>
            </div>
            <Link to={`/labs/${lab.id}`} aria-label={`Read ${lab.title} of the shelf`} className={LINK}>
              Read and give
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** A lab with the parts that every lab has, to be written; or one from a file. */
function Begin() {
  const navigate = useNavigate();
  const queries = useQueryClient();
  const file = useRef<HTMLInputElement>(null);
  const [apparatus, setApparatus] = useState(apparatusList[0].id);
  const begin = useMutation({
    mutationFn: () => ask(api.POST('/api/drafts', { body: { apparatus } })),
    onSuccess: ({ id }) => navigate(`/labs/${id}/write`),
  });
  const bring = useMutation({
    mutationFn: async (zip: File) => {
      const kept = await posted('/api/drafts/file', 'application/octet-stream', zip);
      return (await kept.json()) as { id: string };
    },
    onSuccess: ({ id }) => {
      void queries.invalidateQueries({ queryKey: ['drafts'] });
      void navigate(`/labs/${id}/write`);
    },
  });
  return (
    <div className="flex flex-wrap items-center gap-3">
      <Trouble error={begin.error ?? bring.error} />
      <Select
        label="A new lab with the"
        value={apparatus}
        onChange={setApparatus}
        options={apparatusList.map((a) => ({ id: a.id, name: a.name.toLowerCase() }))}
      />
      <Button disabled={begin.isPending} onClick={() => begin.mutate()}>
        Begin
      </Button>
      <Button disabled={bring.isPending} onClick={() => file.current?.click()}>
        <FileInput size={15} aria-hidden />
        {bring.isPending ? 'Reading …' : 'From a file'}
      </Button>
      <input
        ref={file}
        type="file"
        accept=".zip"
        className="sr-only"
        tabIndex={-1}
        aria-label="A lab as a file"
        onChange={(e) => {
          const chosen = e.target.files?.[0];
          e.target.value = '';
          if (chosen) bring.mutate(chosen);
        }}
      />
    </div>
  );
}
