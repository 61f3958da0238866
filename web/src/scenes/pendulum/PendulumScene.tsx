import type { PropsOf } from '../../picture/picture';

/** Bracket, cord and bob in proportion, as a technical drawing. */
export function PendulumScene({ picture }: PropsOf<'pendulum'>) {
  const px = picture.get('pivot.x');
  const py = picture.get('pivot.y');
  const bx = picture.get('bob.x');
  const by = picture.get('bob.y');
  const r = picture.get('bob.radius');
  const shut = picture.get('catch.shut') === 1;
  const side = bx < px ? -1 : 1;
  const line = { stroke: 'var(--ink)', vectorEffect: 'non-scaling-stroke' as const, fill: 'none' };
  // The bracket is a little larger than life in wide views, so that it stays in sight.
  const b = Math.max(6, 0.012 * picture.scale);
  return (
    <g>
      <line
        x1={px}
        y1={py}
        x2={px}
        y2={picture.height}
        {...line}
        stroke="var(--edge)"
        strokeWidth={1}
        strokeDasharray="9 4 2 4"
      />
      <rect
        x={px - 5 * b}
        y={py - 3.4 * b}
        width={10 * b}
        height={1.6 * b}
        {...line}
        fill="var(--line)"
        strokeWidth={1.5}
      />
      <path
        d={Array.from({ length: 10 }, (_, i) => `M${px + (i - 5) * b} ${py - 3.4 * b}l${b} ${-b}`).join('')}
        {...line}
        strokeWidth={1}
      />
      <path
        d={`M${px - 1.3 * b} ${py - 1.8 * b}L${px} ${py}L${px + 1.3 * b} ${py - 1.8 * b}Z`}
        {...line}
        fill="var(--ink)"
        strokeWidth={1}
      />
      <line data-part="cord" x1={px} y1={py} x2={bx} y2={by} {...line} strokeWidth={1.6} />
      <circle
        data-part="bob"
        cx={bx}
        cy={by}
        r={r}
        {...line}
        fill="color-mix(in srgb, var(--ochre) 45%, var(--stage))"
        strokeWidth={1.8}
      />
      <path d={`M${bx - 0.3 * r} ${by}h${0.6 * r}M${bx} ${by - 0.3 * r}v${0.6 * r}`} {...line} strokeWidth={1.2} />
      {shut && (
        <path
          d={`M${bx + side * r} ${by - r}v${2 * r}M${bx + side * r} ${by}h${side * 3.5 * r}m0 ${-0.8 * r}v${1.6 * r}`}
          {...line}
          stroke="var(--copper)"
          strokeWidth={2.5}
        />
      )}
    </g>
  );
}
