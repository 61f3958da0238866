import { Popover } from 'radix-ui';
import type { ReactElement, ReactNode } from 'react';

/** A list of things to show or hide, opened by a button. */
export function ShowMenu({
  trigger,
  items,
  chosen,
  onChange,
  children,
}: {
  trigger: ReactElement;
  items: { id: string; name: string }[];
  chosen: string[];
  onChange: (c: string[]) => void;
  /** What else is chosen here. */
  children?: ReactNode;
}) {
  return (
    <Popover.Root>
      <Popover.Trigger asChild>{trigger}</Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          sideOffset={6}
          align="end"
          className="z-40 flex max-h-[75vh] flex-col gap-1 overflow-auto rounded-house border bg-sheet p-3 text-ink"
        >
          {items.map((c) => (
            <label key={c.id} className="flex items-center gap-2">
              <input
                type="checkbox"
                className="h-4 w-4 accent-(--copper)"
                checked={chosen.includes(c.id)}
                onChange={(e) => onChange(e.target.checked ? [...chosen, c.id] : chosen.filter((x) => x !== c.id))}
              />
              {c.name}
            </label>
          ))}
          {children}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
