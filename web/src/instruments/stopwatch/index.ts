import { Timer } from 'lucide-react';
import type { InstrumentKind } from '../kind/kind';
import { icon } from '../kind/icon';
import { WatchButtons, type Watch } from './WatchButtons';

export const stopwatch: InstrumentKind<Watch> = {
  id: 'stopwatch',
  Icon: icon(Timer),
  fresh: ({ frame }) => ({ zero: frame, laps: [], cycles: 0 }),
  shows: ({ place }, s) => ({ si: s.seconds(s.frame - place.zero) }),
  Buttons: WatchButtons,
};
