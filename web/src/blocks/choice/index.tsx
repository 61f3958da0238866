import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { notesOf } from '../../notebook/notes';
import { Button, inputClass, Trouble } from '../../ui';
import { Found, TriesLeft } from '../kind/Checked';
import type { BlockKind, ViewProps } from '../kind/kind';
import { MarkNote, Points } from '../kind/Marked';

function Choice({ block, context }: ViewProps<'choice'>) {
  const { journal, readOnly } = context;
  const notes = notesOf(journal, block);
  const answer = notes.read('answer') ?? {};
  const chosen = answer.chosen ?? [];
  const text = chosen.join(', ');
  const before = context.tried[block.id];
  const [feedback, setFeedback] = useState<Schemas['Checked'] | null>(null);
  const [error, setError] = useState<unknown>(null);
  const [busy, setBusy] = useState(false);
  const shown = feedback ?? (before && before.number === text ? before : null);
  const left = feedback?.left ?? before?.left ?? block.tries;
  const take = (place: number, on: boolean) => {
    setFeedback(null);
    const others = block.several ? chosen.filter((c) => c !== place) : [];
    notes.write('answer', { ...answer, chosen: (on ? [...others, place] : others).sort((a, b) => a - b) });
  };
  const check = async () => {
    setBusy(true);
    setError(null);
    try {
      setFeedback(await context.check(block.id, text, ''));
    } catch (e) {
      setError(e);
    } finally {
      setBusy(false);
    }
  };
  return (
    <section className="flex flex-col gap-2 border-t pt-4">
      <form
        className="flex flex-col gap-2"
        onSubmit={(e) => {
          e.preventDefault();
          void check();
        }}
      >
        <fieldset className="flex flex-col gap-1.5" disabled={readOnly}>
          <legend className="pb-1 font-bold">
            {block.prompt} <Points of={block.points} />
          </legend>
          {block.several && <p className="text-fine text-soft">Several may be right.</p>}
          {block.choices.map((choice, i) => (
            <label key={choice.text} className="flex cursor-pointer items-baseline gap-2">
              <input
                type={block.several ? 'checkbox' : 'radio'}
                name={`choice-${block.id}`}
                className="accent-copper"
                checked={chosen.includes(i + 1)}
                onChange={(e) => take(i + 1, e.target.checked)}
              />
              {choice.text}
            </label>
          ))}
        </fieldset>
        {block.reasonPrompt && (
          <label className="flex flex-col gap-1">
            <span className="font-semibold">{block.reasonPrompt}</span>
            <textarea
              className={`${inputClass} min-h-20 py-2`}
              value={answer.reason ?? ''}
              readOnly={readOnly}
              maxLength={4000}
              onChange={(e) => notes.write('answer', { ...answer, reason: e.target.value })}
            />
          </label>
        )}
        {!readOnly && (
          <Button kind="main" type="submit" className="self-start" disabled={busy || chosen.length === 0}>
            Check
          </Button>
        )}
      </form>
      {!readOnly && <TriesLeft left={left} tries={block.tries} last={feedback ?? before} />}
      <Found of={shown} />
      <Trouble error={error} />
      <MarkNote block={block} context={context} />
    </section>
  );
}

export const choice: BlockKind<'choice'> = { type: 'choice', View: Choice };
