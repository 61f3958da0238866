import type { PropsOf } from '../../picture/picture';
import { LINE, type Ruled } from './rule';

type Picture = PropsOf<'crash-rig'>['picture'];
const CHEST_DEPTH = 0.22;
const HEAD = 0.1;

/** Seat, wheel, dash, belt and bag, and the jointed test figure among them. */
export function Figure({ picture, rule }: { picture: Picture; rule: Ruled }) {
  const { k, y } = rule;
  const seat = picture.get('seat.x');
  const chest = picture.get('chest.x');
  const head = picture.get('head.x');
  const hurt = picture.get('no-room') === 1;
  return (
    <g data-part="figure">
      <Seat x={seat} rule={rule} />
      <Inside picture={picture} rule={rule} />
      <g {...LINE} strokeWidth={1.8} fill="var(--line)" stroke={hurt ? 'var(--copper)' : 'var(--ink)'}>
        <path
          d={`M${chest} ${y(0.64)}L${seat + 0.56 * k} ${y(0.72)}L${seat + 0.66 * k} ${y(0.46)}H${seat + 0.78 * k}`}
          fill="none"
          strokeWidth={6}
          strokeLinecap="round"
          strokeLinejoin="round"
          opacity={0.55}
        />
        <path d={`M${chest} ${y(1.16)}L${head} ${y(1.38)}`} strokeWidth={5} strokeLinecap="round" opacity={0.55} />
        <rect x={chest - (CHEST_DEPTH / 2) * k} y={y(1.2)} width={CHEST_DEPTH * k} height={0.62 * k} rx={0.08 * k} />
        <Mark x={chest} y={y(0.95)} r={0.06 * k} />
        <circle cx={head} cy={y(1.38)} r={HEAD * k} />
        <Mark x={head} y={y(1.38)} r={0.05 * k} />
        {[
          [chest, 0.64],
          [seat + 0.56 * k, 0.72],
        ].map(([x, h]) => (
          <circle key={h} cx={x} cy={y(h)} r={0.035 * k} fill="var(--stage)" />
        ))}
      </g>
      {picture.get('buckled') === 1 && <Belt seat={seat} chest={chest} slack={picture.get('slack')} rule={rule} />}
    </g>
  );
}

function Seat({ x, rule: { k, y } }: { x: number; rule: Ruled }) {
  return (
    <g {...LINE} fill="var(--paper)" strokeWidth={1.6} strokeLinejoin="round">
      <path d={`M${x - 0.14 * k} ${y(0.46)}H${x + 0.42 * k}V${y(0.6)}H${x}V${y(1.22)}H${x - 0.14 * k}Z`} />
      <rect x={x - 0.12 * k} y={y(1.47)} width={0.08 * k} height={0.2 * k} rx={0.02 * k} />
    </g>
  );
}

/** A mark whose crossing is the point that is measured. */
function Mark({ x, y, r }: { x: number; y: number; r: number }) {
  return (
    <g>
      <circle cx={x} cy={y} r={r} fill="var(--stage)" strokeWidth={1.1} />
      <path d={`M${x - r} ${y}H${x + r}M${x} ${y - r}V${y + r}`} strokeWidth={1.1} />
    </g>
  );
}

/** The wheel on its column and the padded dash on its struts; the bag before both once it is full. */
function Inside({ picture, rule: { k, y } }: { picture: Picture; rule: Ruled }) {
  const wall = picture.get('bulkhead.x');
  const wheel = picture.get('wheel.x');
  const dash = picture.get('dash.x');
  const depth = picture.get('bag.depth');
  const chest = Math.max(wheel - picture.get('bag.chest'), picture.get('chest.x') + (CHEST_DEPTH / 2) * k);
  const head = Math.max(dash - picture.get('bag.head'), picture.get('head.x') + HEAD * k);
  const bag =
    `M${wheel} ${y(0.84)}C${chest} ${y(0.78)} ${chest} ${y(0.9)} ${chest} ${y(1.02)}` +
    (`S${head} ${y(1.16)} ${head} ${y(1.36)}S${head} ${y(1.56)} ${dash} ${y(1.52)}` +
      `L${dash} ${y(1.24)}L${wheel} ${y(1.12)}Z`);
  return (
    <g>
      <g {...LINE} strokeWidth={1.6}>
        <path d={`M${wall} ${y(0.86)}L${wheel} ${y(0.98)}`} strokeWidth={3} />
        <path d={`M${wall} ${y(0.96)}L${dash} ${y(1.3)}M${wall} ${y(0.96)}L${dash + 0.06 * k} ${y(1.46)}`} />
        <rect
          x={dash}
          y={y(1.52)}
          width={0.06 * k}
          height={0.28 * k}
          rx={0.02 * k}
          fill="color-mix(in srgb, var(--indigo) 35%, var(--stage))"
        />
        <path d={`M${wheel} ${y(1.16)}V${y(0.8)}`} strokeWidth={5} strokeLinecap="round" />
      </g>
      {depth > 0 && (
        <path
          d={bag}
          {...LINE}
          fill="var(--verdigris)"
          fillOpacity={0.25}
          stroke="var(--verdigris)"
          strokeWidth={2}
          data-bag
        />
      )}
    </g>
  );
}

/** Over the shoulder, before the chest, to the hip; loose as long as there is slack. */
function Belt({ seat, chest, slack, rule: { k, y } }: { seat: number; chest: number; slack: number; rule: Ruled }) {
  const before = chest + (CHEST_DEPTH / 2) * k + slack;
  return (
    <path
      d={
        `M${seat - 0.06 * k} ${y(1.24)}L${chest} ${y(1.21)}` +
        `Q${before} ${y(1.2)} ${before} ${y(1.0)}T${chest + 0.02 * k} ${y(0.6)}` +
        `L${seat + 0.08 * k} ${y(0.5)}`
      }
      {...LINE}
      stroke="var(--copper)"
      strokeWidth={slack > 0.5 ? 2.4 : 3.4}
      strokeDasharray={slack > 0.5 ? '7 4' : undefined}
      data-belt
    />
  );
}
