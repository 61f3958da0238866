import { useMutation, useQueryClient } from '@tanstack/react-query';
import { CalendarClock, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, ask, type Schemas } from '../api/client';
import { Button, Dialog, Trouble } from '../ui';
import { forInput, RuleFields, sent, sentRules, TimeFields, USUAL, type Rules, type Times } from './TermsFields';

/** Other terms for a lab that is given, or taking it away. */
export function AssignmentSettings({ list }: { list: Schemas['ClassList'] }) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const [open, setOpen] = useState<'terms' | 'remove' | null>(null);
  const [times, setTimes] = useState<Times>({ open: '', due: '' });
  const [rules, setRules] = useState<Rules>(USUAL);
  const path = { params: { path: { id: list.id } } };
  const change = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/teaching/assignments/{id}/terms', {
          ...path,
          body: { openAt: sent(times.open), dueAt: sent(times.due), ...sentRules(rules) },
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
  const begun = list.students.filter((s) => s.workId).length;
  return (
    <>
      <Button
        onClick={() => {
          setTimes({ open: forInput(list.openAt), due: forInput(list.dueAt) });
          setRules({
            late: list.lateRule,
            again: list.again,
            together: list.together,
            tries: list.tries ? String(list.tries) : '',
          });
          setOpen('terms');
        }}
      >
        <CalendarClock size={15} aria-hidden />
        Times and rules
      </Button>
      <Button onClick={() => setOpen('remove')}>
        <Trash2 size={15} aria-hidden />
        {begun ? 'Take away' : 'Take back'}
      </Button>
      <Dialog open={open === 'terms'} onClose={() => setOpen(null)} title={`Times and rules of “${list.title}”`}>
        <form
          className="flex flex-col gap-4"
          onSubmit={(e) => {
            e.preventDefault();
            change.mutate();
          }}
        >
          <div>
            <TimeFields times={times} onChange={setTimes} />
            <p className="mt-1 text-fine text-soft">Leave a time empty for “at once” and “no due time”.</p>
          </div>
          <RuleFields rules={rules} onChange={setRules} />
          <Trouble error={change.error} />
          <Button kind="main" type="submit" disabled={change.isPending}>
            Keep it
          </Button>
        </form>
      </Dialog>
      <Dialog
        open={open === 'remove'}
        onClose={() => setOpen(null)}
        title={`Take “${list.title}” ${begun ? 'away' : 'back'}`}
      >
        <div className="flex flex-col gap-4">
          {begun ? (
            <p>
              It leaves the pages of {list.className}, with the work of {begun} {begun === 1 ? 'student' : 'students'}{' '}
              on it. Nothing of it is deleted, but nobody sees it any more.
            </p>
          ) : (
            <p>Nobody has begun it yet. It leaves the pages of {list.className}; it can be given again at any time.</p>
          )}
          <Trouble error={remove.error} />
          <div className="flex justify-end gap-2">
            <Button onClick={() => setOpen(null)}>Cancel</Button>
            <Button kind="main" disabled={remove.isPending} onClick={() => remove.mutate()}>
              {begun ? 'Take it away' : 'Take it back'}
            </Button>
          </div>
        </div>
      </Dialog>
    </>
  );
}
