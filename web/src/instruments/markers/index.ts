import { MapPin } from 'lucide-react';
import type { InstrumentKind } from '../kind/kind';
import { icon } from '../kind/icon';
import { MarkerList } from './MarkerList';
import { Markers } from './Markers';

export const markers: InstrumentKind<object> = {
  id: 'markers',
  Icon: icon(MapPin),
  fresh: () => ({}),
  Drawing: Markers,
  layer: 'below',
  Buttons: MarkerList,
};
