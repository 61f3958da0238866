import { Pause, Play, Repeat, RotateCcw, SkipBack, SkipForward, StepBack, StepForward } from 'lucide-react';
import { memo, useMemo, useRef } from 'react';
import { Button, IconButton, Select } from '../ui';
import { StopAtMenu } from './StopAtMenu';
import { neighbourEvent, TimeLine } from './TimeLine';
import { timeText } from './time';
import type { Act } from '../core';
import type { Picture } from '../picture/picture';
import type { BenchState } from './useBench';

const SPEEDS: [number, string][] = [
  [1 / 32, '1/32'],
  [1 / 16, '1/16'],
  [1 / 8, '1/8'],
  [1 / 4, '1/4'],
  [1 / 2, '1/2'],
  [1, '1'],
  [2, '2'],
  [4, '4'],
  [8, '8'],
];

/** Whether an act is offered now: its flag of the scene stands as it should. */
function offered({ shownWhen }: Act, picture: Picture) {
  const [flag, value] = shownWhen.split('=');
  return !shownWhen || String(picture.get(flag)) === value;
}

interface Hands {
  play: () => void;
  restart: () => void;
  step: (frames: number) => void;
  jump: (by: 1 | -1) => void;
  perform: (act: string) => void;
}

/** The buttons of the transport. While it runs they are drawn anew only when one of them changes. */
const Buttons = memo(function Buttons({
  hands,
  compact,
  playing,
  begun,
  atStart,
  more,
  acts,
  offered: ids,
}: {
  hands: Hands;
  compact: boolean;
  playing: boolean;
  begun: boolean;
  atStart: boolean;
  more: boolean;
  acts: Act[];
  offered: string;
}) {
  const possible = acts.filter((a) => ids.split(' ').includes(a.id));
  const next = possible.find((a) => a.leads);
  return (
    <>
      {next && (
        <Button kind="main" onClick={() => hands.perform(next.id)}>
          {next.name}
        </Button>
      )}
      <Button kind={next ? 'plain' : 'main'} className={compact ? 'w-20' : 'w-24'} onClick={hands.play}>
        {playing ? (
          <>
            <Pause size={16} />
            Pause
          </>
        ) : (
          <>
            <Play size={16} />
            Run
          </>
        )}
      </Button>
      <IconButton label="Restart with these settings" onClick={hands.restart} disabled={!begun}>
        <RotateCcw size={16} />
      </IconButton>
      <span className="inline-flex">
        <IconButton
          label="To the event before"
          className="rounded-r-none!"
          onClick={() => hands.jump(-1)}
          disabled={!begun || atStart}
        >
          <SkipBack size={15} />
        </IconButton>
        {!compact && (
          <IconButton
            label="Ten frames back"
            className="-ml-px rounded-none!"
            onClick={() => hands.step(-10)}
            disabled={atStart}
          >
            −10
          </IconButton>
        )}
        <IconButton
          label="One frame back"
          className="-ml-px rounded-none!"
          onClick={() => hands.step(-1)}
          disabled={atStart}
        >
          <StepBack size={15} />
        </IconButton>
        <IconButton label="One frame forward" className="-ml-px rounded-none!" onClick={() => hands.step(1)}>
          <StepForward size={15} />
        </IconButton>
        {!compact && (
          <IconButton label="Ten frames forward" className="-ml-px rounded-none!" onClick={() => hands.step(10)}>
            +10
          </IconButton>
        )}
        <IconButton
          label="To the next event"
          className="-ml-px rounded-l-none!"
          onClick={() => hands.jump(1)}
          disabled={!more}
        >
          <SkipForward size={15} />
        </IconButton>
      </span>
      {possible
        .filter((a) => a !== next)
        .map((a) => (
          <Button key={a.id} onClick={() => hands.perform(a.id)}>
            {a.name}
          </Button>
        ))}
    </>
  );
});

/** Run, pause, step, restart, go anywhere in the run, loop, stop where told. */
export function Transport({
  bench,
  compact,
  children,
}: {
  bench: BenchState;
  compact?: boolean;
  children?: React.ReactNode;
}) {
  const { m, live } = bench;
  const { run } = live.sides[0];
  const begun = run.head() > 0;
  const now = useRef(bench);
  now.current = bench;
  const hands: Hands = useMemo(
    () => ({
      play: () => now.current.live.play(!now.current.live.playing),
      restart: () => now.current.restart(),
      step: (frames) => now.current.live.seek(now.current.live.sides[0].run.time() + frames * now.current.m.interval),
      jump: (by) => {
        const to = neighbourEvent(now.current.live.sides[0].run, by);
        if (to !== null || by < 0) now.current.live.seek(to ?? 0);
      },
      perform: (act) => {
        const { live: runs, m: its, perform } = now.current;
        runs.sides.forEach((_, i) => perform(i, act));
        // What had to be done before anything moves is done to see it move.
        if (its.acts.find((a) => a.id === act)?.leads) runs.play(true);
      },
    }),
    [],
  );
  const loop = () => {
    if (live.loop && live.loop.to < Infinity) live.setLoop(null);
    else if (live.loop) live.setLoop(run.time() > live.loop.from ? { from: live.loop.from, to: run.time() } : null);
    else live.setLoop({ from: run.time(), to: Infinity });
  };
  const loopName = !live.loop ? 'Loop: begin here' : live.loop.to === Infinity ? 'Loop: end here' : 'Leave the loop';
  // With acts beside the other buttons the time line needs a row of its own sooner.
  const possible = m.acts.length > 0;
  return (
    <footer className="@container col-span-full border-t bg-sheet px-3 py-2" aria-label="Transport">
      <div className="flex flex-wrap items-center gap-x-2 gap-y-1">
        <Buttons
          hands={hands}
          compact={!!compact}
          playing={live.playing}
          begun={begun}
          atStart={run.time() === 0}
          more={begun && neighbourEvent(run, 1) !== null}
          acts={m.acts}
          offered={m.acts
            .filter((act) => offered(act, bench.pictures[0]))
            .map((act) => act.id)
            .join(' ')}
        />
        <span
          className={`flex min-w-40 flex-1 items-center gap-2 @max-2xl:-order-1 @max-2xl:basis-full ${possible ? '@max-7xl:-order-1 @max-7xl:basis-full' : ''}`}
        >
          <TimeLine
            m={m}
            run={run}
            loop={live.loop && { from: live.loop.from, to: Math.min(live.loop.to, run.time()) }}
            onSeek={live.seek}
            disabled={!begun}
          />
          <output className="mono min-w-22 text-right text-lead font-semibold whitespace-nowrap" data-testid="time">
            {timeText(m, run.time())}
          </output>
        </span>
        <IconButton
          label={loopName}
          aria-pressed={!!live.loop}
          className={live.loop ? 'border-plum! text-plum!' : ''}
          onClick={loop}
          disabled={!begun}
        >
          <Repeat size={15} />
        </IconButton>
        <Select
          label="Speed"
          hideLabel={compact}
          value={String(live.speed)}
          onChange={(v) => live.setSpeed(Number(v))}
          options={SPEEDS.map(([s, name]) => ({ id: String(s), name: `${name}×` }))}
        />
        <StopAtMenu m={m} onStopAt={live.stopAt} begun={begun} />
        {children}
        <span className="sr-only" role="status">
          {live.stopped ? `Stopped at ${timeText(m, run.time())}` : ''}
        </span>
      </div>
    </footer>
  );
}
