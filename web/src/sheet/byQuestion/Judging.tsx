import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { api, ask, type Schemas } from '../../api/client';
import type { Block, BlockOf } from '../../core';
import { Button, inputClass, Trouble } from '../../ui';
import { LongText } from '../../ui/LongText';
import { useDrafts, type Typed } from './drafts';
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
  const drafts = useDrafts();
  const place = `${view.block}/${item.key}`;
  const [typed, setTyped] = useState<Typed>(
    () => drafts.get(place) ?? { points: mark ? String(mark.points) : '', comment: mark?.comment ?? '' },
  );
  const [found] = useState(() => drafts.has(place));
  const { points, comment } = typed;
  const levels = rubricOf(view);
  const words = useRef<HTMLTextAreaElement>(null);
  const queries = useQueryClient();
  const saving = useMutation({
    // One after the other: the last press is the one that counts.
    scope: { id: 'marks' },
    mutationFn: ({ points, comment }: Typed) =>
      ask(
        api.POST('/api/teaching/assignments/{id}/questions/{block}/marks', {
          params: { path: { id: assignment, block: view.block } },
          body: { works: item.answers.map((a) => a.workId), points: Number(points.replace(',', '.')), comment },
        }),
      ),
    onSuccess: (_, kept) => {
      const now = drafts.get(place);
      if (now?.points === kept.points && now.comment === kept.comment) drafts.delete(place);
      return Promise.all([
        queries.invalidateQueries({ queryKey: ['question', assignment, view.block] }),
        queries.invalidateQueries({ queryKey: ['questions', assignment] }),
      ]);
    },
  });
  const type = (next: Typed) => {
    setTyped(next);
    drafts.set(place, next);
    if (saving.isError) saving.reset();
  };
  const keep = (next = typed) => {
    const last = saving.isError ? undefined : saving.variables;
    const known = last ?? (mark && { points: String(mark.points), comment: mark.comment });
    const before = known ?? { points: '', comment: '' };
    // As it was before is nothing to keep, nor to be asked about.
    if (before.points === next.points.trim() && before.comment === next.comment.trim()) {
      if (!saving.isPending) drafts.delete(place);
      return;
    }
    if (next.points.trim() === '') return;
    saving.mutate({ ...next, comment: next.comment.trim() });
  };
  const give = (next: Typed) => {
    type(next);
    keep(next);
  };
  useEffect(() => {
    const press = (e: KeyboardEvent) => {
      if (isTyping(e)) return;
      if (e.key === 'c') words.current?.focus();
      else if (/^\d$/.test(e.key)) {
        const by = pointsOf(Number(e.key), levels, view.points);
        if (by === undefined) return;
        give({ ...typed, points: String(by) });
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
        keep();
      }}
    >
      {checked && !mark && (
        <p className="text-fine">What the key brings counts, unless you give a mark and say why in the comment.</p>
      )}
      {levels.length > 0 && (
        <Levels levels={levels} points={points} onChoose={(p) => give({ ...typed, points: String(p) })} />
      )}
      <label className="flex items-center gap-2 font-semibold">
        Points
        <input
          className={`${inputClass} mono w-16 text-right`}
          inputMode="decimal"
          value={points}
          onChange={(e) => type({ ...typed, points: e.target.value })}
          onBlur={() => keep()}
        />
        of {view.points}
      </label>
      <label className="flex flex-col gap-1 font-semibold">
        Comment
        <LongText
          ref={words}
          className="min-h-20 py-1.5 font-normal"
          value={comment}
          maxLength={4000}
          onChange={(comment) => type({ ...typed, comment })}
          onBlur={() => keep()}
          onKeyDown={(e) => {
            if (e.key === 'Escape') e.currentTarget.blur();
            if (e.key === 'Enter' && e.ctrlKey) {
              e.currentTarget.blur();
              onNext?.();
            }
          }}
        />
      </label>
      <Bank
        comments={view.comments}
        onTake={(said) => give({ ...typed, comment: [comment.trim(), said].filter(Boolean).join(' ') })}
      />
      <Trouble error={saving.error} />
      {(saving.isError || (found && drafts.has(place) && !saving.isPending)) && (
        <Button small className="self-start" onClick={() => keep()}>
          Try to keep it again
        </Button>
      )}
      <div className="flex items-center gap-3">
        <span role="status" className="text-fine text-soft">
          {saving.isPending
            ? 'Keeping …'
            : points === '' && comment !== ''
              ? 'Give points, too: then it is kept.'
              : drafts.has(place)
                ? 'Not kept yet'
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
        <Key>→</Key> <Key>←</Key> next, before · <Key>{levels.length > 0 ? '1' : '0'}</Key> …{' '}
        {levels.length > 0 ? 'level' : 'points'} · <Key>c</Key> comment · <Key>Ctrl Enter</Key> keep it and go on
      </p>
    </form>
  );
}

type Level = BlockOf<'explanation'>['rubric'][number];

function rubricOf(view: Schemas['QuestionView']): Level[] {
  const block = view.shown as unknown as Block;
  return block.type === 'explanation' ? block.rubric : [];
}

const Key = ({ children }: { children: string }) => (
  <kbd className="mono rounded-house border border-edge bg-sheet px-1 text-ink">{children}</kbd>
);

function Levels({ levels, points, onChoose }: { levels: Level[]; points: string; onChoose: (points: number) => void }) {
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
