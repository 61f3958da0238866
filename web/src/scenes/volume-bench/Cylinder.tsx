import type { PropsOf } from '../../picture/picture';

export type Picture = PropsOf<'volume-bench'>['picture'];
export const LINE = { stroke: 'var(--ink)', vectorEffect: 'non-scaling-stroke' as const, fill: 'none' };
export const GLASS = 'color-mix(in srgb, var(--indigo) 6%, var(--stage))';
export const WATER = 'color-mix(in srgb, var(--indigo) 22%, var(--stage))';
const SURFACE = 'color-mix(in srgb, var(--indigo) 10%, var(--stage))';
const EDGE = 'color-mix(in srgb, var(--indigo) 38%, var(--stage))';
/** Thickness of a wall, in metres. */
export const WALL = 0.0012;

/** A measuring cylinder: its water, the curve of its surface where it appears to the eye, and its scale. */
export function Cylinder({ picture, i, guide }: { picture: Picture; i: 1 | 2 | 3; guide: boolean }) {
  const k = picture.scale;
  const x = picture.get(`cylinder.${i}.x`);
  const foot = picture.get(`cylinder.${i}.y`);
  const bore = picture.get(`bore.${i}`);
  const floor = picture.get(`foot.${i}.y`) - 0.006 * k;
  const brim = picture.get(`brim.${i}.y`);
  const [left, right] = [x - bore / 2, x + bore / 2];
  const wall = WALL * k;
  const stand = bore / 2 + 0.011 * k;
  return (
    <g data-cylinder={i}>
      {picture.get(`wet.${i}`) === 1 && <Water {...{ picture, i, x, bore, floor }} />}
      <path
        d={
          `M${left - wall} ${brim}V${floor + wall}L${x - stand} ${foot - 0.002 * k}V${foot}H${x + stand}` +
          `v${-0.002 * k}L${right + wall} ${floor + wall}V${brim}l${0.004 * k} ${-0.003 * k}` +
          `M${left} ${brim}V${floor}H${right}V${brim}`
        }
        {...LINE}
        strokeWidth={1.3}
        strokeLinejoin="round"
      />
      <Scale {...{ picture, i, left, bore }} />
      {guide && picture.get(`wet.${i}`) === 1 && <Guide {...{ picture, i, left, right }} />}
    </g>
  );
}

function Water({
  picture,
  i,
  x,
  bore,
  floor,
}: {
  picture: Picture;
  i: 1 | 2 | 3;
  x: number;
  bore: number;
  floor: number;
}) {
  const front = picture.get(`wall-front.${i}.y`);
  const back = picture.get(`wall-back.${i}.y`);
  const curve = picture.curve(`curve.${i}`);
  const left = x - bore / 2;
  return (
    <g>
      <path d={`M${left} ${floor}${rim(x, bore, front, back)}V${floor}Z`} fill={WATER} />
      <path d={`${curve}${rim(x, -bore, front, back)}Z`} fill={EDGE} />
      <Ring x={x} wide={bore} front={front} back={back} />
      <path d={curve} {...LINE} stroke="var(--indigo)" strokeWidth={1.6} data-curve />
    </g>
  );
}

/** The part of a surface's rim towards the eye, from one side to the other, beginning with a line to it. */
export function rim(x: number, wide: number, front: number, back: number) {
  const middle = (front + back) / 2;
  const [rx, ry] = [Math.abs(wide) / 2, Math.abs(front - back) / 2];
  const sweep = front > back === wide > 0 ? 0 : 1;
  return `L${x - wide / 2} ${middle}A${rx} ${ry} 0 0 ${sweep} ${x + wide / 2} ${middle}`;
}

/** Where a surface meets the wall, all round: a line to an eye on its level, else an open ring. */
export function Ring({ x, wide, front, back }: { x: number; wide: number; front: number; back: number }) {
  const rx = wide / 2;
  const ry = Math.abs(front - back) / 2;
  const over = back < front;
  return (
    <g data-ring={Math.round(ry)}>
      <ellipse cx={x} cy={(front + back) / 2} rx={rx} ry={ry} fill={SURFACE} fillOpacity={over ? 0.9 : 0.35} />
      <ellipse
        cx={x}
        cy={(front + back) / 2}
        rx={rx}
        ry={ry}
        {...LINE}
        stroke="var(--indigo)"
        strokeWidth={1}
        strokeDasharray={over ? undefined : '3 3'}
      />
    </g>
  );
}

/** Marks at each division, longer ones halfway and at the labels. */
function Scale({ picture, i, left, bore }: { picture: Picture; i: 1 | 2 | 3; left: number; bore: number }) {
  const k = picture.scale;
  const capacity = picture.get(`capacity.${i}`);
  const division = picture.get(`division.${i}`);
  const spaces = Math.round(picture.get(`labelled.${i}`) / division);
  const zero = picture.get(`zero.${i}.y`);
  const each = ((picture.get(`top.${i}.y`) - zero) / capacity) * division;
  const first = Math.ceil(capacity / 10 / division - 1e-9);
  const last = Math.round(capacity / division);
  const size = Math.min(0.006, (0.55 * bore) / k / 2) * k;
  let marks = '';
  const labels = [];
  for (let n = first; n <= last; n++) {
    const y = zero + n * each;
    const long = n % spaces === 0 ? 0.42 : spaces % 2 === 0 && n % (spaces / 2) === 0 ? 0.33 : 0.24;
    marks += `M${left} ${y}h${long * bore}`;
    if (n % spaces === 0) labels.push({ y, text: String(Math.round(n * division)) });
  }
  return (
    <g className="mono" fontSize={size} fill="var(--ink)">
      <path d={marks} {...LINE} strokeWidth={0.8} data-marks={last - first + 1} />
      {labels.map(({ y, text }) => (
        <text key={text} x={left + 0.46 * bore} y={y + 0.34 * size}>
          {text}
        </text>
      ))}
      <text x={left + 0.46 * bore} y={picture.get(`top.${i}.y`) - 0.9 * size} fontSize={0.8 * size}>
        mL
      </text>
    </g>
  );
}

/** For showing: where the curve has its bottom, and where its edge is. */
function Guide({ picture, i, left, right }: { picture: Picture; i: 1 | 2 | 3; left: number; right: number }) {
  const k = picture.scale;
  const end = right + 0.02 * k;
  return (
    <g fontSize={0.006 * k}>
      {(
        [
          [picture.get(`wall-front.${i}.y`), 'edge', 'var(--copper)', -0.002 * k],
          [picture.get(`bottom.${i}.y`), 'bottom', 'var(--verdigris)', 0.006 * k],
        ] as const
      ).map(([y, name, hue, below]) => (
        <g key={name}>
          <path d={`M${left - 0.006 * k} ${y}H${end}`} {...LINE} stroke={hue} strokeWidth={1.4} strokeDasharray="5 3" />
          <text x={right + 0.004 * k} y={y + below} fill={hue}>
            {name}
          </text>
        </g>
      ))}
    </g>
  );
}
