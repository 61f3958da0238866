import { useMutation, useQuery } from '@tanstack/react-query';
import { api, ask } from '../api/client';
import type { Journal } from '../notebook/journal';
import { Button, Dialog, Trouble } from '../ui';
import { settleVoices } from '../voice';

/** Handing in, with a list of what is missing. */
export function SubmitDialog({
  work,
  journal,
  onClose,
  onDone,
}: {
  work: string;
  journal: Journal;
  onClose: () => void;
  onDone: () => void;
}) {
  const path = { params: { path: { workId: work } } };
  const settle = async () => {
    if (!(await journal.settle()) || !(await settleVoices(work)))
      throw new Error(
        'Some entries have not reached the server yet. They are safe on this device; hand in when the network is back.',
      );
  };
  const missing = useQuery({
    queryKey: ['missing', work],
    gcTime: 0,
    staleTime: 0,
    queryFn: async () => {
      await settle();
      return ask(api.GET('/api/works/{workId}/missing', path));
    },
    retry: false,
  });
  const submit = useMutation({
    mutationFn: async () => {
      await settle();
      await ask(api.POST('/api/works/{workId}/submission', path));
    },
    onSuccess: onDone,
  });
  const items = missing.data?.items;
  return (
    <Dialog open onClose={onClose} title="Hand in this lab">
      <div className="flex flex-col gap-4">
        {missing.isLoading && <p className="text-soft">Looking through your work …</p>}
        <Trouble error={missing.error ?? submit.error} />
        {items && items.length > 0 && (
          <div>
            <p className="mb-1 font-semibold">Still missing:</p>
            <ul className="list-disc pl-5">
              {items.map((m) => (
                <li key={m.block}>{m.text}</li>
              ))}
            </ul>
          </div>
        )}
        {items?.length === 0 && <p className="font-semibold text-verdigris">Everything is there.</p>}
        <p className="text-soft">
          Once it is handed in, you can read your work. To go on with it, take it back: that can be done until your
          teacher begins to mark it, or the lab closes.
        </p>
        <div className="flex justify-end gap-2">
          <Button onClick={onClose}>Go on working</Button>
          <Button kind="main" disabled={!items || submit.isPending} onClick={() => submit.mutate()}>
            {items?.length ? 'Hand in as it is' : 'Hand in'}
          </Button>
        </div>
      </div>
    </Dialog>
  );
}
