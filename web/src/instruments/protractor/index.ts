import type { InstrumentKind } from '../kind/kind';
import { HalfCircle, Protractor, type Place } from './Protractor';

export const protractor: InstrumentKind<Place> = {
  id: 'protractor',
  Icon: HalfCircle,
  fresh: ({ width, height, nth }) => ({
    x: width * (0.5 + 0.06 * (nth % 5)),
    y: height * 0.45,
    radius: height * 0.28,
    angle: 0,
  }),
  Drawing: Protractor,
  describe: ({ x, y, angle }, at) => `zero ${at(x, y)}, turned ${Math.round(angle)}°`,
};
