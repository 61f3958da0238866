import { Popover } from 'radix-ui';
import { lazy, type ComponentProps } from 'react';
import { Button } from '../ui';
import { Fetched } from '../ui/Fetched';
import type { FitForm } from './FitForm';
import { fitForm } from './fitsAhead';
import { fitsOf } from './model';

const Form = lazy(async () => ({ default: (await fitForm()).FitForm }));

/** Where fits of a graph are chosen, and how many there are. */
export function FitMenu(props: ComponentProps<typeof FitForm>) {
  const fits = fitsOf(props.choice, props.ys[0]?.id);
  return (
    <Popover.Root>
      <Popover.Trigger asChild>
        <Button small>Fits{fits.length > 0 && `, ${fits.length}`}</Button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="top"
          sideOffset={6}
          align="start"
          collisionPadding={8}
          className={
            'z-40 flex max-h-(--radix-popover-content-available-height) w-96 flex-col gap-3 ' +
            'overflow-auto rounded-house border bg-sheet p-3 text-ink'
          }
          aria-label="Fits"
        >
          <Fetched what="Fits" waiting={<p role="status">On its way …</p>}>
            <Form {...props} />
          </Fetched>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
