import { useStage, useStageDrag } from '../../picture/Stage';
import { End, type Ends } from '../kind/End';
import type { Drawn } from '../kind/kind';

/** A beam between two posts. Its clock is in the strip below the picture. */
export function BeamTimer({ laidAs, name, number, place, onMove }: Drawn<Ends>) {
  const { pixel } = useStage();
  const slide = useStageDrag((to, from) => {
    const [dx, dy] = [to.x - from.x, to.y - from.y];
    onMove?.({ x1: place.x1 + dx, y1: place.y1 + dy, x2: place.x2 + dx, y2: place.y2 + dy });
  });
  return (
    <g data-instrument={laidAs}>
      <line
        x1={place.x1}
        y1={place.y1}
        x2={place.x2}
        y2={place.y2}
        stroke="transparent"
        strokeWidth={16 / pixel}
        className="cursor-move"
        {...slide}
      />
      <line
        x1={place.x1}
        y1={place.y1}
        x2={place.x2}
        y2={place.y2}
        stroke="var(--copper)"
        strokeWidth={1.8 / pixel}
        strokeDasharray={`${3 / pixel} ${3 / pixel}`}
        pointerEvents="none"
      />
      {[
        [place.x1, place.y1],
        [place.x2, place.y2],
      ].map(([x, y], i) => (
        <rect
          key={i}
          x={x - 4 / pixel}
          y={y - 9 / pixel}
          width={8 / pixel}
          height={18 / pixel}
          fill="var(--copper)"
          pointerEvents="none"
        />
      ))}
      {number && (
        <text
          x={place.x1 - 10 / pixel}
          y={place.y1 + 5 / pixel}
          fontSize={13 / pixel}
          textAnchor="end"
          fill="var(--copper)"
          className="mono select-none"
        >
          {number}
        </text>
      )}
      {onMove && (
        <End
          at={{ x: place.x1, y: place.y1 }}
          name={`${name}, first post. Drag it, or use the arrow keys, with Shift finely`}
          onMove={(p) => onMove({ ...place, x1: p.x, y1: p.y })}
        />
      )}
      {onMove && (
        <End
          at={{ x: place.x2, y: place.y2 }}
          name={`${name}, second post. Drag it, or use the arrow keys, with Shift finely`}
          onMove={(p) => onMove({ ...place, x2: p.x, y2: p.y })}
        />
      )}
    </g>
  );
}
