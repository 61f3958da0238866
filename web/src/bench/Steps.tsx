import { RotateCcw, SkipBack, SkipForward, StepBack, StepForward } from 'lucide-react';
import { IconButton, Slider } from '../ui';
import type { BenchState } from './useBench';

/** The time line of an apparatus without time: what was done, one step after the other, back and forward. */
export function Steps({ bench, compact }: { bench: BenchState; compact: boolean }) {
  const { live } = bench;
  const { run } = live.sides[0];
  const [at, all] = [run.time(), run.head()];
  const done = at > 0 ? run.actionInWords(at - 1) : all > 0 ? 'as it was at first' : 'nothing done yet';
  return (
    <>
      <IconButton label="Begin again with these settings" onClick={() => bench.restart()} disabled={all === 0}>
        <RotateCcw size={16} />
      </IconButton>
      <span className="inline-flex">
        <IconButton
          label="To the beginning"
          className="rounded-r-none!"
          onClick={() => live.seek(0)}
          disabled={at === 0}
        >
          <SkipBack size={15} />
        </IconButton>
        <IconButton
          label="One step back"
          className="-ml-px rounded-none!"
          onClick={() => live.seek(at - 1)}
          disabled={at === 0}
        >
          <StepBack size={15} />
        </IconButton>
        <IconButton
          label="One step forward"
          className="-ml-px rounded-none!"
          onClick={() => live.seek(at + 1)}
          disabled={at === all}
        >
          <StepForward size={15} />
        </IconButton>
        <IconButton
          label="To the last step"
          className="-ml-px rounded-l-none!"
          onClick={() => live.seek(all)}
          disabled={at === all}
        >
          <SkipForward size={15} />
        </IconButton>
      </span>
      <span
        className={`flex min-w-40 flex-1 items-center gap-3 ${compact ? '@max-4xl:-order-1 @max-4xl:basis-full' : '@max-5xl:-order-1 @max-5xl:basis-full'}`}
      >
        <span className="relative min-w-24 flex-1">
          <svg className="pointer-events-none absolute inset-x-2 top-0 h-full w-[calc(100%-1rem)]" aria-hidden>
            {all > 0 &&
              Array.from({ length: all + 1 }, (_, i) => (
                <line
                  key={i}
                  x1={`${(100 * i) / all}%`}
                  x2={`${(100 * i) / all}%`}
                  y1="15%"
                  y2="85%"
                  stroke="var(--ink)"
                />
              ))}
          </svg>
          <Slider
            label="Steps"
            className="w-full"
            value={at}
            min={0}
            max={Math.max(1, all)}
            step={1}
            disabled={all === 0}
            onChange={live.seek}
            valueText={`step ${at}: ${done}`}
          />
        </span>
        <output className="flex items-baseline gap-2" data-testid="step">
          <b className="mono text-lead whitespace-nowrap">
            {at} of {all}
          </b>
          {!compact && <span className="max-w-80 text-fine leading-tight text-soft">{done}</span>}
        </output>
      </span>
    </>
  );
}
