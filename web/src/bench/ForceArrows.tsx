import type { Manifest } from '../core';
import type { Picture } from '../picture/picture';
import { useStage } from '../picture/Stage';
import { SymbolSpan } from './Bars';
import { LINE_LOOK } from './looks';

/** What can be shown of forces, where an apparatus declares any: the arrows, their components, their sum. */
export const FORCES = 'forces';
export const COMPONENTS = 'forces/components';
export const SUM = 'forces/sum';

export function forceLayers(m: Manifest) {
  if (m.forces.length === 0) return [];
  return [
    { id: FORCES, name: 'Force arrows' },
    { id: COMPONENTS, name: 'Components of the forces' },
    { id: SUM, name: 'Sum of the forces' },
  ];
}

/** The first declared force, usually the weight, is as long as this part of the picture's height. */
const LENGTH = 0.16;
const SMALLEST = 0.02;

interface Vector {
  id: string;
  symbol: string;
  name: string;
  x: number;
  y: number;
  right: number;
  up: number;
  color: string;
  dash: string;
}

/** Forces as arrows of one scale where they act, as the scene tells them in newtons. */
export function ForceArrows({
  m,
  picture,
  layers,
}: {
  m: Manifest;
  picture: Picture;
  layers: { has(id: string): boolean };
}) {
  const { pixel } = useStage();
  const forces: Vector[] = m.forces.map((f, i) => ({
    id: f.id,
    symbol: f.symbol,
    name: f.name,
    x: picture.get(f.xField),
    y: picture.get(f.yField),
    right: picture.get(f.rightField),
    up: picture.get(f.upField),
    ...LINE_LOOK[(i + 1) % LINE_LOOK.length],
  }));
  const first = Math.hypot(forces[0].right, forces[0].up) || 1;
  const per = (LENGTH * picture.height) / first;
  const places = [...new Set(forces.map((f) => `${f.x} ${f.y}`))];
  const sums: Vector[] = places.map((place) => {
    const here = forces.filter((f) => `${f.x} ${f.y}` === place);
    return {
      ...here[0],
      id: `sum ${place}`,
      symbol: 'F',
      name: 'sum',
      right: here.reduce((s, f) => s + f.right, 0),
      up: here.reduce((s, f) => s + f.up, 0),
      color: 'var(--ink)',
      dash: '',
    };
  });
  const arrows = [...(layers.has(FORCES) ? forces : []), ...(layers.has(SUM) ? sums : [])].filter(
    (f) => Math.hypot(f.right, f.up) > SMALLEST * first,
  );
  return (
    <g className="pointer-events-none" data-forces>
      {layers.has(COMPONENTS) &&
        arrows.map((f) => (
          <g key={f.id} stroke={f.color} strokeDasharray="3 3" strokeWidth={1.5 / pixel}>
            <line x1={f.x} y1={f.y} x2={f.x + f.right * per} y2={f.y} vectorEffect="non-scaling-stroke" />
            <line x1={f.x} y1={f.y} x2={f.x} y2={f.y - f.up * per} vectorEffect="non-scaling-stroke" />
          </g>
        ))}
      {arrows.map((f) => (
        <Arrow key={f.id} f={f} toX={f.x + f.right * per} toY={f.y - f.up * per} pixel={pixel} />
      ))}
    </g>
  );
}

function Arrow({ f, toX, toY, pixel }: { f: Vector; toX: number; toY: number; pixel: number }) {
  const length = Math.hypot(toX - f.x, toY - f.y);
  const [dx, dy] = [(toX - f.x) / length, (toY - f.y) / length];
  const head = Math.min(12 / pixel, 0.5 * length);
  const [bx, by] = [toX - dx * head, toY - dy * head];
  const [sx, sy] = [0.45 * dy * head, 0.45 * dx * head];
  return (
    <g data-force={f.id}>
      <line
        x1={f.x}
        y1={f.y}
        x2={bx}
        y2={by}
        stroke={f.color}
        strokeWidth={f.name === 'sum' ? 5 : 3}
        strokeDasharray={f.dash}
        vectorEffect="non-scaling-stroke"
      />
      <path d={`M${toX} ${toY}L${bx - sx} ${by + sy}L${bx + sx} ${by - sy}Z`} fill={f.color} />
      <text
        x={toX + dx * (16 / pixel)}
        y={toY + dy * (16 / pixel) + 5 / pixel}
        fontSize={16 / pixel}
        textAnchor="middle"
        fill={f.color}
        stroke="var(--stage)"
        strokeWidth={4 / pixel}
        paintOrder="stroke"
      >
        <SymbolSpan text={f.symbol} />
        <title>{f.name}</title>
      </text>
    </g>
  );
}
