import { useMutation } from '@tanstack/react-query';
import { Undo2 } from 'lucide-react';
import { useState } from 'react';
import { api, ask } from '../api/client';
import { Button, Dialog, Trouble } from '../ui';
import { LongText } from '../ui/LongText';

/** Gives a work back to its student, who then hands it in again. */
export function Reopen({ work, onDone }: { work: string; onDone: () => void }) {
  const [asking, setAsking] = useState(false);
  const [words, setWords] = useState('');
  const reopen = useMutation({
    mutationFn: () =>
      ask(api.POST('/api/works/{workId}/reopening', { params: { path: { workId: work } }, body: { words } })),
    onSuccess: () => {
      setAsking(false);
      onDone();
    },
  });
  return (
    <>
      <Button kind="quiet" onClick={() => setAsking(true)}>
        <Undo2 size={15} aria-hidden />
        Give back
      </Button>
      <Dialog open={asking} onClose={() => setAsking(false)} title="Give this work back">
        <div className="flex flex-col gap-4">
          <p>
            The student can change it again, also after the due time, and hands it in anew. Marks and tries stay, and
            what was handed in can still be looked at in the history.
          </p>
          <label className="flex flex-col gap-1 font-semibold">
            What to do again
            <LongText className="min-h-20 py-1.5 font-normal" value={words} maxLength={1000} onChange={setWords} />
          </label>
          <Trouble error={reopen.error} />
          <div className="flex justify-end gap-2">
            <Button onClick={() => setAsking(false)}>Cancel</Button>
            <Button kind="main" disabled={reopen.isPending} onClick={() => reopen.mutate()}>
              Give it back
            </Button>
          </div>
        </div>
      </Dialog>
    </>
  );
}
