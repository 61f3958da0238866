import { Coil } from '../../picture/Coil';
import type { PropsOf } from '../../picture/picture';

const LINE = { stroke: 'var(--ink)', vectorEffect: 'non-scaling-stroke' as const, fill: 'none' };
const STEEL = { ...LINE, fill: 'var(--line)' };
const [SERIES, PARALLEL] = [1, 2];
const COILS = 9;
/** Metres: half the height of a spring, of a plate; where the nut of the screw stands beyond the plate's rest. */
const SPRING = 0.055;
const PLATE = 0.17;
const APART = 0.09;
const NUT = 0.76;
/** From the plate to the handwheel: pushed all the way in, the wheel stands clear of the nut. */
const WHEEL = 1.1;
const WALL = 0.2;

/** The screw press from the side: buffer springs between wall and plate, force ring, screw, nut, handwheel. */
export function SpringBenchScene({ picture }: PropsOf<'spring-bench'>) {
  const k = picture.scale;
  const plate = picture.get('plate.x');
  const y = picture.get('plate.y');
  const rest = picture.get('rest.x');
  const standing = picture.get('arrangement');
  // Wall and nut stand where the frame has them: a natural length, or two, before the mark of rest.
  const wall = rest - (standing === SERIES ? 0.8 : 0.4) * k;
  const nut = rest + NUT * k;
  const bed = y + 0.3 * k;
  return (
    <g>
      <Bed left={wall - 0.14 * k} right={nut + 0.2 * k} y={bed} k={k} />
      <rect
        x={wall - 0.1 * k}
        y={y - WALL * k}
        width={0.1 * k}
        height={bed - y + WALL * k}
        {...STEEL}
        strokeWidth={1.6}
      />
      <Screw plate={plate} nut={nut} y={y} k={k} turns={picture.get('turns')} />
      <path d={`M${nut - 0.05 * k} ${bed}v${y - bed - 0.1 * k}h${0.1 * k}V${bed}`} {...STEEL} strokeWidth={1.6} />
      {standing === PARALLEL ? (
        <>
          <Spring from={wall} to={plate} y={y - APART * k} k={k} />
          <Spring from={wall} to={plate} y={y + APART * k} k={k} />
        </>
      ) : standing === SERIES ? (
        <>
          <Spring from={wall} to={picture.get('joint.x')} y={y} k={k} />
          <Spring from={picture.get('joint.x')} to={plate} y={y} k={k} />
          <path d={`M${picture.get('joint.x')} ${y - 0.09 * k}v${0.18 * k}`} {...LINE} strokeWidth={3.5} data-joint />
        </>
      ) : (
        <Spring from={wall} to={plate} y={y} k={k} />
      )}
      <rect
        x={plate}
        y={y - PLATE * k}
        width={0.03 * k}
        height={2 * PLATE * k}
        {...STEEL}
        strokeWidth={1.8}
        data-plate
      />
      <path
        d={`M${rest} ${y - 0.26 * k}V${bed}`}
        {...LINE}
        stroke="var(--verdigris)"
        strokeWidth={1.5}
        strokeDasharray="7 4"
      />
      <text x={rest} y={y - 0.29 * k} fontSize={0.042 * k} textAnchor="middle" fill="var(--verdigris)">
        rest
      </text>
      {(picture.get('longer') === 1 || picture.get('shorter') === 1) && (
        <text
          x={(wall + plate) / 2}
          y={y - 0.21 * k}
          fontSize={0.042 * k}
          textAnchor="middle"
          fill="var(--ink)"
          data-state
        >
          {picture.get('longer') === 1 ? 'made longer' : 'made shorter'}
        </text>
      )}
    </g>
  );
}

/** A spring between two plates: the same coils however long it is. */
function Spring({ from, to, y, k }: { from: number; to: number; y: number; k: number }) {
  const lead = 0.03 * k;
  const pitch = (to - from - 2 * lead) / COILS;
  return <Coil from={from} y={y} turns={COILS} pitch={pitch} lead={lead} radius={SPRING * k} wire={[3, 4.2]} />;
}

/** From the plate through the force ring to the screw in its nut, with the handwheel at its end. */
function Screw({ plate, nut, y, k, turns }: { plate: number; nut: number; y: number; k: number; turns: number }) {
  const ring = plate + 0.11 * k;
  const thread = ring + 0.07 * k;
  const wheel = plate + WHEEL * k;
  const phase = 2 * Math.PI * turns;
  const ridges = Array.from({ length: Math.floor((wheel - thread) / (0.02 * k)) }, (_, i) => thread + i * 0.02 * k);
  return (
    <g>
      <path d={`M${plate + 0.03 * k} ${y}H${ring - 0.06 * k}`} {...LINE} strokeWidth={5} />
      <rect x={thread} y={y - 0.022 * k} width={wheel - thread} height={0.044 * k} {...STEEL} strokeWidth={1.2} />
      <path
        d={ridges.map((x) => `M${x} ${y + 0.022 * k}l${0.012 * k} ${-0.044 * k}`).join('')}
        {...LINE}
        strokeWidth={1}
      />
      <ellipse cx={ring} cy={y} rx={0.06 * k} ry={0.075 * k} {...LINE} strokeWidth={4} />
      <circle cx={ring} cy={y} r={0.03 * k} {...LINE} fill="var(--sheet)" strokeWidth={1.4} />
      <rect
        x={wheel}
        y={y - 0.14 * k}
        width={0.035 * k}
        height={0.28 * k}
        rx={0.012 * k}
        {...STEEL}
        strokeWidth={1.6}
      />
      {[0, 1, 2].map((i) => {
        const at = Math.cos(phase + (2 * Math.PI * i) / 3);
        return (
          <circle
            key={i}
            cx={wheel + 0.0175 * k}
            cy={y + 0.12 * k * at}
            r={0.012 * k}
            {...LINE}
            fill="var(--copper)"
            strokeWidth={1}
          />
        );
      })}
      <path d={`M${nut - 0.05 * k} ${y - 0.05 * k}h${0.1 * k}v${0.1 * k}h${-0.1 * k}Z`} {...STEEL} strokeWidth={1.4} />
    </g>
  );
}

function Bed({ left, right, y, k }: { left: number; right: number; y: number; k: number }) {
  return (
    <g>
      <rect x={left} y={y} width={right - left} height={0.05 * k} {...STEEL} strokeWidth={1.6} />
      <path
        d={`M${left + 0.06 * k} ${y + 0.05 * k}v${0.06 * k}M${right - 0.06 * k} ${y + 0.05 * k}v${0.06 * k}`}
        {...LINE}
        strokeWidth={5}
      />
    </g>
  );
}
