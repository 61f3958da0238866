import { CircleHelp, X } from 'lucide-react';
import { Dialog } from 'radix-ui';
import { useState, type ComponentType, type ReactElement } from 'react';
import { Button } from '../ui';
import { HELP, type HelpPlace } from './help';

/** Opens the guides beside the page, at what they say of this place. They are fetched when they are first opened. */
export function Help({ at, trigger }: { at: HelpPlace; trigger?: ReactElement }) {
  const [open, setOpen] = useState(false);
  const [Guides, setGuides] = useState<ComponentType<{ at: string }> | null>(null);
  const [missing, setMissing] = useState(false);
  const show = (on: boolean) => {
    setOpen(on);
    setMissing(false);
    if (on && !Guides)
      import('./Guides').then(
        (m) => setGuides(() => m.Guides),
        () => setMissing(true),
      );
  };
  return (
    // Not modal: it is read while working.
    <Dialog.Root open={open} onOpenChange={show} modal={false}>
      <Dialog.Trigger asChild>
        {trigger ?? (
          <Button small kind="quiet" title="Help">
            <CircleHelp size={15} aria-hidden />
            <span className="sr-only min-[1150px]:not-sr-only">Help</span>
          </Button>
        )}
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Content
          aria-describedby={undefined}
          onInteractOutside={(e) => e.preventDefault()}
          className="fixed inset-y-0 right-0 z-40 flex w-[26rem] max-w-full flex-col border-l bg-sheet text-ink"
        >
          <div className="flex items-center justify-between gap-4 border-b px-4 py-2.5">
            <Dialog.Title className="text-lead font-bold">Help</Dialog.Title>
            <Dialog.Close aria-label="Close help" className="rounded-house p-1 hover:bg-line/50">
              <X size={18} />
            </Dialog.Close>
          </div>
          {Guides ? (
            <Guides at={HELP[at]} />
          ) : (
            <p className="px-4 py-3 text-soft" role="status">
              {missing
                ? 'The guides can’t be fetched now. Close this and try again when the network is back.'
                : 'Opening …'}
            </p>
          )}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
