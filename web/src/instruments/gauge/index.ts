import { Gauge } from 'lucide-react';
import type { InstrumentKind } from '../kind/kind';
import { icon } from '../kind/icon';

export const gauge: InstrumentKind<object> = {
  id: 'gauge',
  Icon: icon(Gauge),
  fresh: () => ({}),
  atOnce: true,
  shows: ({ instrument }, s) => ({ si: s.channel?.(instrument.channel)?.si ?? NaN }),
};
