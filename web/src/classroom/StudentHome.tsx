import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, ask, type Schemas } from '../api/client';
import { dayAndTime, isPast } from '../ui/dates';
import { Shell } from '../shell/Shell';
import { Button, Dialog, Field, Trouble } from '../ui';

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
      <JoinToo open={joining} onClose={() => setJoining(false)} />
      {error && (
        <div className="mb-4">
          <Trouble error={error} />
        </div>
      )}
      {!data && !error && <p className="text-soft">Looking for your labs …</p>}
      {data?.length === 0 && <p>No lab yet. When your teacher gives one to your class, it appears here.</p>}
      <ul className="flex flex-col gap-4">
        {data?.map((lab) => (
          <LabCard key={lab.id} lab={lab} />
        ))}
      </ul>
    </Shell>
  );
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
        <h2 className="text-lead font-bold">{lab.title}</h2>
        <p className="max-w-prose">{lab.summary}</p>
        <p className="mt-1 text-fine text-soft">
          {lab.className} · about {lab.minutes} minutes
          {lab.dueAt && ` · ${isPast(lab.dueAt) ? 'was due' : 'due'} ${dayAndTime(lab.dueAt)}`}
        </p>
      </div>
      <div className="w-40 text-right">
        <p className={submitted ? 'font-semibold text-verdigris' : 'text-soft'}>
          {submitted
            ? lab.late
              ? 'handed in late'
              : 'handed in'
            : lab.closed
              ? 'closed'
              : lab.state === 'working'
                ? `at: ${lab.part ?? 'all done'}`
                : 'not started'}
        </p>
        {submitted && (
          <p>
            <span className="mono">{lab.points}</span> of {lab.of} points{lab.marked ? '' : ' so far'}
          </p>
        )}
      </div>
      <div>
        <Button
          kind={submitted || lab.closed ? 'plain' : 'main'}
          onClick={() => open.mutate()}
          disabled={open.isPending || (lab.closed && lab.state === 'not-started')}
        >
          {submitted || lab.closed ? 'Look at it' : lab.state === 'working' ? 'Go on' : 'Begin'}
        </Button>
        <Trouble error={open.error} />
      </div>
    </li>
  );
}

/** Another class with the account one has. */
function JoinToo({ open, onClose }: { open: boolean; onClose: () => void }) {
  const queries = useQueryClient();
  const [code, setCode] = useState('');
  const join = useMutation({
    mutationFn: () => ask(api.POST('/api/memberships', { body: { code } })),
    onSuccess: () => {
      setCode('');
      onClose();
      void queries.invalidateQueries({ queryKey: ['assigned'] });
    },
  });
  return (
    <Dialog open={open} onClose={onClose} title="Join another class">
      <form
        className="flex flex-col gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          join.mutate();
        }}
      >
        <Field
          label="Class code"
          mono
          autoCapitalize="characters"
          autoComplete="off"
          value={code}
          onChange={(e) => setCode(e.target.value)}
          hint="Six letters and digits, from your teacher"
          required
        />
        <Trouble error={join.error} />
        <Button kind="main" type="submit" disabled={join.isPending}>
          Join
        </Button>
      </form>
    </Dialog>
  );
}
