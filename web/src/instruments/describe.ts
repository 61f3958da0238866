import type { Placing, Straight } from './placing';

interface Size {
  width: number;
  height: number;
}

/** Where an instrument lies, for those who can't see it: its place in the picture, never what it reads. */
export function describe(name: string, id: string, placing: Placing, { width, height }: Size): string {
  const place = placing[id as keyof Placing];
  if (!place) return `${name} put back on the tray`;
  const at = (x: number, y: number) =>
    `${Math.round((100 * x) / width)} % from the left and ${Math.round((100 * y) / height)} % from the top`;
  if ('x1' in place) return `${name}: one end ${at(place.x1, place.y1)}, the other ${at(place.x2, place.y2)}`;
  if ('angle' in place) {
    const { x, y, angle } = place as Straight;
    return `${name}: zero ${at(x, y)}, turned ${Math.round(angle)}°`;
  }
  if ('x' in place) return `${name}: ${at(place.x, place.y)}`;
  return `${name} taken from the tray`;
}
