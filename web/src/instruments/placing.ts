import type { Instrument } from '../core';
import type { Laid, Size } from './kind/kind';
import type { Placing } from './kind/state';
import { kindOf } from './kinds';

const idOf = (key: string) => key.split('~')[0];
const numberOf = (key: string) => Number(key.split('~')[1] ?? 1);

/** What lies there, in the order of the tray; what isn't on this tray is left out. */
export function laidOf(tray: Instrument[], placing: Placing): Laid[] {
  return tray.flatMap((instrument) =>
    Object.keys(placing)
      .filter((key) => placing[key] && idOf(key) === instrument.id)
      .sort((a, b) => numberOf(a) - numberOf(b))
      .map((key) => ({
        laidAs: key,
        instrument,
        place: placing[key]!,
        ...(numberOf(key) > 1
          ? { name: `${instrument.name} ${numberOf(key)}`, number: numberOf(key) }
          : { name: instrument.name }),
      })),
  );
}

/** One more of an instrument, as it lies when it is taken from the tray. */
export function taken(instrument: Instrument, placing: Placing, size: Size, frame: number): Placing {
  let n = 1;
  const key = () => (n > 1 ? `${instrument.id}~${n}` : instrument.id);
  while (placing[key()]) n++;
  const { width, height } = size;
  return { ...placing, [key()]: kindOf(instrument).fresh({ width, height, frame, nth: n - 1 }) };
}

/**
 * What lies there after going into another view: what lies nowhere in the picture goes along; what lies in it stays in
 * the view that is left, and is there again on coming back.
 */
export function intoView<P extends { view: string; placing: Placing; elsewhere?: Record<string, Placing> }>(
  tray: Instrument[],
  place: P,
  view: string,
): P {
  const stays = (drawn: boolean) =>
    Object.fromEntries(
      laidOf(tray, place.placing)
        .filter(({ instrument }) => !!kindOf(instrument).Drawing === drawn)
        .map(({ laidAs, place }) => [laidAs, place]),
    );
  const elsewhere = { ...place.elsewhere, [place.view]: stays(true) };
  return { ...place, view, placing: { ...elsewhere[view], ...stays(false) }, elsewhere };
}

/** What lies there as the core wants to hear of it: each instrument, and how coarsely it is graduated. */
export function lying(tray: Instrument[], placing: Placing) {
  return laidOf(tray, placing).map(({ instrument, place }) => ({ instrument, graduation: place.division ?? 1 }));
}
