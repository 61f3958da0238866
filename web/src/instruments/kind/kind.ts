import type { ComponentType } from 'react';
import type { Instrument } from '../../core';
import type { Picture } from '../../picture/picture';
import type { InstrumentState, Place } from './state';

export type KindId = Instrument['kind'];

/** An instrument as it lies: the first of its id under that id, the second of the same as `id~2`. */
export interface Laid<P extends Place = Place> {
  laidAs: string;
  instrument: Instrument;
  /** Its name, with its number from the second on. */
  name: string;
  /** From the second on, as it is written beside it. */
  number?: number;
  place: P;
}

export interface Size {
  width: number;
  height: number;
}
export interface Point {
  x: number;
  y: number;
}

/** What a drawing over the picture gets. */
export interface Drawn<P extends Place> extends Laid<P> {
  state: InstrumentState;
  picture: Picture;
  /** Id of the group that is the apparatus. */
  content: string;
  /** Points that an end can fall into. */
  points: Point[];
  /** Lays it otherwise; missing where nothing may be moved. */
  onMove?: (to: P) => void;
}

/** What a kind's ways of laying it, on the tray, get. */
export interface Laying<P extends Place> {
  place: P;
  name: string;
  onMove: (to: P) => void;
}

/** What a kind's buttons beside its display get. */
export interface Buttons<P extends Place> extends Laid<P> {
  state: InstrumentState;
  onMove: (to: P) => void;
  /** Shows a frame. */
  onGo: (frame: number) => void;
}

/** A kind of instrument: how it lies, is drawn, shows and is told of. Its scale comes from the apparatus. */
export interface InstrumentKind<P extends Place> {
  id: KindId;
  Icon: ComponentType;
  /** How it lies when it is taken from the tray; `nth` counts those of its id that lie there, from 0. */
  fresh: (at: Size & { frame: number; nth: number }) => P;
  /** Over the picture; missing where it lies nowhere. */
  Drawing?: ComponentType<Drawn<P>>;
  /** Below all other instruments, among them (as if left out), or above them. */
  layer?: 'below' | 'above';
  /** Whether its scale can be graduated more coarsely. */
  graduated?: boolean;
  /** Ways of laying it that take one press, on the tray. */
  Lay?: ComponentType<Laying<P>>;
  /** Whether it hangs there from the beginning where a lab names it. */
  atOnce?: boolean;
  /** Where it lies in words, never what it reads; missing where nothing need be said. */
  describe?: (place: P, at: (x: number, y: number) => string) => string;
  /** What its display shows, in SI; NaN before it shows anything. Missing where it has none. */
  shows?: (laid: Laid<P>, state: InstrumentState) => { si: number; aside?: string };
  /** Beside its display, or in its place. */
  Buttons?: ComponentType<Buttons<P>>;
}
