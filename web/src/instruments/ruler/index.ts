import { Ruler as Icon } from 'lucide-react';
import type { InstrumentKind } from '../kind/kind';
import { icon } from '../kind/icon';
import { Lay } from './Lay';
import { Ruler, type Straight } from './Ruler';

export const ruler: InstrumentKind<Straight> = {
  id: 'ruler',
  Icon: icon(Icon),
  fresh: ({ width, height, nth }) => ({ x: width * 0.2, y: height * (0.25 + 0.12 * (nth % 5)), angle: 0 }),
  Drawing: Ruler,
  graduated: true,
  Lay,
  describe: ({ x, y, angle, over }, at) =>
    `zero ${at(x, y)}, turned ${Math.round(angle)}°${over ? ', its scale turned over' : ''}`,
};
