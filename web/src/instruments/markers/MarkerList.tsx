import { Eraser, MapPin } from 'lucide-react';
import { Popover } from 'radix-ui';
import { printFixed } from '../../core';
import { Button } from '../../ui';
import type { Buttons } from '../kind/kind';

/** The marks by their times, each to be shown again or erased. */
export function MarkerList({ state: s, onGo }: Buttons<object>) {
  return (
    <span className="inline-flex items-center gap-1.5">
      <Popover.Root>
        <Popover.Trigger asChild>
          <Button small disabled={s.markers.length === 0}>
            <MapPin size={13} aria-hidden />
            {s.markers.length} {s.markers.length === 1 ? 'marker' : 'markers'}
          </Button>
        </Popover.Trigger>
        <Popover.Portal>
          <Popover.Content
            side="top"
            sideOffset={6}
            className="z-40 max-h-72 overflow-auto rounded-house border bg-sheet p-2 text-ink"
          >
            <ul className="flex flex-col gap-0.5">
              {s.markers.map((k, n) => (
                <li key={k.frame} className="flex items-center gap-2">
                  <Button small kind="quiet" onClick={() => onGo(k.frame)}>
                    {n + 1}. <span className="mono">{printFixed(s.seconds(k.frame), 3)}</span>
                  </Button>
                  {!s.readOnly && (
                    <Button
                      small
                      kind="quiet"
                      aria-label={`Erase marker ${n + 1}`}
                      onClick={() => s.setMarkers(s.markers.filter((x) => x.frame !== k.frame))}
                    >
                      <Eraser size={13} />
                    </Button>
                  )}
                </li>
              ))}
            </ul>
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
      {s.markers.length > 0 && !s.readOnly && (
        <Button small kind="quiet" onClick={() => s.setMarkers([])}>
          <Eraser size={13} aria-hidden />
          Erase all
        </Button>
      )}
    </span>
  );
}
