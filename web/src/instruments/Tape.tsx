import { arrowStep, useStage, useStageDrag } from '../picture/Stage';
import type { Instrument } from '../core';
import type { Ends } from './placing';
import { snapTo } from './snap';

/** Narrowest gap in screen pixels at which two marks are still told apart. */
const TELLABLE = 3;

/** A tape from one point to another: its zero at the first end, its marks as far as it is drawn out. */
export function Tape({
  instrument,
  scale,
  place,
  points,
  onMove,
}: {
  instrument: Instrument | null;
  scale: number;
  place: Ends;
  points: { x: number; y: number }[];
  onMove?: (p: Ends) => void;
}) {
  const { pixel } = useStage();
  if (!instrument) return null;
  const unit = scale * instrument.metres;
  const length = Math.hypot(place.x2 - place.x1, place.y2 - place.y1);
  const angle = (Math.atan2(place.y2 - place.y1, place.x2 - place.x1) * 180) / Math.PI;
  const finest = [1, 5, 10, 50, 100].find((d) => d * unit * pixel >= TELLABLE) ?? 100;
  const named = [5, 10, 50, 100].find((d) => d * unit * pixel >= 34) ?? 200;
  const end = Math.min(instrument.span, length / unit);
  const w = 22 / pixel;
  let marks = '';
  const names: number[] = [];
  for (let i = 0; i <= end; i += finest) {
    marks += `M${i * unit} 0v${w * (i % 10 === 0 ? 0.5 : i % 5 === 0 ? 0.36 : 0.24)}`;
    if (i % named === 0) names.push(i);
  }
  return (
    <g data-instrument="tape">
      <g transform={`translate(${place.x1} ${place.y1}) rotate(${angle})`}>
        <rect
          x={0}
          y={0}
          width={length}
          height={w}
          fill="color-mix(in srgb, var(--sheet) 82%, transparent)"
          stroke="var(--copper)"
          strokeWidth={1 / pixel}
        />
        <path d={marks} stroke="var(--copper)" strokeWidth={0.8 / pixel} />
        {names.map((i) => (
          <text
            key={i}
            x={i * unit + 2 / pixel}
            y={w * 0.92}
            fontSize={10.5 / pixel}
            className="mono select-none"
            fill="var(--copper)"
          >
            {i}
          </text>
        ))}
        <text
          x={length - 4 / pixel}
          y={-4 / pixel}
          fontSize={10.5 / pixel}
          textAnchor="end"
          className="select-none"
          fill="var(--copper)"
        >
          {instrument.unit}
        </text>
      </g>
      {onMove &&
        (
          [
            ['x1', 'y1', 'zero'],
            ['x2', 'y2', 'far end'],
          ] as const
        ).map(([x, y, name]) => (
          <End
            key={name}
            at={{ x: place[x], y: place[y] }}
            name={`Long tape, ${name}. Drag it, or use the arrow keys, with Shift finely`}
            onMove={(p) => onMove({ ...place, [x]: p.x, [y]: p.y })}
            onDropped={() => {
              const p = snapTo(points, { x: place[x], y: place[y] }, pixel);
              onMove({ ...place, [x]: p.x, [y]: p.y });
            }}
          />
        ))}
    </g>
  );
}

/** An end that can be moved by pointer and by keys. */
export function End({
  at,
  name,
  onMove,
  onDropped,
}: {
  at: { x: number; y: number };
  name: string;
  onMove: (p: { x: number; y: number }) => void;
  onDropped?: () => void;
}) {
  const { pixel } = useStage();
  const drag = useStageDrag((to, from) => onMove({ x: at.x + to.x - from.x, y: at.y + to.y - from.y }), {
    end: onDropped,
  });
  return (
    <circle
      cx={at.x}
      cy={at.y}
      r={8 / pixel}
      fill="color-mix(in srgb, var(--sheet) 60%, transparent)"
      stroke="var(--copper)"
      strokeWidth={1.5 / pixel}
      className="cursor-move"
      tabIndex={0}
      role="button"
      aria-label={name}
      {...drag}
      onKeyDown={(e) => {
        const d = arrowStep(e, 10 / pixel, 1 / pixel);
        if (!d) return;
        e.preventDefault();
        onMove({ x: at.x + d.x, y: at.y + d.y });
      }}
    />
  );
}
