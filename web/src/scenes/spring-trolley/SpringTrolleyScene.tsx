import type { PropsOf } from '../../picture/picture';
import { Coil } from './Coil';
import { ForceDial } from './ForceDial';

type Picture = PropsOf<'spring-trolley'>['picture'];

const LINE = { stroke: 'var(--ink)', vectorEffect: 'non-scaling-stroke' as const, fill: 'none' };
const STEEL = { ...LINE, fill: 'var(--line)' };
const CORD = { ...LINE, stroke: 'var(--copper)', strokeWidth: 2 };
/** Metres. */
const WHEEL = 0.022;
const PULLEY = 0.05;
const LEFT_END = -0.9;
const SLEEPERS_APART = 0.1;
const FLOOR = 0.3;

/** Slip rails with trolley, latch and buffer; below them the bay with gauge, spring, cord and pulley. */
export function SpringTrolleyScene({ picture, view }: PropsOf<'spring-trolley'>) {
  return (
    <g>
      <Rails picture={picture} />
      <Bay picture={picture} close={view === 'bay'} />
      <Trolley picture={picture} />
    </g>
  );
}

function Rails({ picture }: { picture: Picture }) {
  const k = picture.scale;
  const deck = picture.get('deck.y');
  const buffer = picture.get('buffer.x');
  const latch = picture.get('latch.x');
  // The scene tells places within the picture; the rails' left end hangs on the pulley, which is fixed.
  const left = picture.get('pulley.x') + (LEFT_END - 0.12) * k;
  let sleepers = '';
  for (let x = left + 0.05 * k; x < buffer; x += SLEEPERS_APART * k)
    sleepers += `M${x} ${deck + 0.016 * k}v${0.01 * k}`;
  const caught = picture.get('caught') === 1;
  return (
    <g>
      <rect x={left} y={deck} width={buffer - left + 0.1 * k} height={0.016 * k} {...STEEL} strokeWidth={1.5} />
      <path d={sleepers} {...LINE} strokeWidth={3} />
      {/* It stands on a workbench. */}
      <path
        d={`M${buffer + 0.02 * k} ${deck + 0.016 * k}V${deck + FLOOR * k}`}
        {...LINE}
        stroke="var(--edge)"
        strokeWidth={6}
      />
      <path d={`M${left - 0.2 * k} ${deck + FLOOR * k}H${buffer + 0.4 * k}`} {...LINE} strokeWidth={2} />
      <path
        d={`M${left + 0.02 * k} ${deck}l${0.02 * k} ${-0.06 * k}l${0.02 * k} ${0.06 * k}`}
        {...LINE}
        strokeWidth={2}
      />
      <path
        data-part="latch"
        d={
          caught
            ? `M${latch - 0.012 * k} ${deck}v${-0.05 * k}h${0.016 * k}`
            : `M${latch - 0.012 * k} ${deck}v${-0.04 * k}l${-0.016 * k} ${-0.012 * k}`
        }
        {...LINE}
        stroke="var(--plum)"
        strokeWidth={3.4}
        strokeLinejoin="round"
      />
      {caught && (
        <path
          d={`M${left + 0.04 * k} ${deck - 0.095 * k}H${picture.get('trolley.x') - picture.get('trolley.half')}`}
          {...LINE}
          stroke="var(--soft)"
          strokeWidth={1.4}
        />
      )}
    </g>
  );
}

function Trolley({ picture }: { picture: Picture }) {
  const k = picture.scale;
  const deck = picture.get('deck.y');
  const x = picture.get('trolley.x');
  const half = picture.get('trolley.half');
  const load = picture.get('trolley.load');
  const floor = deck - 2 * WHEEL * k;
  return (
    <g data-part="trolley">
      {load > 0 && (
        <rect
          x={x - 0.05 * k}
          y={floor - 0.035 * k - load}
          width={0.1 * k}
          height={load}
          {...LINE}
          fill="var(--edge)"
          strokeWidth={1.3}
        />
      )}
      <path
        d={`M${x - half} ${floor - 0.09 * k}l${0.012 * k} ${0.055 * k}h${2 * half - 0.024 * k}l${0.012 * k} ${-0.055 * k}v${0.085 * k}l${-0.014 * k} ${0.014 * k}h${-2 * half + 0.028 * k}l${-0.014 * k} ${-0.014 * k}Z`}
        {...LINE}
        fill="color-mix(in srgb, var(--indigo) 30%, var(--stage))"
        strokeWidth={1.8}
        strokeLinejoin="round"
      />
      {[-0.62, 0.62].map((f) => (
        <g key={f}>
          <circle cx={x + f * half} cy={deck - WHEEL * k} r={WHEEL * k} {...STEEL} strokeWidth={1.8} />
          <circle cx={x + f * half} cy={deck - WHEEL * k} r={0.25 * WHEEL * k} {...LINE} strokeWidth={1.4} />
        </g>
      ))}
      {/* The mark that places are read at, and the pin below it that the cord's ring hangs on. */}
      <path
        d={`M${x} ${floor - 0.03 * k}v${0.03 * k}`}
        {...LINE}
        stroke="var(--copper)"
        strokeWidth={2.4}
        data-part="mark"
      />
      <path d={`M${x} ${deck}v${0.04 * k}`} {...LINE} strokeWidth={2.6} />
    </g>
  );
}

/** Gauge, spring and cord. Slack, the cord hangs, and its ring has slid off the pin. */
function Bay({ picture, close }: { picture: Picture; close: boolean }) {
  const k = picture.scale;
  const axis = picture.get('spring.free.y');
  const held = picture.get('spring.held.x');
  const free = picture.get('spring.free.x');
  const pulley = { x: picture.get('pulley.x'), y: picture.get('pulley.y') };
  const ring = { x: picture.get('ring.x'), y: picture.get('ring.y') };
  const taut = picture.get('taut') === 1;
  const fallen = ring.y + (taut ? 0 : 0.012 * k);
  const top = pulley.y - PULLEY * k;
  const dial = { x: picture.get('dial.x'), y: picture.get('dial.y') };
  return (
    <g>
      <path d={`M${dial.x} ${axis}H${held}`} {...LINE} strokeWidth={5} />
      <path
        d={`M${dial.x - 0.05 * k} ${axis + 0.08 * k}v${0.09 * k}h${0.1 * k}v${-0.09 * k}`}
        {...STEEL}
        strokeWidth={1.5}
      />
      <ForceDial
        {...dial}
        reach={0.085 * k}
        tip={{ x: picture.get('dial.tip.x'), y: picture.get('dial.tip.y') }}
        full={picture.get('dial.full')}
      />
      <Coil from={held} to={free} y={axis} turns={picture.get('spring.coils')} radius={0.018 * k} />
      <circle cx={pulley.x} cy={pulley.y} r={PULLEY * k} {...STEEL} strokeWidth={1.8} />
      <circle cx={pulley.x} cy={pulley.y} r={0.008 * k} {...LINE} fill="var(--ink)" strokeWidth={1} />
      <path d={`M${pulley.x} ${pulley.y}v${-0.02 * k}`} {...LINE} strokeWidth={1} />
      <path
        data-part="cord"
        data-taut={taut}
        d={
          taut
            ? `M${free} ${axis}H${pulley.x}A${PULLEY * k} ${PULLEY * k} 0 0 0 ${pulley.x} ${top}H${ring.x}`
            : `M${free} ${axis}Q${(free + pulley.x) / 2} ${axis + 0.05 * k} ${pulley.x} ${pulley.y + PULLEY * k}` +
              `A${PULLEY * k} ${PULLEY * k} 0 0 0 ${pulley.x} ${top}` +
              `Q${(ring.x + pulley.x) / 2} ${fallen + 0.05 * k} ${ring.x + 0.01 * k} ${fallen}`
        }
        {...CORD}
      />
      <circle cx={ring.x} cy={fallen} r={0.007 * k} {...CORD} data-part="ring" />
      {/* The end of the spring, where its stretch is read: a fine stroke, close up only. */}
      <path
        d={`M${free} ${axis - 0.03 * k}v${0.06 * k}`}
        {...LINE}
        stroke="var(--copper)"
        strokeWidth={close ? 1.2 : 2}
        data-part="spring-end"
      />
    </g>
  );
}
