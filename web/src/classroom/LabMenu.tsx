import { useMutation, useQueryClient } from '@tanstack/react-query';
import { MoreHorizontal } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { useId, useState } from 'react';
import { api, ask, type Schemas } from '../api/client';
import { Button, Dialog, inputClass, menuBox, menuItem, Trouble } from '../ui';

/** What else can be done with a lab of one's own. */
export function LabMenu({ lab, folders, given }: { lab: Schemas['OwnView']; folders: string[]; given: number }) {
  const queries = useQueryClient();
  const [asking, setAsking] = useState<'folder' | 'remove' | null>(null);
  const [folder, setFolder] = useState(lab.folder);
  const known = useId();
  const path = { params: { path: { labId: lab.id } } };
  const act = useMutation({
    mutationFn: (what: () => Promise<unknown>) => what(),
    onSuccess: () => {
      setAsking(null);
      void queries.invalidateQueries({ queryKey: ['drafts'] });
      void queries.invalidateQueries({ queryKey: ['shelf'] });
    },
  });
  return (
    <>
      <DropdownMenu.Root>
        <DropdownMenu.Trigger asChild>
          <button
            type="button"
            aria-label={`More with ${lab.title}`}
            className="rounded-house border border-edge p-2 hover:border-ink"
          >
            <MoreHorizontal size={16} aria-hidden />
          </button>
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content className={menuBox} align="end" sideOffset={4}>
            <DropdownMenu.Item
              className={menuItem}
              onSelect={() => {
                setFolder(lab.folder);
                setAsking('folder');
              }}
            >
              Move to a folder …
            </DropdownMenu.Item>
            <DropdownMenu.Item
              className={menuItem}
              disabled={lab.version === 0}
              onSelect={() =>
                act.mutate(() => ask(api.POST('/api/drafts/{labId}/shelf', { ...path, body: { shared: !lab.shared } })))
              }
            >
              {lab.shared ? 'Take off the school’s shelf' : 'Put on the school’s shelf'}
            </DropdownMenu.Item>
            <DropdownMenu.Item className={menuItem} asChild>
              <a href={`/api/drafts/${lab.id}/file`} download>
                Save as a file
              </a>
            </DropdownMenu.Item>
            <DropdownMenu.Item className={menuItem} onSelect={() => setAsking('remove')}>
              Take away …
            </DropdownMenu.Item>
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
      {asking === null && <Trouble error={act.error} />}
      <Dialog open={asking === 'folder'} onClose={() => setAsking(null)} title={`A folder for “${lab.title}”`}>
        <form
          className="flex flex-col gap-4"
          onSubmit={(e) => {
            e.preventDefault();
            act.mutate(() => ask(api.POST('/api/drafts/{labId}/folder', { ...path, body: { folder } })));
          }}
        >
          <label className="flex flex-col gap-1 font-semibold">
            Folder
            <input
              className={inputClass}
              list={known}
              maxLength={60}
              value={folder}
              onChange={(e) => setFolder(e.target.value)}
            />
          </label>
          <datalist id={known}>
            {folders.map((f) => (
              <option key={f} value={f} />
            ))}
          </datalist>
          <p className="text-fine text-soft">A new name makes a new folder; none takes it out of all.</p>
          <Trouble error={act.error} />
          <Button kind="main" type="submit" disabled={act.isPending}>
            Keep it
          </Button>
        </form>
      </Dialog>
      <Dialog open={asking === 'remove'} onClose={() => setAsking(null)} title={`Take “${lab.title}” away`}>
        <div className="flex flex-col gap-4">
          <p>
            It leaves My labs, with all its states.{' '}
            {given > 0
              ? `${given === 1 ? 'The class that has it keeps' : `The ${given} classes that have it keep`} it.`
              : 'No class has it.'}
          </p>
          <Trouble error={act.error} />
          <div className="flex justify-end gap-2">
            <Button onClick={() => setAsking(null)}>Cancel</Button>
            <Button
              kind="main"
              disabled={act.isPending}
              onClick={() => act.mutate(() => ask(api.DELETE('/api/drafts/{labId}', path)))}
            >
              Take it away
            </Button>
          </div>
        </div>
      </Dialog>
    </>
  );
}
