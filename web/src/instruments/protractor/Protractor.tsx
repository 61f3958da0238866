import { arrowStep, useStage, useStageDrag } from '../../picture/Stage';
import type { Drawn } from '../kind/kind';

export interface Place {
  x: number;
  y: number;
  radius: number;
  angle: number;
}

const SMALLEST_RADIUS = 60;

/** A half circle with its zero straight down, graduated both ways; the rim handle makes it larger. */
export function Protractor({ laidAs, name, place, onMove }: Drawn<Place>) {
  const { pixel } = useStage();
  const r = place.radius;
  const fine = (r * pixel * Math.PI) / 180 >= 2.6;
  const arm = (degrees: number, from: number, to: number) => {
    const a = (degrees * Math.PI) / 180;
    return `M${from * Math.sin(a)} ${from * Math.cos(a)}L${to * Math.sin(a)} ${to * Math.cos(a)}`;
  };
  let marks = '';
  for (let d = -90; d <= 90; d++) {
    if (d % 5 !== 0 && !fine) continue;
    const depth = d % 10 === 0 ? 16 : d % 5 === 0 ? 11 : 6;
    marks += arm(d, r - depth / pixel, r);
  }
  const names = [-90, -60, -30, 0, 30, 60, 90].concat(
    r * pixel > 150 ? [-80, -70, -50, -40, -20, -10, 10, 20, 40, 50, 70, 80] : [],
  );
  const slide = useStageDrag((to, from) =>
    onMove?.({ ...place, x: place.x + to.x - from.x, y: place.y + to.y - from.y }),
  );
  const size = useStageDrag((to) =>
    onMove?.({ ...place, radius: Math.max(SMALLEST_RADIUS / pixel, Math.hypot(to.x - place.x, to.y - place.y)) }),
  );
  const keys = (e: React.KeyboardEvent) => {
    const step = arrowStep(e, 10 / pixel, 1 / pixel);
    const grow = e.key === '+' ? 1.05 : e.key === '-' ? 1 / 1.05 : 1;
    if (!step && grow === 1) return;
    e.preventDefault();
    onMove?.({
      ...place,
      x: place.x + (step?.x ?? 0),
      y: place.y + (step?.y ?? 0),
      radius: Math.max(SMALLEST_RADIUS / pixel, r * grow),
    });
  };
  return (
    <g transform={`translate(${place.x} ${place.y}) rotate(${place.angle})`} data-instrument={laidAs}>
      <g
        tabIndex={onMove ? 0 : undefined}
        role="button"
        className="cursor-move"
        onKeyDown={keys}
        aria-label={`${name}. Drag it; arrow keys move it, with Shift finely; + and − change its size`}
        {...slide}
      >
        <path
          d={`M${-r} 0A${r} ${r} 0 0 0 ${r} 0Z`}
          fill="color-mix(in srgb, var(--sheet) 55%, transparent)"
          stroke="var(--copper)"
          strokeWidth={1.2 / pixel}
        />
        <path d={marks} stroke="var(--copper)" strokeWidth={0.8 / pixel} />
        <path
          d={`M${-8 / pixel} 0H${8 / pixel}M0 ${-8 / pixel}V${8 / pixel}${arm(0, 0, r - 30 / pixel)}`}
          stroke="var(--copper)"
          strokeWidth={1 / pixel}
          fill="none"
        />
        {names.map((d) => {
          const a = (d * Math.PI) / 180;
          const at = r - 25 / pixel;
          return (
            <text
              key={d}
              x={at * Math.sin(a)}
              y={at * Math.cos(a) + 4 / pixel}
              fontSize={11.5 / pixel}
              textAnchor="middle"
              className="mono select-none"
              fill="var(--copper)"
            >
              {Math.abs(d)}
            </text>
          );
        })}
      </g>
      {onMove && (
        <circle
          cx={r * Math.SQRT1_2}
          cy={r * Math.SQRT1_2}
          r={8 / pixel}
          fill="var(--sheet)"
          stroke="var(--copper)"
          strokeWidth={1.5 / pixel}
          className="cursor-nwse-resize"
          aria-hidden
          {...size}
        >
          <title>Make the protractor larger or smaller</title>
        </circle>
      )}
    </g>
  );
}

export function HalfCircle() {
  return (
    <svg width="16" height="16" viewBox="0 0 16 16" fill="none" stroke="currentColor" strokeWidth="1.4" aria-hidden>
      <path d="M1.500 4.500a6.500 6.500 0 0 0 13 0ZM8 4.500v6" />
    </svg>
  );
}
