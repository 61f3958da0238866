import type { PaintOf, PropsOf } from '../../picture/picture';

/** How much larger than life molecules are drawn on request. */
const LARGER = 4;
/** A molecule drawn smaller than this many screen pixels can't be seen. */
const SMALLEST = 1.8;

/** The cylinder in section, as in a technical drawing: hatched walls, piston with rod, heater, hole. */
export function GasCylinderScene({ picture, layers }: PropsOf<'gas-cylinder'>) {
  const nm = picture.scale * 1e-9;
  const left = picture.get('left.x');
  const top = picture.get('top.y');
  const bottom = picture.get('bottom.y');
  const end = picture.get('longest.x');
  const piston = picture.get('piston.x');
  const rod = picture.get('piston.y');
  const slot = picture.get('hole.half');
  const target = picture.get('target.x');
  const wall = 4 * nm;
  const line = { stroke: 'var(--ink)', vectorEffect: 'non-scaling-stroke' as const };
  const solid = 'color-mix(in srgb, var(--ink) 22%, var(--stage))';
  const held = picture.get('held.on') === 1;
  const type = 4.4 * nm;
  return (
    <g>
      <path
        d={
          slot > 0
            ? `M${end + wall} ${top}V${top - wall}H${left - wall}V${rod - slot}H${left}V${top}Z` +
              `M${left} ${rod + slot}V${bottom}H${end + wall}V${bottom + wall}H${left - wall}` +
              `V${rod + slot}Z`
            : `M${end + wall} ${top}V${top - wall}H${left - wall}V${bottom + wall}` +
              `H${end + wall}V${bottom}H${left}V${top}Z`
        }
        fill={solid}
        strokeWidth={1.4}
        {...line}
      />
      {held &&
        [top - wall / 2, bottom + wall / 2].map((y) => (
          <line
            key={y}
            x1={left}
            x2={end}
            y1={y}
            y2={y}
            stroke="var(--ochre)"
            strokeWidth={0.45 * wall}
            strokeDasharray={`${2 * nm} ${1.2 * nm}`}
          />
        ))}
      {held && (
        <text x={left} y={bottom + wall + type} fontSize={type} fill="var(--ink)">
          walls held at T
        </text>
      )}
      <Coil
        on={picture.get('heater.on') === 1}
        color="var(--copper)"
        name="heater"
        x={left}
        y={bottom + wall}
        nm={nm}
        type={type}
      />
      <Coil
        on={picture.get('cooler.on') === 1}
        color="var(--indigo)"
        name="cooler"
        x={left}
        y={bottom + wall}
        nm={nm}
        type={type}
      />
      {picture.get('partition.on') === 1 && (
        <line
          x1={picture.get('partition.x')}
          x2={picture.get('partition.x')}
          y1={top}
          y2={bottom}
          strokeWidth={3.5}
          {...line}
        />
      )}
      {Math.abs(target - piston) > 0.2 * nm && (
        <path
          d={`M${target} ${top}V${bottom}`}
          stroke="var(--copper)"
          strokeDasharray="6 5"
          strokeWidth={1.2}
          fill="none"
          vectorEffect="non-scaling-stroke"
        />
      )}
      <rect
        data-part="piston"
        x={piston}
        y={top + 0.4 * nm}
        width={5 * nm}
        height={bottom - top - 0.8 * nm}
        fill={solid}
        strokeWidth={1.4}
        {...line}
      />
      <path
        d={
          `M${piston + 5 * nm} ${rod - 2 * nm}H${2 * picture.width}` +
          `M${piston + 5 * nm} ${rod + 2 * nm}H${2 * picture.width}`
        }
        strokeWidth={1.4}
        {...line}
      />
      {picture.get('hand.on') === 1 && (
        <path
          d={`M${piston + 12 * nm} ${rod - 5 * nm}v${10 * nm}`}
          stroke="var(--copper)"
          strokeWidth={2 * nm}
          strokeLinecap="round"
        />
      )}
      {picture.get('loaded.on') === 1 &&
        [-28, -14, 14, 28].map((d) => (
          <path
            key={d}
            d={
              `M${piston + 15 * nm} ${rod + d * nm}h${-8 * nm}m${2.5 * nm} ${-1.6 * nm}` +
              `l${-2.5 * nm} ${1.6 * nm}l${2.5 * nm} ${1.6 * nm}`
            }
            fill="none"
            strokeWidth={1.6}
            {...line}
          />
        ))}
      <Length from={left} to={piston} y={top - wall - 3.4 * nm} nm={nm} type={type} />
      {layers.has('tag') && (
        <circle
          cx={picture.get('tag.x')}
          cy={picture.get('tag.y')}
          r={2 * nm}
          fill="none"
          stroke="var(--plum)"
          strokeWidth={2.2}
          vectorEffect="non-scaling-stroke"
        />
      )}
    </g>
  );
}

/** A dimension line without a number: the length is read off the setting, a ruler or the readout. */
function Length({ from, to, y, nm, type }: { from: number; to: number; y: number; nm: number; type: number }) {
  const a = 1.8 * nm;
  return (
    <g stroke="var(--soft)" fill="none">
      <path
        d={
          `M${from} ${y - a}v${2 * a}M${to} ${y - a}v${2 * a}M${from} ${y}H${to}` +
          `M${from + a} ${y - a / 2}l${-a} ${a / 2}l${a} ${a / 2}M${to - a} ${y - a / 2}` +
          `l${a} ${a / 2}l${-a} ${a / 2}`
        }
        vectorEffect="non-scaling-stroke"
      />
      <text
        x={(from + to) / 2}
        y={y - 0.6 * nm}
        fontSize={type}
        textAnchor="middle"
        stroke="none"
        fill="var(--soft)"
        fontStyle="italic"
      >
        L
      </text>
    </g>
  );
}

function Coil({
  on,
  color,
  name,
  x,
  y,
  nm,
  type,
}: {
  on: boolean;
  color: string;
  name: string;
  x: number;
  y: number;
  nm: number;
  type: number;
}) {
  if (!on) return null;
  const turns = Array.from({ length: 18 }, () => `l${1.6 * nm} ${3 * nm}l${1.6 * nm} ${-3 * nm}`).join('');
  return (
    <g>
      <path
        d={`M${x} ${y + nm}${turns}`}
        fill="none"
        stroke={color}
        strokeWidth={2}
        vectorEffect="non-scaling-stroke"
      />
      <text x={x + 62 * nm} y={y + type} fontSize={type} fill="var(--ink)">
        {name}
      </text>
    </g>
  );
}

/** Colours of the two gases in the present theme; asking the style of an element costs more than drawing it. */
let colours: { theme: string; values: string[] } | null = null;
function coloursNow(canvas: HTMLCanvasElement) {
  const theme = document.documentElement.dataset.theme ?? '';
  if (colours?.theme !== theme) {
    const look = getComputedStyle(canvas);
    colours = { theme, values: ['--copper', '--indigo'].map((name) => look.getPropertyValue(name)) };
  }
  return colours.values;
}

/** Molecules of gas 1 as filled discs, of gas 2 as open squares: told apart without colour. */
export const paintMolecules: PaintOf<'gas-cylinder'> = (ctx, picture, layers, pixel) => {
  const { values, count, left, top } = picture.crowd!;
  const larger = layers.has('large') ? LARGER : 1;
  coloursNow(ctx.canvas).forEach((colour, kind) => {
    const r = Math.max(picture.get(kind === 0 ? 'radius.1' : 'radius.2') * larger, SMALLEST / 2 / pixel);
    const dots = 2 * r * pixel < 4;
    ctx.fillStyle = ctx.strokeStyle = colour;
    ctx.lineWidth = 1.2 / pixel;
    ctx.beginPath();
    for (let i = 0; i < 3 * count; i += 3) {
      if (values[i + 2] !== kind) continue;
      const x = (values[i] - left) * picture.scale;
      const y = (top - values[i + 1]) * picture.scale;
      if (dots) {
        ctx.fillRect(x - r, y - r, 2 * r, 2 * r);
      } else if (kind === 1) {
        ctx.rect(x - r, y - r, 2 * r, 2 * r);
      } else {
        ctx.moveTo(x + r, y);
        ctx.arc(x, y, r, 0, 2 * Math.PI);
      }
    }
    if (!dots && kind === 1) ctx.stroke();
    else if (!dots) ctx.fill();
  });
};
