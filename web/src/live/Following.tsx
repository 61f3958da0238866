import { MessageSquare } from 'lucide-react';
import { useState } from 'react';
import { createPortal } from 'react-dom';
import type { Schemas } from '../api/client';
import { Button } from '../ui';
import { useEvents } from './events';
import { NoteDialog } from './NoteDialog';
import { Notes } from './Notes';

/** A teacher follows a work as it goes on, and may write to its student. */
export function Following({
  work,
  assignment,
  student,
  notesAt,
  onWritten,
  onAdded,
  onNow,
}: {
  work: string;
  assignment: string;
  student: string;
  notesAt: HTMLElement | null;
  /** Something was written into the notebook. */
  onWritten: () => void;
  /** A try, a mark or a trial was added, or it was handed in. */
  onAdded: () => void;
  /** Told of all that is heard. */
  onNow: (now: Schemas['WorkNow']) => void;
}) {
  const [now, setNow] = useState<Schemas['WorkNow']>();
  const [writing, setWriting] = useState(false);
  const hears = useEvents<Schemas['WorkNow']>(`/api/works/${work}/live`, (told) => {
    // The page was read before the first event came, so that one may have news, too.
    if (told.seq !== now?.seq) onWritten();
    if (now && told.added !== now.added) onAdded();
    setNow(told);
    onNow(told);
  });
  return (
    <>
      <span className="text-fine text-verdigris" role="status" title="This page follows what the student does">
        {hears ? (
          <>
            ● <span className="sr-only">following</span>
          </>
        ) : (
          'not following just now'
        )}
      </span>
      <Button className={now?.call ? 'border-ochre bg-wash' : ''} onClick={() => setWriting(true)}>
        <MessageSquare size={15} aria-hidden />
        {now?.call ? 'Answer' : 'Note'}
      </Button>
      {notesAt &&
        now &&
        (now.call || now.notes.length > 0) &&
        createPortal(
          <>
            {now.call && (
              <section className="mb-2 rounded-house border-l-3 border-ochre bg-wash px-3 py-2">
                <p className="text-fine text-soft">Asks for help with {now.call.about}</p>
                {now.call.words && <p className="[overflow-wrap:anywhere]">{now.call.words}</p>}
              </section>
            )}
            <Notes work={work} notes={now.notes} own={false} />
          </>,
          notesAt,
        )}
      {writing && (
        <NoteDialog
          assignment={assignment}
          to={[{ name: student, workId: work, call: now?.call }]}
          names={[student]}
          onClose={() => setWriting(false)}
          onDone={() => setWriting(false)}
        />
      )}
    </>
  );
}
