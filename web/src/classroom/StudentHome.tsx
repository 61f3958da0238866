import { useMutation, useQuery } from '@tanstack/react-query';
import { Plus } from 'lucide-react';
import { lazy, Suspense, useState } from 'react';
import { useNavigate } from 'react-router';
import { api, ask, type Schemas } from '../api/client';
import { dayAndTime, howFar, isPast } from '../ui/dates';
import { Shell } from '../shell/Shell';
import { Button, Trouble } from '../ui';

// Whoever works in a lab joins no other class.
const JoinToo = lazy(() => import('./JoinToo').then((m) => ({ default: m.JoinToo })));

/** A student's labs: what is due, what is done, what came back. */
export function StudentHome() {
  const [joining, setJoining] = useState(false);
  const { data, error } = useQuery({ queryKey: ['assigned'], queryFn: () => ask(api.GET('/api/assigned')) });
  return (
    <Shell>
      <div className="mb-6 flex items-baseline justify-between">
        <h1 className="text-title font-bold">My labs</h1>
        <Button onClick={() => setJoining(true)}>
          <Plus size={16} aria-hidden />
          Join another class
        </Button>
      </div>
      {joining && (
        <Suspense>
          <JoinToo onClose={() => setJoining(false)} />
        </Suspense>
      )}
      {error && (
        <div className="mb-4">
          <Trouble error={error} />
        </div>
      )}
      {!data && !error && <p className="text-soft">Looking for your labs …</p>}
      {data?.length === 0 && <p>No lab yet. When your teacher gives one to your class, it appears here.</p>}
      {data && <Shelves labs={data} />}
    </Shell>
  );
}

type Lab = Schemas['AssignedLab'];
const SHELVES: { name: string; of: (lab: Lab) => boolean }[] = [
  { name: 'To do', of: (l) => l.state !== 'submitted' && l.state !== 'waiting' && !l.closed },
  { name: 'Opens later', of: (l) => l.state === 'waiting' },
  { name: 'Done', of: (l) => l.state === 'submitted' || (l.closed && l.state !== 'waiting') },
];
const dueOf = (lab: Lab) => (lab.dueAt ? Date.parse(lab.dueAt) : Infinity);
const openOf = (lab: Lab) => Date.parse(lab.openAt ?? '');

/** What is to do, the most urgent first; what opens later; what is done. */
function Shelves({ labs }: { labs: Lab[] }) {
  return SHELVES.map(({ name, of }) => {
    const here = labs.filter(of);
    if (name === 'To do') here.sort((a, b) => (dueOf(a) === dueOf(b) ? 0 : dueOf(a) - dueOf(b)));
    if (name === 'Opens later') here.sort((a, b) => openOf(a) - openOf(b));
    if (here.length === 0) return null;
    return (
      <section key={name} className="mb-7">
        <h2 className="mb-2 font-bold text-soft">{name}</h2>
        <ul className="flex flex-col gap-3">
          {here.map((lab) => (
            <LabCard key={lab.id} lab={lab} />
          ))}
        </ul>
      </section>
    );
  });
}

/** When something happens with a lab, in words and as a date. */
function When({ lab }: { lab: Lab }) {
  const done = lab.state === 'submitted' || lab.closed;
  const at = lab.state === 'waiting' ? lab.openAt : lab.dueAt;
  if (!at) return null;
  const what = lab.state === 'waiting' ? 'opens' : isPast(at) ? 'was due' : 'due';
  return (
    <>
      {' · '}
      {!done && (
        <b className={lab.late ? 'text-copper' : 'text-ink'}>
          {what} {howFar(at)}
        </b>
      )}
      {done ? ` ${what} ` : ', '}
      {dayAndTime(at)}
    </>
  );
}

/** How a lab stands, in a word or two. */
function stateOf(lab: Lab): string {
  if (lab.state === 'submitted') return lab.marked ? 'handed in, marked' : lab.late ? 'handed in late' : 'handed in';
  if (lab.closed) return 'closed';
  if (lab.state === 'waiting') return 'not open yet';
  if (lab.state === 'returned') return 'given back to you';
  return lab.state === 'working' ? `at: ${lab.part ?? 'all done'}` : 'not started';
}

function LabCard({ lab }: { lab: Schemas['AssignedLab'] }) {
  const navigate = useNavigate();
  const open = useMutation({
    mutationFn: () =>
      ask(api.POST('/api/assigned/{assignmentId}/work', { params: { path: { assignmentId: lab.id } } })),
    onSuccess: ({ workId }) => navigate(`/work/${workId}`),
  });
  const submitted = lab.state === 'submitted';
  return (
    <li className="flex items-center gap-6 rounded-house border bg-sheet px-5 py-4">
      <div className="flex-1">
        <h3 className="text-lead font-bold">{lab.title}</h3>
        <p className="max-w-prose">{lab.summary}</p>
        <p className="mt-1 text-fine text-soft">
          {lab.className} · {lab.category} · about {lab.minutes} minutes
          <When lab={lab} />
        </p>
      </div>
      <div className="w-40 text-right">
        <p className={submitted ? 'font-semibold text-verdigris' : 'text-soft'}>{stateOf(lab)}</p>
        {submitted && (
          <p>
            {lab.points == null ? (
              'points are shown later'
            ) : (
              <>
                <span className="mono">{lab.points}</span> of {lab.of} points{lab.marked ? '' : ' so far'}
              </>
            )}
          </p>
        )}
      </div>
      <div className="w-28 text-right">
        {lab.state !== 'waiting' && (
          <Button
            kind={submitted || lab.closed ? 'plain' : 'main'}
            onClick={() => open.mutate()}
            disabled={open.isPending || (lab.closed && lab.state === 'not-started')}
          >
            {submitted || lab.closed
              ? 'Look at it'
              : lab.state === 'working' || lab.state === 'returned'
                ? 'Go on'
                : 'Begin'}
          </Button>
        )}
        <Trouble error={open.error} />
      </div>
    </li>
  );
}
