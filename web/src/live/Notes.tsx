import { useMutation } from '@tanstack/react-query';
import { MessageSquare } from 'lucide-react';
import { api, ask, type Schemas } from '../api/client';
import { dayAndTime } from '../ui/dates';
import { Button, Trouble } from '../ui';

type Note = Schemas['NoteView'];

const signed = (note: Note) => `${note.by}, ${dayAndTime(note.at)}${note.toAll ? ', to all' : ''}`;

/** Notes of the teacher's: new ones in front until they are read, older ones to be opened. */
export function Notes({ work, notes, own }: { work: string; notes: Note[]; own: boolean }) {
  const read = useMutation({
    mutationFn: (noteId: string) =>
      ask(api.POST('/api/works/{workId}/notes/{noteId}/read', { params: { path: { workId: work, noteId } } })),
  });
  const fresh = own ? notes.filter((n) => !n.read && (read.isError || n.id !== read.variables)) : [];
  const older = notes.filter((n) => !fresh.includes(n));
  return (
    <div className="flex flex-col gap-2" aria-live="polite">
      {fresh.map((n) => (
        <section key={n.id} className="rounded-house border-l-3 border-indigo bg-stage px-3 py-2">
          <p className="[overflow-wrap:anywhere] whitespace-pre-wrap">{n.words}</p>
          <div className="mt-1 flex items-center justify-between gap-2">
            <p className="text-fine text-soft">{signed(n)}</p>
            <Button small onClick={() => read.mutate(n.id)}>
              Read
            </Button>
          </div>
        </section>
      ))}
      <Trouble error={read.error} />
      {older.length > 0 && (
        <details className="text-fine">
          <summary className="cursor-pointer text-indigo">
            <MessageSquare size={13} className="mr-1 inline" aria-hidden />
            {own ? 'Notes from your teacher' : 'Notes to this student'} ({older.length})
          </summary>
          <ul className="mt-1 flex flex-col gap-1.5">
            {older.map((n) => (
              <li key={n.id} className="border-l-3 pl-2">
                <p className="[overflow-wrap:anywhere] whitespace-pre-wrap">{n.words}</p>
                <p className="text-soft">
                  {signed(n)}
                  {!own && (n.read ? ' · read' : ' · not read yet')}
                </p>
              </li>
            ))}
          </ul>
        </details>
      )}
    </div>
  );
}
