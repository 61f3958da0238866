import type { Loop } from './useRuns';
import type { Manifest, Run } from '../core';
import { Slider } from '../ui';
import { timeText } from '../core/time';

/** More marks than this can't be told apart; then only every so many are drawn. */
const MOST_MARKS = 240;
const MARK_LOOK = ['var(--ink)', 'var(--copper)', 'var(--indigo)', 'var(--verdigris)'];

/** The whole run as a line: its events as marks, the stretch that is looped, and the moment shown. */
export function TimeLine({
  m,
  run,
  loop,
  onSeek,
  disabled,
}: {
  m: Manifest;
  run: Run;
  loop: Loop | null;
  onSeek: (t: number) => void;
  disabled: boolean;
}) {
  const head = Math.max(run.head(), 1e-6 * m.speed);
  const events = run.events();
  const every = Math.ceil(events.length / 2 / MOST_MARKS);
  // One path for each kind, in thousandths of the line: hundreds of marks move with every frame.
  const marks = m.events.map(() => '');
  for (let i = 0; i < events.length; i += 2 * every)
    marks[events[i]] += `M${((1000 * events[i + 1]) / head).toFixed(1)} 0V1`;
  // What decides the rest of a run bears its name; where it happens again and again, only the first time.
  const named = m.events.flatMap((e, kind) => {
    if (!e.named) return [];
    for (let i = 0; i < events.length; i += 2)
      if (events[i] === kind) return [{ at: events[i + 1] / head, name: e.name }];
    return [];
  });
  return (
    <div className="relative min-w-24 flex-1">
      <svg className="pointer-events-none absolute inset-x-2 top-0 h-full w-[calc(100%-1rem)]" aria-hidden>
        {loop && (
          <rect
            x={`${(100 * loop.from) / head}%`}
            width={`${(100 * Math.max(0, loop.to - loop.from)) / head}%`}
            y="20%"
            height="60%"
            fill="var(--plum)"
            fillOpacity="0.25"
          />
        )}
        {marks.map(
          (d, kind) =>
            d && (
              <svg
                key={kind}
                viewBox="0 0 1000 1"
                preserveAspectRatio="none"
                width="100%"
                height="30%"
                y={kind % 2 ? '0' : '12%'}
                overflow="visible"
              >
                <path
                  d={d}
                  stroke={MARK_LOOK[kind % MARK_LOOK.length]}
                  strokeWidth="1.6"
                  vectorEffect="non-scaling-stroke"
                  data-event={m.events[kind].id}
                />
              </svg>
            ),
        )}
      </svg>
      {named.map(({ at, name }, i) => (
        <span
          key={i}
          className="pointer-events-none absolute -top-2 bg-sheet px-0.5 text-fine leading-none whitespace-nowrap text-copper"
          style={at < 0.75 ? { left: `calc(0.6rem + ${100 * at}%)` } : { right: `calc(0.4rem + ${100 * (1 - at)}%)` }}
          data-named
        >
          {name}
        </span>
      ))}
      {/* The slider counts in parts of the run, whatever its unit of time. */}
      <Slider
        label="Time line"
        className="w-full"
        value={run.time() / head}
        min={0}
        max={1}
        step={Math.min(0.01, m.interval / 4 / head)}
        disabled={disabled}
        onChange={(v) => onSeek(v * head)}
        valueText={timeText(m, run.time())}
      />
    </div>
  );
}

/** The time of the next or previous event that is recorded, or null. */
export function neighbourEvent(run: Run, step: 1 | -1): number | null {
  const events = run.events();
  const now = run.time();
  let found: number | null = null;
  for (let i = 1; i < events.length; i += 2) {
    if (step > 0 && events[i] > now) return events[i];
    if (step < 0 && events[i] < now) found = events[i];
  }
  return found;
}
