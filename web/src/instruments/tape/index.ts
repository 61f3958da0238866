import { ListOrdered } from 'lucide-react';
import { describeEnds, type Ends } from '../kind/End';
import type { InstrumentKind } from '../kind/kind';
import { icon } from '../kind/icon';
import { Tape } from './Tape';

export const tape: InstrumentKind<Ends> = {
  id: 'tape',
  Icon: icon(ListOrdered),
  fresh: ({ width, height, nth }) => {
    const y = height * (0.6 + 0.08 * (nth % 4));
    return { x1: width * 0.1, y1: y, x2: width * 0.6, y2: y };
  },
  Drawing: Tape,
  describe: describeEnds,
};
