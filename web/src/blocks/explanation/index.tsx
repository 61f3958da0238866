import { lazy, Suspense } from 'react';
import { countWords } from '../../core';
import { notesOf } from '../../notebook/notes';
import { LongText } from '../../ui/LongText';
import type { BlockKind, ViewProps } from '../kind/kind';
import { MarkNote, Points } from '../kind/Marked';

const voice = () => import('../../voice');
const Speak = lazy(async () => ({ default: (await voice()).Speak }));

function Explanation({ block, context }: ViewProps<'explanation'>) {
  const { journal, readOnly } = context;
  const notes = notesOf(journal, block);
  const text = notes.read('answer')?.text ?? '';
  const words = countWords(text);
  const spoken = notes.read('spoken');
  return (
    <section className="flex flex-col gap-2">
      <label className="flex flex-col gap-2">
        <span className="font-bold">
          {block.prompt} <Points of={block.points} />
        </span>
        <LongText
          className="min-h-48 py-2"
          value={text}
          readOnly={readOnly}
          maxLength={8000}
          onChange={(text) => notes.write('answer', { text })}
        />
      </label>
      <p className={`text-fine ${words >= block.words ? 'text-verdigris' : 'text-soft'}`}>
        {words} {words === 1 ? 'word' : 'words'}, at least {block.words} asked for
      </p>
      {block.spoken > 0 && (
        <Suspense>
          <Speak
            work={journal.work}
            block={block.id}
            longest={block.spoken}
            spoken={spoken?.recording ? { recording: '', seconds: 0, pieces: 0, ...spoken } : undefined}
            readOnly={readOnly}
            onSpoken={(spoken) => notes.write('spoken', { ...spoken })}
          />
        </Suspense>
      )}
      {block.rubric.length > 0 && (
        <details className="text-fine">
          <summary className="cursor-pointer font-semibold">What counts</summary>
          <ul className="flex flex-col gap-1 pt-1.5">
            {block.rubric.map((level) => (
              <li key={level.points} className="flex gap-2">
                <span className="mono w-6 shrink-0 text-right">{level.points}</span>
                {level.like}
              </li>
            ))}
          </ul>
        </details>
      )}
      <MarkNote block={block} context={context} />
    </section>
  );
}

export const explanation: BlockKind<'explanation'> = {
  type: 'explanation',
  View: Explanation,
  load: voice,
  needs: (block) => block.spoken > 0,
};
