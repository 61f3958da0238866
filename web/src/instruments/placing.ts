/** Where instruments lie, in picture elements, so that a reading can be shown again. Keys are their ids. */
export interface Placing {
  ruler?: Straight;
  'fine-ruler'?: Straight;
  tape?: Ends;
  protractor?: { x: number; y: number; radius: number; angle: number };
  magnifier?: { x: number; y: number };
  'beam-timer'?: Ends;
  markers?: object;
  /** Zero and laps in frames. */
  stopwatch?: { zero: number; laps?: number[]; cycles?: number };
  'pressure-gauge'?: object;
  thermometer?: object;
  'spring-scale'?: { x: number; y: number; division?: number };
}
/** The zero's place, the direction in degrees, and the division it is graduated in. */
export interface Straight {
  x: number;
  y: number;
  angle: number;
  division?: number;
}
export interface Ends {
  x1: number;
  y1: number;
  x2: number;
  y2: number;
}
export type InstrumentId = keyof Placing;

/** Where an instrument lies when it is taken from the tray. */
export function freshPlacing(
  id: string,
  { width: w, height: h }: { width: number; height: number },
  frame: number,
): Placing {
  switch (id) {
    case 'ruler':
    case 'fine-ruler':
      return { [id]: { x: w * 0.2, y: h * 0.25, angle: 0 } };
    case 'tape':
      return { tape: { x1: w * 0.1, y1: h * 0.6, x2: w * 0.6, y2: h * 0.6 } };
    case 'protractor':
      return { protractor: { x: w * 0.5, y: h * 0.45, radius: h * 0.28, angle: 0 } };
    case 'magnifier':
      return { magnifier: { x: w * 0.5, y: h * 0.4 } };
    case 'spring-scale':
      return { 'spring-scale': { x: w * 0.82, y: h * 0.2 } };
    case 'beam-timer':
      return { 'beam-timer': { x1: w * 0.42, y1: h * 0.75, x2: w * 0.58, y2: h * 0.75 } };
    case 'stopwatch':
      return { stopwatch: { zero: frame, laps: [], cycles: 0 } };
    default:
      return { [id]: {} };
  }
}

/** What lies there, as the core wants to hear of it: id, and how coarsely it is graduated. */
export function lying(placing: Placing): string[] {
  return Object.entries(placing)
    .filter(([, place]) => place)
    .map(([id, place]) => {
      const { division } = place as { division?: number };
      return division && division !== 1 ? `${id}:${division}` : id;
    });
}

/** A mark that was set on one frame. */
export interface Marker {
  frame: number;
  x: number;
  y: number;
}
