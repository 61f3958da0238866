import type { Manifest } from '../../core';
import type { Picture } from '../../picture/picture';
import type { Point } from './kind';
import type { Marker } from './state';

/** How near, in screen pixels, an end falls into a point. */
const NEAR = 9;

/** Points an instrument's end can fall into: middles of named parts, and marks on this frame. */
export function snapPoints(m: Manifest, picture: Picture, markers: Marker[], frame: number): Point[] {
  const points: Point[] = markers.filter((k) => k.frame === frame).map(({ x, y }) => ({ x, y }));
  for (const f of m.scene) {
    if (f.kind !== 'x' || !f.filmed) continue;
    const y = m.scene.find((g) => g.kind === 'y' && g.filmed && g.id === f.id.replace(/\.x$/, '.y'));
    if (y) points.push({ x: picture.get(f.id), y: picture.get(y.id) });
  }
  return points;
}

export function snapTo(points: Point[], at: Point, pixel: number): Point {
  const best = points.reduce<Point | null>(
    (b, p) => (!b || Math.hypot(p.x - at.x, p.y - at.y) < Math.hypot(b.x - at.x, b.y - at.y) ? p : b),
    null,
  );
  return best && Math.hypot(best.x - at.x, best.y - at.y) * pixel <= NEAR ? best : at;
}
