import type { PropsOf } from '../../picture/picture';

const COILS = 16;

/** Bracket, spring and brass mass in proportion, with force arrows and levels on request. */
export function HangingSpringScene({ picture, layers }: PropsOf<'hanging-spring'>) {
  const x = picture.get('support.x');
  const top = picture.get('support.y');
  const hook = picture.get('hook.y');
  const y = picture.get('body.y');
  const s = picture.get('body.size');
  const line = { stroke: 'var(--ink)', vectorEffect: 'non-scaling-stroke' as const, fill: 'none' };
  const b = 0.012 * picture.scale;
  // A straight end above and below; the coils between share what is left.
  const end = 0.014 * picture.scale;
  const pitch = (hook - top - 2 * end) / (2 * COILS);
  let coils = `M${x} ${top}v${end}`;
  for (let i = 0; i < 2 * COILS; i++) coils += `L${x + (i % 2 ? -b : b)} ${top + end + (i + 0.5) * pitch}`;
  coils += `L${x} ${hook - end}V${hook}`;
  return (
    <g>
      <rect
        x={x - 5 * b}
        y={top - 1.6 * b}
        width={10 * b}
        height={1.6 * b}
        {...line}
        fill="var(--line)"
        strokeWidth={1.5}
      />
      <path
        d={Array.from({ length: 10 }, (_, i) => `M${x + (i - 5) * b} ${top - 1.6 * b}l${b} ${-b}`).join('')}
        {...line}
        strokeWidth={1}
      />
      {layers.has('lines') && <Levels picture={picture} x={x} />}
      <path d={coils} {...line} strokeWidth={1.6} strokeLinejoin="round" />
      <rect
        data-part="body"
        x={x - s}
        y={y - s}
        width={2 * s}
        height={2 * s}
        rx={0.12 * s}
        {...line}
        fill="color-mix(in srgb, var(--ochre) 45%, var(--stage))"
        strokeWidth={1.8}
      />
      <path d={`M${x - 0.3 * s} ${y}h${0.6 * s}M${x} ${y - 0.3 * s}v${0.6 * s}`} {...line} strokeWidth={1.2} />
      {picture.get('hand.on') === 1 && (
        <path
          d={
            `M${x - 1.7 * s} ${y - s}v${2 * s}M${x + 1.7 * s} ${y - s}v${2 * s}` +
            `M${x - 1.7 * s} ${y}h${0.7 * s}M${x + 1.7 * s} ${y}h${-0.7 * s}`
          }
          {...line}
          stroke="var(--copper)"
          strokeWidth={2.5}
        />
      )}
      {layers.has('forces') && (
        <>
          <Arrow
            x={x + 0.35 * s}
            y={y}
            length={picture.get('weight.arrow')}
            color="var(--indigo)"
            name="weight"
            dash=""
            b={b}
          />
          <Arrow
            x={x - 0.35 * s}
            y={y}
            length={-picture.get('spring.arrow')}
            color="var(--verdigris)"
            name="spring"
            dash="6 3"
            b={b}
          />
        </>
      )}
    </g>
  );
}

/** A force on the body: downwards for a positive length. */
function Arrow({
  x,
  y,
  length,
  color,
  name,
  dash,
  b,
}: {
  x: number;
  y: number;
  length: number;
  color: string;
  name: string;
  dash: string;
  b: number;
}) {
  if (Math.abs(length) < b / 2) return null;
  const sign = length < 0 ? -1 : 1;
  return (
    <g stroke={color} fill={color}>
      <line
        x1={x}
        x2={x}
        y1={y}
        y2={y + length}
        strokeWidth={3}
        strokeDasharray={dash}
        vectorEffect="non-scaling-stroke"
      />
      <path d={`M${x} ${y + length}l${-0.7 * b} ${-1.6 * sign * b}h${1.4 * b}Z`} stroke="none" />
      <text
        x={x + 1.2 * b * (name === 'weight' ? 1 : -1)}
        y={y + length}
        fontSize={1.25 * b}
        textAnchor={name === 'weight' ? 'start' : 'end'}
        stroke="none"
      >
        {name}
      </text>
    </g>
  );
}

function Levels({ picture, x }: { picture: PropsOf<'hanging-spring'>['picture']; x: number }) {
  const reach = 0.28 * picture.width;
  const type = 0.028 * picture.width;
  return (
    <g>
      {(
        [
          ['natural.y', 'natural length', '2 4'],
          ['equilibrium.y', 'equilibrium', '10 4 2 4'],
        ] as const
      ).map(([field, name, dash]) => (
        <g key={field}>
          <line
            x1={x - reach}
            x2={x + reach}
            y1={picture.get(field)}
            y2={picture.get(field)}
            stroke="var(--soft)"
            strokeDasharray={dash}
            strokeWidth={1.4}
            vectorEffect="non-scaling-stroke"
          />
          <text x={x + reach} y={picture.get(field) - 0.4 * type} fontSize={type} textAnchor="end" fill="var(--soft)">
            {name}
          </text>
        </g>
      ))}
    </g>
  );
}
