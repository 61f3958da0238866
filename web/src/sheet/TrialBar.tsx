import { useQueryClient } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { api, ask, type Schemas } from '../api/client';
import { Button, Select, Trouble } from '../ui';
import type { BlockOf } from '../core';

export function nameOf(block: BlockOf<'films'>, trial: Schemas['TrialView']) {
  const names = block.choices.map((c) => c.options.find((o) => o.id === trial.chosen[c.id])?.name ?? '');
  return `Trial ${trial.number}: ${names.join(', ')}`;
}

type Choice = BlockOf<'films'>['choices'][number];
/** What students may choose: not what their teacher keeps for demonstrating. */
const open = (c: Choice) => c.options.filter((o) => !o.demonstration);

/** Names of the first choice that haven't been filmed yet. */
function notFilmed(block: BlockOf<'films'>, trials: Schemas['TrialView'][]) {
  const [first] = block.choices;
  return first
    ? open(first)
        .filter((o) => !trials.some((t) => t.chosen[first.id] === o.id))
        .map((o) => o.name)
    : [];
}

/** Which of what has been filmed lies on the bench. */
export function OnTheBench({
  block,
  trials,
  current,
  onChoose,
}: {
  block: BlockOf<'films'>;
  trials: Schemas['TrialView'][];
  current: string | null;
  onChoose: (id: string) => void;
}) {
  if (trials.length === 0) return null;
  return (
    <Select
      label="On the bench"
      hideLabel
      className="ml-auto"
      value={current ?? ''}
      onChange={onChoose}
      options={trials.map((t) => ({ id: t.id, name: nameOf(block, t) }))}
    />
  );
}

/** Choosing what to film, and asking for it. */
export function TrialBar({
  block,
  work,
  settle,
  trials,
  readOnly,
  onChoose,
  children,
}: {
  block: BlockOf<'films'>;
  work: string;
  settle: () => Promise<boolean>;
  trials: Schemas['TrialView'][];
  readOnly: boolean;
  onChoose: (id: string) => void;
  children?: ReactNode;
}) {
  const queries = useQueryClient();
  const [chosen, setChosen] = useState<Record<string, string>>(() =>
    Object.fromEntries(block.choices.map((c) => [c.id, (open(c)[0] ?? c.options[0]).id])),
  );
  const demonstrates = !!queries.getQueryData<Schemas['WorkView']>(['work', work])?.tryOf;
  const [busy, setBusy] = useState(false);
  const [error, setError] = useState<unknown>(null);
  const record = async () => {
    setBusy(true);
    setError(null);
    try {
      // The server must have heard of the seal before it may film.
      await settle();
      const made = await ask(
        api.POST('/api/works/{workId}/trials', {
          params: { path: { workId: work } },
          body: { id: crypto.randomUUID(), block: block.id, chosen },
        }),
      );
      queries.setQueryData<Schemas['WorkView']>(
        ['work', work],
        (w) => w && { ...w, trials: [...w.trials.filter((t) => t.id !== made.id), made] },
      );
      onChoose(made.id);
    } catch (e) {
      setError(e);
    } finally {
      setBusy(false);
    }
  };
  const missing = notFilmed(block, trials);
  return (
    <div className="flex flex-wrap items-center gap-x-3 gap-y-1 border-b bg-sheet px-3 py-1.5">
      {!readOnly && (
        <>
          {block.choices.map((c) => (
            <Select
              key={c.id}
              label={c.name}
              value={chosen[c.id]}
              onChange={(v) => setChosen({ ...chosen, [c.id]: v })}
              options={demonstrates ? c.options : open(c)}
            />
          ))}
          <Button kind="main" small onClick={() => void record()} disabled={busy}>
            {busy ? 'Filming …' : 'Record'}
          </Button>
        </>
      )}
      {children}
      {!readOnly && trials.length > 0 && missing.length > 0 && (
        <p className="w-full text-fine text-soft">Not recorded yet: {missing.join(', ')}.</p>
      )}
      <Trouble error={error} />
    </div>
  );
}
