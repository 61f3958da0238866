import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask } from '../api/client';
import { Button, Dialog, Trouble } from '../ui';
import { LongText } from '../ui/LongText';
import type { Sheet } from '../core';

/** Asks the teacher for help, about the part one is in, one of its questions, or what was read off last. */
export function HelpDialog({
  work,
  part,
  settle,
  onClose,
}: {
  work: string;
  part: Sheet['parts'][number];
  /** Waits until all that was typed is on the server, where the teacher will look at it. */
  settle: () => Promise<boolean>;
  onClose: () => void;
}) {
  const questions = part.blocks.flatMap((b) => ('prompt' in b && b.prompt ? [{ id: b.id, prompt: b.prompt }] : []));
  const reads = part.blocks.some((b) => b.type === 'table' || b.type === 'films' || b.type === 'bench');
  const [about, setAbout] = useState('');
  const [words, setWords] = useState('');
  const send = useMutation({
    mutationFn: async () => {
      await settle();
      await ask(
        api.POST('/api/works/{workId}/calls', {
          params: { path: { workId: work } },
          body: {
            part: part.id,
            block: about.startsWith('block ') ? about.slice(6) : '',
            reading: about === 'reading',
            words,
          },
        }),
      );
    },
    onSuccess: onClose,
  });
  const choice = (value: string, label: string) => (
    <label key={value} className="flex cursor-pointer items-baseline gap-2">
      <input
        type="radio"
        name="about"
        className="accent-copper"
        checked={about === value}
        onChange={() => setAbout(value)}
      />
      {label}
    </label>
  );
  return (
    <Dialog open onClose={onClose} title="Ask for help">
      <form
        className="flex flex-col gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          send.mutate();
        }}
      >
        <fieldset className="flex flex-col gap-1.5">
          <legend className="pb-1 font-semibold">What is it about?</legend>
          {choice('', `This part: ${part.title}`)}
          {questions.map((q) => choice(`block ${q.id}`, q.prompt))}
          {reads && choice('reading', 'What I read off last')}
        </fieldset>
        <label className="flex flex-col gap-1 font-semibold">
          In your words, if you like
          <LongText className="min-h-16 py-1.5 font-normal" value={words} maxLength={300} onChange={setWords} />
        </label>
        <p className="text-fine text-soft">Only your teacher sees it. Go on with something else meanwhile.</p>
        <Trouble error={send.error} />
        <Button kind="main" type="submit" className="self-end" disabled={send.isPending}>
          Ask for help
        </Button>
      </form>
    </Dialog>
  );
}
