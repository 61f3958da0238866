import { Popover } from 'radix-ui';
import type { ReactNode } from 'react';
import { Button } from '../ui';

/** Words give way to signs where there is no room for them; on the projector, whose type is larger, sooner. */
export const WORD = 'max-xl:sr-only in-data-[theme=projector]:max-[100rem]:sr-only';

/** A button that opens a list of things to show or hide. */
export function ShowMenu({
  title,
  items,
  chosen,
  onChange,
  icon,
  small,
}: {
  title: string;
  items: { id: string; name: string }[];
  chosen: string[];
  onChange: (c: string[]) => void;
  icon: ReactNode;
  small?: boolean;
}) {
  return (
    <Popover.Root>
      <Popover.Trigger asChild>
        <Button title={title} small={small}>
          {icon}
          <span className={icon ? WORD : ''}>{title}</span>
        </Button>
      </Popover.Trigger>
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
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
