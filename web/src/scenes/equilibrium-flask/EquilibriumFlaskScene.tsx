import type { PropsOf } from '../../picture/picture';
import { corners, MARKS } from './particles';

const LINE = { stroke: 'var(--ink)', vectorEffect: 'non-scaling-stroke' as const, fill: 'none' };
/** Substances of each reaction in their order, and how its arrow stands between them. */
const REACTIONS: { names: string[]; equation: string; hue?: string }[] = [
  { names: ['H₂', 'I₂', 'HI'], equation: 'H₂ + I₂ ⇌ 2 HI', hue: 'var(--plum)' },
  { names: ['Fe³⁺', 'SCN⁻', 'FeSCN²⁺'], equation: 'Fe³⁺ + SCN⁻ ⇌ FeSCN²⁺', hue: 'var(--copper)' },
  { names: ['N₂', 'H₂', 'NH₃'], equation: 'N₂ + 3 H₂ ⇌ 2 NH₃' },
  { names: ['CaCO₃', 'CaO', 'CO₂'], equation: 'CaCO₃ ⇌ CaO + CO₂' },
  {
    names: ['CH₃COOH', 'C₂H₅OH', 'CH₃COOC₂H₅', 'H₂O'],
    equation: 'CH₃COOH + C₂H₅OH ⇌ CH₃COOC₂H₅ + H₂O',
  },
];

/** The vessel with its lid at the volume, its particles' names, how often they went each way. */
export function EquilibriumFlaskScene({ picture }: PropsOf<'equilibrium-flask'>) {
  const k = picture.scale;
  const x = picture.get('floor.x');
  const floor = picture.get('floor.y');
  const lid = picture.get('lid.y');
  const wide = picture.get('wide');
  const reaction = REACTIONS[picture.get('which')];
  const shade = Math.round(75 * (1 - picture.get('clear') / 100));
  const over = floor - 0.212 * k;
  return (
    <g>
      <rect
        x={x}
        y={lid}
        width={wide}
        height={floor - lid}
        fill={reaction.hue ?? 'none'}
        fillOpacity={(0.5 * shade) / 75}
        data-part="inside"
        data-shade={shade}
      />
      <path
        d={`M${x} ${floor - 0.206 * k}V${floor}H${x + wide}V${floor - 0.206 * k}`}
        {...LINE}
        strokeWidth={3}
        strokeLinejoin="round"
      />
      <rect
        x={x + 0.001 * k}
        y={lid - 0.006 * k}
        width={wide - 0.002 * k}
        height={0.006 * k}
        {...LINE}
        fill="var(--line)"
        strokeWidth={1.5}
        data-part="lid"
      />
      <path d={`M${x + wide / 2} ${lid - 0.006 * k}V${over}`} {...LINE} stroke="var(--edge)" strokeWidth={4} />
      {picture.get('catalysed') === 1 && <Mesh x={x} y={floor} wide={wide} k={k} />}
      <Names names={reaction.names} x={x} y={over - 0.022 * k} k={k} />
      <text x={x} y={over - 0.006 * k} fontSize={0.0105 * k} fill="var(--ink)">
        {reaction.equation}
      </text>
      <text
        x={x + wide}
        y={over - 0.006 * k}
        fontSize={0.0085 * k}
        textAnchor="end"
        fill="var(--plum)"
        className="mono"
        data-part="went"
      >
        {`→ ${picture.get('went')}   ← ${picture.get('returned')}`}
      </text>
    </g>
  );
}

/** What each mark stands for. */
function Names({ names, x, y, k }: { names: string[]; x: number; y: number; k: number }) {
  const apart = [0, 0.062, 0.122, 0.2];
  const r = 0.0028 * k;
  return (
    <g>
      {names.map((name, i) => {
        const { hue, shape } = MARKS[i];
        const at = x + (apart[i] + 0.004) * k;
        const path = corners(shape);
        return (
          <g key={name}>
            {path.length ? (
              <path
                d={`M${path.map(([dx, dy]) => `${at + dx * r} ${y - r + dy * r}`).join('L')}Z`}
                {...LINE}
                fill={`var(${hue})`}
              />
            ) : (
              <circle cx={at} cy={y - r} r={r} {...LINE} fill={`var(${hue})`} />
            )}
            <text x={at + 0.006 * k} y={y} fontSize={0.0095 * k} fill="var(--ink)">
              {name}
            </text>
          </g>
        );
      })}
    </g>
  );
}

/** A catalyst stands in it as a mesh along the floor. */
function Mesh({ x, y, wide, k }: { x: number; y: number; wide: number; k: number }) {
  const many = 40;
  const each = wide / many;
  const zigzag = Array.from({ length: many }, () => `l${each / 2} ${-0.006 * k}l${each / 2} ${0.006 * k}`).join('');
  return (
    <path d={`M${x} ${y - 0.001 * k}${zigzag}`} {...LINE} stroke="var(--soft)" strokeWidth={1.4} data-part="mesh" />
  );
}
