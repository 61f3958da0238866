const LINE = { stroke: 'var(--ink)', vectorEffect: 'non-scaling-stroke' as const, fill: 'none' };
/** Degrees over the full scale, and into how many divisions and numbers it is parted. */
const SWING = 270;
const DIVISIONS = 50;
const NUMBERS = 5;

/** The force gauge behind the spring: a dial whose hand ends at a place of the scene. */
export function ForceDial({
  x,
  y,
  reach,
  tip,
  full,
}: {
  x: number;
  y: number;
  reach: number;
  tip: { x: number; y: number };
  full: number;
}) {
  const at = (part: number, r: number) => {
    const turned = ((-SWING / 2 + SWING * part) * Math.PI) / 180;
    return { x: x + r * Math.sin(turned), y: y - r * Math.cos(turned) };
  };
  let marks = '';
  for (let i = 0; i <= DIVISIONS; i++) {
    const long = i % 10 === 0 ? 0.2 : i % 5 === 0 ? 0.15 : 0.1;
    const outer = at(i / DIVISIONS, 1.12 * reach);
    const inner = at(i / DIVISIONS, (1.12 - long) * reach);
    marks += `M${outer.x} ${outer.y}L${inner.x} ${inner.y}`;
  }
  return (
    <g>
      <circle cx={x} cy={y} r={1.26 * reach} {...LINE} fill="var(--line)" strokeWidth={2} />
      <circle cx={x} cy={y} r={1.17 * reach} {...LINE} fill="var(--sheet)" strokeWidth={1.2} />
      <path d={marks} {...LINE} strokeWidth={1} data-part="divisions" />
      {Array.from({ length: NUMBERS + 1 }, (_, i) => {
        const place = at(i / NUMBERS, 0.76 * reach);
        return (
          <text
            key={i}
            x={place.x}
            y={place.y + 0.06 * reach}
            fontSize={0.18 * reach}
            textAnchor="middle"
            className="mono"
            fill="var(--ink)"
          >
            {(i * full) / NUMBERS}
          </text>
        );
      })}
      <text x={x} y={y + 0.62 * reach} fontSize={0.2 * reach} textAnchor="middle" fill="var(--ink)">
        N
      </text>
      <line
        data-part="hand"
        x1={x - 0.2 * (tip.x - x)}
        y1={y - 0.2 * (tip.y - y)}
        x2={tip.x}
        y2={tip.y}
        {...LINE}
        stroke="var(--copper)"
        strokeWidth={2}
      />
      <circle cx={x} cy={y} r={0.07 * reach} {...LINE} fill="var(--ink)" strokeWidth={1} />
    </g>
  );
}
