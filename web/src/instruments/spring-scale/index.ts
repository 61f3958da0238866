import { Weight } from 'lucide-react';
import type { InstrumentKind } from '../kind/kind';
import { icon } from '../kind/icon';
import { SpringScale, type Place } from './SpringScale';

export const springScale: InstrumentKind<Place> = {
  id: 'spring-scale',
  Icon: icon(Weight),
  fresh: ({ width, height }) => ({ x: width * 0.82, y: height * 0.2 }),
  Drawing: SpringScale,
  graduated: true,
  describe: ({ x, y }, at) => at(x, y),
};
