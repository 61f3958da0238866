import { Presentation } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import type { SetUp } from '../core';
import { menuBox, menuItem } from '../ui';
import { HeadButton } from './HeadButton';

/** Benches that are kept ready for showing one thing, each with a word on what to do with it. */
export function SetUpMenu({ setUps, onTake }: { setUps: SetUp[]; onTake: (s: SetUp) => void }) {
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger asChild>
        <HeadButton sign={<Presentation size={15} />} word="Set-ups" />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content className={`${menuBox} max-w-96`} align="end" sideOffset={6}>
          {setUps.map((s) => (
            <DropdownMenu.Item
              key={s.id}
              className={`${menuItem} flex-col items-start! gap-0!`}
              onSelect={() => onTake(s)}
            >
              <b>{s.name}</b>
              <span className="text-fine leading-snug text-soft">{s.about}</span>
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
