import { LIVES, strokes } from './chart';
import { LINE, type Picture } from './chart-parts';

/** A square hatched by how long its nuclide lives. */
export function LifeSquare({ x, y, side, life }: { x: number; y: number; side: number; life: number }) {
  const { ground, strokes: many } = LIVES[life];
  return (
    <g data-life={life}>
      <rect
        x={x}
        y={y}
        width={side}
        height={side}
        {...LINE}
        stroke="var(--verdigris)"
        fill="var(--verdigris)"
        fillOpacity={ground / 100}
        strokeWidth={1}
      />
      <path
        d={strokes(many)
          .map(([x1, y1, x2, y2]) => `M${x + x1 * side} ${y + y1 * side}L${x + x2 * side} ${y + y2 * side}`)
          .join('')}
        {...LINE}
        stroke="var(--verdigris)"
        strokeWidth={1}
      />
    </g>
  );
}

/** Axes, legend and periodic table of the chart, and the square on which the atom stands. */
export function Chart({ picture }: { picture: Picture }) {
  const k = picture.scale;
  const [x, y] = [picture.get('map.x'), picture.get('map.y')];
  const cell = picture.get('cell');
  const [hereX, hereY] = [picture.get('here.x'), picture.get('here.y')];
  const text = { fontSize: 0.0165 * k, fill: 'var(--soft)' };
  return (
    <g>
      <path d={`M${x} ${y - 37.5 * cell}V${y}H${x + 67 * cell}`} {...LINE} strokeWidth={1.2} />
      <path
        d={`M${x} ${hereY}H${hereX}M${hereX} ${y}V${hereY}`}
        {...LINE}
        stroke="var(--copper)"
        strokeDasharray="3 3"
      />
      <g {...text} className="mono">
        {[10, 20, 30].map((z) => (
          <text key={z} x={x - 0.008 * k} y={y - (z + 0.5) * cell + 0.006 * k} textAnchor="end">
            {z}
          </text>
        ))}
        {[0, 10, 20, 30, 40, 50, 60].map((n) => (
          <text key={n} x={x + (n + 0.5) * cell} y={y + 0.022 * k} textAnchor="middle">
            {n}
          </text>
        ))}
      </g>
      <text x={x + 33 * cell} y={y + 0.045 * k} textAnchor="middle" {...text}>
        neutrons N
      </text>
      <text
        x={x - 0.03 * k}
        y={y - 20 * cell}
        textAnchor="middle"
        {...text}
        transform={`rotate(-90 ${x - 0.03 * k} ${y - 20 * cell})`}
      >
        protons Z
      </text>
      <rect
        x={hereX - cell / 2}
        y={hereY - cell / 2}
        width={cell}
        height={cell}
        {...LINE}
        stroke="var(--copper)"
        strokeWidth={3}
      />
      <PeriodicTable picture={picture} />
      <Legend picture={picture} />
      <Asked picture={picture} />
    </g>
  );
}

/** Places of the elements, with that of the atom lit. */
function PeriodicTable({ picture }: { picture: Picture }) {
  const k = picture.scale;
  const side = picture.get('table-cell');
  const places = picture
    .curve('periodic')
    .split(/[ML]/)
    .slice(1)
    .map((p) => p.split(' ').map(Number));
  const z = picture.get('protons');
  const symbol = picture.words('protons')[z];
  return (
    <g data-part="table">
      {places.map(([x, y], i) => (
        <rect
          key={i}
          x={x - 0.46 * side}
          y={y - 0.46 * side}
          width={0.92 * side}
          height={0.92 * side}
          {...LINE}
          stroke={i + 1 === z ? 'var(--copper)' : 'var(--edge)'}
          fill={i + 1 === z ? 'var(--copper)' : 'var(--sheet)'}
          strokeWidth={1}
          data-lit={i + 1 === z ? symbol : undefined}
        />
      ))}
      <text
        x={places[0][0] + 4.2 * side}
        y={places[0][1] + 0.9 * side}
        fontSize={0.02 * k}
        fill="var(--copper)"
        textAnchor="middle"
      >
        {symbol}
      </text>
    </g>
  );
}

/** What the hatching says. */
function Legend({ picture }: { picture: Picture }) {
  const k = picture.scale;
  const words = picture.words('life');
  const x = picture.get('map.x') + 0.56 * k;
  const y = picture.get('map.y');
  return (
    <g fontSize={0.0165 * k} fill="var(--ink)">
      {words.map((word, life) => (
        <g key={word}>
          <LifeSquare x={x} y={y - (0.215 - 0.027 * life) * k} side={0.019 * k} life={life} />
          <text x={x + 0.028 * k} y={y - (0.2 - 0.027 * life) * k}>
            {word}
          </text>
        </g>
      ))}
    </g>
  );
}

/** Letters in a line of what is asked. */
const WIDEST = 24;

/** What is to be built, in lines that fit beside the chart. */
function Asked({ picture }: { picture: Picture }) {
  const k = picture.scale;
  const words = picture.words('asked')[picture.get('asked')].split(' ');
  const x = picture.get('table.x');
  const y = picture.get('table.y') + 0.115 * k;
  const lines: string[] = [];
  for (const word of words) {
    const last = lines.at(-1);
    if (last !== undefined && last.length + word.length < WIDEST) lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word);
  }
  if (!words[0]) return null;
  return (
    <g fontSize={0.019 * k} fill="var(--plum)" data-part="asked">
      {lines.map((line, i) => (
        <text key={line} x={x} y={y + 0.026 * i * k}>
          {line}
        </text>
      ))}
    </g>
  );
}
