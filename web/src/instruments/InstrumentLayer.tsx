import { Gauge, ListOrdered, MapPin, Ruler as RulerIcon, Search, Timer, Waypoints, Weight } from 'lucide-react';
import { useEffect, useEffectEvent, useRef, useState } from 'react';
import { useStage } from '../picture/Stage';
import { printShort, type Instrument } from '../core';
import { BeamTimer } from './BeamTimer';
import { describe } from './describe';
import { Magnifier } from './Magnifier';
import { Markers } from './Markers';
import { freshPlacing, type Placing, type Straight } from './placing';
import { Protractor } from './Protractor';
import { Ruler } from './Ruler';
import { snapTo } from './snap';
import { SpringScale } from './SpringScale';
import { Tape } from './Tape';
import type { InstrumentState } from './useInstruments';
import type { Picture } from '../picture/picture';

/** The instruments that lie over a picture. `content` is the id of the group that the magnifier enlarges. */
export function InstrumentLayer({
  state: s,
  picture,
  content,
  points = [],
}: {
  state: InstrumentState;
  picture: Picture;
  content: string;
  points?: { x: number; y: number }[];
}) {
  const { pixel } = useStage();
  const { placing } = s;
  const put = s.readOnly ? undefined : (more: Partial<Placing>) => s.setPlacing({ ...placing, ...more });
  const straight = s.tray.filter((i) => i.shape === 'straight' && placing[i.id as 'ruler']);
  return (
    <>
      {placing.markers && <Markers state={s} picture={picture} />}
      <g id={`${content}-instruments`}>
        {placing.protractor && (
          <Protractor place={placing.protractor} onMove={put && ((protractor) => put({ protractor }))} />
        )}
        {straight.map((i) => {
          const place = placing[i.id as 'ruler'] as Straight;
          return (
            <Ruler
              key={i.id}
              instrument={i}
              scale={picture.scale}
              place={place}
              onMove={put && ((p) => put({ [i.id]: { ...place, ...p } }))}
              onDropped={put && (() => put({ [i.id]: { ...place, ...snapTo(points, place, pixel) } }))}
            />
          );
        })}
        {placing.tape && (
          <Tape
            instrument={s.tray.find((i) => i.id === 'tape') ?? null}
            scale={picture.scale}
            place={placing.tape}
            points={points}
            onMove={put && ((tape) => put({ tape }))}
          />
        )}
        {placing['spring-scale'] && (
          <SpringScale
            instrument={s.tray.find((i) => i.id === 'spring-scale') ?? null}
            place={placing['spring-scale']}
            newtons={s.hooked?.('spring-scale')}
            onMove={put && ((p) => put({ 'spring-scale': p }))}
          />
        )}
        {placing['beam-timer'] && (
          <BeamTimer place={placing['beam-timer']} onMove={put && ((p) => put({ 'beam-timer': p }))} />
        )}
      </g>
      {placing.magnifier && (
        <Magnifier place={placing.magnifier} content={content} onMove={put && ((magnifier) => put({ magnifier }))} />
      )}
    </>
  );
}

const GRADUATIONS = [1, 2, 5, 10];
/** An instrument speaks when it has come to rest for so long, in ms. */
const REST = 500;

/** Where the instrument that was moved last lies now, in words. */
function useSpoken({ tray, placing, picture }: InstrumentState) {
  const before = useRef(placing);
  const [spoken, setSpoken] = useState('');
  const say = useEffectEvent(() => {
    const moved = tray.find(
      (i) => JSON.stringify(placing[i.id as keyof Placing]) !== JSON.stringify(before.current[i.id as keyof Placing]),
    );
    before.current = placing;
    if (moved) setSpoken(describe(moved.name, moved.id, placing, picture));
  });
  useEffect(() => {
    const timer = setTimeout(() => say(), REST);
    return () => clearTimeout(timer);
  }, [placing]);
  return spoken;
}

/** What can be taken: a strip above the picture, so that it covers nothing. */
export function Tray({
  state: s,
  children,
  note,
}: {
  state: InstrumentState;
  children?: React.ReactNode;
  note?: React.ReactNode;
}) {
  const spoken = useSpoken(s);
  if (s.tray.length === 0 && !children && !note) return null;
  const toggle = (i: Instrument) => {
    const key = i.id as keyof Placing;
    s.setPlacing(
      s.placing[key] ? { ...s.placing, [key]: undefined } : { ...s.placing, ...freshPlacing(i.id, s.picture, s.frame) },
    );
  };
  return (
    <fieldset className="flex flex-wrap items-center gap-x-1 border-b bg-sheet px-2 py-0.5">
      <legend className="sr-only">Instrument tray</legend>
      {children}
      {s.tray.map((i) => (
        <button
          key={i.id}
          type="button"
          aria-pressed={!!s.placing[i.id as keyof Placing]}
          onClick={() => toggle(i)}
          disabled={s.readOnly}
          className="flex items-center gap-1.5 rounded-house px-2 py-0.5 text-fine hover:bg-line/50 aria-pressed:font-semibold aria-pressed:text-copper"
        >
          <InstrumentIcon shape={i.shape} />
          {i.name}
        </button>
      ))}
      {s.tray
        .filter((i) => (i.shape === 'straight' || i.shape === 'dynamometer') && s.placing[i.id as 'ruler'])
        .map((i) => {
          const place = s.placing[i.id as 'ruler'] as Straight;
          return (
            <label key={i.id} className="flex items-center gap-1 text-fine text-soft">
              graduated in
              <select
                aria-label={`${i.name} graduated in`}
                className="rounded-house border border-edge bg-sheet px-1 text-ink"
                value={String(place.division ?? 1)}
                disabled={s.readOnly}
                onChange={(e) => s.setPlacing({ ...s.placing, [i.id]: { ...place, division: Number(e.target.value) } })}
              >
                {GRADUATIONS.map((g) => (
                  <option key={g} value={g}>
                    {printShort(g * i.division)} {i.unit}
                  </option>
                ))}
              </select>
            </label>
          );
        })}
      {note}
      <span className="sr-only" role="status">
        {spoken}
      </span>
    </fieldset>
  );
}

export function InstrumentIcon({ shape }: { shape: Instrument['shape'] }) {
  const icons = {
    straight: RulerIcon,
    tape: ListOrdered,
    clock: Timer,
    gauge: Gauge,
    lens: Search,
    markers: MapPin,
    gate: Waypoints,
    dynamometer: Weight,
  } as const;
  if (shape !== 'angular') {
    const Icon = icons[shape];
    return <Icon size={16} aria-hidden />;
  }
  return (
    <svg width="16" height="16" viewBox="0 0 16 16" fill="none" stroke="currentColor" strokeWidth="1.4" aria-hidden>
      <path d="M1.500 4.500a6.500 6.500 0 0 0 13 0ZM8 4.500v6" />
    </svg>
  );
}
