import { useMemo, useState } from 'react';
import { instruments as all, lightGate, shownBy, type Instrument, type Manifest, type Run } from '../core';
import type { LivePicture, Picture } from '../picture/picture';
import type { Marker, Placing } from './placing';

/** A body's path in picture elements. */
export interface Path {
  values: Float64Array;
  n: number;
  interval: number;
}

/** Instruments over a picture, live or filmed: what lies there, and what the displays show now. */
export interface InstrumentState {
  tray: Instrument[];
  picture: Picture;
  placing: Placing;
  setPlacing: (p: Placing) => void;
  markers: Marker[];
  setMarkers: (m: Marker[]) => void;
  /** The frame shown; on a live bench, samples since the beginning. */
  frame: number;
  seconds: (frame: number) => number;
  path?: () => Path;
  channel?: (id: string) => number | undefined;
  /** What the channel shows that an instrument is hooked into. */
  hooked?: (instrument: string) => { name: string; si: number } | undefined;
  readOnly?: boolean;
}

/** What a display shows now, in SI. */
export interface Display {
  instrument: Instrument;
  si: number;
  text: string;
  passages?: number;
}

export function displays(s: InstrumentState): Display[] {
  const list: Display[] = [];
  for (const instrument of s.tray) {
    if (!s.placing[instrument.id as keyof Placing]) continue;
    let si: number | undefined;
    let passages: number | undefined;
    if (instrument.shape === 'clock') si = s.seconds(s.frame - s.placing.stopwatch!.zero);
    else if (instrument.shape === 'gauge') si = s.channel?.(instrument.channel);
    else if (instrument.shape === 'gate' && s.path)
      ({ period: si, passages } = lightGate(s.path(), s.placing['beam-timer']!, s.seconds(s.frame)));
    else continue;
    const answer = si === undefined || Number.isNaN(si) ? null : shownBy(instrument.id, si, '');
    list.push({
      instrument,
      si: si ?? NaN,
      text: answer && 'text' in answer ? `${answer.text} ${answer.unit}` : `– ${instrument.unit}`,
      passages,
    });
  }
  return list;
}

/** The display that suits a column's unit best, and what would be written; undefined where none does. */
export function displayFor(list: Display[], unit: string) {
  for (const d of [...list].reverse()) {
    if (Number.isNaN(d.si)) continue;
    const answer = shownBy(d.instrument.id, d.si, unit || ' ');
    if ('typed' in answer) return { display: d, typed: answer.typed };
  }
  return undefined;
}

/** Instruments on a live bench. */
export function useInstruments(m: Manifest, picture: LivePicture, run: Run, lab?: string[]): InstrumentState {
  const [placing, setPlacing] = useState<Placing>(() =>
    Object.fromEntries(
      // What a lab wants to be read off a gauge hangs there from the beginning.
      all.filter((i) => i.shape === 'gauge' && lab?.includes(i.id)).map((i) => [i.id, {}]),
    ),
  );
  const [markers, setMarkers] = useState<Marker[]>([]);
  const tray = useMemo(() => all.filter((i) => (lab ?? m.instruments).includes(i.id)), [m, lab]);
  const { frame } = picture;
  return {
    tray,
    picture,
    placing,
    setPlacing,
    markers,
    setMarkers,
    frame: run.time() / m.interval,
    seconds: (f) => f * m.interval,
    path: m.handles.length
      ? () => {
          const metres = run.path(0);
          const n = run.sampleCount();
          const values = new Float64Array(2 * n);
          for (let i = 0; i < n; i++) {
            values[2 * i] = (metres[2 * i] - frame[0]) * picture.scale;
            values[2 * i + 1] = (frame[1] + frame[3] - metres[2 * i + 1]) * picture.scale;
          }
          return { values, n, interval: m.interval };
        }
      : undefined,
    hooked: (instrument) => {
      const i = m.channels.findIndex((c) => c.id === m.hooked[instrument]);
      return i < 0 ? undefined : { name: m.channels[i].name, si: run.channels()[i] };
    },
    channel: (id) => run.channels()[m.channels.findIndex((c) => c.id === id)],
  };
}
