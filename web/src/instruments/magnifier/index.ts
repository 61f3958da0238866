import { Search } from 'lucide-react';
import type { InstrumentKind, Point } from '../kind/kind';
import { icon } from '../kind/icon';
import { Magnifier } from './Magnifier';

export const magnifier: InstrumentKind<Point> = {
  id: 'magnifier',
  Icon: icon(Search),
  fresh: ({ width, height }) => ({ x: width * 0.5, y: height * 0.4 }),
  Drawing: Magnifier,
  layer: 'above',
  describe: ({ x, y }, at) => at(x, y),
};
