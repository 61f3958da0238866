import type { PropsOf } from '../../picture/picture';

type Props = PropsOf<'rail-run'>;
type Picture = Props['picture'];
const POINTS = [1, 2, 3, 4, 5, 6, 7, 8, 9] as const;
const LINE = { stroke: 'var(--ink)', vectorEffect: 'non-scaling-stroke' as const, fill: 'none' };

/** The light station's rail in side view, on trestles, with the coal wagon; its points where it is one's own. */
export function RailRunScene({ picture, layers }: Props) {
  const k = picture.scale;
  const ground = picture.get('ground.y');
  const rail = picture.curve('rail');
  return (
    <g>
      <path d={`M0 ${ground}H${picture.width}`} {...LINE} strokeWidth={1.6} />
      <path d={hatches(picture.width, ground, k)} {...LINE} stroke="var(--soft)" strokeWidth={0.9} />
      <Trestles rail={rail} ground={ground} k={k} />
      {layers.has('band') && <Band picture={picture} rail={rail} />}
      <Level picture={picture} />
      <path d={rail} {...LINE} strokeWidth={4.5} strokeLinecap="round" data-rail />
      <path d={rail} {...LINE} stroke="var(--stage)" strokeWidth={1.4} strokeLinecap="round" />
      <Buffers rail={rail} k={k} />
      {POINTS.filter((i) => i <= picture.get('points')).map((i) => (
        <g key={i} data-point={i}>
          <circle
            cx={picture.get(`point.${i}.x`)}
            cy={picture.get(`point.${i}.y`)}
            r={0.14 * k}
            {...LINE}
            fill="var(--sheet)"
            stroke="var(--copper)"
            strokeWidth={2}
          />
        </g>
      ))}
      <Wagon picture={picture} />
    </g>
  );
}

function hatches(width: number, y: number, k: number) {
  let d = '';
  for (let x = 0.3 * k; x < width; x += 0.4 * k) d += `M${x} ${y}l${-0.18 * k} ${0.2 * k}`;
  return d;
}

/** Places of a path, as it was drawn. */
function placesOf(path: string) {
  return path
    .split(/[ML]/)
    .slice(1)
    .map((p) => p.split(' ').map(Number) as [number, number]);
}

/** Posts under the rail every metre and a half or so, where it isn't above itself. */
function Trestles({ rail, ground, k }: { rail: string; ground: number; k: number }) {
  const places = placesOf(rail);
  let last = -Infinity;
  let d = '';
  for (const [x, y] of places) {
    if (x - last < 1.5 * k) continue;
    last = x;
    d += `M${x - 0.16 * k} ${ground}L${x} ${y}L${x + 0.16 * k} ${ground}`;
  }
  return <path d={d} {...LINE} stroke="var(--edge)" strokeWidth={1.2} />;
}

function Buffers({ rail, k }: { rail: string; k: number }) {
  const places = placesOf(rail);
  return (
    <g {...LINE} strokeWidth={3}>
      {[places[0], places[places.length - 1]].map(([x, y], i) => (
        <path key={i} d={`M${x} ${y}v${-0.55 * k}`} />
      ))}
    </g>
  );
}

/** Potential, kinetic and thermal energy, one upon the other, at every place of the rail. */
function Band({ picture, rail }: { picture: Picture; rail: string }) {
  const back = (path: string) => {
    const places = placesOf(path).reverse();
    return places.map(([x, y]) => `L${x} ${y}`).join('');
  };
  const [potential, kinetic, thermal] = [
    picture.curve('band.potential'),
    picture.curve('band.kinetic'),
    picture.curve('band.thermal'),
  ];
  const bands = [
    ['potential', rail, potential, 'var(--indigo)', 'M0 3H6'],
    ['kinetic', potential, kinetic, 'var(--copper)', 'M0 6L6 0'],
    ['thermal', kinetic, thermal, 'var(--plum)', 'M3 0V6'],
  ] as const;
  const k = picture.scale;
  return (
    <g data-band>
      <defs>
        {bands.map(([id, , , color, hatch]) => (
          <pattern key={id} id={`band-${id}`} width="6" height="6" patternUnits="userSpaceOnUse">
            <rect width="6" height="6" fill={color} fillOpacity="0.35" />
            <path d={hatch} stroke={color} strokeWidth="1.2" />
          </pattern>
        ))}
      </defs>
      {bands.map(([id, below, above]) => (
        <path key={id} d={`${below}${back(above)}Z`} fill={`url(#band-${id})`} />
      ))}
      {bands.map(([id, , , color], i) => (
        <g key={id} transform={`translate(${(5.2 + 3 * i) * k} ${0.3 * k})`}>
          <rect width={0.5 * k} height={0.3 * k} fill={`url(#band-${id})`} stroke={color} />
          <text x={0.65 * k} y={0.27 * k} fontSize={0.32 * k} fill="var(--ink)">
            {id}
          </text>
        </g>
      ))}
    </g>
  );
}

function Level({ picture }: { picture: Picture }) {
  const k = picture.scale;
  const y = picture.get('level.y');
  return (
    <g>
      <path
        d={`M0 ${y}H${picture.width}`}
        {...LINE}
        stroke="var(--indigo)"
        strokeWidth={1.5}
        strokeDasharray="12 4 2 4"
        data-level
      />
      <text x={picture.width - 0.1 * k} y={y - 0.12 * k} fontSize={0.34 * k} textAnchor="end" fill="var(--indigo)">
        <tspan fontStyle="italic">h</tspan>
        <tspan dy="0.25em" fontSize="0.7em">
          0
        </tspan>
      </text>
      <g
        transform={`translate(${picture.get('level.grip.x')} ${picture.get('level.grip.y')}) scale(${k})`}
        data-level-grip
      >
        <rect x={-0.16} y={-0.3} width={0.32} height={0.6} rx={0.08} {...LINE} fill="var(--sheet)" strokeWidth={1.5} />
        <path
          d="M-0.08 -0.1L0 -0.2L0.08 -0.1M-0.08 0.1L0 0.2L0.08 0.1"
          {...LINE}
          stroke="var(--indigo)"
          strokeWidth={2}
        />
      </g>
    </g>
  );
}

/** The wagon stands on the rail with its wheels, heaped with coal; its mark is the point that is reckoned with. */
function Wagon({ picture }: { picture: Picture }) {
  const turn = (-picture.get('car.tilt') * 180) / Math.PI;
  const held = picture.get('held') === 1;
  return (
    <g
      transform={`translate(${picture.get('car.x')} ${picture.get('car.y')}) rotate(${turn}) scale(${picture.scale})`}
      className="[&_*]:[vector-effect:non-scaling-stroke]"
      stroke={held ? 'var(--copper)' : 'var(--ink)'}
      strokeWidth={held ? 2.4 : 1.7}
      data-part="wagon"
    >
      <path
        d="M-0.34 -0.62c0.08 -0.16 0.2 -0.12 0.24 -0.2c0.1 -0.06 0.2 0.02 0.26 0.04c0.1 0.02 0.14 0.08 0.2 0.16Z"
        fill="var(--ink)"
        fillOpacity="0.75"
      />
      <path d="M-0.46 -0.62H0.46L0.36 -0.2H-0.36Z" fill="color-mix(in srgb, var(--copper) 35%, var(--stage))" />
      <circle cx="-0.22" cy="-0.12" r="0.12" fill="var(--stage)" />
      <circle cx="0.22" cy="-0.12" r="0.12" fill="var(--stage)" />
      <circle cx="0" cy="0" r="0.05" fill="var(--ink)" stroke="none" />
    </g>
  );
}
