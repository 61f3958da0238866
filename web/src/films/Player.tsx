import { Pause, Play } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { paceText, timeText } from '../core/time';
import { printShort, type Manifest } from '../core';
import { IconButton, Select, Slider } from '../ui';
import type { Film } from './film';

const SPEEDS: [string, number][] = [
  ['1/32', 1 / 32],
  ['1/16', 1 / 16],
  ['1/8', 1 / 8],
  ['1/4', 1 / 4],
  ['1/2', 1 / 2],
  ['1', 1],
  ['2', 2],
  ['4', 4],
  ['8', 8],
];

/** Plays a film from the frame shown, until its end or until it is told to pause. */
function usePlaying(m: Manifest, film: Film, frame: number, onFrame: (frame: number) => void) {
  // Another film is not played on.
  const [playing, setPlaying] = useState<Film | null>(null);
  const [speed, setSpeed] = useState(m.speed === 1 ? '1/4' : '1');
  const now = useRef({ frame, onFrame });
  useEffect(() => {
    now.current = { frame, onFrame };
  });
  const on = playing === film;
  useEffect(() => {
    if (!on) return;
    const factor = m.speed * SPEEDS.find(([name]) => name === speed)![1];
    const from = performance.now();
    const start = now.current.frame;
    let handle = requestAnimationFrame(function tick(time) {
      const next = Math.min(
        film.last,
        start + Math.floor(Math.max(0, (time - from) / 1000) * film.header.rate * factor),
      );
      if (next !== now.current.frame) now.current.onFrame(next);
      if (next >= film.last) setPlaying(null);
      else handle = requestAnimationFrame(tick);
    });
    return () => cancelAnimationFrame(handle);
  }, [on, speed, film, m]);
  return { playing: on, play: (go: boolean) => setPlaying(go ? film : null), speed, setSpeed };
}

/** Plays, steps and goes to any frame of a film. */
export function Player({
  m,
  film,
  frame,
  onFrame,
}: {
  m: Manifest;
  film: Film;
  frame: number;
  onFrame: (frame: number) => void;
}) {
  const { playing, play, speed, setSpeed } = usePlaying(m, film, frame, onFrame);
  const pace = paceText(m);
  const go = (to: number) => {
    play(false);
    onFrame(Math.max(0, Math.min(film.last, to)));
  };
  return (
    <div className="@container border-t bg-sheet px-3 py-1.5">
      <div className="flex flex-wrap items-center gap-x-2 gap-y-1">
        <span className="flex min-w-48 flex-1 items-center gap-2 @max-2xl:basis-full @2xl:order-1">
          <Slider
            label="Film"
            className="min-w-24 flex-1"
            value={frame}
            min={0}
            max={film.last}
            step={1}
            onChange={go}
            valueText={`frame ${frame}`}
          />
          <output className="mono min-w-18 text-right text-fine whitespace-nowrap" data-testid="film-time">
            {timeText(m, film.time(frame), 3)}
          </output>
          <span className="text-fine whitespace-nowrap text-soft">
            {printShort(film.header.rate)} frames/s{pace && `, ${pace}`}
          </span>
        </span>
        <IconButton
          label={playing ? 'Pause' : 'Play'}
          onClick={() => play(!playing)}
          className="border-ink! bg-ink! text-paper!"
          disabled={frame >= film.last}
        >
          {playing ? <Pause size={16} /> : <Play size={16} />}
        </IconButton>
        <IconButton label="Ten frames back" onClick={() => go(frame - 10)} disabled={frame === 0}>
          −10
        </IconButton>
        <IconButton label="One frame back" onClick={() => go(frame - 1)} disabled={frame === 0}>
          −1
        </IconButton>
        <IconButton label="One frame forward" onClick={() => go(frame + 1)} disabled={frame >= film.last}>
          +1
        </IconButton>
        <IconButton label="Ten frames forward" onClick={() => go(frame + 10)} disabled={frame >= film.last}>
          +10
        </IconButton>
        <span className="flex items-center gap-x-2 @max-2xl:ml-auto @2xl:order-2">
          <FrameBox frame={frame} last={film.last} onGo={go} />
          <Select
            label="Speed"
            hideLabel
            value={speed}
            onChange={setSpeed}
            options={SPEEDS.map(([n]) => ({ id: n, name: `${n}×` }))}
          />
        </span>
      </div>
    </div>
  );
}

function FrameBox({ frame, last, onGo }: { frame: number; last: number; onGo: (f: number) => void }) {
  const [typed, setTyped] = useState<string | null>(null);
  const take = () => {
    const n = Number(typed);
    if (typed !== null && Number.isInteger(n) && typed.trim() !== '') onGo(n);
    setTyped(null);
  };
  return (
    <label className="flex items-center gap-1 text-fine text-soft">
      frame
      <input
        className="mono h-7 w-14 rounded-house border border-edge bg-sheet px-1 text-right text-ink"
        value={typed ?? frame}
        aria-label={`Go to a frame, 0 to ${last}`}
        onChange={(e) => setTyped(e.target.value)}
        onBlur={take}
        onKeyDown={(e) => {
          if (e.key === 'Enter') take();
        }}
      />
    </label>
  );
}
