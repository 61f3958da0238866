import type { Answered } from '../../core';
import { notesOf } from '../../notebook/notes';
import { Button, inputClass } from '../../ui';
import { AfterCheck } from '../kind/Checked';
import type { BlockKind, ViewProps } from '../kind/kind';
import { Points } from '../kind/Marked';
import { useCheck } from '../kind/useCheck';

function Question({ block, context }: ViewProps<'number'>) {
  const { journal, readOnly } = context;
  const notes = notesOf(journal, block);
  const answer = notes.read('answer') ?? {};
  const checking = useCheck(block, context, answer.number ?? '', answer.unit ?? '');
  const lacks = readOnly ? '' : context.lacks(block);
  const write = (more: Answered) => {
    checking.forget();
    notes.write('answer', { ...answer, ...more });
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
            void checking.check();
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
            <Button kind="main" type="submit" disabled={checking.busy || checking.done || !answer.number}>
              Check
            </Button>
          )}
        </form>
      )}
      <AfterCheck block={block} context={context} checking={checking} answerable={!readOnly && !lacks} />
    </section>
  );
}

export const number: BlockKind<'number'> = { type: 'number', View: Question };
