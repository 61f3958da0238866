import type { Ref } from 'react';
import type { Drawing, DrawnShape, LaidArrow, LaidLabel, Paper } from '../core';

export const WIDTH = 160;
export const HEIGHT = 100;
const CAPTION = 8;
/** Pixels for each unit of the paper where nothing else says how large it is. */
const SCALE = 4;
const FONT = 5;

export const heightOf = (paper: Paper) => HEIGHT + CAPTION * paper.captions.length;

/** A paper with what lies on it, with its captions below; also what is saved and printed. */
export function DrawingPicture({
  drawing,
  label,
  ref,
  children,
  ...rest
}: {
  drawing: Drawing;
  label: string;
  ref?: Ref<SVGSVGElement>;
} & Omit<React.SVGProps<SVGSVGElement>, 'ref'>) {
  const { paper, drawn } = drawing;
  const tall = heightOf(paper);
  return (
    <svg
      ref={ref}
      viewBox={`0 0 ${WIDTH} ${tall}`}
      width={WIDTH * SCALE}
      height={tall * SCALE}
      role="img"
      aria-label={label}
      {...rest}
    >
      {paper.shapes.map((s, i) => (
        <Shape key={i} shape={s} />
      ))}
      {(drawn.strokes ?? []).map((s, i) => (
        <path
          key={i}
          d={pathOf(s)}
          fill="none"
          stroke="var(--ink)"
          strokeWidth="0.8"
          strokeLinecap="round"
          strokeLinejoin="round"
          data-testid="stroke"
        />
      ))}
      {(drawn.pieces ?? []).map((p, i) => {
        const kind = paper.pieces.find((k) => k.id === p.piece);
        if (!kind) return null;
        return (
          <g key={i} data-piece={kind.id}>
            <circle
              cx={p.x}
              cy={p.y}
              r={kind.size}
              fill={kind.tone === 'ink' ? 'var(--wash)' : `var(--${kind.tone})`}
              stroke="var(--ink)"
              strokeWidth="0.3"
            />
            {kind.sign && (
              <text
                x={p.x}
                y={p.y + kind.size * 0.52}
                textAnchor="middle"
                fontSize={kind.size * 1.5}
                fontWeight="bold"
                fill={kind.tone === 'ink' ? 'var(--ink)' : 'var(--on-copper)'}
              >
                {kind.sign}
              </text>
            )}
          </g>
        );
      })}
      {(drawn.arrows ?? []).map((a, i) => (
        <Arrow key={i} arrow={a} name={paper.arrows[a.arrow - 1] ?? ''} />
      ))}
      {(drawn.labels ?? []).map((l, i) => (
        <Label key={i} label={l} words={paper.labels[l.label - 1] ?? ''} />
      ))}
      {paper.captions.map((c, i) => (
        <text key={c.id} x="4" y={HEIGHT + CAPTION * i + 4} fontSize={FONT} fill="var(--ink)">
          <tspan fill="var(--soft)">{c.name}: </tspan>
          <tspan fontWeight="bold">{drawn.captions?.[c.id] ?? ''}</tspan>
        </text>
      ))}
      {children}
    </svg>
  );
}

export function pathOf(line: number[]) {
  return line.flatMap((v, i) => (i % 2 ? [] : [`${i ? 'L' : 'M'}${v} ${line[i + 1]}`])).join('');
}

function Shape({ shape }: { shape: DrawnShape }) {
  const look = {
    fill: shape.filled ? 'var(--wash)' : 'none',
    stroke: 'var(--ink)',
    strokeWidth: 0.5,
    strokeDasharray: shape.dashed ? '1.5 1.5' : undefined,
  };
  if (shape.circle.length) return <circle cx={shape.circle[0]} cy={shape.circle[1]} r={shape.circle[2]} {...look} />;
  return <path d={pathOf(shape.line) + (shape.closed ? 'Z' : '')} {...look} />;
}

/** Words with a line to what they name. */
function Label({ label: l, words }: { label: LaidLabel; words: string }) {
  // The line begins on the side of the words that looks at its end.
  const right = l.x > l.tx;
  return (
    <g>
      <line x1={l.tx} y1={l.ty} x2={l.x} y2={l.y} stroke="var(--soft)" strokeWidth="0.4" />
      <circle cx={l.x} cy={l.y} r="0.8" fill="var(--ink)" />
      <text
        x={l.tx + (right ? -1 : 1)}
        y={l.ty + FONT * 0.34}
        textAnchor={right ? 'end' : 'start'}
        fontSize={FONT}
        fill="var(--ink)"
      >
        {words}
      </text>
    </g>
  );
}

const HEAD = 3;
function Arrow({ arrow: { x, y, dx, dy }, name }: { arrow: LaidArrow; name: string }) {
  const long = Math.hypot(dx, dy) || 1;
  const [ux, uy] = [dx / long, dy / long];
  const [ex, ey] = [x + dx, y + dy];
  return (
    <g>
      <line
        x1={x}
        y1={y}
        x2={ex - ux * HEAD * 0.7}
        y2={ey - uy * HEAD * 0.7}
        stroke="var(--copper)"
        strokeWidth="1.2"
      />
      <path
        d={
          `M${ex} ${ey}L${ex - HEAD * ux + 0.5 * HEAD * uy} ${ey - HEAD * uy - 0.5 * HEAD * ux}` +
          `L${ex - HEAD * ux - 0.5 * HEAD * uy} ${ey - HEAD * uy + 0.5 * HEAD * ux}Z`
        }
        fill="var(--copper)"
      />
      <circle cx={x} cy={y} r="0.8" fill="var(--copper)" />
      <text
        x={ex + 3 * ux + (Math.abs(ux) < 0.4 ? 2 : 0)}
        y={ey + 5 * uy + 1.5}
        fontSize={FONT}
        fill="var(--copper)"
        textAnchor={ux < -0.4 ? 'end' : 'start'}
      >
        {name}
      </text>
    </g>
  );
}
