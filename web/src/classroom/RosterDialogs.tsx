import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, askFile, type Schemas } from '../api/client';
import { save } from '../ui/save';
import { Button, Dialog, Field, Select, Trouble } from '../ui';

type Student = Schemas['Student'];

export function Confirm({
  open,
  title,
  yes,
  busy,
  error,
  children,
  onYes,
  onClose,
}: {
  open: boolean;
  title: string;
  yes: string;
  busy: boolean;
  error: unknown;
  children: React.ReactNode;
  onYes: () => void;
  onClose: () => void;
}) {
  return (
    <Dialog open={open} onClose={onClose} title={title}>
      <div className="flex flex-col gap-4">
        <p>{children}</p>
        <Trouble error={error} />
        <div className="flex justify-end gap-2">
          <Button onClick={onClose}>Cancel</Button>
          <Button kind="main" disabled={busy} onClick={onYes}>
            {yes}
          </Button>
        </div>
      </div>
    </Dialog>
  );
}

export function Rename({
  name,
  busy,
  error,
  onName,
  onClose,
}: {
  name: string;
  busy: boolean;
  error: unknown;
  onName: (name: string) => void;
  onClose: () => void;
}) {
  const [typed, setTyped] = useState(name);
  return (
    <Dialog open onClose={onClose} title="Rename the class">
      <form
        className="flex flex-col gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          onName(typed);
        }}
      >
        <Field label="Name" value={typed} onChange={(e) => setTyped(e.target.value)} maxLength={60} required />
        <Trouble error={error} />
        <Button kind="main" type="submit" disabled={busy}>
          Rename it
        </Button>
      </form>
    </Dialog>
  );
}

export function Move({
  student,
  from,
  busy,
  error,
  onMove,
  onClose,
}: {
  student: Student;
  from: string;
  busy: boolean;
  error: unknown;
  onMove: (to: string) => void;
  onClose: () => void;
}) {
  const classes = useQuery({ queryKey: ['classes'], queryFn: () => ask(api.GET('/api/classes')) });
  const others = (classes.data ?? []).filter((c) => c.id !== from);
  const [to, setTo] = useState('');
  const chosen = to || others[0]?.id || '';
  return (
    <Dialog open onClose={onClose} title={`Move ${student.displayName}`}>
      {classes.data && others.length === 0 ? (
        <p>You have no other class to move to. Make one first.</p>
      ) : (
        <form
          className="flex flex-col gap-4"
          onSubmit={(e) => {
            e.preventDefault();
            onMove(chosen);
          }}
        >
          <p>
            The work goes along. A lab that the other class was not given is given there to {student.displayName} alone.
          </p>
          <Select
            label="Into"
            value={chosen}
            onChange={setTo}
            options={others.map((c) => ({ id: c.id, name: c.name }))}
          />
          <Trouble error={classes.error ?? error} />
          <Button kind="main" type="submit" disabled={!chosen || busy}>
            Move
          </Button>
        </form>
      )}
    </Dialog>
  );
}

export function SlipsDialog({
  classId,
  name,
  students,
  onClose,
}: {
  classId: string;
  name: string;
  students: Student[];
  onClose: () => void;
}) {
  const without = students.filter((s) => !s.hasSecret);
  const [only, setOnly] = useState(false);
  const [codes, setCodes] = useState(false);
  const print = useMutation({
    mutationFn: async () =>
      save(
        `${name} sign-in slips.pdf`,
        'application/pdf',
        await askFile(`/api/classes/${classId}/slips`, { students: only ? without.map((s) => s.id) : [], codes }),
      ),
    onSuccess: onClose,
  });
  const count = only ? without.length : students.length;
  return (
    <Dialog open onClose={onClose} title="Sign-in slips">
      <form
        className="flex flex-col gap-4"
        onSubmit={(e) => {
          e.preventDefault();
          print.mutate();
        }}
      >
        <p>A PDF with the address and each student’s user name, eight slips a page, to be cut apart.</p>
        <fieldset className="flex flex-col gap-1">
          <legend className="font-semibold">For</legend>
          <label className="flex items-center gap-2">
            <input type="radio" className="h-4 w-4 accent-(--copper)" checked={!only} onChange={() => setOnly(false)} />
            everybody, {students.length}
          </label>
          <label className="flex items-center gap-2">
            <input
              type="radio"
              className="h-4 w-4 accent-(--copper)"
              checked={only}
              disabled={without.length === 0}
              onChange={() => {
                setOnly(true);
                setCodes(true);
              }}
            />
            those without a secret, {without.length}
          </label>
        </fieldset>
        <label className="flex items-start gap-2">
          <input
            type="checkbox"
            className="mt-1 h-4 w-4 accent-(--copper)"
            checked={codes}
            onChange={(e) => setCodes(e.target.checked)}
          />
          <span>
            with a one-time code to choose a new secret. Secrets that are in use stay good until the code is used.
          </span>
        </label>
        <Trouble error={print.error} />
        <Button kind="main" type="submit" disabled={print.isPending || count === 0}>
          {print.isPending ? 'Printing …' : `Save ${count} ${count === 1 ? 'slip' : 'slips'}`}
        </Button>
      </form>
    </Dialog>
  );
}
