import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, type Schemas } from '../api/client';
import { Button, inputClass, Trouble } from '../ui';
import { LongText } from '../ui/LongText';
import type { Pointed } from '../core';

/** A teacher's points and comment for one block. */
export function MarkForm({
  work,
  block,
  mark,
  onMarked,
}: {
  work: string;
  block: Pointed;
  mark?: Schemas['MarkView'];
  onMarked: () => void;
}) {
  const [points, setPoints] = useState(mark ? String(mark.points) : '');
  const [comment, setComment] = useState(mark?.comment ?? '');
  const [reason, setReason] = useState('');
  const save = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/works/{workId}/marks', {
          params: { path: { workId: work } },
          body: { block: block.id, points: Number(points.replace(',', '.')), comment, reason },
        }),
      ),
    onSuccess: onMarked,
  });
  return (
    <form
      className="flex flex-col gap-2 rounded-house border border-ochre bg-wash px-3 py-2.5"
      onSubmit={(e) => {
        e.preventDefault();
        save.mutate();
      }}
    >
      {block.type === 'explanation' && block.rubric.length > 0 && (
        <fieldset className="flex flex-col gap-1">
          <legend className="pb-1 font-semibold">What it is like</legend>
          {block.rubric.map((level) => (
            <label key={level.points} className="flex cursor-pointer items-baseline gap-2 text-fine">
              <input
                type="radio"
                name={`level-${block.id}`}
                className="accent-copper"
                checked={points === String(level.points)}
                onChange={() => setPoints(String(level.points))}
              />
              <span className="mono w-4 shrink-0 text-right">{level.points}</span>
              {level.like}
            </label>
          ))}
        </fieldset>
      )}
      <label className="flex items-center gap-2 font-semibold">
        Points
        <input
          className={`${inputClass} mono w-16 text-right`}
          inputMode="decimal"
          value={points}
          onChange={(e) => setPoints(e.target.value)}
          required
          aria-label={`Points, 0 to ${block.points}`}
        />
        of {block.points}
      </label>
      <label className="flex flex-col gap-1">
        Comment
        <LongText className="min-h-16 py-1.5" value={comment} maxLength={4000} onChange={setComment} />
      </label>
      {(mark ?? block.type !== 'explanation') && (
        <label className="flex flex-col gap-1 text-fine">
          Reason, for the history: why this changes what stands
          <input className={inputClass} value={reason} maxLength={1000} onChange={(e) => setReason(e.target.value)} />
        </label>
      )}
      <Trouble error={save.error} />
      <Button kind="main" type="submit" className="self-end" disabled={save.isPending}>
        {mark ? 'Change the mark' : 'Give the mark'}
      </Button>
      <span role="status" className="sr-only">
        {save.isSuccess ? 'Mark kept' : ''}
      </span>
    </form>
  );
}
