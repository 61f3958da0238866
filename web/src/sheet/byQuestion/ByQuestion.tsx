import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useParams, useSearchParams } from 'react-router';
import { api, ask, type Schemas } from '../../api/client';
import { OfALab } from '../../shell/OfALab';
import { Shell } from '../../shell/Shell';
import { Toggle, Trouble } from '../../ui';
import { useAskToLeave } from '../../ui/useAskToLeave';
import { Answers } from './Answers';
import { Drafts, draftsOf } from './drafts';

const HIDDEN = 'cauldron-names-hidden';

/** All answers of a class to one question after the other. */
export function ByQuestion() {
  const { assignmentId = '' } = useParams();
  const [params, setParams] = useSearchParams();
  const [hidden, setHidden] = useState(localStorage.getItem(HIDDEN) === 'yes');
  const [only, setOnly] = useState(false);
  const drafts = draftsOf(assignmentId);
  useAskToLeave(() => drafts.size > 0);
  const { data, error } = useQuery({
    queryKey: ['questions', assignmentId],
    queryFn: () => ask(api.GET('/api/teaching/assignments/{id}/questions', { params: { path: { id: assignmentId } } })),
  });
  const questions = data?.questions ?? [];
  const chosen = questions.find((q) => q.block === params.get('question')) ?? firstToMark(questions);
  return (
    <Shell help="mark">
      <Trouble error={error} />
      {!data && !error && <p className="text-soft">Opening …</p>}
      {data && (
        <>
          <OfALab lab={data} title="Question by question">
            <Toggle label="Only without a mark" checked={only} onChange={setOnly} />
            <Toggle
              label="Hide names"
              checked={hidden}
              onChange={(on) => {
                setHidden(on);
                localStorage.setItem(HIDDEN, on ? 'yes' : 'no');
              }}
            />
          </OfALab>
          {data.talkAbout.length > 0 && (
            <section className="mb-4 rounded-house border-l-3 border-indigo bg-stage px-4 py-2">
              <h2 className="font-semibold">To talk about</h2>
              {data.talkAbout.map((line) => (
                <p key={line}>{line}</p>
              ))}
            </section>
          )}
          {questions.length === 0 && <p>This lab asks nothing that brings points.</p>}
          {chosen && (
            <div className="grid grid-cols-[15rem_minmax(0,1fr)] gap-6">
              <Questions questions={questions} chosen={chosen.block} onChoose={(q) => setParams({ question: q })} />
              <Drafts value={drafts}>
                <Answers
                  key={`${chosen.block}/${only}`}
                  assignment={data.id}
                  question={chosen}
                  only={only}
                  hidden={hidden}
                />
              </Drafts>
            </div>
          )}
        </>
      )}
    </Shell>
  );
}

const firstToMark = (questions: Schemas['QuestionLine'][]) =>
  questions.find((q) => q.toMark > 0) ?? questions.find((q) => q.byHand) ?? questions.at(0);

function Questions({
  questions,
  chosen,
  onChoose,
}: {
  questions: Schemas['QuestionLine'][];
  chosen: string;
  onChoose: (block: string) => void;
}) {
  return (
    <nav aria-label="Questions" className="flex flex-col gap-1">
      {questions.map((q) => (
        <button
          key={q.block}
          type="button"
          aria-current={q.block === chosen || undefined}
          onClick={() => onChoose(q.block)}
          className={
            'rounded-house px-3 py-2 text-left ' +
            (q.block === chosen ? 'bg-stage outline-1 outline-copper' : 'hover:bg-line/40')
          }
        >
          <span className="line-clamp-2 font-semibold">{q.prompt}</span>
          <span className="flex gap-2 text-fine text-soft">
            <span>{q.part}</span>
            <span>
              {q.points} {q.points === 1 ? 'point' : 'points'}
            </span>
            <span className={q.toMark > 0 ? 'ml-auto font-semibold text-copper' : 'ml-auto'}>
              {q.toMark > 0 ? `${q.toMark} to mark` : q.byHand ? 'all marked' : `${q.answered} answered`}
            </span>
          </span>
        </button>
      ))}
    </nav>
  );
}
