import type { PropsOf } from '../../picture/picture';

/** The night is dark on every ground: a lamp is seen against it, not against the page. */
const SKY = '#131b27';
const SEA = '#0c131c';
const HORIZON = '#3a4757';
const LAMPS = [
  { name: 'white', fill: '#fff6da' },
  { name: 'red', fill: '#ff4d3d' },
  { name: 'green', fill: '#4de08a' },
];
const WOOD = { fill: 'var(--line)', stroke: 'var(--ink)', vectorEffect: 'non-scaling-stroke' as const };
/** Metres about the middle of the horizon. */
const PANE = { left: -3.7, right: 3.7, top: 2.35, sill: -0.75 };

/** The sea at night from the watch room: a lamp on the horizon, horn and pegs on the sill. Only cues are seen. */
export function ReflexTimerScene({ picture }: PropsOf<'reflex-timer'>) {
  const k = picture.scale;
  const lamp = { x: picture.get('lamp.x'), y: picture.get('lamp.y') };
  // The lamp stands a little above the horizon; straight ahead is the middle of the picture's pane.
  const horizon = lamp.y + 0.1 * k;
  const middle = picture.width / 2;
  const at = (x: number) => middle + x * k;
  const up = (y: number) => horizon - y * k;
  const { fill, name } = LAMPS[picture.get('lamp.colour')];
  const all = picture.get('all');
  const done = picture.get('done');
  /** A stroke of its light on the water: so far to either side, so far below the horizon. */
  const glitter = (half: number, below: number) => `M${lamp.x - half * k} ${horizon + below * k}h${2 * half * k}`;
  const gap = Math.min(0.3, 6 / all) * k;
  return (
    <g>
      <rect x={at(-6)} y={up(4)} width={12 * k} height={8 * k} fill="var(--paper)" />
      <rect x={at(PANE.left)} y={up(PANE.top)} width={7.4 * k} height={PANE.top * k} fill={SKY} />
      <rect x={at(PANE.left)} y={horizon} width={7.4 * k} height={-PANE.sill * k} fill={SEA} />
      <line x1={at(PANE.left)} x2={at(PANE.right)} y1={horizon} y2={horizon} stroke={HORIZON} strokeWidth={2} />
      {picture.get('lit') === 1 && (
        <g data-lamp={name}>
          <circle cx={lamp.x} cy={lamp.y} r={0.62 * k} fill={fill} fillOpacity={0.16} />
          <circle cx={lamp.x} cy={lamp.y} r={0.4 * k} fill={fill} fillOpacity={0.28} />
          <circle cx={lamp.x} cy={lamp.y} r={0.22 * k} fill={fill} />
          <path d={glitter(0.2, 0.16) + glitter(0.14, 0.32)} stroke={fill} strokeOpacity={0.5} strokeWidth={0.05 * k} />
        </g>
      )}
      <path
        d={`M${at(PANE.left) - 0.2 * k} ${up(PANE.top) - 0.2 * k}h${7.8 * k}v${3.5 * k}h${-7.8 * k}Z
          M${at(PANE.left)} ${up(PANE.top)}v${3.1 * k}h${7.4 * k}v${-3.1 * k}Z`}
        fillRule="evenodd"
        {...WOOD}
        strokeWidth={1.4}
      />
      <rect x={at(-4)} y={up(PANE.sill)} width={8 * k} height={0.24 * k} {...WOOD} strokeWidth={1.6} />
      <Horn x={at(-3.2)} y={up(PANE.sill)} k={k} />
      <g>
        {Array.from({ length: all }, (_, i) => (
          <path
            key={i}
            d={`M${middle + (i - (all - 1) / 2) * gap} ${up(PANE.sill) + 0.07 * k}v${-(i < done ? 0.3 : 0.12) * k}`}
            stroke={i < done ? 'var(--verdigris)' : 'var(--soft)'}
            strokeWidth={Math.min(0.09 * k, 0.4 * gap)}
            strokeLinecap="round"
            data-peg={i < done ? 'up' : 'down'}
          />
        ))}
      </g>
    </g>
  );
}

/** The fog horn's small brother: bellows, reed, bell. */
function Horn({ x, y, k }: { x: number; y: number; k: number }) {
  return (
    <g transform={`translate(${x} ${y}) scale(${k})`} data-horn>
      <path d="M-0.1 0v-0.16h0.3v0.16Z" {...WOOD} strokeWidth={1.3} />
      <path d="M0.02 -0.16v-0.13h0.06v0.13" {...WOOD} strokeWidth={1.3} />
      <path d="M-0.18 -0.29h0.26l0.42 -0.13v0.4l-0.42 -0.13h-0.26Z" {...WOOD} strokeWidth={1.3} />
      <ellipse cx={0.5} cy={-0.22} rx={0.05} ry={0.2} {...WOOD} strokeWidth={1.3} />
    </g>
  );
}
