import { Clapperboard, Pause, Play, Ruler as RulerIcon, Timer } from 'lucide-react';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { Stage } from '../bench/Stage';
import { instruments, manifest, printFixed, type Instrument } from '../core';
import { freshPlacing, type Placing } from '../instruments/placing';
import { Protractor } from '../instruments/Protractor';
import { Ruler } from '../instruments/Ruler';
import { sceneOf } from '../scenes';
import { NO_LAYERS } from '../scenes/picture';
import { Button, IconButton, Select, Slider } from '../ui';
import type { Film } from './film';

const SPEEDS: [string, number][] = [['1/16', 1 / 16], ['1/8', 1 / 8], ['1/4', 1 / 4], ['1/2', 1 / 2], ['1', 1], ['2', 2], ['4', 4]];

interface Props {
  apparatus: string;
  film: Film;
  view: string;
  title: string;
  frame: number;
  onFrame: (frame: number) => void;
  placing: Placing;
  onPlacing: (p: Placing) => void;
  /** Said over the picture, such as how a reading was made. */
  note?: ReactNode;
}

/** A recording on the bench: player, instruments, and nothing that gives a value away. */
export function FilmBench({ apparatus, view, film, title, frame, onFrame, placing, onPlacing, note }: Props) {
  const m = manifest(apparatus)!;
  const Scene = sceneOf(apparatus);
  const picture = film.picture(frame, m);
  const [playing, setPlaying] = useState(false);
  const [speed, setSpeed] = useState('1/4');
  const now = useRef({ frame, onFrame });
  now.current = { frame, onFrame };

  useEffect(() => { setPlaying(false); }, [film]);
  useEffect(() => {
    if (!playing) return;
    const factor = SPEEDS.find(([name]) => name === speed)![1];
    const from = performance.now();
    const start = now.current.frame;
    let handle = requestAnimationFrame(function tick(time) {
      const next = Math.min(film.last, start + Math.floor(Math.max(0, (time - from) / 1000) * film.header.rate * factor));
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
  const tray = instruments.filter((i) => m.instruments.includes(i.id));
  const toggle = (i: Instrument) => {
    const key = i.id as keyof Placing;
    onPlacing(placing[key] ? { ...placing, [key]: undefined } : { ...placing, ...freshPlacing(i.id, picture, frame) });
  };
  const rule = instruments.find((i) => i.id === 'ruler')!;
  return (
    <section className="flex h-full min-h-0 flex-col" aria-label="Recording">
      <div className="relative flex min-h-0 flex-1">
        <Stage picture={picture} label={`Recording: ${title}`} className="flex-1">
          <Scene picture={picture} layers={NO_LAYERS} />
          {placing.protractor && <Protractor place={placing.protractor} onMove={(protractor) => onPlacing({ ...placing, protractor })} />}
          {placing.ruler && <Ruler instrument={rule} scale={picture.scale} place={placing.ruler} onMove={(ruler) => onPlacing({ ...placing, ruler })} />}
        </Stage>
        <p className="pointer-events-none absolute top-2 left-2 rounded-house border bg-sheet/90 px-2.5 py-1 text-fine">{m.views.find((v) => v.id === view)?.name}, {film.header.rate} frames/s</p>
        {note && <div className="absolute bottom-2 left-2 max-w-[70%]">{note}</div>}
        <fieldset className="absolute top-2 right-2 flex flex-col gap-1 rounded-house border bg-sheet/95 p-2">
          <legend className="sr-only">Instrument tray</legend>
          {tray.map((i) => (
            <button key={i.id} type="button" aria-pressed={!!placing[i.id as keyof Placing]} onClick={() => toggle(i)} className="flex items-center gap-2 rounded-house px-2 py-1 text-left hover:bg-line/50 aria-pressed:font-semibold aria-pressed:text-copper">
              <InstrumentIcon shape={i.shape} />{i.name}
            </button>
          ))}
        </fieldset>
      </div>
      <div className="flex flex-wrap items-center gap-x-2 gap-y-1 border-y bg-sheet px-3 py-1.5">
        <IconButton label={playing ? 'Pause' : 'Play'} onClick={() => setPlaying(!playing)} className="border-ink! bg-ink! text-paper!" disabled={frame >= film.last}>{playing ? <Pause size={16} /> : <Play size={16} />}</IconButton>
        <IconButton label="Ten frames back" onClick={() => go(frame - 10)} disabled={frame === 0}>−10</IconButton>
        <IconButton label="One frame back" onClick={() => go(frame - 1)} disabled={frame === 0}>−1</IconButton>
        <IconButton label="One frame forward" onClick={() => go(frame + 1)} disabled={frame >= film.last}>+1</IconButton>
        <IconButton label="Ten frames forward" onClick={() => go(frame + 10)} disabled={frame >= film.last}>+10</IconButton>
        <Slider label="Film" className="min-w-24 flex-1" value={frame} min={0} max={film.last} step={1} onChange={go} valueText={`frame ${frame}`} />
        <FrameBox frame={frame} last={film.last} onGo={go} />
        <output className="mono w-18 text-right text-fine" data-testid="film-time">{printFixed(film.time(frame), 3)} s</output>
        <Select label="Speed" hideLabel value={speed} onChange={setSpeed} options={SPEEDS.map(([name]) => ({ id: name, name: `${name}×` }))} />
        {placing.stopwatch && (
          <span className="flex items-center gap-2 rounded-house border border-copper px-2 py-0.5 text-copper" data-instrument="stopwatch">
            <Timer size={15} aria-hidden />
            <output className="mono font-semibold" aria-label="Stopwatch">{printFixed(film.time(frame - placing.stopwatch.zero), 2)} s</output>
            <Button small onClick={() => onPlacing({ ...placing, stopwatch: { zero: frame } })}>Zero here</Button>
            <span className="text-fine text-soft">zero: frame {placing.stopwatch.zero}</span>
          </span>
        )}
      </div>
    </section>
  );
}

function InstrumentIcon({ shape }: { shape: Instrument['shape'] }) {
  if (shape === 'straight') return <RulerIcon size={16} aria-hidden />;
  if (shape === 'clock') return <Timer size={16} aria-hidden />;
  return <svg width="16" height="16" viewBox="0 0 16 16" fill="none" stroke="currentColor" strokeWidth="1.4" aria-hidden><path d="M1.500 4.500a6.500 6.500 0 0 0 13 0ZM8 4.500v6" /></svg>;
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
      <input className="mono h-7 w-14 rounded-house border border-edge bg-sheet px-1 text-right text-ink" value={typed ?? frame} aria-label={`Go to a frame, 0 to ${last}`} onChange={(e) => setTyped(e.target.value)} onBlur={take} onKeyDown={(e) => { if (e.key === 'Enter') take(); }} />
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
