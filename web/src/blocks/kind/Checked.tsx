import type { Schemas } from '../../api/client';
import type { Question } from '../../core';
import { Trouble } from '../../ui';
import type { SheetContext } from './kind';
import { MarkNote } from './Marked';
import type { useCheck } from './useCheck';

/** What was found of an answer; while it is looked at, that it takes the network. */
function Found({ of, busy }: { of: { verdict: string; feedback: string } | null; busy: boolean }) {
  return (
    <div role="status">
      {busy && <p className="text-soft">Checking … this needs the network.</p>}
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
function TriesLeft({
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

/** What stands below a question that is checked: tries left, what was found, what went wrong, the mark. */
export function AfterCheck({
  block,
  context,
  checking,
  answerable = !context.readOnly,
}: {
  block: Question;
  context: SheetContext;
  checking: ReturnType<typeof useCheck>;
  /** Whether an answer can be given now. */
  answerable?: boolean;
}) {
  return (
    <>
      {answerable && <TriesLeft left={checking.left} tries={block.tries} last={checking.last} />}
      <Found of={checking.found} busy={checking.busy} />
      <Trouble error={checking.error} />
      <MarkNote block={block} context={context} />
    </>
  );
}
