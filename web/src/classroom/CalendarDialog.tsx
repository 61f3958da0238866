import { useMutation, useQuery } from '@tanstack/react-query';
import { CalendarDays } from 'lucide-react';
import { useState } from 'react';
import { api, ask } from '../api/client';
import { Button, Dialog, inputClass, Trouble } from '../ui';

/** Opens the address of a class's calendar. */
export function CalendarButton({ classId, name }: { classId: string; name: string }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button onClick={() => setOpen(true)}>
        <CalendarDays size={15} aria-hidden />
        Calendar
      </Button>
      {open && <CalendarDialog classId={classId} name={name} onClose={() => setOpen(false)} />}
    </>
  );
}

/** The address under which calendars read when a class's labs are due. */
function CalendarDialog({ classId, name, onClose }: { classId: string; name: string; onClose: () => void }) {
  const [copied, setCopied] = useState(false);
  const [anew, setAnew] = useState<string | null>(null);
  const fetched = (fresh: boolean) =>
    ask(api.POST('/api/classes/{classId}/calendar', { params: { path: { classId } }, body: { anew: fresh } }));
  const { data, error } = useQuery({ queryKey: ['calendar', classId], queryFn: () => fetched(false), staleTime: 0 });
  const renew = useMutation({ mutationFn: () => fetched(true), onSuccess: ({ path }) => setAnew(path) });
  const path = anew ?? data?.path;
  const address = path ? location.origin + path : '';
  return (
    <Dialog open onClose={onClose} title={`Due times of ${name} as a calendar`}>
      <div className="flex flex-col gap-4">
        <p>
          Give this address to your students, or to a calendar of your own: it shows when labs open and are due, and
          keeps itself up to date. Nobody has to sign in for it, and it tells nobody’s name.
        </p>
        <Trouble error={error ?? renew.error} />
        <input
          readOnly
          aria-label="Address of the calendar"
          className={`${inputClass} mono text-fine`}
          value={address}
          onFocus={(e) => e.target.select()}
        />
        <div className="flex justify-end gap-2">
          <Button disabled={renew.isPending} onClick={() => renew.mutate()}>
            A new address
          </Button>
          <Button
            kind="main"
            disabled={!address}
            onClick={() => void navigator.clipboard.writeText(address).then(() => setCopied(true))}
          >
            {copied ? 'Copied' : 'Copy it'}
          </Button>
        </div>
        <p className="text-fine text-soft">With a new address, the one before shows nothing any more.</p>
      </div>
    </Dialog>
  );
}
