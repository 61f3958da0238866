import type { PropsOf } from '../../picture/picture';

type Props = PropsOf<'raised-loads'>;
type Picture = Props['picture'];
const LOADS = [1, 2, 3, 4, 5] as const;
const LANDINGS = [1, 2, 3, 4] as const;
const LINE = { stroke: 'var(--ink)', vectorEffect: 'non-scaling-stroke' as const, fill: 'none' };

/** The tower in section: stair on the left, landings, the hoist's shaft on the right; loads where they stand. */
export function RaisedLoadsScene({ picture, layers }: Props) {
  const k = picture.scale;
  const floor = picture.get('stair.foot.y');
  const count = picture.get('landings');
  const landings = LANDINGS.filter((i) => i <= count).map((i) => picture.get(`landing.${i}.y`));
  const top = Math.min(...landings) - 1.45 * k;
  const foot = picture.get('stair.foot.x');
  const turn = picture.get('stair.turn.x');
  const edge = picture.get('landing.1.x');
  const shaft = picture.get('shaft.x');
  const left = turn - 0.45 * k;
  const right = shaft + 0.55 * k;
  const wall = 0.22 * k;
  return (
    <g>
      <Masonry x={left - wall} y={top} width={wall} height={floor - top} k={k} />
      <Masonry x={right} y={top} width={wall} height={floor - top} k={k} />
      <path
        d={`M${left - wall} ${top}L${(left + right) / 2} ${top - 0.5 * k}L${right + wall} ${top}Z`}
        {...LINE}
        fill="var(--line)"
        strokeWidth={1.5}
      />
      <path d={`M${left - 2 * wall} ${floor}H${right + 2 * wall}`} {...LINE} strokeWidth={2} data-part="ground" />
      <Ground x={left - 2 * wall} width={right - left + 4 * wall} y={floor} k={k} />
      <Stair from={[floor, ...landings]} foot={foot} turn={turn} k={k} />
      {landings.map((y, i) => (
        <g key={i} data-landing={i + 1}>
          <rect x={foot} y={y} width={edge - foot} height={0.09 * k} {...LINE} fill="var(--line)" strokeWidth={1.4} />
          <circle cx={edge} cy={y + 0.045 * k} r={0.06 * k} {...LINE} fill="var(--stage)" strokeWidth={1.2} />
          <text x={foot + 0.1 * k} y={y + 0.38 * k} fontSize={0.26 * k} fill="var(--soft)">
            landing {i + 1}
          </text>
        </g>
      ))}
      <Hoist x={shaft} top={top} floor={floor} k={k} />
      <Level picture={picture} left={left} right={right} />
      {layers.has('heights') && <Heights floor={floor} landings={landings} x={edge + 0.16 * k} k={k} />}
      {layers.has('path') && (
        <path
          d={picture.curve('path')}
          {...LINE}
          stroke="var(--plum)"
          strokeWidth={2.5}
          strokeDasharray="7 4"
          strokeLinejoin="round"
          data-path
        />
      )}
      {LOADS.filter((i) => i <= picture.get('loads')).map((i) => (
        <Load
          key={i}
          number={i}
          thing={picture.get(`load.${i}.thing`)}
          x={picture.get(`load.${i}.x`)}
          y={picture.get(`load.${i}.y`)}
          moved={picture.get('moved') === i - 1}
          falls={picture.get('moved') === i - 1 && picture.get('falling') === 1}
          k={k}
        />
      ))}
    </g>
  );
}

/** A wall in section: courses of stone. */
function Masonry({ x, y, width, height, k }: { x: number; y: number; width: number; height: number; k: number }) {
  const course = 0.4 * k;
  let joints = '';
  for (let i = 0; i * course < height; i++) {
    const bottom = y + height - i * course;
    const joint = x + (i % 2 ? 0.3 : 0.7) * width;
    joints += `M${x} ${bottom}h${width}M${joint} ${bottom}v${-Math.min(course, height - i * course)}`;
  }
  return (
    <g>
      <rect x={x} y={y} width={width} height={height} {...LINE} fill="var(--paper)" strokeWidth={1.6} />
      <path d={joints} {...LINE} stroke="var(--edge)" strokeWidth={0.8} />
    </g>
  );
}

function Ground({ x, width, y, k }: { x: number; width: number; y: number; k: number }) {
  const n = Math.floor(width / (0.25 * k));
  const d = Array.from({ length: n }, (_, i) => `M${x + (i + 1) * 0.25 * k} ${y}l${-0.16 * k} ${0.16 * k}`).join('');
  return <path d={d} {...LINE} stroke="var(--soft)" strokeWidth={1} />;
}

/** Two flights a storey, with their steps. */
function Stair({ from, foot, turn, k }: { from: number[]; foot: number; turn: number; k: number }) {
  const flights: [number, number, number, number][] = [];
  for (let i = 1; i < from.length; i++) {
    const middle = (from[i - 1] + from[i]) / 2;
    flights.push([foot, from[i - 1], turn, middle], [turn, middle, foot, from[i]]);
  }
  const steps = (x0: number, y0: number, x1: number, y1: number) => {
    const n = Math.max(2, Math.round(Math.abs(y1 - y0) / (0.19 * k)));
    let d = `M${x0} ${y0}`;
    for (let i = 0; i < n; i++) d += `v${(y1 - y0) / n}h${(x1 - x0) / n}`;
    return d;
  };
  return (
    <g>
      {flights.map((f, i) => (
        <g key={i}>
          <path d={steps(...f)} {...LINE} stroke={i % 2 ? 'var(--soft)' : 'var(--ink)'} strokeWidth={1.2} />
          {i % 2 === 0 && (
            <path d={`M${f[2] - 0.3 * k} ${f[3]}H${f[2]}`} {...LINE} strokeWidth={1.6} stroke="var(--ink)" />
          )}
        </g>
      ))}
    </g>
  );
}

function Hoist({ x, top, floor, k }: { x: number; top: number; floor: number; k: number }) {
  const wheel = 0.2 * k;
  const axle = top + 0.1 * k + wheel;
  return (
    <g {...LINE} strokeWidth={1.4}>
      <path d={`M${x - 0.45 * k} ${top + 0.1 * k}H${x + 0.5 * k}`} strokeWidth={3} />
      <circle cx={x} cy={axle} r={wheel} fill="var(--stage)" />
      <circle cx={x} cy={axle} r={0.05 * k} fill="var(--ink)" />
      <path d={`M${x - wheel} ${axle}V${floor - 0.55 * k}M${x + wheel} ${axle}V${floor - 0.9 * k}`} strokeWidth={1} />
      <path
        d={`M${x - wheel} ${floor - 0.55 * k}v${0.1 * k}a${0.07 * k} ${0.07 * k} 0 1 1 ${-0.12 * k} ${0.05 * k}`}
        strokeWidth={2}
      />
    </g>
  );
}

/** Where potential energy counts from. */
function Level({ picture, left, right }: { picture: Picture; left: number; right: number }) {
  const k = picture.scale;
  const y = picture.get('level.y');
  return (
    <g>
      <path
        d={`M${left - 0.2 * k} ${y}H${right + 0.2 * k}`}
        {...LINE}
        stroke="var(--indigo)"
        strokeWidth={1.6}
        strokeDasharray="12 4 2 4"
        data-level
      />
      <text x={right - 0.08 * k} y={y - 0.1 * k} fontSize={0.26 * k} textAnchor="end" fill="var(--indigo)">
        <tspan fontStyle="italic">h</tspan>
        <tspan dy="0.25em" fontSize="0.7em">
          0
        </tspan>
      </text>
    </g>
  );
}

/** Heights above the floor as dimension lines. */
function Heights({ floor, landings, x, k }: { floor: number; landings: number[]; x: number; k: number }) {
  return (
    <g stroke="var(--soft)" fill="var(--soft)">
      {landings.map((y, i) => (
        <g key={i}>
          <path d={`M${x - 0.06 * k} ${y}h${0.12 * k}`} {...LINE} stroke="var(--soft)" strokeWidth={1} />
          <text x={x} y={y - 0.1 * k} fontSize={0.26 * k} textAnchor="middle" stroke="none" className="mono">
            {((floor - y) / k).toFixed(1)} m
          </text>
        </g>
      ))}
      <path d={`M${x} ${floor}V${Math.min(...landings)}`} {...LINE} stroke="var(--soft)" strokeWidth={1} />
    </g>
  );
}

const FILL = {
  drum: 'color-mix(in srgb, var(--verdigris) 40%, var(--stage))',
  rope: 'color-mix(in srgb, var(--ochre) 45%, var(--stage))',
  line: 'color-mix(in srgb, var(--soft) 55%, var(--stage))',
  box: 'color-mix(in srgb, var(--copper) 30%, var(--stage))',
  lens: 'color-mix(in srgb, var(--ochre) 70%, var(--stage))',
};

/** One load, standing at its place; which it is follows the order of the declaration. */
function Load({
  number,
  thing,
  x,
  y,
  moved,
  falls,
  k,
}: {
  number: number;
  thing: number;
  x: number;
  y: number;
  moved: boolean;
  falls: boolean;
  k: number;
}) {
  const look = [Drum, Rope, Line, Box, Lens][thing];
  const Thing = look ?? Box;
  return (
    <g
      transform={`translate(${x} ${y}) scale(${k})`}
      className="[&_*]:[vector-effect:non-scaling-stroke]"
      data-load={number}
    >
      {falls && (
        <path d="M-0.16 -1.5v0.7M0 -1.7v0.8M0.16 -1.5v0.7" {...LINE} stroke="var(--copper)" strokeWidth={1.6} />
      )}
      <Thing edge={moved ? 'var(--copper)' : 'var(--ink)'} />
    </g>
  );
}

interface Edge {
  edge: string;
}
const own = (edge: string) => ({ stroke: edge, strokeWidth: edge === 'var(--ink)' ? 1.5 : 2.2 });

function Drum({ edge }: Edge) {
  return (
    <g {...own(edge)} fill={FILL.drum}>
      <rect x={-0.24} y={-0.62} width={0.48} height={0.62} rx={0.03} />
      <path d="M-0.24 -0.44H0.24M-0.24 -0.2H0.24" />
      <path
        d="M0 -0.36c0.09 0.1 0.09 0.12 0 0.14c-0.09 -0.02 -0.09 -0.04 0 -0.14"
        fill="var(--stage)"
        strokeWidth={1}
      />
    </g>
  );
}
function Rope({ edge }: Edge) {
  return (
    <g {...own(edge)} fill={FILL.rope}>
      {[0, 1, 2].map((i) => (
        <rect key={i} x={-0.3} y={-0.13 - 0.12 * i} width={0.6} height={0.12} rx={0.06} />
      ))}
      <path d="M0.22 -0.37c0.14 -0.12 0.2 0.05 0.12 0.2" fill="none" />
    </g>
  );
}
function Line({ edge }: Edge) {
  return (
    <g {...own(edge)} fill={FILL.line}>
      <path d="M-0.07 -0.42h0.14l0.05 0.42h-0.24Z" />
      <path d="M0 -0.42v-0.1m0 0a0.05 0.05 0 1 1 0.01 0" fill="none" />
    </g>
  );
}
function Box({ edge }: Edge) {
  return (
    <g {...own(edge)} fill={FILL.box}>
      <rect x={-0.32} y={-0.32} width={0.64} height={0.32} />
      <path d="M-0.32 -0.22H0.32M-0.08 -0.22v0.08h0.16v-0.08" fill="none" />
    </g>
  );
}
function Lens({ edge }: Edge) {
  return (
    <g {...own(edge)} fill={FILL.lens}>
      <circle cx={0} cy={-0.24} r={0.24} />
      <circle cx={0} cy={-0.24} r={0.15} fill="var(--stage)" />
      <path d="M-0.06 -0.02h0.12l0.04 0.02h-0.2Z" />
    </g>
  );
}
