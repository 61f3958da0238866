import { useState } from 'react';
import type { Schemas } from '../../api/client';
import type { Answered } from '../../core';
import { notesOf } from '../../notebook/notes';
import { Button, inputClass, Trouble } from '../../ui';
import { Found, TriesLeft } from '../kind/Checked';
import type { BlockKind, ViewProps } from '../kind/kind';
import { MarkNote, Points } from '../kind/Marked';

function Question({ block, context }: ViewProps<'number'>) {
  const { journal, readOnly } = context;
  const notes = notesOf(journal, block);
  const answer = notes.read('answer') ?? {};
  const before = context.tried[block.id];
  const [feedback, setFeedback] = useState<Schemas['Checked'] | null>(null);
  const [error, setError] = useState<unknown>(null);
  const [busy, setBusy] = useState(false);
  const shown = feedback ?? (before && before.number === answer.number && before.unit === answer.unit ? before : null);
  const lacks = readOnly ? '' : context.lacks(block);
  const left = feedback?.left ?? before?.left ?? block.tries;
  const write = (more: Answered) => {
    setFeedback(null);
    notes.write('answer', { ...answer, ...more });
  };
  const check = async () => {
    setBusy(true);
    setError(null);
    try {
      setFeedback(await context.check(block.id, answer.number ?? '', answer.unit ?? ''));
    } catch (e) {
      setError(e);
    } finally {
      setBusy(false);
    }
  };
  return (
    <section className="flex flex-col gap-2 border-t pt-4">
      <h3 className="font-bold">
        {block.prompt} <Points of={block.points} />
      </h3>
      {lacks ? (
        <p className="text-soft">{lacks}</p>
      ) : (
        <form
          className="flex gap-2"
          onSubmit={(e) => {
            e.preventDefault();
            void check();
          }}
        >
          <input
            aria-label="Number"
            placeholder="number"
            className={`${inputClass} mono w-28 min-w-0 flex-3 text-right`}
            value={answer.number ?? ''}
            readOnly={readOnly}
            maxLength={40}
            onChange={(e) => write({ number: e.target.value })}
          />
          <input
            aria-label="Unit"
            placeholder="unit"
            className={`${inputClass} mono w-24 min-w-0 flex-2`}
            value={answer.unit ?? ''}
            readOnly={readOnly}
            maxLength={40}
            onChange={(e) => write({ unit: e.target.value })}
          />
          {!readOnly && (
            <Button kind="main" type="submit" disabled={busy || !answer.number}>
              Check
            </Button>
          )}
        </form>
      )}
      {!readOnly && !lacks && <TriesLeft left={left} tries={block.tries} last={feedback ?? before} />}
      <Found of={shown} />
      <Trouble error={error} />
      <MarkNote block={block} context={context} />
    </section>
  );
}

export const number: BlockKind<'number'> = { type: 'number', View: Question };
