import type { PropsOf } from '../../picture/picture';

/** Blades of the propeller as seen from the side: a disc at speed, two blades at rest. */
const BLADE = 0.075;

/** Air track, glider with propeller, thread, blade and spring scale; close up, the scale's graduation. */
export function PropellerGliderScene({ picture, layers, view }: PropsOf<'propeller-glider'>) {
  const m = picture.scale;
  const y = picture.get('track.y');
  const zero = picture.get('zero.x');
  const pointer = picture.get('pointer.x');
  const hook = picture.get('hook.x');
  const line = { stroke: 'var(--ink)', vectorEffect: 'non-scaling-stroke' as const, fill: 'none' };
  const axis = y - 0.045 * m;
  if (view === 'scale') return <ScaleClose picture={picture} line={line} axis={axis} />;
  const x = picture.get('glider.x');
  const half = picture.get('glider.half');
  const buffer = picture.get('buffer.x');
  const running = picture.get('propeller.on') === 1;
  const plates = Math.round(picture.get('loads') / (0.0001 * m) / 50);
  const tail = x - half;
  return (
    <g>
      <rect
        x={-0.14 * m}
        y={y}
        width={buffer + 0.34 * m}
        height={0.07 * m}
        {...line}
        fill="var(--line)"
        strokeWidth={1.5}
      />
      <path
        d={Array.from(
          { length: 41 },
          (_, i) => `M${picture.get('buffer.x') - i * 0.05 * m} ${y + 0.012 * m}v${0.012 * m}`,
        ).join('')}
        {...line}
        strokeWidth={1}
      />
      {[0.12, 0.9].map((f) => (
        <path
          key={f}
          d={`M${buffer * f} ${y + 0.07 * m}l${-0.04 * m} ${0.2 * m}h${0.08 * m}Z`}
          {...line}
          fill="var(--line)"
          strokeWidth={1.2}
        />
      ))}
      <rect
        x={buffer}
        y={y - 0.09 * m}
        width={0.03 * m}
        height={0.09 * m}
        {...line}
        fill="color-mix(in srgb, var(--ink) 22%, var(--stage))"
        strokeWidth={1.5}
      />
      {/* The scale is small here; its graduation is in the other view. */}
      <rect
        x={zero - 0.03 * m}
        y={axis - 0.022 * m}
        width={0.1 * m}
        height={0.044 * m}
        rx={4}
        {...line}
        fill="var(--sheet)"
        strokeWidth={1.5}
      />
      <line
        x1={pointer}
        x2={pointer}
        y1={axis - 0.014 * m}
        y2={axis + 0.014 * m}
        {...line}
        stroke="var(--copper)"
        strokeWidth={2}
      />
      <path d={`M${zero - 0.03 * m} ${axis}H${zero - 0.08 * m}V${y}`} {...line} strokeWidth={3} />
      <line x1={zero + 0.07 * m} x2={hook} y1={axis} y2={axis} {...line} strokeWidth={1.4} />
      {picture.get('thread.on') === 1 && (
        <line
          data-part="thread"
          x1={hook}
          x2={tail}
          y1={axis}
          y2={axis}
          {...line}
          stroke="var(--copper)"
          strokeWidth={1.4}
        />
      )}
      <Blade x={hook + 0.035 * m} axis={axis} down={picture.get('blade.down') === 1} m={m} line={line} />
      <path
        data-part="glider"
        d={
          `M${x - half} ${y - 0.004 * m}v${-0.03 * m}l${0.02 * m} ${-0.025 * m}` +
          `h${2 * half - 0.04 * m}l${0.02 * m} ${0.025 * m}v${0.03 * m}Z`
        }
        {...line}
        fill="color-mix(in srgb, var(--ochre) 45%, var(--stage))"
        strokeWidth={1.8}
      />
      <path
        d={`M${x} ${y - 0.004 * m}v${-0.055 * m}M${x - 0.012 * m} ${y - 0.03 * m}h${0.024 * m}`}
        {...line}
        strokeWidth={1}
      />
      {Array.from({ length: plates }, (_, i) => (
        <rect
          key={i}
          x={x - 0.03 * m}
          y={y - (0.068 + 0.009 * i) * m}
          width={0.06 * m}
          height={0.009 * m}
          {...line}
          fill="var(--line)"
          strokeWidth={1}
        />
      ))}
      <path d={`M${x - half + 0.05 * m} ${y - 0.06 * m}v${-0.06 * m}h${-0.02 * m}`} {...line} strokeWidth={3} />
      {running ? (
        <ellipse
          cx={x - half + 0.022 * m}
          cy={y - 0.12 * m}
          rx={0.008 * m}
          ry={BLADE * m}
          {...line}
          fill="var(--edge)"
          fillOpacity={0.25}
          strokeDasharray="3 3"
          strokeWidth={1}
        />
      ) : (
        <path
          d={`M${x - half + 0.022 * m} ${y - (0.12 + BLADE) * m}V${y - (0.12 - BLADE) * m}`}
          {...line}
          strokeWidth={4}
        />
      )}
      {layers.has('forces') && (
        <>
          <Arrow
            x={x}
            y={y - 0.03 * m}
            length={picture.get('thrust.arrow')}
            color="var(--copper)"
            name="thrust"
            m={m}
          />
          <Arrow
            x={x}
            y={y - 0.03 * m}
            length={-picture.get('thread.arrow')}
            color="var(--indigo)"
            name="thread"
            m={m}
          />
          <Arrow x={x} y={y - 0.015 * m} length={-picture.get('drag.arrow')} color="var(--plum)" name="drag" m={m} />
        </>
      )}
    </g>
  );
}

type Line = { stroke: string; vectorEffect: 'non-scaling-stroke'; fill: string };

/** The blade that parts the thread: above it, or down. */
function Blade({ x, axis, down, m, line }: { x: number; axis: number; down: boolean; m: number; line: Line }) {
  const tip = down ? axis + 0.012 * m : axis - 0.03 * m;
  return (
    <path
      data-part="blade"
      d={`M${x} ${tip}l${-0.008 * m} ${-0.014 * m}v${-0.07 * m}h${0.016 * m}v${0.07 * m}Z`}
      {...line}
      fill="color-mix(in srgb, var(--ink) 22%, var(--stage))"
      strokeWidth={1.2}
    />
  );
}

/** The scale alone: a pointer before marks each 0.02 N, numbered each half newton. */
function ScaleClose({
  picture,
  line,
  axis,
}: {
  picture: PropsOf<'propeller-glider'>['picture'];
  line: Line;
  axis: number;
}) {
  const newton = picture.get('newton');
  const zero = picture.get('zero.x');
  const pointer = picture.get('pointer.x');
  const hook = picture.get('hook.x');
  const full = 2.5;
  const tall = 0.13 * newton;
  let marks = '';
  const names: number[] = [];
  for (let i = -5; i <= 50 * full; i++) {
    marks +=
      `M${zero + i * 0.02 * newton} ${axis - 0.1 * newton}` +
      `v${-tall * (i % 25 === 0 ? 1 : i % 5 === 0 ? 0.75 : 0.45)}`;
    if (i % 25 === 0) names.push(i * 0.02);
  }
  const left = zero - 0.35 * newton;
  const right = zero + (full + 0.2) * newton;
  const turns = 14;
  const pitch = (pointer - left - 0.1 * newton) / turns;
  let coil = `M${left} ${axis + 0.28 * newton}h${0.05 * newton}`;
  for (let i = 0; i < turns; i++) coil += `l${pitch / 2} ${-0.12 * newton}l${pitch / 2} ${0.12 * newton}`;
  return (
    <g>
      <rect
        x={left}
        y={axis - 0.55 * newton}
        width={right - left}
        height={1.1 * newton}
        rx={10}
        {...line}
        fill="var(--sheet)"
        strokeWidth={1.8}
      />
      <path d={marks} {...line} strokeWidth={1} data-part="marks" />
      {names.map((n) => (
        <text
          key={n}
          x={zero + n * newton}
          y={axis - 0.28 * newton}
          fontSize={0.11 * newton}
          textAnchor="middle"
          className="mono"
          fill="var(--ink)"
        >
          {n.toFixed(1)}
        </text>
      ))}
      <text
        x={right - 0.12 * newton}
        y={axis - 0.42 * newton}
        fontSize={0.12 * newton}
        textAnchor="middle"
        fill="var(--ink)"
      >
        N
      </text>
      <path d={coil} {...line} strokeWidth={1.6} strokeLinejoin="round" />
      <path
        data-part="pointer"
        d={
          `M${pointer} ${axis - 0.1 * newton}l${-0.035 * newton} ${0.11 * newton}` +
          `v${0.3 * newton}h${0.07 * newton}v${-0.3 * newton}Z`
        }
        {...line}
        fill="var(--copper)"
        stroke="var(--copper)"
        strokeWidth={1}
      />
      <path d={`M${pointer} ${axis + 0.28 * newton}H${hook}`} {...line} strokeWidth={2.4} />
      {picture.get('thread.on') === 1 && (
        <line
          x1={hook}
          x2={picture.width + 50}
          y1={axis + 0.28 * newton}
          y2={axis + 0.28 * newton}
          {...line}
          stroke="var(--copper)"
          strokeWidth={1.6}
        />
      )}
    </g>
  );
}

function Arrow({
  x,
  y,
  length,
  color,
  name,
  m,
}: {
  x: number;
  y: number;
  length: number;
  color: string;
  name: string;
  m: number;
}) {
  if (Math.abs(length) < 0.004 * m) return null;
  const sign = length < 0 ? -1 : 1;
  const b = 0.016 * m;
  return (
    <g stroke={color} fill={color}>
      <line x1={x} x2={x + length} y1={y} y2={y} strokeWidth={3} vectorEffect="non-scaling-stroke" />
      <path d={`M${x + length} ${y}l${-1.6 * sign * b} ${-0.7 * b}v${1.4 * b}Z`} stroke="none" />
      <text
        x={x + length + 0.4 * sign * b}
        y={y + 0.4 * b}
        fontSize={3.2 * b}
        textAnchor={sign > 0 ? 'start' : 'end'}
        stroke="none"
      >
        {name}
      </text>
    </g>
  );
}
