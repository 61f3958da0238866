import { notesOf } from '../../notebook/notes';
import { Button } from '../../ui';
import { LongText } from '../../ui/LongText';
import { AfterCheck } from '../kind/Checked';
import type { ViewProps } from '../kind/kind';
import { Points } from '../kind/Marked';
import { useCheck } from '../kind/useCheck';

export default function Choice({ block, context }: ViewProps<'choice'>) {
  const { journal, readOnly } = context;
  const notes = notesOf(journal, block);
  const answer = notes.read('answer') ?? {};
  const chosen = answer.chosen ?? [];
  const checking = useCheck(block, context, chosen.join(', '), '');
  const take = (place: number, on: boolean) => {
    checking.forget();
    const others = block.several ? chosen.filter((c) => c !== place) : [];
    notes.write('answer', { ...answer, chosen: (on ? [...others, place] : others).sort((a, b) => a - b) });
  };
  return (
    <section className="flex flex-col gap-2 border-t pt-4">
      <form
        className="flex flex-col gap-2"
        onSubmit={(e) => {
          e.preventDefault();
          void checking.check();
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
            <LongText
              className="min-h-20 py-2"
              value={answer.reason ?? ''}
              readOnly={readOnly}
              maxLength={4000}
              onChange={(reason) => notes.write('answer', { ...answer, reason })}
            />
          </label>
        )}
        {!readOnly && (
          <Button
            kind="main"
            type="submit"
            className="self-start"
            disabled={checking.busy || checking.done || chosen.length === 0}
          >
            Check
          </Button>
        )}
      </form>
      <AfterCheck block={block} context={context} checking={checking} />
    </section>
  );
}
