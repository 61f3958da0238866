import type { PropsOf } from '../../picture/picture';

const LINE = { stroke: 'var(--ink)', vectorEffect: 'non-scaling-stroke' as const, fill: 'none' };
const STEEL = { ...LINE, fill: 'var(--line)' };
/** Metres below the axis of the tube. */
const FLOOR = 0.36;

/** The line-throwing tube, the range board with its posts, the net, and the float. */
export function SwiftShotScene({ picture }: PropsOf<'swift-shot'>) {
  const k = picture.scale;
  const r = picture.get('float.radius');
  const muzzle = { x: picture.get('muzzle.x'), y: picture.get('muzzle.y') };
  const breech = picture.get('breech.x');
  const net = picture.get('net.x');
  const x = picture.get('float.x');
  const y = picture.get('float.y');
  const apart = picture.get('posts.apart');
  const board = muzzle.y + 0.06 * k;
  const posts = Array.from({ length: Math.floor((net - muzzle.x) / apart) + 1 }, (_, i) => muzzle.x + i * apart);
  const fields = posts
    .slice(0, -1)
    .map((at) => `M${at} ${board}h${apart / 2}v${0.05 * k}h${-apart / 2}Z`)
    .join('');
  return (
    <g>
      <path d={`M${breech - 0.5 * k} ${muzzle.y + FLOOR * k}H${net + 0.3 * k}`} {...LINE} strokeWidth={2} />
      <rect
        x={muzzle.x - 0.04 * k}
        y={board}
        width={net - muzzle.x + 0.1 * k}
        height={0.05 * k}
        {...LINE}
        fill="color-mix(in srgb, var(--ochre) 35%, var(--stage))"
        strokeWidth={1.5}
      />
      {/* Painted in fields as a surveyor's staff is, so that movement shows. */}
      <path d={fields} fill="color-mix(in srgb, var(--ochre) 80%, var(--stage))" />
      {posts.map((at, i) => (
        <rect
          key={i}
          x={at - 0.004 * k}
          y={board - (i % 5 ? 0.035 : 0.05) * k}
          width={0.008 * k}
          height={(i % 5 ? 0.035 : 0.05) * k}
          {...LINE}
          fill={i % 2 ? 'var(--sheet)' : 'var(--edge)'}
          strokeWidth={1}
        />
      ))}
      {[0.02, 0.98].map((f) => (
        <path
          key={f}
          d={`M${muzzle.x + f * (net - muzzle.x)} ${board + 0.05 * k}V${muzzle.y + FLOOR * k}`}
          {...LINE}
          stroke="var(--edge)"
          strokeWidth={5}
        />
      ))}
      <Net x={net} y={muzzle.y} k={k} />
      <circle cx={x} cy={y} r={r} {...LINE} fill="var(--copper)" strokeWidth={r > 6 ? 1.4 : 0.6} data-part="float" />
      {r > 6 && <path d={`M${x} ${y - r}v${2 * r}`} {...LINE} strokeWidth={1.2} />}
      <Tube breech={breech} muzzle={muzzle} r={r} k={k} open={picture.get('valve.open') === 1} />
    </g>
  );
}

/** Reservoir, valve and tube; the tube hides the float. */
function Tube({
  breech,
  muzzle,
  r,
  k,
  open,
}: {
  breech: number;
  muzzle: { x: number; y: number };
  r: number;
  k: number;
  open: boolean;
}) {
  const wall = r + 0.006 * k;
  const floor = muzzle.y + FLOOR * k;
  return (
    <g>
      <rect
        x={breech - 0.05 * k}
        y={muzzle.y - wall}
        width={muzzle.x - breech + 0.05 * k}
        height={2 * wall}
        {...STEEL}
        strokeWidth={1.6}
      />
      <rect
        x={muzzle.x - 0.012 * k}
        y={muzzle.y - 1.35 * wall}
        width={0.012 * k}
        height={2.7 * wall}
        {...STEEL}
        strokeWidth={1.6}
        data-part="muzzle"
      />
      <rect
        x={breech - 0.2 * k}
        y={muzzle.y - 0.045 * k}
        width={0.13 * k}
        height={0.09 * k}
        rx={0.04 * k}
        {...LINE}
        fill="color-mix(in srgb, var(--verdigris) 35%, var(--stage))"
        strokeWidth={1.8}
      />
      <rect
        x={breech - 0.07 * k}
        y={muzzle.y - 0.9 * wall}
        width={0.03 * k}
        height={1.8 * wall}
        {...STEEL}
        strokeWidth={1.6}
      />
      <path
        data-part="valve"
        d={
          open
            ? `M${breech - 0.055 * k} ${muzzle.y - wall}h${0.05 * k}`
            : `M${breech - 0.055 * k} ${muzzle.y - wall}v${-0.05 * k}`
        }
        {...LINE}
        stroke="var(--plum)"
        strokeWidth={4}
      />
      <path
        d={`M${breech - 0.16 * k} ${muzzle.y + 0.045 * k}V${floor}M${muzzle.x - 0.07 * k} ${muzzle.y + wall}V${floor}`}
        {...LINE}
        stroke="var(--edge)"
        strokeWidth={5}
      />
    </g>
  );
}

function Net({ x, y, k }: { x: number; y: number; k: number }) {
  let mesh = '';
  for (let i = 0; i <= 8; i++) {
    mesh += `M${x} ${y + (-0.12 + 0.03 * i) * k}q${0.03 * k} ${0.012 * k} ${0.06 * k} 0`;
    if (i < 4) mesh += `M${x + 0.015 * (i + 0.5) * k} ${y - 0.12 * k}v${0.24 * k}`;
  }
  return (
    <g>
      <path d={mesh} {...LINE} stroke="var(--soft)" strokeWidth={1} />
      <path d={`M${x} ${y - 0.14 * k}V${y + FLOOR * k}`} {...LINE} strokeWidth={3} />
    </g>
  );
}
