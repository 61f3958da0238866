import { useId } from 'react';
import type { PropsOf } from '../../picture/picture';

const LINE = { stroke: 'var(--ink)', vectorEffect: 'non-scaling-stroke' as const, fill: 'none' };
const STEEL = { ...LINE, fill: 'var(--line)' };
/** Metres: half a tank's width and its height, half the neck; one kelvin on a thermometer. */
const HALF = 0.08;
const TALL = 0.1;
const NECK = 0.025;
const KELVIN = 0.001;
const OPEN = 5;
const CORES = ['copper', 'aluminium', 'steel', 'glass', 'cork'];
const FILLS = [
  'color-mix(in srgb, var(--copper) 65%, var(--stage))',
  'color-mix(in srgb, var(--ink) 12%, var(--stage))',
  'color-mix(in srgb, var(--ink) 35%, var(--stage))',
  'color-mix(in srgb, var(--verdigris) 22%, var(--stage))',
  'color-mix(in srgb, var(--ochre) 55%, var(--stage))',
];

/** Two tanks, the neck between them, a thermometer and a mix bar each. The waters are told apart by hatches. */
export function TwinTanksScene({ picture }: PropsOf<'twin-tanks'>) {
  const k = picture.scale;
  const hatch = useId();
  const x = picture.get('middle.x');
  const y = picture.get('middle.y');
  const width = picture.get('neck.width');
  const kind = picture.get('neck.kind');
  const flows = picture.get('flows') === 1;
  return (
    <g>
      <Hatches k={k} id={hatch} />
      <rect
        x={x - width / 2}
        y={y - NECK * k}
        width={width}
        height={2 * NECK * k}
        {...LINE}
        fill={kind === OPEN ? 'color-mix(in srgb, var(--indigo) 14%, var(--stage))' : FILLS[kind]}
        strokeWidth={1.8}
        data-part="neck"
      />
      {[-1, 1].map((side) => (
        <rect
          key={side}
          x={x + (side * width) / 2 + (side < 0 ? -0.012 * k : 0)}
          y={y - 0.004 * k}
          width={0.012 * k}
          height={0.008 * k}
          {...STEEL}
          strokeWidth={1.4}
        />
      ))}
      <text
        x={x - width / 2 - 0.018 * k}
        y={y + 0.003 * k}
        fontSize={0.0095 * k}
        textAnchor="end"
        fill="var(--ink)"
        data-part="neck-name"
      >
        {kind === OPEN ? 'open tube' : `${CORES[kind]} core`}
      </text>
      <Tank x={x} top={y - (NECK + TALL) * k} k={k} share={picture.get('above.share')} name="above" hatch={hatch} />
      <Tank x={x} top={y + NECK * k} k={k} share={picture.get('below.share')} name="below" hatch={hatch} />
      {kind === OPEN && (
        <g data-part={flows ? 'threads' : 'still'}>
          <rect
            x={x - width / 2}
            y={y - NECK * k}
            width={width}
            height={2 * NECK * k}
            fill="color-mix(in srgb, var(--indigo) 14%, var(--stage))"
          />
          <path
            d={`M${x - width / 2} ${y - NECK * k}v${2 * NECK * k}m${width} 0v${-2 * NECK * k}`}
            {...LINE}
            strokeWidth={1.8}
          />
          {flows ? (
            <>
              <Thread x={x - width / 4} from={y - 0.034 * k} to={y + 0.034 * k} k={k} />
              <Thread x={x + width / 4} from={y + 0.034 * k} to={y - 0.034 * k} k={k} />
            </>
          ) : (
            <path
              d={`M${x - 0.3 * width} ${y - 0.002 * k}h${0.6 * width}m0 ${0.004 * k}h${-0.6 * width}`}
              {...LINE}
              stroke="var(--soft)"
              strokeWidth={1.4}
            />
          )}
        </g>
      )}
      <Thermometer
        x={picture.get('above.mercury.x')}
        y={picture.get('above.mercury.y')}
        foot={y - NECK * k}
        k={k}
        name="above"
      />
      <Thermometer
        x={picture.get('below.mercury.x')}
        y={picture.get('below.mercury.y')}
        foot={y + (NECK + TALL) * k}
        k={k}
        name="below"
      />
    </g>
  );
}

function Hatches({ k, id }: { k: number; id: string }) {
  const apart = 0.006 * k;
  return (
    <defs>
      <pattern id={`${id}-above`} width={apart} height={apart} patternUnits="userSpaceOnUse">
        <path d={`M0 ${apart / 2}H${apart}`} stroke="var(--indigo)" strokeWidth={0.0012 * k} />
      </pattern>
      <pattern id={`${id}-below`} width={apart} height={apart} patternUnits="userSpaceOnUse">
        <path d={`M${apart / 2} 0V${apart}`} stroke="var(--copper)" strokeWidth={0.0012 * k} />
      </pattern>
    </defs>
  );
}

interface TankProps {
  x: number;
  top: number;
  k: number;
  share: number;
  name: string;
  hatch: string;
}

/** Its water: that which was above is hatched with level lines, the other with upright ones, each by its share. */
function Tank({ x, top, k, share, name, hatch }: TankProps) {
  const box = { x: x - HALF * k, y: top, width: 2 * HALF * k, height: TALL * k };
  const bar = { x: x - (HALF + 0.024) * k, width: 0.012 * k };
  return (
    <g data-part={`tank-${name}`}>
      <rect {...box} fill="color-mix(in srgb, var(--indigo) 7%, var(--stage))" />
      <rect {...box} fill={`url(#${hatch}-above)`} opacity={share} />
      <rect {...box} fill={`url(#${hatch}-below)`} opacity={1 - share} />
      <rect {...box} {...LINE} strokeWidth={2.2} />
      <rect {...bar} y={top} height={share * TALL * k} fill={`url(#${hatch}-above)`} data-share={share.toFixed(3)} />
      <rect {...bar} y={top + share * TALL * k} height={(1 - share) * TALL * k} fill={`url(#${hatch}-below)`} />
      <rect {...bar} y={top} height={TALL * k} {...LINE} strokeWidth={1.2} />
      <path d={`M${bar.x} ${top + share * TALL * k}h${bar.width}`} {...LINE} strokeWidth={1.6} />
    </g>
  );
}

function Thread({ x, from, to, k }: { x: number; from: number; to: number; k: number }) {
  const s = from < to ? 1 : -1;
  const h = 0.005 * k;
  const third = (to - from) / 3;
  const thread = `M${x} ${from}C${x + h} ${from + third} ${x - h} ${to - third} ${x} ${to}`;
  return (
    <path
      d={`${thread}m${-0.7 * h} ${-s * h}l${0.7 * h} ${s * h}l${0.7 * h} ${-s * h}`}
      {...LINE}
      stroke={s > 0 ? 'var(--indigo)' : 'var(--copper)'}
      strokeWidth={2.4}
    />
  );
}

/** From 0 to 100 °C, a mark each ten. */
function Thermometer({ x, y, foot, k, name }: { x: number; y: number; foot: number; k: number; name: string }) {
  const degree = KELVIN * k;
  const marks = Array.from({ length: 11 }, (_, i) => `M${x + 0.004 * k} ${foot - 10 * i * degree}h${0.004 * k}`).join(
    '',
  );
  return (
    <g>
      <path d={`M${x - 0.04 * k} ${foot - 0.012 * k}H${x}`} {...LINE} strokeWidth={1.2} />
      <rect
        x={x - 0.004 * k}
        y={foot - 102 * degree}
        width={0.008 * k}
        height={102 * degree}
        rx={0.004 * k}
        {...LINE}
        fill="var(--sheet)"
        strokeWidth={1.2}
      />
      <rect
        x={x - 0.002 * k}
        y={y}
        width={0.004 * k}
        height={foot - y}
        fill="var(--copper)"
        data-part={`mercury-${name}`}
      />
      <path d={marks} {...LINE} strokeWidth={1} />
      {[0, 50, 100].map((t) => (
        <text
          key={t}
          x={x + 0.011 * k}
          y={foot - t * degree + 0.003 * k}
          fontSize={0.0085 * k}
          className="mono"
          fill="var(--ink)"
        >
          {t}
        </text>
      ))}
      <text x={x} y={foot - 106 * degree} fontSize={0.0085 * k} textAnchor="middle" fill="var(--ink)">
        °C
      </text>
    </g>
  );
}
