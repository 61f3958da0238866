const PREFIXES: [number, string][] = [
  [1, 'm'],
  [1e-2, 'cm'],
  [1e-3, 'mm'],
  [1e-6, 'µm'],
  [1e-9, 'nm'],
];

function squareOf({ height, scale }: { height: number; scale: number }) {
  const room = height / scale / 6;
  const tens = 10 ** Math.floor(Math.log10(room));
  return [5, 2, 1].map((k) => k * tens).find((s) => s <= room) ?? tens;
}

/** How large a square of the grid is, in words. */
export function squareText(picture: { height: number; scale: number }) {
  const metres = squareOf(picture);
  const [size, unit] = PREFIXES.find(([p]) => metres >= 0.999 * p) ?? PREFIXES.at(-1)!;
  return `one square is ${Math.round(metres / size)} ${unit}`;
}

/** Squares of a round size. */
export function Grid({ picture }: { picture: { width: number; height: number; scale: number } }) {
  const step = squareOf(picture) * picture.scale;
  const lines = [];
  for (let x = -16 * step; x < picture.width + 16 * step; x += step)
    lines.push(`M${x} ${-16 * step}V${picture.height + 16 * step}`);
  for (let y = -16 * step; y < picture.height + 16 * step; y += step)
    lines.push(`M${-16 * step} ${y}H${picture.width + 16 * step}`);
  return (
    <path
      d={lines.join('')}
      stroke="var(--line)"
      strokeWidth="1"
      vectorEffect="non-scaling-stroke"
      opacity="0.7"
      pointerEvents="none"
    />
  );
}
