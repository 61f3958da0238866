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
            <Tick
              key={c.id}
              name={c.name}
              on={chosen.includes(c.id)}
              onTick={(on) => onChange(on ? [...chosen, c.id] : chosen.filter((x) => x !== c.id))}
            />
          ))}
          {children}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

/** One thing that can be ticked. */
export function Tick({ name, on, onTick }: { name: string; on: boolean; onTick: (on: boolean) => void }) {
  return (
    <label className="flex items-center gap-2">
      <input
        type="checkbox"
        className="h-4 w-4 accent-(--copper)"
        checked={on}
        onChange={(e) => onTick(e.target.checked)}
      />
      {name}
    </label>
  );
}
