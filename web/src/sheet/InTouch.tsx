import { lazy } from 'react';
import type { Schemas } from '../api/client';
import type { Sheet } from '../core';
import type { Journal } from '../notebook/journal';
import { Fetched } from '../ui/Fetched';
import type { Looking } from './looking';

const live = () => import('../live');
const AtWork = lazy(async () => ({ default: (await live()).AtWork }));
const Following = lazy(async () => ({ default: (await live()).Following }));

/** A lab's page in touch with the other side: the student with the teacher, or the teacher who follows. */
export function InTouch({
  data,
  part,
  journal,
  notesAt,
  done,
  looking,
  onAdded,
}: {
  data: Schemas['WorkView'];
  part: Sheet['parts'][number];
  journal: Journal;
  notesAt: HTMLElement | null;
  done: boolean;
  looking: Looking;
  onAdded: () => void;
}) {
  return (
    <Fetched narrow what={data.own ? 'Help' : 'Following'}>
      {data.own ? (
        <AtWork
          work={data.id}
          part={part}
          settle={() => journal.settle()}
          notesAt={notesAt}
          done={done}
          onNow={looking.hear}
        />
      ) : (
        <Following
          work={data.id}
          assignment={data.assignmentId}
          student={data.student}
          notesAt={notesAt}
          onWritten={() => void journal.catchUp()}
          onAdded={onAdded}
          onNow={looking.hear}
        />
      )}
    </Fetched>
  );
}
