import { useQuery } from '@tanstack/react-query';
import { ChevronLeft, ChevronRight } from 'lucide-react';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { api, ask, type Schemas } from '../../api/client';
import { IconButton, Trouble } from '../../ui';
import { Spread } from './Spread';
import { AnswerText } from './AnswerText';
import { Judging } from './Judging';
import { itemsOf, markOf, type Item } from './items';
import { isTyping } from './keys';

interface Props {
  assignment: string;
  question: Schemas['QuestionLine'];
  /** Whether only what has no mark is looked at. */
  only: boolean;
  hidden: boolean;
}

/** The answers to one question, one at a time, with keys for all of it. */
export function Answers(props: Props) {
  const { assignment, question } = props;
  const { data, error } = useQuery({
    queryKey: ['question', assignment, question.block],
    queryFn: () =>
      ask(
        api.GET('/api/teaching/assignments/{id}/questions/{block}', {
          params: { path: { id: assignment, block: question.block } },
        }),
      ),
    gcTime: 0,
  });
  if (error) return <Trouble error={error} />;
  if (!data) return <p className="text-soft">Fetching the answers …</p>;
  return <OneByOne {...props} view={data} />;
}

function OneByOne({ assignment, question, only, hidden, view }: Props & { view: Schemas['QuestionView'] }) {
  // What is looked at stays as it was when one began, also when it is marked meanwhile.
  const [keys] = useState(() => itemsOf(question.type, view.answers, only).map((i) => i.key));
  const [at, setAt] = useState(0);
  const now = new Map(itemsOf(question.type, view.answers, false).map((i) => [i.key, i]));
  const items = keys.flatMap((k) => now.get(k) ?? []);
  const item = items.at(Math.min(at, items.length - 1));
  const go = (step: number) => setAt(Math.max(0, Math.min(items.length - 1, at + step)));
  useEffect(() => {
    const press = (e: KeyboardEvent) => {
      if (isTyping(e)) return;
      if (e.key === 'ArrowRight') go(1);
      else if (e.key === 'ArrowLeft') go(-1);
      else return;
      e.preventDefault();
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  });
  return (
    <section aria-label="Answers" className="min-w-0">
      <h2 className="text-lead font-bold">
        {question.prompt} <span className="text-fine font-normal text-soft">{question.points} points</span>
      </h2>
      <Truth right={view.right} slips={view.slips} />
      {view.went && (view.went.tried > 0 || !!view.went.minutes) && <Went went={view.went} />}
      {!item ? (
        <p className="mt-4">
          {only ? 'Everything here has a mark.' : 'Nobody has answered this yet. Answers come here as they are given.'}
        </p>
      ) : (
        <>
          <Strip items={items} at={items.indexOf(item)} byHand={question.byHand} onGo={setAt} />
          <div className="grid grid-cols-[minmax(0,1fr)_minmax(17rem,22rem)] gap-5">
            <article aria-label="Answer" className="self-start rounded-house border bg-sheet px-5 py-4">
              <Whose item={item} hidden={hidden} number={items.indexOf(item) + 1} />
              <AnswerText view={view} answer={item.answers[0]} />
            </article>
            <Judging
              key={item.key}
              assignment={assignment}
              view={view}
              item={item}
              checked={!question.byHand}
              onNext={items.indexOf(item) < items.length - 1 ? () => go(1) : undefined}
            />
          </div>
        </>
      )}
    </section>
  );
}

/** What is right; what is known to go wrong is there to be looked up. */
function Truth({ right, slips }: { right: string[]; slips: string[] }) {
  return (
    <div className="text-fine text-soft">
      {right.map((line) => (
        <p key={line}>{line}</p>
      ))}
      {slips.length > 0 && (
        <details>
          <summary className="cursor-pointer">Known slips</summary>
          {slips.map((line) => (
            <p key={line}>{line}</p>
          ))}
        </details>
      )}
    </div>
  );
}

/** How the question went, over students. */
function Went({ went }: { went: Schemas['QuestionWent'] }) {
  const told: [number, string][] = [];
  if (went.tried > 0)
    told.push(
      [went.tried, 'tried it'],
      [went.rightAtFirst, 'right at first'],
      [went.rightAtLast, 'right in the end'],
      [went.medianTries, went.medianTries === 1 ? 'try, at the median' : 'tries, at the median'],
    );
  if (went.minutes) told.push([went.minutes, 'min spent on it, at the median']);
  return (
    <div className="mt-2 flex flex-wrap items-baseline gap-x-6 gap-y-1 rounded-house bg-stage px-3 py-2 text-fine">
      {told.map(([n, words]) => (
        <span key={words}>
          <b className="mono text-lead">{n}</b> {words}
        </span>
      ))}
      {went.spread.length > 1 && <Spread went={went} />}
      {went.slips.map((slip) => (
        <span key={slip.said} className="w-full text-soft">
          <b className="mono text-ink">{slip.students} ×</b> {slip.said}
        </span>
      ))}
    </div>
  );
}

/** All of them in a row: what has a mark, what hasn't, and which is looked at. */
function Strip({ items, at, byHand, onGo }: { items: Item[]; at: number; byHand: boolean; onGo: (i: number) => void }) {
  const marked = items.filter((i) => i.answers.every((a) => a.mark)).length;
  return (
    <div className="flex items-center gap-3 py-3">
      <IconButton label="The answer before (←)" disabled={at === 0} onClick={() => onGo(at - 1)}>
        <ChevronLeft size={16} />
      </IconButton>
      <ol className="flex min-w-0 flex-wrap gap-1">
        {items.map((item, i) => (
          <li key={item.key}>
            <button
              type="button"
              aria-label={`Answer ${i + 1}${item.answers.every((a) => a.mark) ? ', marked' : ''}`}
              aria-current={i === at || undefined}
              onClick={() => onGo(i)}
              className={
                'mono min-w-6 rounded-house border px-1 text-fine ' +
                (!byHand || item.answers.every((a) => a.mark) ? 'bg-stage ' : 'border-ochre bg-wash ') +
                (i === at ? 'outline-2 outline-copper' : '')
              }
            >
              {i + 1}
            </button>
          </li>
        ))}
      </ol>
      <IconButton label="The next answer (→)" disabled={at === items.length - 1} onClick={() => onGo(at + 1)}>
        <ChevronRight size={16} />
      </IconButton>
      <p className="ml-auto shrink-0 text-fine text-soft" role="status">
        {byHand || marked > 0 ? `${marked} of ${items.length} marked` : ''}
      </p>
    </div>
  );
}

function Whose({ item, hidden, number }: { item: Item; hidden: boolean; number: number }) {
  const [first] = item.answers;
  const several = item.answers.length > 1;
  return (
    <header className="mb-2 flex flex-wrap items-baseline gap-x-3 text-fine text-soft">
      {several && <b className="text-ink">{item.answers.length} students answered this</b>}
      {!hidden &&
        item.answers.map((a) => (
          <Link
            key={a.workId}
            to={`/work/${a.workId}`}
            className={`underline underline-offset-3 ${several ? '' : 'font-semibold text-ink'}`}
          >
            {a.student}
          </Link>
        ))}
      {hidden && !several && <b className="text-ink">Answer {number}</b>}
      {!several && !first.submitted && <span>still at work</span>}
      {!several && first.late && <span className="rounded-house border border-ochre bg-wash px-1.5">late</span>}
      {several && item.answers.some((a) => !a.submitted) && (
        <span>{item.answers.filter((a) => !a.submitted).length} still at work</span>
      )}
      {markOf(item) && <span className="ml-auto text-verdigris">marked</span>}
    </header>
  );
}
