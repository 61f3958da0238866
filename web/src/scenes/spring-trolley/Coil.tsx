const LINE = { stroke: 'var(--ink)', vectorEffect: 'non-scaling-stroke' as const, fill: 'none' };

/** A coil spring between two hooks, drawn as its turns: front strokes heavier than those behind. */
export function Coil({
  from,
  to,
  y,
  turns,
  radius,
}: {
  from: number;
  to: number;
  y: number;
  turns: number;
  radius: number;
}) {
  const lead = 0.6 * radius;
  const pitch = (to - from - 2 * lead) / turns;
  let front = `M${from} ${y}h${lead}`;
  let back = '';
  for (let i = 0; i < turns; i++) {
    const x = from + lead + i * pitch;
    front += `${i ? 'M' : 'L'}${x} ${y + (i ? radius : 0)}L${x + 0.5 * pitch} ${y - radius}`;
    back += `M${x + 0.5 * pitch} ${y - radius}L${x + pitch} ${y + (i === turns - 1 ? 0 : radius)}`;
  }
  return (
    <g data-part="coil">
      <path d={back} {...LINE} stroke="var(--soft)" strokeWidth={1.4} />
      <path d={`${front}M${to - lead} ${y}h${lead}`} {...LINE} strokeWidth={2.2} strokeLinejoin="round" />
    </g>
  );
}
