import clsx from 'clsx';
import { useEffect, useState } from 'react';
import { printFixed, type Manifest, type Run } from '../core';
import { median } from '../core/models';
import { Trouble } from '../ui';
import { latency } from './tones';
import type { BenchState } from './useBench';
import { ANSWERS_HERE } from './useCounting';

/** Pictures that are timed to find how long the display takes for one. */
const TIMED = 40;

const KEY = 'flex min-w-64 flex-1 touch-none items-center justify-center rounded-house px-4 text-center select-none';
const PRESSED_HERE = 'min-h-16 cursor-pointer border-2 border-ink bg-wash text-lead font-semibold';
const RESTING = 'min-h-8 border border-edge text-soft';

/** The key as large as a hand: any key, a press here or on the picture answers while a person's time counts. */
export function AnswerBar({ bench }: { bench: BenchState }) {
  const { m, live } = bench;
  const { run } = live.sides[0];
  const { on, trouble } = live.counting;
  if (m.clock !== 'person' || (run.isOver() && !trouble)) return null;
  return (
    <section
      className="col-span-full flex flex-wrap items-center gap-x-4 gap-y-1 border-t bg-sheet px-3 py-2"
      aria-label="Answering"
    >
      {!run.isOver() && (
        <>
          <div {...{ [ANSWERS_HERE]: '' }} data-testid="answer-bar" className={clsx(KEY, on ? PRESSED_HERE : RESTING)}>
            {on
              ? 'Press here at the cue, or any key'
              : 'Begin, then answer each cue with any key, here or on the picture'}
          </div>
          <output className="min-w-36 text-fine" data-testid="last-answer">
            {on && lastThat(m, run)}
          </output>
          <Delays m={m} resting={!on} />
        </>
      )}
      <Trouble error={trouble || undefined} />
    </section>
  );
}

/** What happened last of that which is told who answers, by its name. */
function lastThat(m: Manifest, run: Run) {
  const events = run.events();
  for (let i = events.length - 2; i >= 0; i -= 2) {
    const { told, name } = m.events[events[i]];
    if (told) return `Last: ${name}`;
  }
  return '';
}

/** What display and sound add to every time, as far as the page can know it. */
function Delays({ m, resting }: { m: Manifest; resting: boolean }) {
  const [picture, setPicture] = useState<number | null>(null);
  useEffect(() => {
    if (picture !== null || !resting) return;
    const stamps: number[] = [];
    let handle = requestAnimationFrame(function frame(now) {
      stamps.push(now);
      if (stamps.length > TIMED) setPicture(median(stamps.slice(1).map((s, i) => s - stamps[i])));
      else handle = requestAnimationFrame(frame);
    });
    return () => cancelAnimationFrame(handle);
  }, [picture, resting]);
  const heard = m.scene.some((f) => f.hertz > 0);
  const device = latency();
  return (
    <details className="max-w-120 text-fine text-soft">
      <summary className="cursor-pointer whitespace-nowrap" data-testid="delays">
        {picture === null ? 'Timing your display …' : `This display adds up to ${printFixed(2 * picture, 0)} ms`}
        {heard && (device === null ? ', what is heard more' : `, what is heard ${printFixed(device, 0)} ms more`)}
      </summary>
      <p>
        Answers count at the instant of the key or press itself. What is seen counts from the picture in which it is
        drawn{picture !== null && `; here one takes ${printFixed(picture, 1)} ms`}. Until it shines, one more picture
        may pass, and a screen takes some milliseconds of its own that no page can know.
      </p>
      {heard && (
        <p>
          A tone is on its way longer
          {device !== null && `: ${printFixed(device, 0)} ms, says your device, and its time counts from then`}.
          Wireless loudspeakers add up to 200 ms that nobody tells.
        </p>
      )}
    </details>
  );
}
