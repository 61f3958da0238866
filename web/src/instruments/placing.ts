/** Where instruments lie, in picture elements of the film, so that a reading can be shown again. */
export interface Placing {
  ruler?: { x: number; y: number; angle: number };
  protractor?: { x: number; y: number; radius: number; angle: number };
  stopwatch?: { zero: number };
}

/** Where an instrument lies when it is taken from the tray. */
export function freshPlacing(id: string, picture: { width: number; height: number }, frame: number): Placing {
  if (id === 'ruler') return { ruler: { x: picture.width * 0.2, y: picture.height * 0.25, angle: 0 } };
  if (id === 'protractor') return { protractor: { x: picture.width * 0.5, y: picture.height * 0.45, radius: picture.height * 0.28, angle: 0 } };
  return { stopwatch: { zero: frame } };
}
