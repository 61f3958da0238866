import { Eraser, Flag, MapPin, TextCursorInput } from 'lucide-react';
import { Popover } from 'radix-ui';
import { printFixed } from '../core';
import { Button } from '../ui';
import { InstrumentIcon } from './InstrumentLayer';
import { displays, type InstrumentState } from './useInstruments';

const MOST_LAPS = 20;

/** What displays show, and what can be done with the instruments that lie there. */
export function InstrumentStrip({
  state: s,
  onGo,
  onTake,
}: {
  state: InstrumentState;
  onGo: (frame: number) => void;
  onTake?: (instrument: string) => void;
}) {
  const shown = displays(s);
  const watch = s.placing.stopwatch;
  if (shown.length === 0 && !s.placing.markers) return null;
  const put = (more: object) => s.setPlacing({ ...s.placing, ...more });
  return (
    <div
      className="flex flex-wrap items-center gap-2 bg-sheet px-3 py-1 text-fine"
      role="group"
      aria-label="Instruments in use"
    >
      {shown.map((d) => (
        <span
          key={d.instrument.id}
          className="flex items-center gap-2 rounded-house border border-copper px-2 py-0.5"
          data-instrument={d.instrument.id}
        >
          <span className="flex items-center gap-1.5 text-copper">
            <InstrumentIcon shape={d.instrument.shape} />
            <output className="mono text-base font-semibold" aria-label={d.instrument.name}>
              {d.text}
            </output>
          </span>
          {d.passages !== undefined && (
            <span className="text-soft">
              {d.passages} {d.passages === 1 ? 'passage' : 'passages'}
            </span>
          )}
          {d.instrument.shape === 'clock' && watch && !s.readOnly && (
            <>
              <Button small onClick={() => put({ stopwatch: { zero: s.frame, laps: [], cycles: 0 } })}>
                Zero here
              </Button>
              <Button
                small
                onClick={() =>
                  put({ stopwatch: { ...watch, laps: [...(watch.laps ?? []), s.frame].slice(-MOST_LAPS) } })
                }
              >
                Lap
              </Button>
              <span className="inline-flex items-center gap-1">
                <Button
                  small
                  aria-label="One cycle less"
                  onClick={() => put({ stopwatch: { ...watch, cycles: Math.max(0, (watch.cycles ?? 0) - 1) } })}
                >
                  −
                </Button>
                <output className="mono" aria-label="Cycles counted">
                  {watch.cycles ?? 0}
                </output>
                <Button
                  small
                  aria-label="One cycle more"
                  onClick={() => put({ stopwatch: { ...watch, cycles: (watch.cycles ?? 0) + 1 } })}
                >
                  +
                </Button>
                <span className="text-soft">cycles</span>
              </span>
              <Button small kind="quiet" onClick={() => onGo(watch.zero)}>
                <Flag size={13} aria-hidden />
                zero
              </Button>
              {(watch.laps?.length ?? 0) > 0 && (
                <span className="mono text-soft" data-testid="laps">
                  {watch
                    .laps!.slice(-4)
                    .map((f) => printFixed(s.seconds(f - watch.zero), 2))
                    .join(' · ')}
                </span>
              )}
            </>
          )}
          {onTake && !Number.isNaN(d.si) && !s.readOnly && (
            <Button
              small
              kind="quiet"
              aria-label={`Put ${d.text} into the selected cell`}
              title="Into the selected cell"
              onMouseDown={(e) => e.preventDefault()}
              onClick={() => onTake(d.instrument.id)}
            >
              <TextCursorInput size={14} aria-hidden />
            </Button>
          )}
        </span>
      ))}
      {s.placing.markers && (
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
      )}
    </div>
  );
}
