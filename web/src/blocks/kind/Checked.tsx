import type { Schemas } from '../../api/client';

/** What was found of an answer. */
export function Found({ of }: { of: { verdict: string; feedback: string } | null }) {
  return (
    <div role="status">
      {of && (
        <p
          className={
            `rounded-house border-l-3 px-3 py-2 ` +
            `${of.verdict === 'right' ? 'border-verdigris bg-stage' : 'border-ochre bg-wash'}`
          }
          data-verdict={of.verdict}
        >
          {of.verdict === 'right' ? '✓ ' : ''}
          {of.feedback}
        </p>
      )}
    </div>
  );
}

/** How many tries can still bring points, once one was made that isn't right. */
export function TriesLeft({
  left,
  tries,
  last,
}: {
  left: number;
  tries: number;
  last?: Pick<Schemas['Checked'], 'verdict'> | null;
}) {
  if (left >= tries || last?.verdict === 'right') return null;
  return (
    <p className={`text-fine ${left === 0 ? 'text-copper' : 'text-soft'}`} data-testid="tries-left">
      {left === 0
        ? 'Your tries are used up. An answer is still kept, but brings no points until ' +
          'your teacher opens the question again.'
        : `${left} of ${tries} tries left.`}
    </p>
  );
}
