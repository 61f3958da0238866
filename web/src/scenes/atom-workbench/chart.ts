import type { PaintOf } from '../../picture/picture';

/** How each step of life is shown: the square's ground in parts of a hundred, and how many strokes hatch it. */
export const LIVES = [
  { ground: 100, strokes: 0 },
  { ground: 55, strokes: 5 },
  { ground: 40, strokes: 4 },
  { ground: 28, strokes: 3 },
  { ground: 18, strokes: 2 },
  { ground: 9, strokes: 1 },
  { ground: 0, strokes: 0 },
];

/** Strokes from lower left to upper right across a square of side 1, in pairs of ends. */
export function strokes(many: number) {
  return Array.from({ length: many }, (_, i) => {
    const off = (2 * (i + 1)) / (many + 1) - 1;
    return off < 0 ? [0, 1 + off, 1 + off, 0] : [off, 1, 1, off];
  });
}

/** All known nuclides, a square each. */
export const paintChart: PaintOf<'atom-workbench'> = (ctx, picture, _layers, pixel) => {
  const { values, count, left, top } = picture.crowd!;
  const style = getComputedStyle(ctx.canvas);
  const side = picture.get('cell');
  const gap = 0.06 * side;
  ctx.lineWidth = 0.7 / pixel;
  ctx.strokeStyle = style.getPropertyValue('--verdigris');
  ctx.fillStyle = style.getPropertyValue('--verdigris');
  LIVES.forEach(({ ground, strokes: many }, kind) => {
    const lines = strokes(many);
    ctx.beginPath();
    for (let i = 0; i < 3 * count; i += 3) {
      if (values[i + 2] !== kind) continue;
      const x = (values[i] - left) * picture.scale - side / 2 + gap;
      const y = (top - values[i + 1]) * picture.scale - side / 2 + gap;
      const w = side - 2 * gap;
      ctx.globalAlpha = ground / 100;
      ctx.fillRect(x, y, w, w);
      ctx.globalAlpha = 1;
      ctx.rect(x, y, w, w);
      lines.forEach(([x1, y1, x2, y2]) => {
        ctx.moveTo(x + x1 * w, y + y1 * w);
        ctx.lineTo(x + x2 * w, y + y2 * w);
      });
    }
    ctx.stroke();
  });
};
