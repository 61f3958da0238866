import type { Instrument } from '../../core';
import type { Picture } from '../../picture/picture';

/** How an instrument lies, in picture elements and frames; what stands in it is its kind's. */
export type Place = object & { division?: number };

/** How instruments lie, so that a reading can be shown again: by their ids, and `id~2` for the second of an id. */
export type Placing = Partial<Record<string, Place>>;

/** A mark that was set on one frame. */
export interface Marker {
  frame: number;
  x: number;
  y: number;
}

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
  /** What a channel shows now. */
  channel?: (id: string) => { name: string; si: number } | undefined;
  readOnly?: boolean;
}
