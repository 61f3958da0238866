import { Waypoints } from 'lucide-react';
import { lightGate } from '../../core';
import { describeEnds, type Ends } from '../kind/End';
import type { InstrumentKind } from '../kind/kind';
import { icon } from '../kind/icon';
import { BeamTimer } from './BeamTimer';

export const beamTimer: InstrumentKind<Ends> = {
  id: 'beam-timer',
  Icon: icon(Waypoints),
  fresh: ({ width, height, nth }) => {
    const y = height * (0.75 - 0.08 * (nth % 5));
    return { x1: width * 0.42, y1: y, x2: width * 0.58, y2: y };
  },
  Drawing: BeamTimer,
  describe: describeEnds,
  shows: ({ place, instrument }, s) => {
    if (!s.path) return { si: NaN };
    const { period, passages } = lightGate(s.path(), place, s.seconds(s.frame), instrument);
    return { si: period, aside: `${passages} ${passages === 1 ? 'passage' : 'passages'}` };
  },
};
