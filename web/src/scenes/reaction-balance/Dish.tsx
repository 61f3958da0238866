const LINE = { stroke: 'var(--ink)', vectorEffect: 'non-scaling-stroke' as const, fill: 'none' };
const CLEAR = 'color-mix(in srgb, var(--indigo) 22%, var(--sheet))';
const CHALK = 'color-mix(in srgb, var(--edge) 25%, white)';
const [CARBONATE, WOOL, TABLET, FOAM, PRECIPITATE] = [0, 1, 2, 3, 4];
/** Metres: radius and height of the beaker, and where its inside begins. */
const R = 0.027;
const TALL = 0.05;
const FLOOR = 0.002;

interface In {
  x: number;
  /** Where the dish stands. */
  y: number;
  k: number;
  what: number;
  together: boolean;
  level: number;
  foam: number;
  progress: number;
  lively: number;
  phase: number;
}

/** The dish and what is in it; what is still to be brought to it waits above. */
export function Dish(all: In) {
  const { x, y, k, what, level } = all;
  if (what === WOOL) return <Wool {...all} />;
  const milk = what === PRECIPITATE && all.together ? all.progress : 0;
  const bottom = y - FLOOR * k;
  return (
    <g data-part="dish">
      {level > 0 && (
        <rect
          x={x - (R - 0.002) * k}
          y={bottom - level}
          width={2 * (R - 0.002) * k}
          height={level}
          fill={`color-mix(in srgb, ${CHALK} ${Math.round(90 * milk)}%, ${CLEAR})`}
        />
      )}
      {milk > 0 && (
        <rect
          x={x - (R - 0.002) * k}
          y={bottom - 0.004 * k * milk}
          width={2 * (R - 0.002) * k}
          height={0.004 * k * milk}
          fill={CHALK}
          stroke="var(--soft)"
          strokeWidth={0.6}
        />
      )}
      {what === FOAM && all.foam > 0 && <Froth {...all} from={bottom - level} />}
      {(what === CARBONATE || what === TABLET) && <Solid {...all} />}
      {what !== PRECIPITATE && <Bubbles {...all} bottom={bottom} />}
      <path
        d={
          `M${x - R * k - 0.003 * k} ${y - TALL * k}l${0.003 * k} ${0.004 * k}V${y}` +
          `H${x + R * k}V${y - (TALL - 0.004) * k}l${0.003 * k} ${-0.004 * k}`
        }
        {...LINE}
        strokeWidth={1.8}
      />
      {!all.together && (what === FOAM || what === PRECIPITATE) && <Tube {...all} />}
    </g>
  );
}

/** Marble chips or a tablet: waiting above, then on the floor, smaller and smaller. */
function Solid({ x, y, k, what, together, progress }: In) {
  const left = Math.cbrt(Math.max(0, 1 - progress));
  const floor = y - FLOOR * k;
  if (what === TABLET) {
    const r = 0.0125 * k * (together ? left : 1);
    const at = together ? floor - 0.25 * r : y - 0.072 * k;
    return <ellipse cx={x} cy={at} rx={r} ry={0.3 * r} {...LINE} fill={CHALK} strokeWidth={1.2} data-part="tablet" />;
  }
  const size = 0.0052 * k * (together ? left : 1);
  const base = together ? floor : y - 0.066 * k;
  return (
    <g data-part="chips">
      {!together && (
        <path
          d={`M${x - 0.02 * k} ${base}q${0.02 * k} ${0.012 * k} ${0.04 * k} 0l${0.028 * k} ${-0.014 * k}`}
          {...LINE}
          strokeWidth={2.4}
        />
      )}
      {[-2.6, -1.1, 0.4, 1.9, -0.4].map((i, n) => {
        const cx = x + i * 0.0055 * k;
        const cy = base - (n === 4 ? 1.5 : 0.55) * size;
        return (
          <path
            key={i}
            d={
              `M${cx - size} ${cy + 0.5 * size}l${0.4 * size} ${-size}` +
              `l${0.9 * size} ${-0.2 * size}l${0.7 * size} ${0.8 * size}` +
              `l${-0.5 * size} ${0.6 * size}Z`
            }
            {...LINE}
            fill={CHALK}
            strokeWidth={1}
          />
        );
      })}
    </g>
  );
}

/** A test tube with the other solution, or the catalyst, tilted over the beaker. */
function Tube({ x, y, k, what }: In) {
  return (
    <g transform={`translate(${x + 0.012 * k} ${y - 0.058 * k}) rotate(-62)`} data-part="tube">
      <path
        d={`M${-0.006 * k} ${-0.002 * k}V${0.03 * k}a${0.006 * k} ${0.006 * k} 0 0 0 ${0.012 * k} 0V${-0.002 * k}`}
        {...LINE}
        fill={what === FOAM ? 'color-mix(in srgb, var(--ochre) 50%, var(--sheet))' : CLEAR}
        strokeWidth={1.6}
      />
    </g>
  );
}

function Bubbles({ x, k, level, lively, phase, bottom }: In & { bottom: number }) {
  const many = Math.round(16 * lively);
  return (
    <g data-part="bubbles" data-many={many}>
      {Array.from({ length: many }, (_, i) => {
        const up = (phase * (0.7 + 0.05 * (i % 5)) + i * 0.618) % 1;
        const side = ((i * 0.381) % 1) * 2 - 1;
        return (
          <circle
            key={i}
            cx={x + side * 0.9 * (R - 0.004) * k}
            cy={bottom - up * level}
            r={(0.0008 + 0.0009 * up) * k}
            {...LINE}
            fill="var(--sheet)"
            strokeWidth={0.8}
          />
        );
      })}
    </g>
  );
}

/** Foam that stands over the liquid: its cells in rows. */
function Froth({ x, k, foam, from }: In & { from: number }) {
  const rows = Math.max(1, Math.round(foam / (0.004 * k)));
  const cell = foam / rows / 2;
  const across = Math.floor(((R - 0.002) * k) / cell);
  return (
    <g data-part="froth">
      {Array.from({ length: rows }, (_, row) =>
        Array.from({ length: across }, (_, i) => (
          <circle
            key={`${row}.${i}`}
            cx={x - (R - 0.002) * k + (2 * i + 1) * cell}
            cy={from - (2 * row + 1) * cell}
            r={cell * 1.12}
            {...LINE}
            stroke="var(--soft)"
            fill="var(--sheet)"
            strokeWidth={0.8}
          />
        )),
      )}
    </g>
  );
}

/** Steel wool in a flat bowl: it glows while it burns, and is dark afterwards. */
function Wool({ x, y, k, progress, lively }: In) {
  const burning = lively > 0;
  const hue = burning
    ? 'color-mix(in srgb, var(--copper) 70%, var(--ochre))'
    : `color-mix(in srgb, var(--ink) ${Math.round(45 + 55 * Math.min(1, progress))}%, var(--edge))`;
  const curls = Array.from({ length: 15 }, (_, i) => {
    const a = i * 2.4;
    const r = 0.006 + 0.0012 * (i % 7);
    const cx = x + 0.017 * k * Math.cos(a) * ((i % 4) / 3);
    const cy = y - 0.017 * k + 0.008 * k * Math.sin(a);
    return `M${cx - r * k} ${cy}a${r * k} ${0.7 * r * k} ${(a * 57) % 180} 1 1 ${0.6 * r * k} ${0.5 * r * k}`;
  }).join('');
  return (
    <g data-part="wool" data-burning={burning}>
      <path d={curls} {...LINE} stroke={hue} strokeWidth={burning ? 2.6 : 1.7} />
      {burning && (
        <path
          d={[-1, 0, 1]
            .map((i) => `M${x + i * 0.012 * k} ${y - 0.032 * k}q${0.004 * k} ${-0.006 * k} 0 ${-0.012 * k}`)
            .join('')}
          {...LINE}
          stroke="var(--ochre)"
          strokeWidth={2}
        />
      )}
      <path
        d={
          `M${x - 0.034 * k} ${y - 0.011 * k}` +
          `q${0.004 * k} ${0.011 * k} ${0.014 * k} ${0.011 * k}h${0.04 * k}` +
          `q${0.01 * k} 0 ${0.014 * k} ${-0.011 * k}`
        }
        {...LINE}
        strokeWidth={2}
      />
    </g>
  );
}
