import { Clapperboard, Pause, Play } from 'lucide-react';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { Stage } from '../picture/Stage';
import { instruments, printFixed } from '../core';
import { InstrumentLayer, Tray } from '../instruments/InstrumentLayer';
import { InstrumentStrip } from '../instruments/InstrumentStrip';
import type { Marker, Placing } from '../instruments/placing';
import { snapPoints } from '../instruments/snap';
import type { InstrumentState } from '../instruments/useInstruments';
import { NO_LAYERS } from '../picture/picture';
import { useApparatus } from '../scenes/useApparatus';
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

interface Props {
  apparatus: string;
  film: Film;
  view: string;
  /** All views of the recording; they run in step. */
  views: string[];
  onView: (view: string) => void;
  title: string;
  frame: number;
  onFrame: (frame: number) => void;
  placing: Placing;
  onPlacing: (p: Placing) => void;
  markers: Marker[];
  onMarkers: (m: Marker[]) => void;
  tray: string[];
  readOnly: boolean;
  /** Puts what a display shows into the selected cell. */
  onTake?: (instrument: string, state: InstrumentState) => void;
  /** Told the instruments' state, so that a cell can take a display by a key. */
  onState?: (s: InstrumentState) => void;
  /** Said over the picture, such as how a reading was made. */
  note?: ReactNode;
}

/** A recording on the bench: player, instruments, and nothing that gives a value away. */
export function FilmBench({
  apparatus,
  view,
  views,
  onView,
  film,
  title,
  frame,
  onFrame,
  placing,
  onPlacing,
  markers,
  onMarkers,
  tray,
  readOnly,
  onTake,
  onState,
  note,
}: Props) {
  const {
    m,
    scene: { Drawing },
  } = useApparatus(apparatus);
  const picture = film.picture(frame, m);
  const [playing, setPlaying] = useState(false);
  const [speed, setSpeed] = useState('1/4');
  const now = useRef({ frame, onFrame });
  now.current = { frame, onFrame };

  useEffect(() => {
    setPlaying(false);
  }, [film]);
  useEffect(() => {
    if (!playing) return;
    const factor = SPEEDS.find(([name]) => name === speed)![1];
    const from = performance.now();
    const start = now.current.frame;
    let handle = requestAnimationFrame(function tick(time) {
      const next = Math.min(
        film.last,
        start + Math.floor(Math.max(0, (time - from) / 1000) * film.header.rate * factor),
      );
      if (next !== now.current.frame) now.current.onFrame(next);
      if (next >= film.last) setPlaying(false);
      else handle = requestAnimationFrame(tick);
    });
    return () => cancelAnimationFrame(handle);
  }, [playing, speed, film]);

  const go = (to: number) => {
    setPlaying(false);
    onFrame(Math.max(0, Math.min(film.last, to)));
  };
  const state: InstrumentState = {
    tray: instruments.filter((i) => tray.includes(i.id)),
    picture,
    placing,
    setPlacing: onPlacing,
    markers,
    setMarkers: onMarkers,
    frame,
    seconds: (f) => film.time(f),
    readOnly,
    path: m.handles.length ? () => film.path(m.handles[0]) : undefined,
  };
  const tell = useRef(onState);
  tell.current = onState;
  useEffect(() => tell.current?.(state));
  const name = m.views.find((v) => v.id === view)?.name;
  return (
    <section className="flex h-full min-h-0 flex-col" aria-label="Recording">
      <Tray state={state}>
        {views.length > 1 && (
          <div role="group" aria-label="View" className="mr-2 flex rounded-house border">
            {views.map((v) => (
              <button
                key={v}
                type="button"
                aria-pressed={v === view}
                onClick={() => onView(v)}
                className="rounded-house px-2.5 py-0.5 text-fine aria-pressed:bg-copper aria-pressed:text-on-copper"
              >
                {m.views.find((x) => x.id === v)?.name}
              </button>
            ))}
          </div>
        )}
      </Tray>
      <div className="relative flex min-h-0 flex-1">
        <Stage picture={picture} label={`Recording: ${title}, ${name}`} className="flex-1">
          <g id="film-content">
            <Drawing picture={picture} layers={NO_LAYERS} view={view} />
          </g>
          <InstrumentLayer
            state={state}
            picture={picture}
            content="film-content"
            points={snapPoints(m, picture, markers, frame)}
          />
        </Stage>
        {note && <div className="absolute bottom-2 left-2 max-w-[70%]">{note}</div>}
      </div>
      <div className="flex flex-wrap items-center gap-x-2 gap-y-1 border-y bg-sheet px-3 py-1.5">
        <IconButton
          label={playing ? 'Pause' : 'Play'}
          onClick={() => setPlaying(!playing)}
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
        <FrameBox frame={frame} last={film.last} onGo={go} />
        <output className="mono w-18 text-right text-fine" data-testid="film-time">
          {printFixed(film.time(frame), 3)} s
        </output>
        <span className="text-fine whitespace-nowrap text-soft">{film.header.rate} frames/s</span>
        <Select
          label="Speed"
          hideLabel
          value={speed}
          onChange={setSpeed}
          options={SPEEDS.map(([n]) => ({ id: n, name: `${n}×` }))}
        />
      </div>
      <InstrumentStrip state={state} onGo={go} onTake={onTake && ((id) => onTake(id, state))} />
    </section>
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

/** Before there is a recording. */
export function EmptyBench({ children }: { children: ReactNode }) {
  return (
    <div className="flex h-full flex-col items-center justify-center gap-3 bg-stage p-8 text-center text-soft">
      <Clapperboard size={34} strokeWidth={1.3} aria-hidden />
      <p className="max-w-sm">{children}</p>
    </div>
  );
}
