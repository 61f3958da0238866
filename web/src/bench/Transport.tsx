import { Pause, Play, Repeat, RotateCcw, SkipBack, SkipForward, StepBack, StepForward } from 'lucide-react';
import { memo, useMemo, useRef } from 'react';
import { Button, IconButton, Select } from '../ui';
import { ActButton, isPossible, type Chosen } from './ActButton';
import { Steps } from './Steps';
import { StopAtMenu } from './StopAtMenu';
import { neighbourEvent, TimeLine } from './TimeLine';
import { printShort } from '../core';
import { timeText } from '../core/time';
import type { Act } from '../core';
import { valueText } from './words';
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
  [16, '16'],
  [32, '32'],
  [64, '64'],
  [128, '128'],
  [256, '256'],
  [512, '512'],
  [1024, '1024'],
  [2048, '2048'],
  [4096, '4096'],
];

interface Hands {
  play: () => void;
  restart: () => void;
  step: (frames: number) => void;
  jump: (by: 1 | -1) => void;
}

/** The buttons of the transport. While it runs they are drawn anew only when one of them changes. */
const Buttons = memo(function Buttons({
  hands,
  compact,
  playing,
  over,
  begun,
  changed,
  atStart,
  more,
  led,
}: {
  hands: Hands;
  compact: boolean;
  playing: boolean;
  /** Whether the run has come to its end by itself. */
  over: boolean;
  begun: boolean;
  /** Whether something was changed since it stands still: it may be meant for this run or for the next. */
  changed: boolean;
  atStart: boolean;
  more: boolean;
  /** Whether something else is to be done first. */
  led: boolean;
}) {
  return (
    <>
      <Button kind={led || changed ? 'plain' : 'main'} className={compact ? 'w-20' : 'w-24'} onClick={hands.play}>
        {playing ? (
          <>
            <Pause size={16} />
            Pause
          </>
        ) : (
          <>
            <Play size={16} />
            {over ? 'Again' : changed ? 'Go on' : 'Run'}
          </>
        )}
      </Button>
      <Button
        kind={changed ? 'main' : 'plain'}
        title="Begin anew with these settings; what ran is kept among the trials"
        onClick={hands.restart}
        disabled={!begun}
      >
        <RotateCcw size={16} />
        New run
      </Button>
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
  const over = live.sides.every((s) => s.run.isOver());
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
    }),
    [],
  );
  const perform = (act: Act, chosen?: Chosen) => {
    let error: string | undefined;
    live.sides.forEach((_, i) => (error = bench.perform(i, act.id, chosen, act.arguments.length > 0) ?? error));
    // What had to be done before anything moves is done to see it move.
    if (act.leads && m.clock === 'person') live.counting.begin();
    else if (act.leads && m.clock !== 'steps') live.play(true);
    return error;
  };
  const offered = m.acts.filter((act) => !act.pointed && !act.answers && act.cues.length === 0);
  const possible = offered.filter((act) => isPossible(act, bench.pictures[0]));
  const next = possible.find((a) => a.leads);
  const button = (act: Act, main: boolean) => (
    <ActButton
      key={act.id}
      {...{ m, run, act, main }}
      chosen={bench.chosen[act.id]}
      onChoose={(c) => bench.choose(act.id, c)}
      onDo={(c) => perform(act, c)}
    />
  );
  if (m.clock === 'steps')
    return (
      <footer className="@container col-span-full border-t bg-sheet px-3 py-2" aria-label="Transport">
        <div className="flex flex-wrap items-center gap-x-2 gap-y-1">
          {possible.map((a, i) => button(a, next ? a === next : i === 0))}
          <Steps bench={bench} compact={!!compact} />
          {children}
        </div>
      </footer>
    );
  // While a person's time counts, nothing can hold it up.
  if (live.counting.on)
    return (
      <footer className="@container col-span-full border-t bg-sheet px-3 py-2" aria-label="Transport">
        <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
          <Button onClick={() => live.counting.breakOff()}>{offered.find((a) => a.breaksOff)!.name}</Button>
          <span className="text-fine text-soft">or Esc</span>
          <output className="mono ml-auto text-lead font-semibold whitespace-nowrap" data-testid="time">
            {timeText(m, run.time())}
          </output>
          {children}
        </div>
      </footer>
    );
  // Nothing has been answered yet that could be gone back over.
  if (m.clock === 'person' && !begun)
    return (
      <footer className="@container col-span-full border-t bg-sheet px-3 py-2" aria-label="Transport">
        <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
          {next && button(next, true)}
          {children}
        </div>
      </footer>
    );
  const loop = () => {
    if (live.loop && live.loop.to < Infinity) live.setLoop(null);
    else if (live.loop) live.setLoop(run.time() > live.loop.from ? { from: live.loop.from, to: run.time() } : null);
    else live.setLoop({ from: run.time(), to: Infinity });
  };
  const loopName = !live.loop ? 'Loop: begin here' : live.loop.to === Infinity ? 'Loop: end here' : 'Leave the loop';
  // With acts beside the other buttons the time line needs a row of its own sooner.
  const acting = m.acts.length > 0;
  const changed = begun && live.sides.some((s) => s.run.changesAtEnd() > 0 || Object.keys(s.next).length > 0);
  return (
    <footer className="@container col-span-full border-t bg-sheet px-3 py-2" aria-label="Transport">
      {changed && <Changed bench={bench} over={over} />}
      {live.making !== null && (
        <p role="status" className="pb-1 text-fine" data-testid="making">
          This run is being made up again: {Math.floor(100 * live.making)} %. Whatever you press ends that.
        </p>
      )}
      {live.pace !== null && (
        <p role="status" className="pb-1 text-fine" data-testid="pace">
          Slower than asked, as fast as it can be computed here: about {printShort(Number(live.pace.toPrecision(2)))}×.
        </p>
      )}
      <div className="flex flex-wrap items-center gap-x-2 gap-y-1">
        {next && button(next, true)}
        {m.clock === 'person' && over && (
          <Button kind="main" onClick={() => bench.restart()}>
            Another set
          </Button>
        )}
        <Buttons
          hands={hands}
          compact={!!compact}
          playing={live.playing}
          over={over}
          begun={begun}
          changed={changed}
          atStart={run.time() === 0}
          more={begun && neighbourEvent(run, 1) !== null}
          led={!!next || (m.clock === 'person' && over)}
        />
        {possible.filter((a) => a !== next && !a.breaksOff).map((a) => button(a, false))}
        <span
          className={
            `flex min-w-40 flex-1 items-center gap-2 @max-2xl:-order-1 @max-2xl:basis-full ` +
            `${acting ? '@max-7xl:-order-1 @max-7xl:basis-full' : ''}`
          }
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
          options={SPEEDS.filter(([s]) => s <= m.fastest).map(([s, name]) => ({ id: String(s), name: `${name}×` }))}
        />
        <StopAtMenu
          m={m}
          bodies={JSON.stringify(run.bodies())}
          settings={JSON.stringify(live.sides[0].settings)}
          onStopAt={live.stopAt}
          begun={begun}
        />
        {children}
        <span className="sr-only" role="status">
          {live.stopped ? `Stopped at ${timeText(m, run.time())}` : over ? 'The run is over.' : ''}
        </span>
      </div>
    </footer>
  );
}

/** What was changed since the run stands still, and the two things that can be meant by it. */
function Changed({ bench, over }: { bench: BenchState; over: boolean }) {
  const { m, live } = bench;
  const changes = live.sides.flatMap((s) => {
    const before = s.run.settingsOfWhatRan();
    return m.settings
      .filter((x) => JSON.stringify(before[x.id]) !== JSON.stringify(s.settings[x.id]))
      .map((x) => ({ text: `${x.name} ${valueText(m, s.settings, x.id)}`, waits: x.id in s.next }));
  });
  const waits = changes.length > 0 && changes.every((c) => c.waits);
  return (
    <p role="status" className="flex flex-wrap items-center gap-x-2 pb-1 text-fine" data-testid="changed">
      <span>
        Changed: <b>{changes.map((c) => c.text).join('; ') || 'and set back'}</b>.{' '}
        {waits || over
          ? 'It is for the next run; what ran stays as it was.'
          : '“New run” begins with it, and what ran stays as it was. “Go on” makes it part of this run.'}
      </span>
      <Button small onClick={live.takeBack}>
        Take the change back
      </Button>
    </p>
  );
}
