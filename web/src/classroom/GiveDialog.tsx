import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, ask } from '../api/client';
import { Button, Dialog, Trouble } from '../ui';
import { RuleFields, sent, sentRules, TimeFields, USUAL, type Times } from './TermsFields';

/** Gives a lab to classes, each with its own times. */
export function GiveDialog({ labId, title, onClose }: { labId: string; title: string; onClose: () => void }) {
  const navigate = useNavigate();
  const classes = useQuery({ queryKey: ['classes'], queryFn: () => ask(api.GET('/api/classes')) });
  const [chosen, setChosen] = useState<Record<string, Times>>({});
  const [rules, setRules] = useState(USUAL);
  const ids = Object.keys(chosen);
  const give = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/teaching/assignments', {
          body: {
            labId,
            classes: ids.map((id) => ({ classId: id, openAt: sent(chosen[id].open), dueAt: sent(chosen[id].due) })),
            ...sentRules(rules),
          },
        }),
      ),
    onSuccess: (given) => navigate(given.length === 1 ? `/assignments/${given[0].id}` : '/'),
  });
  const toggle = (id: string, on: boolean) => {
    const { [id]: before, ...others } = chosen;
    // Whoever chooses a further class will want the same times, or ones near to them.
    setChosen(on ? { ...others, [id]: before ?? Object.values(others).at(-1) ?? { open: '', due: '' } } : others);
  };
  return (
    <Dialog open wide onClose={onClose} title={`Give “${title}”`}>
      {classes.data?.length === 0 ? (
        <p>
          You have no class yet.{' '}
          <Link to="/" className="text-indigo underline">
            Make one first
          </Link>
          .
        </p>
      ) : (
        <form
          className="flex flex-col gap-4"
          onSubmit={(e) => {
            e.preventDefault();
            give.mutate();
          }}
        >
          <fieldset>
            <legend className="font-semibold">To which classes</legend>
            <p className="mb-1 text-fine text-soft">Leave a time empty for “at once” and “no due time”.</p>
            <ul className="max-h-72 overflow-auto rounded-house border">
              {classes.data?.map((c) => (
                <li key={c.id} className="flex min-h-11 items-center gap-4 px-3 py-1.5 not-last:border-b">
                  <label className="flex flex-1 items-center gap-2">
                    <input
                      type="checkbox"
                      className="h-4 w-4 accent-(--copper)"
                      checked={c.id in chosen}
                      onChange={(e) => toggle(c.id, e.target.checked)}
                    />
                    <span>
                      {c.name}
                      <span className="block text-fine text-soft">
                        {c.students === 1 ? '1 student' : `${c.students} students`}
                      </span>
                    </span>
                  </label>
                  {c.id in chosen && (
                    <TimeFields
                      of={c.name}
                      times={chosen[c.id]}
                      onChange={(times) => setChosen({ ...chosen, [c.id]: times })}
                    />
                  )}
                </li>
              ))}
            </ul>
          </fieldset>
          <RuleFields rules={rules} onChange={setRules} />
          <Trouble error={classes.error ?? give.error} />
          <Button kind="main" type="submit" disabled={ids.length === 0 || give.isPending}>
            {ids.length > 1 ? `Give it to ${ids.length} classes` : 'Give it'}
          </Button>
        </form>
      )}
    </Dialog>
  );
}
