import { useStage } from './Stage';

const PREFIXES: [number, string][] = [[1, 'm'], [1e-2, 'cm'], [1e-3, 'mm'], [1e-6, 'µm'], [1e-9, 'nm']];

/** Squares of a round size, named in the corner. */
export function Grid({ picture }: { picture: { width: number; height: number; scale: number } }) {
  const { pixel } = useStage();
  const room = picture.height / picture.scale / 6;
  const tens = 10 ** Math.floor(Math.log10(room));
  const metres = [5, 2, 1].map((k) => k * tens).find((s) => s <= room) ?? tens;
  const step = metres * picture.scale;
  const lines = [];
  for (let x = -4 * step; x < picture.width + 4 * step; x += step) lines.push(`M${x} ${-4 * step}V${picture.height + 4 * step}`);
  for (let y = -4 * step; y < picture.height + 4 * step; y += step) lines.push(`M${-4 * step} ${y}H${picture.width + 4 * step}`);
  const [size, unit] = PREFIXES.find(([p]) => metres >= 0.999 * p) ?? PREFIXES.at(-1)!;
  return (
    <g>
      <path d={lines.join('')} stroke="var(--line)" strokeWidth="1" vectorEffect="non-scaling-stroke" opacity="0.7" />
      <text x={8 / pixel} y={picture.height - 10 / pixel} fontSize={13 / pixel} fill="var(--soft)">one square is {Math.round(metres / size)} {unit}</text>
    </g>
  );
}
