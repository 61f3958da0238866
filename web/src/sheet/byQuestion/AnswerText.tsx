import { lazy, Suspense, useMemo } from 'react';
import type { Schemas } from '../../api/client';
import { BlockView } from '../../blocks/BlockView';
import { previewContext } from '../../blocks/preview';
import type { Block } from '../../core';
import { Journal, type Slots } from '../../notebook/journal';
import type { Spoken } from '../../voice';
import type { Answer } from './items';

const Player = lazy(async () => ({ default: (await import('../../voice')).Player }));

/** What was answered: a drawing as it was drawn, all else in words. */
export function AnswerText({ view, answer }: { view: Schemas['QuestionView']; answer: Answer }) {
  const block = view.shown as unknown as Block;
  const spoken = block.type === 'explanation' ? (answer.slots.spoken as Spoken | undefined) : undefined;
  const drawn = block.type === 'drawing' && answer.text !== '';
  const journal = useMemo(
    () => new Journal(answer.workId, { [block.id]: answer.slots } as unknown as Slots),
    [answer, block.id],
  );
  return (
    <>
      {drawn ? (
        <Suspense fallback={<p className="text-soft">Fetching the drawing …</p>}>
          <BlockView block={block} context={previewContext(journal)} />
        </Suspense>
      ) : answer.text === '' ? (
        <p className="text-soft">Nothing was answered.</p>
      ) : (
        <p className="max-w-prose text-lead leading-relaxed whitespace-pre-wrap">{answer.text}</p>
      )}
      {spoken?.recording && (
        <Suspense>
          <Player key={spoken.recording} work={answer.workId} spoken={spoken} />
        </Suspense>
      )}
      {answer.tried && (
        <p className="mt-3 border-t pt-2 text-fine text-soft">
          {answer.tried.feedback} {answer.tried.points} {answer.tried.points === 1 ? 'point' : 'points'} by the key,{' '}
          {answer.tried.tries} {answer.tried.tries === 1 ? 'try' : 'tries'}.
        </p>
      )}
    </>
  );
}
