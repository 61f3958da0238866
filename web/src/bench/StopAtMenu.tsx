import { Flag } from 'lucide-react';
import { Popover } from 'radix-ui';
import { isShown, printShort, type Manifest, type SettingValues, type StopAt } from '../core';
import { memo, useState } from 'react';
import { Button, inputClass, Select } from '../ui';
import { toldOutcomes } from '../core/words';
import { channelItems } from './words';

/** Where to pause by itself: an event of the manifest, its nth time, a time, or a channel's value. */
export const StopAtMenu = memo(function StopAtMenu({
  m,
  bodies,
  settings,
  onStopAt,
  begun,
}: {
  m: Manifest;
  /** What each body is called now, as one text: it isn't drawn anew with every frame. */
  bodies: string;
  /** The settings now, as one text likewise. */
  settings: string;
  onStopAt: (s: StopAt, backwards: boolean) => string | undefined;
  begun: boolean;
}) {
  const [open, setOpen] = useState(false);
  const [kind, setKind] = useState(`event:${m.events[0]?.id ?? ''}`);
  const [value, setValue] = useState('1');
  const [error, setError] = useState<string | undefined>();
  const [before, setBefore] = useState(true);
  const [type, id] = kind.split(':');
  const event = m.events.find((e) => type === 'event' && e.id === id);
  const channel = m.channels.find((c) => c.id === id);
  const choose = (next: string) => {
    setKind(next);
    setValue(next.startsWith('event') ? '1' : next.startsWith('time') ? printShort(2 * m.speed * m.timePerSi) : '0');
    setError(undefined);
  };
  const longest = 3600 * m.speed * m.timePerSi;
  const go = (backwards: boolean) => {
    const number = Number(value.replace(',', '.').replace('−', '-'));
    if (type !== 'outcome' && (!Number.isFinite(number) || value.trim() === '')) {
      setError('Type a number');
    } else if (type === 'event' && !(Number.isInteger(number) && number >= 1 && number <= 1000)) {
      setError('Which one: a whole number from 1 to 1000');
    } else if (type === 'time' && !(number > 0 && number <= longest)) {
      setError(`A time from 0 to ${printShort(longest)} ${m.timeUnit}`);
    } else {
      const problem = onStopAt(
        type === 'event'
          ? { type, event: id, count: number, before: !!event?.leaps && before }
          : type === 'time'
            ? { type, time: number }
            : type === 'outcome'
              ? { type, outcome: id }
              : { type: 'crossing', channel: id, value: number },
        backwards,
      );
      setError(problem);
      if (!problem) setOpen(false);
    }
  };
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger asChild>
        <Button>
          <Flag size={15} />
          Stop at …
        </Button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="top"
          sideOffset={8}
          className="z-40 flex w-76 flex-col gap-3 rounded-house border bg-sheet p-4 text-ink"
        >
          <label className="flex flex-col gap-1 text-fine">
            Stop exactly at
            <select className={inputClass} value={kind} onChange={(e) => choose(e.target.value)}>
              {m.events.map((e) => (
                <option key={e.id} value={`event:${e.id}`}>
                  {e.name}
                </option>
              ))}
              <option value="time:t">a time</option>
              {toldOutcomes(m)
                .filter((o) => isShown(o.shownWhen, JSON.parse(settings) as SettingValues))
                .map((o) => (
                  <option key={o.id} value={`outcome:${o.id}`}>
                    {o.name} is settled
                  </option>
                ))}
              {channelItems(m, JSON.parse(bodies) as string[]).map((c) => (
                <option key={c.id} value={`crossing:${c.id}`}>
                  {c.name} =
                </option>
              ))}
            </select>
          </label>
          <label className="flex items-center gap-2 text-fine" hidden={type === 'outcome'}>
            {type === 'event' ? 'Which one, counted from now' : type === 'time' ? 't =' : `${channel?.symbol} =`}
            <input
              className={`${inputClass} mono w-24`}
              value={value}
              onChange={(e) => setValue(e.target.value)}
              onKeyDown={(e) => {
                if (e.key === 'Enter') go(false);
              }}
              aria-label="Value to stop at"
            />
            {type === 'time' ? m.timeUnit : channel?.unit}
          </label>
          {event?.leaps && (
            <Select
              label="Something leaps there: stop"
              value={before ? 'before' : 'after'}
              onChange={(v) => setBefore(v === 'before')}
              options={[
                { id: 'before', name: 'just before it' },
                { id: 'after', name: 'just after it' },
              ]}
            />
          )}
          {error && (
            <p role="alert" className="text-fine text-copper">
              {error}
            </p>
          )}
          <div className="flex gap-2">
            <Button onClick={() => go(true)} disabled={!begun}>
              Back to there
            </Button>
            <Button kind="main" className="flex-1" onClick={() => go(false)}>
              Run to there
            </Button>
          </div>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
});
