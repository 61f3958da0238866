import type { PropsOf } from '../../picture/picture';
import { Figure } from './Figure';
import { LINE, type Ruled } from './rule';

type Props = PropsOf<'crash-rig'>;
/** Height of the bumper plate's middle, in metres: it tells where the ground is. */
const NOSE = 0.62;
/** From the front wall of a whole cabin to its tail, in metres. */
const CABIN = 1.9;

/** The vehicle shop's rig in section: sled, figure and what is met, on rails. */
export function CrashRigScene({ picture, layers }: Props) {
  const k = picture.scale;
  const rule: Ruled = { k, y: (h) => picture.get('nose.y') + (NOSE - h) * k };
  const two = picture.get('two-sleds') === 1;
  const tail = picture.get('tail.x');
  const secondTail = picture.get('second.tail.x');
  return (
    <g>
      <path d={`M0 ${rule.y(0)}H${picture.width}`} {...LINE} strokeWidth={2} />
      <path d={ties(picture.width, rule)} {...LINE} stroke="var(--soft)" strokeWidth={1} />
      {!two && <Block x={picture.get('second.nose.x')} right={picture.width} rule={rule} />}
      {layers.has('before') && (
        <>
          <Outline tail={tail} to={1} length={picture.get('front.before')} rule={rule} />
          {two && <Outline tail={secondTail} to={-1} length={picture.get('second.before')} rule={rule} />}
        </>
      )}
      {two && (
        <Sled
          tail={secondTail}
          wall={picture.get('second.bulkhead.x')}
          nose={picture.get('second.nose.x')}
          before={picture.get('second.before')}
          to={-1}
          rule={rule}
        >
          <Ballast x={secondTail - 0.3 * k} rule={rule} />
        </Sled>
      )}
      <Sled
        tail={tail}
        wall={picture.get('bulkhead.x')}
        nose={picture.get('nose.x')}
        before={picture.get('front.before')}
        to={1}
        rule={rule}
      >
        <Figure picture={picture} rule={rule} />
      </Sled>
    </g>
  );
}

/** Sleepers under the rails. */
function ties(width: number, { k, y }: Ruled) {
  let d = '';
  for (let x = 0.25 * k; x < width; x += 0.5 * k) d += `M${x} ${y(-0.06)}h${0.22 * k}`;
  return d;
}

/** A block of concrete that doesn't give way. */
function Block({ x, right, rule: { k, y } }: { x: number; right: number; rule: Ruled }) {
  const top = y(1.5);
  const low = y(0);
  let d = '';
  for (let i = 1; i * 0.18 * k < right - x + low - top; i++) {
    const from = i * 0.18 * k;
    const x0 = Math.min(from, right - x);
    const y0 = top + (from - x0);
    const y1 = Math.min(top + from, low);
    d += `M${x + x0} ${y0}L${x + from - (y1 - top)} ${y1}`;
  }
  return (
    <g data-part="block">
      <rect x={x} y={top} width={right - x} height={low - top} {...LINE} fill="var(--paper)" strokeWidth={2} />
      <path d={d} {...LINE} stroke="var(--edge)" strokeWidth={1} />
      <rect x={x} y={y(0.92)} width={0.06 * k} height={0.6 * k} {...LINE} fill="var(--soft)" strokeWidth={1.2} />
    </g>
  );
}

function Outline({ tail, to, length, rule: { k, y } }: { tail: number; to: number; length: number; rule: Ruled }) {
  const wall = tail + to * CABIN * k;
  return (
    <path
      d={`M${wall} ${y(0.42)}V${y(0.98)}M${wall} ${y(0.82)}H${wall + to * length}V${y(0.42)}H${wall}`}
      {...LINE}
      stroke="var(--plum)"
      strokeWidth={1.6}
      strokeDasharray="6 4"
      data-before
    />
  );
}

interface SledProps {
  tail: number;
  wall: number;
  nose: number;
  /** Length of the front when it is whole. */
  before: number;
  /** Which way it faces: 1 to the right. */
  to: 1 | -1;
  rule: Ruled;
  children: React.ReactNode;
}

/** Frame, cabin and front; the front folds up as a tube of sheet steel does, its sheet neither longer nor shorter. */
function Sled({ tail, wall, nose, before, to, rule: { k, y }, children }: SledProps) {
  const roof = y(1.78);
  const whole = tail + to * CABIN * k;
  return (
    <g data-part={to > 0 ? 'sled' : 'second sled'}>
      <path
        d={
          `M${tail} ${y(0.42)}V${y(1.2)}L${tail + to * 0.28 * k} ${roof}` +
          `H${whole - to * 0.14 * k}L${wall} ${y(0.98)}V${y(0.42)}Z`
        }
        {...LINE}
        fill="var(--sheet)"
        strokeWidth={2.2}
        strokeLinejoin="round"
      />
      {children}
      <path d={folds(wall, nose, before, y(0.82), y(0.42), k)} {...LINE} fill="var(--copper)" fillOpacity={0.22} />
      <path d={folds(wall, nose, before, y(0.82), y(0.42), k)} {...LINE} strokeWidth={1.6} data-front />
      <path d={`M${wall} ${y(0.4)}V${y(0.98)}`} {...LINE} strokeWidth={4} />
      <path d={`M${nose} ${y(0.86)}V${y(0.38)}`} {...LINE} strokeWidth={5} />
      <rect
        x={Math.min(tail, wall)}
        y={y(0.42)}
        width={Math.abs(wall - tail)}
        height={0.12 * k}
        {...LINE}
        fill="var(--line)"
        strokeWidth={1.6}
      />
      {[0.35, 1.5].map((at) => (
        <g key={at}>
          <circle cx={tail + to * at * k} cy={y(0.16)} r={0.16 * k} {...LINE} fill="var(--stage)" strokeWidth={1.8} />
          <circle cx={tail + to * at * k} cy={y(0.16)} r={0.03 * k} {...LINE} fill="var(--ink)" />
        </g>
      ))}
    </g>
  );
}

function folds(wall: number, nose: number, before: number, top: number, low: number, k: number) {
  const count = 2 * Math.max(2, Math.round(before / (0.12 * k)));
  const sheet = (1.03 * before) / count;
  const pitch = (nose - wall) / count;
  const out = Math.sqrt(Math.max(0, sheet * sheet - pitch * pitch)) / 2;
  const places = Array.from({ length: count + 1 }, (_, i) => [wall + i * pitch, i % 2 ? out : -out]);
  const above = places.map(([x, o]) => `${x} ${top - o}`);
  const below = places.map(([x, o]) => `${x} ${low + o}`).reverse();
  return `M${[...above, ...below].join('L')}Z`;
}

/** What makes the second sled as heavy as it is. */
function Ballast({ x, rule: { k, y } }: { x: number; rule: Ruled }) {
  return (
    <g {...LINE} strokeWidth={1.4}>
      {[0, 1, 2].map((i) => (
        <rect
          key={i}
          x={x - (0.95 - 0.1 * i) * k}
          y={y(0.64 + 0.22 * i)}
          width={(0.9 - 0.2 * i) * k}
          height={0.22 * k}
          fill="var(--line)"
        />
      ))}
    </g>
  );
}
