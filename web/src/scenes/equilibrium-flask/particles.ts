import type { PaintOf } from '../../picture/picture';

/** A mark for each substance of a reaction, in its order: so that colour never tells alone. */
export const MARKS = [
  { hue: '--indigo', shape: 'disc' },
  { hue: '--ochre', shape: 'square' },
  { hue: '--copper', shape: 'diamond' },
  { hue: '--verdigris', shape: 'triangle' },
] as const;

/** Rings around the last reactions are kinds from here on: back, forwards. */
const RING = 8;
/** Metres: half a particle, the radius of a ring. */
const HALF = 0.0021;
const AROUND = 0.0075;

/** Outline of a mark as corners around its middle, in halves of its size; a disc has none. */
export function corners(shape: (typeof MARKS)[number]['shape']): [number, number][] {
  if (shape === 'square')
    return [
      [-0.9, -0.9],
      [0.9, -0.9],
      [0.9, 0.9],
      [-0.9, 0.9],
    ];
  if (shape === 'diamond')
    return [
      [0, -1.3],
      [1.3, 0],
      [0, 1.3],
      [-1.3, 0],
    ];
  if (shape === 'triangle')
    return [
      [0, -1.3],
      [1.2, 0.9],
      [-1.2, 0.9],
    ];
  return [];
}

export const paintParticles: PaintOf<'equilibrium-flask'> = (ctx, picture, _layers, pixel) => {
  const { values, count, left, top } = picture.crowd!;
  const style = getComputedStyle(ctx.canvas);
  const r = Math.max(HALF * picture.scale, 1.5 / pixel);
  ctx.lineWidth = 0.8 / pixel;
  ctx.strokeStyle = style.getPropertyValue('--ink');
  MARKS.forEach(({ hue, shape }, kind) => {
    ctx.fillStyle = style.getPropertyValue(hue);
    const path = corners(shape);
    ctx.beginPath();
    for (let i = 0; i < 3 * count; i += 3) {
      if (values[i + 2] !== kind) continue;
      const x = (values[i] - left) * picture.scale;
      const y = (top - values[i + 1]) * picture.scale;
      if (path.length === 0) {
        ctx.moveTo(x + r, y);
        ctx.arc(x, y, r, 0, 2 * Math.PI);
        continue;
      }
      path.forEach(([dx, dy], n) => (n ? ctx.lineTo(x + dx * r, y + dy * r) : ctx.moveTo(x + dx * r, y + dy * r)));
      ctx.closePath();
    }
    ctx.fill();
    ctx.stroke();
  });
  ctx.lineWidth = 2 / pixel;
  for (const [kind, dash] of [
    [RING + 1, []],
    [RING, [4 / pixel, 3 / pixel]],
  ] as const) {
    ctx.setLineDash([...dash]);
    ctx.strokeStyle = style.getPropertyValue('--plum');
    ctx.beginPath();
    for (let i = 0; i < 3 * count; i += 3) {
      if (values[i + 2] !== kind) continue;
      const x = (values[i] - left) * picture.scale;
      const y = (top - values[i + 1]) * picture.scale;
      ctx.moveTo(x + AROUND * picture.scale, y);
      ctx.arc(x, y, AROUND * picture.scale, 0, 2 * Math.PI);
    }
    ctx.stroke();
  }
  ctx.setLineDash([]);
};
