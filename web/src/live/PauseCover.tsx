import { Dialog as RadixDialog } from 'radix-ui';
import { useEffect } from 'react';
import type { Schemas } from '../api/client';
import { timeOfDay } from '../ui/dates';
import { setPaused } from '../ui/paused';

/** While the class pauses the lab is covered, and what runs on its bench stands still. */
export function PauseCover({ paused }: { paused: Schemas['PauseView'] }) {
  useEffect(() => {
    setPaused(true);
    return () => setPaused(false);
  }, []);
  return (
    <RadixDialog.Root open>
      <RadixDialog.Portal>
        <RadixDialog.Overlay className="fixed inset-0 z-60 bg-paper/90" />
        <RadixDialog.Content
          role="alertdialog"
          className={
            'fixed top-1/2 left-1/2 z-60 w-[92vw] max-w-xl -translate-x-1/2 -translate-y-1/2 rounded-house ' +
            'border-2 border-copper bg-paper p-10 text-center outline-none'
          }
          onEscapeKeyDown={(e) => e.preventDefault()}
          onPointerDownOutside={(e) => e.preventDefault()}
          onInteractOutside={(e) => e.preventDefault()}
        >
          <RadixDialog.Title className="text-display font-bold">Eyes up</RadixDialog.Title>
          {paused.words && <p className="mt-3 text-title [overflow-wrap:anywhere]">{paused.words}</p>}
          <RadixDialog.Description className="mt-4 text-soft">
            The class pauses since {timeOfDay(new Date(paused.since))}. All you did is kept, and you go on where you
            were as soon as the class does.
          </RadixDialog.Description>
        </RadixDialog.Content>
      </RadixDialog.Portal>
    </RadixDialog.Root>
  );
}
