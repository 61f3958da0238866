const LINE = { stroke: 'var(--ink)', vectorEffect: 'non-scaling-stroke' as const, strokeWidth: 1.5, fill: 'none' };
const STEEL = { ...LINE, fill: 'var(--soft)' };
const PALE = { ...LINE, fill: 'var(--line)' };
const COPPER = { ...LINE, fill: 'var(--copper)' };

const GLOVE =
  'M-0.28 0H0.22V-0.45L0.42 -0.62L0.3 -0.75L0.2 -0.62V-0.92H0.08V-0.65H0.04V-1' +
  'H-0.08V-0.65H-0.12V-0.96H-0.24V-0.62H-0.28Z';
const DOME =
  'M-0.95 -2.1C-0.9 -3.1 0.9 -3.1 0.95 -2.1' +
  'C0.75 -2.25 0.55 -2.25 0.35 -2.2C0.1 -2.3 -0.1 -2.3 -0.35 -2.2C-0.55 -2.25 -0.75 -2.25 -0.95 -2.1Z';

/** One of the things that are let fall, its lowest point at the origin; as tall as its size says. */
export function Thing({ which, size, open }: { which: number; size: number; open: boolean }) {
  return <g transform={`scale(${size})`}>{SHAPES[which](open)}</g>;
}

/** In the order in which the apparatus has them, one unit tall, upwards negative. */
const SHAPES: ((open: boolean) => React.ReactNode)[] = [
  // Steel nut: six edges and its hole.
  () => (
    <>
      <path d="M-0.5 -0.5L-0.25 -0.95H0.25L0.5 -0.5L0.25 -0.05H-0.25Z" {...STEEL} />
      <circle cy={-0.5} r={0.2} {...LINE} fill="var(--sheet)" />
    </>
  ),
  // Cork float with its line's eye.
  () => (
    <>
      <path
        d="M-0.4 -0.2C-0.4 0.07 0.4 0.07 0.4 -0.2V-0.7C0.4 -0.95 -0.4 -0.95 -0.4 -0.7Z"
        {...LINE}
        fill="var(--ochre)"
      />
      <path d="M-0.4 -0.45H0.4" {...LINE} />
      <circle cy={-0.95} r={0.09} {...LINE} />
    </>
  ),
  // Paper cone, its point down.
  () => (
    <>
      <path d="M0 0L-0.5 -0.85H0.5Z" {...LINE} fill="var(--paper)" />
      <ellipse cy={-0.85} rx={0.5} ry={0.12} {...LINE} fill="var(--sheet)" />
    </>
  ),
  // Glove, flat.
  () => <path d={GLOVE} {...COPPER} />,
  // Foam block with its pores.
  () => (
    <>
      <rect x={-0.5} y={-1} width={1} height={1} {...LINE} fill="var(--wash)" />
      {[-0.3, 0, 0.3].flatMap((x) =>
        [-0.75, -0.5, -0.25].map((y) => <circle key={`${x}${y}`} cx={x + y / 5} cy={y} r={0.05} {...LINE} />),
      )}
    </>
  ),
  // Stone in a net.
  () => (
    <>
      <path d="M-0.35 -0.05C-0.6 -0.3 -0.4 -0.65 0 -0.65C0.45 -0.65 0.55 -0.25 0.3 -0.03Z" {...STEEL} />
      <path
        d="M-0.45 -0.35L0 -0.95L0.45 -0.35M-0.2 -0.03L0 -0.95L0.2 -0.03M-0.5 -0.25H0.48M-0.42 -0.45H0.42"
        {...LINE}
      />
    </>
  ),
  // Wet cloth, balled.
  () => (
    <>
      <circle cy={-0.5} r={0.5} {...LINE} fill="var(--verdigris)" fillOpacity={0.55} />
      <path d="M-0.35 -0.7C-0.1 -0.5 0.1 -0.85 0.35 -0.65M-0.4 -0.35C-0.1 -0.15 0.15 -0.5 0.42 -0.3" {...LINE} />
    </>
  ),
  // Flare; its parachute packed, or open above it.
  (open) => (
    <>
      <rect x={-0.13} y={-0.75} width={0.26} height={0.75} {...COPPER} />
      <path d="M-0.13 -0.2H0.13" {...LINE} />
      {open ? (
        <>
          <path
            d="M0 -0.75L-0.95 -2.1M0 -0.75L-0.35 -2.2M0 -0.75L0.35 -2.2M0 -0.75L0.95 -2.1"
            {...LINE}
            strokeWidth={1}
          />
          <path d={DOME} {...PALE} />
        </>
      ) : (
        <rect x={-0.18} y={-1} width={0.36} height={0.25} {...PALE} />
      )}
    </>
  ),
];
