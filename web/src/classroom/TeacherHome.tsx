import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, ask, type Schemas } from '../api/client';
import { dayAndTime, isPast } from '../ui/dates';
import { Shell } from '../shell/Shell';
import { Button, Dialog, Field, Trouble } from '../ui';

/** A teacher's classes and what each is doing. */
export function TeacherHome() {
  const [adding, setAdding] = useState(false);
  const { data, error } = useQuery({
    queryKey: ['teaching'],
    queryFn: () => ask(api.GET('/api/teaching/classes')),
    refetchInterval: 15_000,
  });
  const over = data?.filter((c) => c.archived) ?? [];
  return (
    <Shell>
      <div className="mb-6 flex items-baseline justify-between">
        <h1 className="text-title font-bold">Classes</h1>
        <Button onClick={() => setAdding(true)}>
          <Plus size={16} />
          New class
        </Button>
      </div>
      <Trouble error={error} />
      {!data && !error && <p className="text-soft">Looking through your classes …</p>}
      {data?.length === 0 && <p>No class yet. Make one; students then join it with its code.</p>}
      <div className="flex flex-col gap-6">
        {data
          ?.filter((c) => !c.archived)
          .map((c) => (
            <ClassCard key={c.id} c={c} />
          ))}
      </div>
      {over.length > 0 && (
        <details className="mt-8">
          <summary className="cursor-pointer text-soft">
            {over.length} archived {over.length === 1 ? 'class' : 'classes'}
          </summary>
          <div className="mt-4 flex flex-col gap-6">
            {over.map((c) => (
              <ClassCard key={c.id} c={c} />
            ))}
          </div>
        </details>
      )}
      <NewClass open={adding} onClose={() => setAdding(false)} />
    </Shell>
  );
}

function ClassCard({ c }: { c: Schemas['TaughtClass'] }) {
  return (
    <section className="rounded-house border bg-sheet" aria-label={c.name}>
      <header className="flex flex-wrap items-baseline gap-x-6 gap-y-1 border-b px-5 py-3">
        <h2 className="text-lead font-bold">{c.name}</h2>
        <Link to={`/classes/${c.id}`} className="text-indigo underline underline-offset-3">
          {c.students} {c.students === 1 ? 'student' : 'students'}, roster
        </Link>
        <Link to={`/classes/${c.id}/gradebook`} className="text-indigo underline underline-offset-3">
          gradebook
        </Link>
        <span className="ml-auto text-soft">
          {c.archived ? (
            'archived'
          ) : c.joinable ? (
            <>
              class code <b className="mono text-lead text-ink">{c.code}</b>
            </>
          ) : (
            'joining is closed'
          )}
        </span>
      </header>
      {c.labs.length === 0 ? (
        <p className="px-5 py-4">
          Nothing given yet.{' '}
          <Link to="/catalogue" className="font-semibold text-indigo underline">
            Choose a lab from the catalogue
          </Link>
        </p>
      ) : (
        <ul>
          {c.labs.map((lab) => (
            <GivenLab key={lab.id} lab={lab} />
          ))}
        </ul>
      )}
    </section>
  );
}

function GivenLab({ lab }: { lab: Schemas['GivenLab'] }) {
  const { students } = lab;
  const working = lab.started - lab.submitted;
  const waiting = students - lab.started;
  const share = (n: number) => ({ width: `${(100 * n) / Math.max(1, students)}%` });
  return (
    <li className="grid grid-cols-[1fr_18rem_9rem] items-center gap-5 px-5 py-3.5 not-last:border-b">
      <div>
        <Link to={`/assignments/${lab.id}`} className="font-semibold text-indigo underline underline-offset-3">
          {lab.title}
        </Link>
        <p className="text-fine text-soft">
          {lab.openAt && !isPast(lab.openAt) && `opens ${dayAndTime(lab.openAt)}, `}
          {lab.dueAt ? `${isPast(lab.dueAt) ? 'was due' : 'due'} ${dayAndTime(lab.dueAt)}` : 'no due time'}
        </p>
      </div>
      <div>
        <div className="flex h-2.5 overflow-hidden rounded-full border" aria-hidden>
          <div className="bg-verdigris" style={share(lab.submitted)} />
          <div
            className="bg-[repeating-linear-gradient(135deg,var(--verdigris)_0_2px,var(--sheet)_2px_5px)]"
            style={share(working)}
          />
        </div>
        <p className="mt-1 text-fine text-soft">
          {lab.submitted} handed in · {working} working · {waiting} not started
        </p>
      </div>
      <p className="text-right">
        {lab.toMark > 0 ? (
          <Link
            to={`/assignments/${lab.id}`}
            className="rounded-house border border-ochre bg-wash px-2.5 py-1 font-semibold"
          >
            {lab.toMark} to mark
          </Link>
        ) : (
          <span className="text-soft">nothing to mark</span>
        )}
      </p>
    </li>
  );
}

function NewClass({ open, onClose }: { open: boolean; onClose: () => void }) {
  const queries = useQueryClient();
  const [name, setName] = useState('');
  const create = useMutation({
    mutationFn: () => ask(api.POST('/api/classes', { body: { name } })),
    onSuccess: async () => {
      setName('');
      onClose();
      // A first fetch still on its way was asked before the class was made; its answer must not stand.
      await queries.cancelQueries({ queryKey: ['teaching'] });
      await queries.invalidateQueries({ queryKey: ['teaching'] });
    },
  });
  return (
    <Dialog open={open} onClose={onClose} title="New class">
      <form
        className="flex flex-col gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          create.mutate();
        }}
      >
        <Field
          label="Name"
          value={name}
          onChange={(e) => setName(e.target.value)}
          hint="Students see it when they have joined"
          required
          maxLength={60}
        />
        <Trouble error={create.error} />
        <Button kind="main" type="submit" disabled={create.isPending}>
          Make the class
        </Button>
      </form>
    </Dialog>
  );
}
