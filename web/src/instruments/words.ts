import type { Laid, Size } from './kind/kind';
import type { Place } from './kind/state';
import { kindOf } from './kinds';

/** Where an instrument lies, for those who can't see it: its place in the picture, never what it reads. */
export function placeInWords(
  { instrument, name, place }: Omit<Laid, 'place'> & { place: Place | undefined },
  { width, height }: Size,
): string {
  if (!place) return `${name} put back on the tray`;
  const at = (x: number, y: number) =>
    `${Math.round((100 * x) / width)} % from the left and ${Math.round((100 * y) / height)} % from the top`;
  const words = kindOf(instrument).describe?.(place, at);
  return words ? `${name}: ${words}` : `${name} taken from the tray`;
}
