const LINE = { stroke: 'var(--ink)', vectorEffect: 'non-scaling-stroke' as const, fill: 'none' };

/**
 * A coil spring from the hook that holds it, drawn as its turns: front strokes heavier than those behind. Its length
 * follows from its turns, for its free end may lie far beyond what a film's picture can tell.
 */
export function Coil({
  from,
  y,
  turns,
  pitch,
  lead,
  radius,
  wire = [1.4, 2.2],
}: {
  from: number;
  y: number;
  turns: number;
  pitch: number;
  lead: number;
  radius: number;
  /** How thick the strokes behind and in front are, in pixels of the screen. */
  wire?: [number, number];
}) {
  let front = `M${from} ${y}h${lead}`;
  let back = '';
  for (let i = 0; i < turns; i++) {
    const x = from + lead + i * pitch;
    front += `${i ? 'M' : 'L'}${x} ${y + (i ? radius : 0)}L${x + 0.5 * pitch} ${y - radius}`;
    back += `M${x + 0.5 * pitch} ${y - radius}L${x + pitch} ${y + (i === turns - 1 ? 0 : radius)}`;
  }
  return (
    <g data-part="coil">
      <path d={back} {...LINE} stroke="var(--soft)" strokeWidth={wire[0]} strokeLinecap="round" />
      <path
        d={`${front}M${from + lead + turns * pitch} ${y}h${lead}`}
        {...LINE}
        strokeWidth={wire[1]}
        strokeLinecap="round"
        strokeLinejoin="round"
      />
    </g>
  );
}
