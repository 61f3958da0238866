import { Coil } from '../../picture/Coil';
import type { PropsOf } from '../../picture/picture';
import { ForceDial } from './ForceDial';

type Picture = PropsOf<'spring-trolley'>['picture'];

const LINE = { stroke: 'var(--ink)', vectorEffect: 'non-scaling-stroke' as const, fill: 'none' };
const STEEL = { ...LINE, fill: 'var(--line)' };
const CORD = { ...LINE, stroke: 'var(--copper)', strokeWidth: 2 };
/** Metres. */
const WHEEL = 0.022;
const PULLEY = 0.05;
const SLEEPERS_APART = 0.1;
const FLOOR = 0.3;
const DECK = 0.016;
const LEAD = 0.011;

/**
 * Slip rails with trolley, latch and buffer; below them the bay with gauge, spring, cord and pulley. Close up, a plate
 * stands before what rolls: its places may be beyond what a film's picture can tell, and its pin says enough.
 */
export function SpringTrolleyScene({ picture, view }: PropsOf<'spring-trolley'>) {
  const whole = view === undefined || view === 'rails';
  return (
    <g>
      {whole ? <Rails picture={picture} /> : <Plate picture={picture} />}
      <Bay picture={picture} close={!whole} pulleyToo={view !== 'gauge'} />
      {whole && <Trolley picture={picture} />}
      <Pin picture={picture} />
    </g>
  );
}

function Plate({ picture }: { picture: Picture }) {
  const k = picture.scale;
  const deck = picture.get('deck.y');
  return (
    <g>
      <rect x={-k} y={deck - k} width={4 * k} height={k + DECK * k} {...STEEL} strokeWidth={1.5} />
      <path d={`M${-k} ${deck + FLOOR * k}h${4 * k}`} {...LINE} strokeWidth={2} />
    </g>
  );
}

function Rails({ picture }: { picture: Picture }) {
  const k = picture.scale;
  const deck = picture.get('deck.y');
  const buffer = picture.get('buffer.x');
  const latch = picture.get('latch.x');
  const left = picture.get('dial.x') - 0.16 * k;
  let sleepers = '';
  for (let x = left + 0.05 * k; x < buffer; x += SLEEPERS_APART * k) sleepers += `M${x} ${deck + DECK * k}v${0.01 * k}`;
  const caught = picture.get('caught') === 1;
  const tail = picture.get('trolley.x') - picture.get('trolley.half');
  const drum = { x: left + 0.04 * k, y: deck - 0.065 * k };
  return (
    <g>
      <rect x={left} y={deck} width={buffer - left + 0.1 * k} height={DECK * k} {...STEEL} strokeWidth={1.5} />
      <path d={sleepers} {...LINE} strokeWidth={3} />
      {/* It stands on a workbench. */}
      <path
        d={`M${buffer + 0.02 * k} ${deck + DECK * k}V${deck + FLOOR * k}`}
        {...LINE}
        stroke="var(--edge)"
        strokeWidth={6}
      />
      <path d={`M${left - k} ${deck + FLOOR * k}H${buffer + k}`} {...LINE} strokeWidth={2} />
      <path d={`M${buffer + 0.03 * k} ${deck}v${-0.11 * k}h${0.04 * k}v${0.11 * k}Z`} {...STEEL} strokeWidth={1.6} />
      <rect
        x={buffer}
        y={deck - 0.075 * k}
        width={0.03 * k}
        height={0.045 * k}
        {...LINE}
        fill="var(--ochre)"
        strokeWidth={1.4}
      />
      {/* The winch, and the latch where the trolley is to be held. */}
      <path
        d={`M${drum.x - 0.025 * k} ${deck}L${drum.x} ${drum.y}L${drum.x + 0.025 * k} ${deck}`}
        {...LINE}
        strokeWidth={2}
      />
      <circle cx={drum.x} cy={drum.y} r={0.032 * k} {...STEEL} strokeWidth={1.6} />
      <circle cx={drum.x} cy={drum.y} r={0.008 * k} {...LINE} fill="var(--ink)" strokeWidth={1} />
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
          d={`M${drum.x} ${drum.y - 0.032 * k}L${tail} ${deck - 0.05 * k}`}
          {...LINE}
          stroke="var(--soft)"
          strokeWidth={1.4}
        />
      )}
    </g>
  );
}

/** Below the trolley's mark, through the slot between the rails: the cord's ring hangs on it. */
function Pin({ picture }: { picture: Picture }) {
  const k = picture.scale;
  return (
    <path
      d={`M${picture.get('trolley.x')} ${picture.get('deck.y') + DECK * k}V${picture.get('deck.y') + 0.04 * k}`}
      {...LINE}
      strokeWidth={2.6}
      data-part="pin"
    />
  );
}

function Trolley({ picture }: { picture: Picture }) {
  const k = picture.scale;
  const deck = picture.get('deck.y');
  const x = picture.get('trolley.x');
  const half = picture.get('trolley.half');
  const load = picture.get('trolley.load');
  const floor = deck - 2 * WHEEL * k;
  const [left, right, rim] = [x - half, x + half, floor - 0.09 * k];
  const [slope, bilge] = [0.012 * k, 0.014 * k];
  const hull = `v${0.085 * k}l${-bilge} ${bilge}H${left + bilge}l${-bilge} ${-bilge}Z`;
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
        d={`M${left} ${rim}l${slope} ${0.055 * k}H${right - slope}L${right} ${rim}${hull}`}
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
      {/* The mark that places are read at. */}
      <path
        d={`M${x} ${floor}v${-0.03 * k}l${-0.006 * k} ${-0.01 * k}h${0.012 * k}l${-0.006 * k} ${0.01 * k}`}
        {...LINE}
        stroke="var(--copper)"
        strokeWidth={2.4}
        data-part="mark"
      />
    </g>
  );
}

/** Gauge, spring and cord. Slack, the cord hangs, and its ring has slid off the pin. */
function Bay({ picture, close, pulleyToo }: { picture: Picture; close: boolean; pulleyToo: boolean }) {
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
      <Coil
        from={held}
        y={axis}
        turns={picture.get('spring.coils')}
        pitch={picture.get('spring.pitch')}
        lead={LEAD * k}
        radius={0.018 * k}
      />
      {pulleyToo && (
        <>
          <circle cx={pulley.x} cy={pulley.y} r={PULLEY * k} {...STEEL} strokeWidth={1.8} />
          <circle cx={pulley.x} cy={pulley.y} r={0.008 * k} {...LINE} fill="var(--ink)" strokeWidth={1} />
          <path d={`M${pulley.x} ${pulley.y}V${picture.get('deck.y') + DECK * k}`} {...LINE} strokeWidth={1} />
        </>
      )}
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
        d={`M${free} ${axis + 0.03 * k}v${-0.06 * k}l${-0.005 * k} ${-0.01 * k}h${0.01 * k}l${-0.005 * k} ${0.01 * k}`}
        {...LINE}
        stroke="var(--copper)"
        strokeWidth={close ? 1.2 : 2}
        data-part="spring-end"
      />
    </g>
  );
}
