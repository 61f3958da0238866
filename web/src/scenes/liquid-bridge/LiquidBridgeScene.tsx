import type { PropsOf } from '../../picture/picture';

const LINE = { stroke: 'var(--ink)', vectorEffect: 'non-scaling-stroke' as const, fill: 'none' };
/** Light from behind, and what stands before it: the same on paper and on a dark ground. */
const LAMP = 'color-mix(in srgb, var(--ochre) 3%, white)';
const SHADE = 'color-mix(in srgb, var(--indigo) 30%, black)';
const GLASS = 'color-mix(in srgb, var(--indigo) 30%, white)';
const THREADS = 22;

/** Two glass studs on one axis against a lamp, the liquid between them as an outline, the screw above. */
export function LiquidBridgeScene({ picture, view }: PropsOf<'liquid-bridge'>) {
  const face = picture.get('face.radius');
  const x = picture.get('lower.x');
  const low = picture.get('lower.y');
  const high = picture.get('upper.y');
  const wide = view === 'bench';
  // Whatever is drawn is in radii of a face, so that near and far look alike.
  return (
    <g>
      <rect
        x={x - 2.7 * face}
        y={low - 3.65 * face}
        width={5.4 * face}
        height={4.3 * face}
        rx={0.25 * face}
        {...LINE}
        fill={LAMP}
        strokeWidth={1.2}
      />
      <Stud x={x} y={low} r={face} up={1} long={wide ? 2.1 : 4} />
      <Stud x={x} y={high} r={face} up={-1} long={wide ? 1.6 : 4} />
      <path
        d={`${picture.curve('lower.outline')}Z`}
        {...LINE}
        stroke={SHADE}
        fill={SHADE}
        strokeWidth={1}
        data-part="lower-liquid"
      />
      <path
        d={`${picture.curve('upper.outline')}Z`}
        {...LINE}
        stroke={SHADE}
        fill={SHADE}
        strokeWidth={1}
        data-part="upper-liquid"
      />
      {wide && <Screw x={x} top={high - 1.6 * face} low={low} r={face} turned={picture.get('drum.turned')} />}
    </g>
  );
}

/** A stud with its face at y, its rim cut back beneath; up is 1 for the one that looks upwards. */
function Stud({ x, y, r, up, long }: { x: number; y: number; r: number; up: 1 | -1; long: number }) {
  const d = (away: number) => y + up * away * r;
  return (
    <path
      data-part={up === 1 ? 'lower-stud' : 'upper-stud'}
      d={
        `M${x - r} ${y}H${x + r}L${x + 0.72 * r} ${d(0.5)}H${x + 0.5 * r}` +
        `V${d(long)}H${x - 0.5 * r}V${d(0.5)}H${x - 0.72 * r}Z`
      }
      {...LINE}
      stroke={SHADE}
      fill={GLASS}
      strokeLinejoin="round"
      strokeWidth={1.4}
    />
  );
}

/** The stand: a foot, a post, the nut in its arm; and the screw with its drum, which the upper stud hangs on. */
function Screw({ x, top, low, r, turned }: { x: number; top: number; low: number; r: number; turned: number }) {
  const arm = low - 4.6 * r;
  const drum = top - 2.6 * r;
  const pitch = (top - drum) / THREADS;
  const thread = Array.from(
    { length: THREADS },
    (_, i) => `M${x - 0.3 * r} ${drum + (i + 0.8) * pitch}l${0.6 * r} ${-0.6 * pitch}`,
  ).join('');
  const marks = Array.from({ length: 10 }, (_, i) => Math.sin(turned + (2 * Math.PI * i) / 10))
    .filter((_, i) => Math.cos(turned + (2 * Math.PI * i) / 10) > 0)
    .map((side) => `M${x + 0.7 * r * side} ${drum - 0.5 * r}v${0.42 * r}`)
    .join('');
  return (
    <g>
      <rect
        x={x - 0.3 * r}
        y={drum}
        width={0.6 * r}
        height={top - drum}
        {...LINE}
        fill="var(--line)"
        strokeWidth={1.2}
      />
      <path d={thread} {...LINE} strokeWidth={0.8} />
      <rect
        x={x - 0.75 * r}
        y={drum - 0.55 * r}
        width={1.5 * r}
        height={0.55 * r}
        rx={0.06 * r}
        {...LINE}
        fill="color-mix(in srgb, var(--copper) 55%, var(--stage))"
        strokeWidth={1.4}
      />
      <path d={marks} {...LINE} strokeWidth={1.2} />
      <rect x={x - 0.8 * r} y={arm} width={1.6 * r} height={0.5 * r} {...LINE} fill="var(--line)" strokeWidth={1.2} />
      <rect
        x={x + 0.8 * r}
        y={arm + 0.1 * r}
        width={3 * r}
        height={0.3 * r}
        {...LINE}
        fill="var(--line)"
        strokeWidth={1.2}
      />
      <rect
        x={x + 3.5 * r}
        y={arm}
        width={0.4 * r}
        height={low + 2.1 * r - arm}
        {...LINE}
        fill="var(--line)"
        strokeWidth={1.2}
      />
      <rect
        x={x - 3 * r}
        y={low + 2.1 * r}
        width={7.4 * r}
        height={0.5 * r}
        {...LINE}
        fill="var(--line)"
        strokeWidth={1.2}
      />
    </g>
  );
}
