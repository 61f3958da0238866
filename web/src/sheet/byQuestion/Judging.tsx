import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { api, ask, type Schemas } from '../../api/client';
import { Button, inputClass, Trouble } from '../../ui';
import { markOf, pointsOf, type Item } from './items';
import { isTyping } from './keys';

interface Props {
  assignment: string;
  view: Schemas['QuestionView'];
  item: Item;
  /** Whether the key brings points already. */
  checked: boolean;
  /** To the next answer, where there is one. */
  onNext?: () => void;
}

/** Points and a comment for what is looked at; a press of a digit marks it at once. */
export function Judging({ assignment, view, item, checked, onNext }: Props) {
  const mark = markOf(item);
  const [points, setPoints] = useState(mark ? String(mark.points) : '');
  const [comment, setComment] = useState(mark?.comment ?? '');
  const words = useRef<HTMLTextAreaElement>(null);
  const queries = useQueryClient();
  const saving = useMutation({
    // One after the other: the last press is the one that counts.
    scope: { id: 'marks' },
    mutationFn: (body: { points: number; comment: string }) =>
      ask(
        api.POST('/api/teaching/assignments/{id}/questions/{block}/marks', {
          params: { path: { id: assignment, block: view.block } },
          body: { works: item.answers.map((a) => a.workId), ...body },
        }),
      ),
    onSuccess: () =>
      Promise.all([
        queries.invalidateQueries({ queryKey: ['question', assignment, view.block] }),
        queries.invalidateQueries({ queryKey: ['questions', assignment] }),
      ]),
  });
  const give = (typed: string, said = comment) => {
    setPoints(typed);
    if (typed.trim() === '') return;
    if (mark && String(mark.points) === typed && mark.comment === said.trim()) return;
    saving.mutate({ points: Number(typed.replace(',', '.')), comment: said });
  };
  const say = (said: string) => {
    setComment(said);
    give(points, said);
  };
  useEffect(() => {
    const press = (e: KeyboardEvent) => {
      if (isTyping(e)) return;
      if (e.key === 'c') words.current?.focus();
      else if (/^\d$/.test(e.key)) {
        const by = pointsOf(Number(e.key), view.levels, view.points);
        if (by === undefined) return;
        give(String(by));
      } else return;
      e.preventDefault();
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  });
  return (
    <form
      aria-label="Mark"
      className="flex flex-col gap-3 self-start rounded-house border border-ochre bg-wash px-4 py-3"
      onSubmit={(e) => {
        e.preventDefault();
        give(points);
      }}
    >
      {checked && !mark && <p className="text-fine">What the key brings counts, unless you give a mark.</p>}
      {view.levels.length > 0 && <Levels levels={view.levels} points={points} onChoose={(p) => give(String(p))} />}
      <label className="flex items-center gap-2 font-semibold">
        Points
        <input
          className={`${inputClass} mono w-16 text-right`}
          inputMode="decimal"
          value={points}
          onChange={(e) => setPoints(e.target.value)}
          onBlur={() => give(points)}
        />
        of {view.points}
      </label>
      <label className="flex flex-col gap-1 font-semibold">
        Comment
        <textarea
          ref={words}
          className={`${inputClass} min-h-20 py-1.5 font-normal`}
          value={comment}
          maxLength={4000}
          onChange={(e) => setComment(e.target.value)}
          onBlur={() => give(points)}
          onKeyDown={(e) => {
            if (e.key === 'Escape') e.currentTarget.blur();
            if (e.key === 'Enter' && e.ctrlKey) {
              e.currentTarget.blur();
              onNext?.();
            }
          }}
        />
      </label>
      <Bank comments={view.comments} onTake={(said) => say([comment.trim(), said].filter(Boolean).join(' '))} />
      <Trouble error={saving.error} />
      <div className="flex items-center gap-3">
        <span role="status" className="text-fine text-soft">
          {saving.isPending
            ? 'Keeping …'
            : points === '' && comment !== ''
              ? 'Give points, too: then it is kept.'
              : mark
                ? 'Kept'
                : ''}
        </span>
        {onNext && (
          <Button small className="ml-auto" onClick={onNext}>
            Next
          </Button>
        )}
      </div>
      <p className="border-t pt-2 text-fine text-soft">
        <Key>→</Key> <Key>←</Key> next, before · <Key>{view.levels.length > 0 ? '1' : '0'}</Key> …{' '}
        {view.levels.length > 0 ? 'level' : 'points'} · <Key>c</Key> comment · <Key>Ctrl Enter</Key> keep it and go on
      </p>
    </form>
  );
}

const Key = ({ children }: { children: string }) => (
  <kbd className="mono rounded-house border border-edge bg-sheet px-1 text-ink">{children}</kbd>
);

function Levels({
  levels,
  points,
  onChoose,
}: {
  levels: Schemas['AnswerLevel'][];
  points: string;
  onChoose: (points: number) => void;
}) {
  return (
    <fieldset className="flex flex-col gap-1">
      <legend className="pb-1 font-semibold">What it is like</legend>
      {levels.map((level, i) => (
        <button
          key={level.points}
          type="button"
          aria-pressed={points === String(level.points)}
          onClick={() => onChoose(level.points)}
          className={
            'flex items-baseline gap-2 rounded-house border px-2 py-1 text-left text-fine ' +
            (points === String(level.points) ? 'border-copper bg-sheet' : 'border-transparent hover:bg-sheet')
          }
        >
          <Key>{String(i + 1)}</Key>
          <span className="mono w-5 shrink-0 text-right font-semibold">{level.points}</span>
          {level.like}
        </button>
      ))}
    </fieldset>
  );
}

/** What the teacher has said before, to say it again. */
function Bank({ comments, onTake }: { comments: string[]; onTake: (said: string) => void }) {
  if (comments.length === 0) return null;
  return (
    <details className="text-fine">
      <summary className="cursor-pointer font-semibold">Said before</summary>
      <ul className="flex flex-col gap-1 pt-1.5">
        {comments.map((said) => (
          <li key={said}>
            <button
              type="button"
              className="line-clamp-2 rounded-house px-1 text-left text-indigo hover:bg-line/40"
              onClick={() => onTake(said)}
            >
              {said}
            </button>
          </li>
        ))}
      </ul>
    </details>
  );
}
