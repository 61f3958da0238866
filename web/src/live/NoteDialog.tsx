import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, type Schemas } from '../api/client';
import { Button, Dialog, Trouble } from '../ui';
import { LongText } from '../ui/LongText';

/** Somebody who is written to, and what they asked. */
export type Addressee = Pick<Schemas['LiveLine'], 'name' | 'workId' | 'call'>;

/** Writes a note to one, to some or to all; whoever of them asked for help is answered by it. */
export function NoteDialog({
  assignment,
  to,
  names,
  onClose,
  onDone,
}: {
  assignment: string;
  /** To whom; nobody means all who have the lab. */
  to: Addressee[];
  /** What each is called on this screen. */
  names: string[];
  onClose: () => void;
  onDone: (told: string) => void;
}) {
  const [words, setWords] = useState('');
  const send = useMutation({
    mutationFn: (text: string) =>
      ask(
        api.POST('/api/teaching/assignments/{id}/notes', {
          params: { path: { id: assignment } },
          body: { works: to.map((s) => s.workId!), words: text },
        }),
      ),
    onSuccess: (_, text) => onDone(text ? 'The note is sent.' : 'The call is ended.'),
  });
  const call = to.length === 1 ? to[0].call : undefined;
  const title =
    to.length === 0
      ? 'Note to all who have this lab'
      : to.length === 1
        ? `Note to ${names[0]}`
        : `Note to ${to.length} students`;
  return (
    <Dialog open onClose={onClose} title={title}>
      <form
        className="flex flex-col gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          send.mutate(words);
        }}
      >
        {call && (
          <div className="rounded-house border-l-3 border-ochre bg-wash px-3 py-2">
            <p className="text-fine text-soft">Asks for help with {call.about}</p>
            {call.words && <p className="[overflow-wrap:anywhere]">{call.words}</p>}
          </div>
        )}
        {to.length > 1 && <p className="text-soft">{names.join(', ')}</p>}
        <label className="flex flex-col gap-1 font-semibold">
          Note
          <LongText
            className="min-h-24 py-1.5 font-normal"
            value={words}
            maxLength={1000}
            required
            onChange={setWords}
          />
        </label>
        <p className="text-fine text-soft">
          It appears beside the lab at once and stays with the work.
          {to.length === 0 && ' Who begins later finds it, too.'}
        </p>
        <Trouble error={send.error} />
        <div className="flex justify-end gap-2">
          {to.some((s) => s.call) && (
            <Button disabled={send.isPending} onClick={() => send.mutate('')}>
              Helped by word of mouth
            </Button>
          )}
          <Button kind="main" type="submit" disabled={send.isPending}>
            Send the note
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
