import { useMutation } from '@tanstack/react-query';
import { api, ask, type Schemas } from '../api/client';
import { dayAndTime } from '../ui/dates';
import type { Question } from '../core';
import { Button, Trouble } from '../ui';

const VERDICTS: Record<string, string> = {
  right: 'right',
  'other-quantity': 'other quantity',
  sign: 'sign',
  'power-of-ten': 'power of ten',
  'upside-down': 'upside down',
  'known-slip': 'a known slip',
  value: 'value off',
};

/** All tries of a student at a question, with their times; a question whose tries are used up can be opened again. */
export function Tries({
  work,
  block,
  tried,
  onOpened,
}: {
  work: string;
  block: Question;
  tried: Schemas['TriedView'];
  onOpened: () => void;
}) {
  const open = useMutation({
    mutationFn: () =>
      ask(api.POST('/api/works/{workId}/openings', { params: { path: { workId: work } }, body: { block: block.id } })),
    onSuccess: onOpened,
  });
  return (
    <details className="rounded-house border px-3 py-2 text-fine">
      <summary className="cursor-pointer font-semibold">
        {tried.all.length} {tried.all.length === 1 ? 'try' : 'tries'},{' '}
        {tried.left === 0 ? 'all used up' : `${tried.left} left`}
      </summary>
      <ol className="mt-1 list-decimal pl-5">
        {tried.all.map((t, i) => (
          <li key={i}>
            <span className="mono">
              {t.number} {t.unit}
            </span>{' '}
            · {VERDICTS[t.verdict] ?? t.verdict} · <span className="text-soft">{dayAndTime(t.at)}</span>
          </li>
        ))}
      </ol>
      {tried.left === 0 && (
        <div className="mt-2 flex items-center gap-3">
          <Button small disabled={open.isPending} onClick={() => open.mutate()}>
            Open the question again
          </Button>
          <span className="text-soft">{block.tries} more tries</span>
        </div>
      )}
      <Trouble error={open.error} />
    </details>
  );
}
