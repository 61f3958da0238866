import { Lock } from 'lucide-react';
import { lazy, Suspense } from 'react';
import type { Expected } from '../../core';
import { notesOf } from '../../notebook/notes';
import { Button } from '../../ui';
import { LongText } from '../../ui/LongText';
import type { BlockKind, ViewProps } from '../kind/kind';

const pad = () => import('../../graph/SketchPad').then((m) => ({ default: m.SketchPad }));
const SketchPad = lazy(pad);

function Prediction({ block, context }: ViewProps<'prediction'>) {
  const { journal, readOnly } = context;
  const notes = notesOf(journal, block);
  const answer = notes.read('answer') ?? {};
  const sealed = notes.read('seal')?.sealed === true;
  const fixed = sealed || readOnly;
  const write = (more: Expected) => notes.write('answer', { ...answer, ...more });
  const strokes = notes.read('sketch')?.strokes ?? [];
  const lack =
    block.choices.length > 0 && answer.choice === undefined
      ? 'Choose one first.'
      : block.sketch && !strokes.some((s) => s.length > 2)
        ? 'Sketch the graph first.'
        : '';
  return (
    <fieldset className="rounded-house border border-l-3 border-l-plum px-4 py-3">
      <legend className="px-1 font-bold text-plum">Prediction</legend>
      <p className="mb-2 font-semibold">{block.prompt}</p>
      <div className="flex flex-col gap-1.5">
        {block.choices.map((text, i) => (
          <label key={text} className="flex items-start gap-2">
            <input
              type="radio"
              name={block.id}
              className="mt-1 h-4 w-4 accent-(--plum)"
              checked={answer.choice === i}
              disabled={fixed}
              onChange={() => write({ choice: i })}
            />
            {text}
          </label>
        ))}
      </div>
      {block.sketch && (
        <Suspense>
          <SketchPad
            axes={block.sketch}
            strokes={strokes}
            fixed={fixed}
            onStrokes={(s) => notes.write('sketch', { strokes: s })}
          />
        </Suspense>
      )}
      <label className="mt-3 flex flex-col gap-1">
        {block.reasonPrompt}
        <LongText
          className="min-h-16 py-1.5"
          value={answer.reason ?? ''}
          readOnly={fixed}
          maxLength={1000}
          onChange={(reason) => write({ reason })}
        />
      </label>
      {sealed ? (
        <p className="mt-2 flex items-center gap-2 font-semibold text-plum">
          <Lock size={15} aria-hidden />
          Sealed
        </p>
      ) : (
        !readOnly && (
          <div className="mt-3 flex items-center gap-3">
            <Button
              kind="main"
              className="border-plum! bg-plum!"
              disabled={!!lack}
              onClick={() => notes.write('seal', { sealed: true })}
            >
              <Lock size={15} />
              Seal my prediction
            </Button>
            <span className="text-fine text-soft">{lack || 'It can’t be changed afterwards.'}</span>
          </div>
        )
      )}
    </fieldset>
  );
}

export const prediction: BlockKind<'prediction'> = {
  type: 'prediction',
  View: Prediction,
  load: pad,
  needs: (block) => !!block.sketch,
};
