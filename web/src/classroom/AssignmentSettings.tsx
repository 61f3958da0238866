import { useMutation, useQueryClient } from '@tanstack/react-query';
import { CalendarClock, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, ask, type Schemas } from '../api/client';
import { Button, Dialog, Trouble } from '../ui';
import { DueFields, forInput, type Due } from './DueFields';

/** Another due time for a lab that is given, or taking it away. */
export function AssignmentSettings({ list }: { list: Schemas['ClassList'] }) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const [open, setOpen] = useState<'due' | 'remove' | null>(null);
  const [due, setDue] = useState<Due>({ at: '', rule: 'MARKED' });
  const path = { params: { path: { id: list.id } } };
  const change = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/teaching/assignments/{id}/due', {
          ...path,
          body: { dueAt: due.at ? new Date(due.at).toISOString() : undefined, lateRule: due.rule },
        }),
      ),
    onSuccess: () => {
      setOpen(null);
      void queries.invalidateQueries({ queryKey: ['class-list', list.id] });
    },
  });
  const remove = useMutation({
    mutationFn: () => ask(api.DELETE('/api/teaching/assignments/{id}', path)),
    onSuccess: () => navigate('/'),
  });
  return (
    <>
      <Button
        onClick={() => {
          setDue({ at: forInput(list.dueAt), rule: list.lateRule });
          setOpen('due');
        }}
      >
        <CalendarClock size={15} aria-hidden />
        Due time
      </Button>
      <Button onClick={() => setOpen('remove')}>
        <Trash2 size={15} aria-hidden />
        Take away
      </Button>
      <Dialog open={open === 'due'} onClose={() => setOpen(null)} title={`When “${list.title}” is due`}>
        <form
          className="flex flex-col gap-4"
          onSubmit={(e) => {
            e.preventDefault();
            change.mutate();
          }}
        >
          <DueFields due={due} onChange={setDue} />
          <Trouble error={change.error} />
          <Button kind="main" type="submit" disabled={change.isPending}>
            Keep it
          </Button>
        </form>
      </Dialog>
      <Dialog open={open === 'remove'} onClose={() => setOpen(null)} title={`Take “${list.title}” away`}>
        <div className="flex flex-col gap-4">
          <p>
            It leaves the pages of {list.className}, with the work of {list.students.filter((s) => s.workId).length}{' '}
            students on it. Nothing of it is deleted, but nobody sees it any more.
          </p>
          <Trouble error={remove.error} />
          <div className="flex justify-end gap-2">
            <Button onClick={() => setOpen(null)}>Cancel</Button>
            <Button kind="main" disabled={remove.isPending} onClick={() => remove.mutate()}>
              Take it away
            </Button>
          </div>
        </div>
      </Dialog>
    </>
  );
}
