import { useMemo, useState } from 'react';
import type { Manifest, Run } from '../core';
import type { LivePicture } from '../picture/picture';
import { kindOf } from './kinds';
import type { InstrumentState, Marker, Placing } from './kind/state';
import { taken } from './placing';

/** Instruments on a live bench. */
export function useInstruments(m: Manifest, picture: LivePicture, run: Run, lab?: string[]): InstrumentState {
  const tray = useMemo(() => m.instruments.filter((i) => !lab || lab.includes(i.id)), [m, lab]);
  const [placing, setPlacing] = useState<Placing>(() =>
    // What a lab wants to be read off a gauge hangs there from the beginning.
    tray.filter((i) => lab && kindOf(i).atOnce).reduce<Placing>((before, i) => taken(i, before, picture, 0), {}),
  );
  const [markers, setMarkers] = useState<Marker[]>([]);
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
    channel: (id) => {
      const i = m.channels.findIndex((c) => c.id === id);
      return i < 0 ? undefined : { name: m.channels[i].name, si: run.channels()[i] };
    },
  };
}
