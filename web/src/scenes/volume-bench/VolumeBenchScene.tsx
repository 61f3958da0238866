import type { PropsOf } from '../../picture/picture';
import { Cylinder, GLASS, LINE, rim, Ring, WALL, WATER, type Picture } from './Cylinder';
import { Thing, THINGS } from './Things';

/** The sampling table from the front, as it looks from the height of the eye; below it the shelf with things. */
export function VolumeBenchScene({ picture, layers }: PropsOf<'volume-bench'>) {
  const k = picture.scale;
  const top = picture.get('can.y');
  const shelf = picture.get('shelf.y');
  const left = picture.get('jug.x') - 0.06 * k;
  const right = picture.get('eye.x') + 0.01 * k;
  return (
    <g>
      <rect x={left} y={top} width={right - left} height={0.008 * k} {...LINE} fill="var(--line)" strokeWidth={1.3} />
      <path d={`M${left} ${shelf}H${right}`} {...LINE} strokeWidth={2} />
      <path
        d={`M${left + 0.005 * k} ${top + 0.008 * k}V${shelf}M${right - 0.005 * k} ${top + 0.008 * k}V${shelf}`}
        {...LINE}
        stroke="var(--edge)"
        strokeWidth={2.5}
      />
      <Jug picture={picture} />
      <Balance picture={picture} />
      <Can picture={picture} />
      <Beaker picture={picture} />
      {THINGS.map((id) => (
        <Thing key={id} picture={picture} id={id} />
      ))}
      {([1, 2, 3] as const).map((i) => (
        <Cylinder key={i} picture={picture} i={i} guide={layers.has('curve')} />
      ))}
      <Sink picture={picture} />
      <Eye picture={picture} left={left} />
    </g>
  );
}

/** Water with a flat surface, which opens into a ring away from the level of the eye. */
function Flat({
  x,
  wide,
  floor,
  front,
  back,
}: {
  x: number;
  wide: number;
  floor: number;
  front: number;
  back: number;
}) {
  if (floor - front < 0.3) return null;
  return (
    <g>
      <path d={`M${x - wide / 2} ${floor}${rim(x, wide, front, back)}V${floor}Z`} fill={WATER} />
      <Ring x={x} wide={wide} front={front} back={back} />
    </g>
  );
}

function Jug({ picture }: { picture: Picture }) {
  const k = picture.scale;
  const x = picture.get('jug.x');
  const foot = picture.get('jug.y');
  const lip = picture.get('lip.jug.y');
  const r = x - picture.get('lip.jug.x');
  return (
    <g data-part="jug">
      <Flat
        x={x}
        wide={2 * r}
        floor={foot - 0.005 * k}
        front={picture.get('jug-front.y')}
        back={picture.get('jug-back.y')}
      />
      <path
        d={
          `M${x - r - 0.012 * k} ${lip - 0.004 * k}L${x - r} ${lip + 0.012 * k}V${foot - 0.004 * k}` +
          `q0 ${0.004 * k} ${0.004 * k} ${0.004 * k}H${x + r - 0.004 * k}q${0.004 * k} 0 ${0.004 * k} ${-0.004 * k}V${lip}`
        }
        {...LINE}
        strokeWidth={1.8}
      />
      <path
        d={`M${x + r} ${lip + 0.03 * k}c${0.022 * k} 0 ${0.022 * k} ${0.07 * k} 0 ${0.075 * k}`}
        {...LINE}
        strokeWidth={3}
        stroke="var(--copper)"
      />
    </g>
  );
}

/** The can on its block, with its spout, and what has just run out of it. */
function Can({ picture }: { picture: Picture }) {
  const k = picture.scale;
  const x = picture.get('can.x');
  const table = picture.get('can.y');
  const mouth = { x: picture.get('spout.x'), y: picture.get('spout.y') };
  const r = x - picture.get('lip.can.x');
  const floor = table - 0.092 * k;
  const rim = mouth.y - 0.016 * k;
  const ran = picture.get('just-ran');
  return (
    <g data-part="can">
      <rect x={x - 0.04 * k} y={floor + 0.002 * k} width={0.08 * k} height={0.09 * k} {...LINE} fill="var(--paper)" />
      <path
        d={`M${x - 0.04 * k} ${floor + 0.03 * k}h${0.08 * k}m0 ${0.03 * k}h${-0.08 * k}`}
        {...LINE}
        stroke="var(--edge)"
        strokeWidth={1}
      />
      <Flat x={x} wide={2 * r} floor={floor} front={picture.get('can-front.y')} back={picture.get('can-back.y')} />
      <path
        d={
          `M${x - r} ${rim}V${floor}H${x + r}V${mouth.y + 0.006 * k}L${mouth.x - 0.004 * k} ${mouth.y + 0.014 * k}` +
          `M${x + r} ${rim}V${mouth.y}L${mouth.x - 0.002 * k} ${mouth.y + 0.007 * k}`
        }
        {...LINE}
        strokeWidth={2}
        stroke="var(--verdigris)"
        strokeLinejoin="round"
      />
      {ran > 0 && (
        <path
          d={[0.022, 0.04, 0.058].map((y) => `M${mouth.x} ${mouth.y + y * k}v${0.008 * k}`).join('')}
          {...LINE}
          stroke="var(--indigo)"
          strokeWidth={2.4}
          strokeLinecap="round"
          data-part="running"
        />
      )}
    </g>
  );
}

function Beaker({ picture }: { picture: Picture }) {
  const k = picture.scale;
  const x = picture.get('beaker.x');
  const foot = picture.get('beaker.y');
  const r = picture.get('lip.beaker.x') - x;
  const brim = foot - 0.07 * k;
  return (
    <g data-part="beaker">
      <Flat
        x={x}
        wide={2 * r}
        floor={foot - 0.004 * k}
        front={picture.get('beaker-front.y')}
        back={picture.get('beaker-back.y')}
      />
      <path
        d={`M${x - r - 0.004 * k} ${brim - 0.003 * k}L${x - r} ${brim}V${foot}H${x + r}V${brim}l${0.003 * k} ${-0.002 * k}`}
        {...LINE}
        strokeWidth={1.5}
        strokeLinejoin="round"
      />
    </g>
  );
}

function Balance({ picture }: { picture: Picture }) {
  const k = picture.scale;
  const x = picture.get('pan.x');
  const pan = picture.get('pan.y');
  const table = picture.get('can.y');
  const mass = picture.get('display');
  return (
    <g data-part="balance">
      <path
        d={`M${x - 0.038 * k} ${table}L${x - 0.032 * k} ${pan + 0.008 * k}H${x + 0.032 * k}L${x + 0.038 * k} ${table}Z`}
        {...LINE}
        fill="var(--line)"
        strokeWidth={1.4}
      />
      <rect x={x - 0.035 * k} y={pan} width={0.07 * k} height={0.004 * k} {...LINE} fill="var(--soft)" />
      <rect x={x - 0.026 * k} y={pan + 0.012 * k} width={0.052 * k} height={0.016 * k} {...LINE} fill={GLASS} />
      <text
        x={x + 0.024 * k}
        y={pan + 0.0238 * k}
        fontSize={0.0105 * k}
        textAnchor="end"
        fill="var(--ink)"
        className="mono"
        data-part="display"
      >
        {picture.get('overloaded') ? 'too much' : `${mass.toFixed(2)} g`}
      </text>
    </g>
  );
}

function Sink({ picture }: { picture: Picture }) {
  const k = picture.scale;
  const x = picture.get('sink.x');
  const y = picture.get('sink.y');
  return (
    <g data-part="sink">
      <path
        d={`M${x - 0.034 * k} ${y - 0.03 * k}c0 ${0.04 * k} ${0.068 * k} ${0.04 * k} ${0.068 * k} 0Z`}
        {...LINE}
        fill="var(--line)"
        strokeWidth={1.5}
      />
      <text x={x} y={y - 0.015 * k} fontSize={0.0085 * k} textAnchor="middle" fill="var(--soft)">
        sink
      </text>
    </g>
  );
}

/** The sight: a ring that slides on its rod; what it looks along is the level of the eye. */
function Eye({ picture, left }: { picture: Picture; left: number }) {
  const k = picture.scale;
  const x = picture.get('eye.x');
  const y = picture.get('eye.y');
  const table = picture.get('can.y');
  const r = 0.008 * k;
  return (
    <g>
      <path d={`M${x} ${table}V${table - 0.272 * k}`} {...LINE} stroke="var(--edge)" strokeWidth={WALL * k} />
      <path
        d={`M${left} ${y}H${x - r}`}
        {...LINE}
        stroke="var(--copper)"
        strokeWidth={1}
        strokeDasharray="10 4 2 4"
        data-eye
      />
      <circle cx={x} cy={y} r={r} {...LINE} fill="var(--stage)" stroke="var(--copper)" strokeWidth={2.4} />
      <circle cx={x} cy={y} r={0.36 * r} fill="var(--copper)" />
    </g>
  );
}
