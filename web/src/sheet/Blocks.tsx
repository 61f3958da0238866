import { Lock } from 'lucide-react';
import { memo, useState } from 'react';
import type { Schemas } from '../api/client';
import { countWords, type Block, type BlockOf, type Sketched } from '../core';
import { SketchPad } from '../graph/SketchPad';
import type { Journal } from '../notebook/journal';
import { Button, inputClass, Trouble } from '../ui';

export interface SheetContext {
  journal: Journal;
  readOnly: boolean;
  tried: Record<string, Schemas['TriedView']>;
  marks: Record<string, Schemas['MarkView']>;
  /** How far a block of the notebook has come, in words. */
  progress: (block: Block) => string;
  /** What a question still waits for before it opens, in words. */
  lacks: (block: BlockOf<'number'>) => string;
  check: (block: string, number: string, unit: string) => Promise<Schemas['Checked']>;
  /** What a teacher sees below a block that brings points. */
  marking?: (block: BlockOf<'number'> | BlockOf<'explanation'>) => React.ReactNode;
}

const NOTEBOOK_NAMES: Record<string, (b: Block) => string> = {
  films: () => 'Recordings',
  bench: () => 'The bench',
  table: (b) => (b.type === 'table' ? b.title : ''),
  graph: (b) => (b.type === 'graph' && b.line ? 'Graph with a line of best fit' : 'Graph'),
};

/** Words of the lab, set by the server, which leaves no HTML in them but its own. */
const Words = memo(function Words({ html }: { html: string }) {
  return <div className="prose max-w-prose" dangerouslySetInnerHTML={{ __html: html }} />;
});

/** One block on the sheet. Tables, graphs and recordings live on the right; here they say how far they are. */
export function BlockView({ block, context }: { block: Block; context: SheetContext }) {
  switch (block.type) {
    case 'text':
      return <Words html={block.html} />;
    case 'vocabulary':
      return (
        <dl className="rounded-house border">
          {block.terms.map((t) => (
            <div key={t.term} className="px-3 py-2 not-last:border-b">
              <dt className="font-semibold">{t.term}</dt>
              <dd className="text-soft">{t.meaning}</dd>
            </div>
          ))}
        </dl>
      );
    case 'prediction':
      return <PredictionView block={block} context={context} />;
    case 'films':
    case 'bench':
    case 'table':
    case 'graph':
      return (
        <p className="flex items-center justify-between rounded-house border border-l-3 border-l-copper px-3 py-2">
          <span className="font-semibold">{NOTEBOOK_NAMES[block.type]?.(block)}</span>
          <span className="mono text-fine text-soft">{context.progress(block)}</span>
        </p>
      );
    case 'number':
      return <NumberView block={block} context={context} />;
    case 'explanation':
      return <ExplanationView block={block} context={context} />;
  }
}

function PredictionView({ block, context }: { block: BlockOf<'prediction'>; context: SheetContext }) {
  const { journal, readOnly } = context;
  const answer = journal.read<{ choice?: number; reason?: string }>(block.id, 'answer') ?? {};
  const sealed = journal.read<{ sealed?: boolean }>(block.id, 'seal')?.sealed === true;
  const fixed = sealed || readOnly;
  const write = (more: object) => journal.write(block.id, 'answer', { ...answer, ...more });
  const strokes = journal.read<Sketched>(block.id, 'sketch')?.strokes ?? [];
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
        <SketchPad
          axes={block.sketch}
          strokes={strokes}
          fixed={fixed}
          onStrokes={(s) => journal.write(block.id, 'sketch', { strokes: s })}
        />
      )}
      <label className="mt-3 flex flex-col gap-1">
        {block.reasonPrompt}
        <textarea
          className={`${inputClass} min-h-16 py-1.5`}
          value={answer.reason ?? ''}
          readOnly={fixed}
          maxLength={1000}
          onChange={(e) => write({ reason: e.target.value })}
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
              onClick={() => journal.write(block.id, 'seal', { sealed: true })}
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

function NumberView({ block, context }: { block: BlockOf<'number'>; context: SheetContext }) {
  const { journal, readOnly } = context;
  const answer = journal.read<{ number?: string; unit?: string }>(block.id, 'answer') ?? {};
  const before = context.tried[block.id];
  const [feedback, setFeedback] = useState<Schemas['Checked'] | null>(null);
  const [error, setError] = useState<unknown>(null);
  const [busy, setBusy] = useState(false);
  const shown = feedback ?? (before && before.number === answer.number && before.unit === answer.unit ? before : null);
  const lacks = readOnly ? '' : context.lacks(block);
  const left = feedback?.left ?? before?.left ?? block.tries;
  const write = (more: object) => {
    setFeedback(null);
    journal.write(block.id, 'answer', { ...answer, ...more });
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
      {!readOnly && !lacks && left < block.tries && (feedback ?? before)?.verdict !== 'right' && (
        <p className={`text-fine ${left === 0 ? 'text-copper' : 'text-soft'}`} data-testid="tries-left">
          {left === 0
            ? 'Your tries are used up. An answer is still kept, but brings no points until your teacher opens the question again.'
            : `${left} of ${block.tries} tries left.`}
        </p>
      )}
      <div role="status">
        {shown && (
          <p
            className={`rounded-house border-l-3 px-3 py-2 ${shown.verdict === 'right' ? 'border-verdigris bg-stage' : 'border-ochre bg-wash'}`}
            data-verdict={shown.verdict}
          >
            {shown.verdict === 'right' ? '✓ ' : ''}
            {shown.feedback}
          </p>
        )}
      </div>
      <Trouble error={error} />
      <MarkNote block={block} context={context} />
    </section>
  );
}

function ExplanationView({ block, context }: { block: BlockOf<'explanation'>; context: SheetContext }) {
  const { journal, readOnly } = context;
  const text = journal.read<{ text?: string }>(block.id, 'answer')?.text ?? '';
  const words = countWords(text);
  return (
    <section className="flex flex-col gap-2">
      <label className="flex flex-col gap-2">
        <span className="font-bold">
          {block.prompt} <Points of={block.points} />
        </span>
        <textarea
          className={`${inputClass} min-h-48 py-2`}
          value={text}
          readOnly={readOnly}
          maxLength={8000}
          onChange={(e) => journal.write(block.id, 'answer', { text: e.target.value })}
        />
      </label>
      <p className={`text-fine ${words >= block.words ? 'text-verdigris' : 'text-soft'}`}>
        {words} {words === 1 ? 'word' : 'words'}, at least {block.words} asked for
      </p>
      <MarkNote block={block} context={context} />
    </section>
  );
}

function Points({ of }: { of: number }) {
  return <span className="text-fine font-normal whitespace-nowrap text-soft">{of} points</span>;
}

function MarkNote({ block, context }: { block: BlockOf<'number'> | BlockOf<'explanation'>; context: SheetContext }) {
  const mark = context.marks[block.id];
  return (
    <>
      {mark && (
        <div className="rounded-house border-l-3 border-verdigris bg-stage px-3 py-2" data-testid="mark">
          <p className="font-semibold">
            <span className="mono">{mark.points}</span> of {block.points} points
          </p>
          {mark.comment && <p>{mark.comment}</p>}
        </div>
      )}
      {context.marking?.(block)}
    </>
  );
}
