import { printShort } from '../../core';
import type { PropsOf } from '../../picture/picture';
import { Chart, LifeSquare } from './Chart';
import { LINE, type Picture } from './chart-parts';

const SHELLS = [1, 2, 3, 4] as const;
const SHELL_NAMES = ['K', 'L', 'M', 'N'];
const AROUND = 2;

/** An atom by its shells, its symbol, its neighbours on the chart, and the chart with the periodic table. */
export function AtomWorkbenchScene({ picture, layers }: PropsOf<'atom-workbench'>) {
  return (
    <g>
      <Chart picture={picture} />
      <Atom picture={picture} labels={layers.has('labels')} />
      <Store picture={picture} />
      <Notation picture={picture} />
      <Neighbours picture={picture} />
    </g>
  );
}

function Atom({ picture, labels }: { picture: Picture; labels: boolean }) {
  const k = picture.scale;
  const [x, y] = [picture.get('atom.x'), picture.get('atom.y')];
  const filled = SHELLS.filter((i) => picture.get(`shell.${i}`) > 0);
  const symbol = picture.words('protons')[picture.get('protons')];
  return (
    <g data-part="atom">
      {filled.map((i) => {
        const r = picture.get(`radius.${i}`);
        const many = picture.get(`shell.${i}`);
        return (
          <g key={i} data-shell={many}>
            <circle cx={x} cy={y} r={r} {...LINE} stroke="var(--edge)" strokeWidth={1.2} />
            {Array.from({ length: many }, (_, n) => {
              const turn = (2 * Math.PI * n) / many - Math.PI / 2;
              return (
                <circle
                  key={n}
                  cx={x + r * Math.cos(turn)}
                  cy={y + r * Math.sin(turn)}
                  r={0.0062 * k}
                  {...LINE}
                  fill="var(--indigo)"
                  strokeWidth={1}
                />
              );
            })}
            {labels && (
              <text x={x - r} y={y - 0.006 * k} fontSize={0.017 * k} textAnchor="middle" {...over} fill="var(--indigo)">
                {SHELL_NAMES[i - 1]}
              </text>
            )}
          </g>
        );
      })}
      <circle cx={x} cy={y} r={0.052 * k} {...LINE} fill="var(--sheet)" stroke="var(--copper)" strokeWidth={2.5} />
      <text x={x} y={y - 0.006 * k} fontSize={0.024 * k} textAnchor="middle" fill="var(--ink)" className="mono">
        {picture.get('protons')} p
      </text>
      <text x={x} y={y + 0.022 * k} fontSize={0.024 * k} textAnchor="middle" fill="var(--ink)" className="mono">
        {picture.get('neutrons')} n
      </text>
      {labels && (
        <text x={x} y={y + 0.075 * k} fontSize={0.017 * k} textAnchor="middle" {...over} fill="var(--copper)">
          nucleus of {symbol}
        </text>
      )}
    </g>
  );
}

const over = {
  stroke: 'var(--stage)',
  strokeWidth: 3,
  paintOrder: 'stroke',
  vectorEffect: 'non-scaling-stroke',
} as const;

/** Where electrons wait. */
function Store({ picture }: { picture: Picture }) {
  const k = picture.scale;
  const [x, y] = [picture.get('store.x'), picture.get('store.y')];
  return (
    <g data-part="store">
      <path
        d={`M${x - 0.04 * k} ${y - 0.012 * k}v${0.026 * k}h${0.08 * k}v${-0.026 * k}`}
        {...LINE}
        stroke="var(--edge)"
        strokeWidth={2}
      />
      {[-0.026, 0, 0.026].map((dx) => (
        <circle
          key={dx}
          cx={x + dx * k}
          cy={y + 0.004 * k}
          r={0.0062 * k}
          {...LINE}
          fill="var(--indigo)"
          strokeWidth={1}
        />
      ))}
      <text x={x} y={y + 0.032 * k} fontSize={0.0155 * k} textAnchor="middle" fill="var(--soft)">
        electrons
      </text>
    </g>
  );
}

/** A charge as it is written behind a symbol. */
export function chargeText(charge: number) {
  if (charge === 0) return '';
  const size = Math.abs(charge);
  return `${size > 1 ? size : ''}${charge > 0 ? '+' : '−'}`;
}

/** The symbol with its four numbers, and whether it lasts. */
function Notation({ picture }: { picture: Picture }) {
  const k = picture.scale;
  const x = picture.get('store.x') + 0.01 * k;
  const y = picture.get('atom.y') - 0.06 * k;
  const z = picture.get('protons');
  const symbol = picture.words('protons')[z];
  const life = picture.get('life');
  const halfLife = picture.get('half-life');
  const half = (0.016 + 0.027 * symbol.length) * k;
  return (
    <g fill="var(--ink)" data-part="notation">
      <text x={x} y={y} fontSize={0.088 * k} fontWeight={700} textAnchor="middle">
        {symbol}
      </text>
      <g fontSize={0.033 * k} className="mono">
        <text x={x - half} y={y - 0.052 * k} textAnchor="end">
          {z + picture.get('neutrons')}
        </text>
        <text x={x - half} y={y + 0.012 * k} textAnchor="end">
          {z}
        </text>
        <text x={x + half + 0.003 * k} y={y - 0.052 * k} data-part="charge">
          {chargeText(picture.get('charge'))}
        </text>
      </g>
      <text x={x} y={y + 0.06 * k} fontSize={0.02 * k} textAnchor="middle" data-part="life">
        {life < 0 ? 'not known' : life === 0 ? 'stable' : 'half-life'}
      </text>
      {life > 0 && (
        <text x={x} y={y + 0.086 * k} fontSize={0.02 * k} textAnchor="middle" data-part="half-life">
          {halfLife > 0
            ? `${printShort(Number(halfLife.toPrecision(3)))} ${picture.words('half-life-unit')[picture.get('half-life-unit')]}`
            : 'not in the table'}
        </text>
      )}
    </g>
  );
}

/** The squares round about, large. */
function Neighbours({ picture }: { picture: Picture }) {
  const k = picture.scale;
  const side = 0.078 * k;
  const left = picture.get('atom.x') + 0.4 * k;
  const top = picture.get('atom.y') - 0.185 * k;
  const symbols = picture.words('protons');
  const across = 2 * AROUND + 1;
  return (
    <g data-part="neighbours">
      {Array.from({ length: across * across }, (_, i) => {
        const z = picture.get('protons') + AROUND - Math.floor(i / across);
        const n = picture.get('neutrons') - AROUND + (i % across);
        const life = picture.get(`near.${i + 1}` as Parameters<Picture['get']>[0]);
        if (life < 0 || z < 1 || z >= symbols.length) return null;
        const [x, y] = [left + (i % across) * side, top + Math.floor(i / across) * side];
        return (
          <g key={i} data-near={`${symbols[z]}-${z + n}`}>
            <LifeSquare x={x} y={y} side={0.94 * side} life={life} />
            <rect
              x={x + 0.12 * side}
              y={y + 0.24 * side}
              width={0.7 * side}
              height={0.46 * side}
              rx={0.06 * side}
              fill="var(--stage)"
            />
            <text x={x + 0.47 * side} y={y + 0.57 * side} fontSize={0.28 * side} textAnchor="middle" fill="var(--ink)">
              <tspan fontSize={0.2 * side} dy={-0.09 * side}>
                {z + n}
              </tspan>
              <tspan dy={0.09 * side}>{symbols[z]}</tspan>
            </text>
          </g>
        );
      })}
      <rect
        x={left + AROUND * side}
        y={top + AROUND * side}
        width={0.94 * side}
        height={0.94 * side}
        {...LINE}
        stroke="var(--copper)"
        strokeWidth={3}
      />
    </g>
  );
}
