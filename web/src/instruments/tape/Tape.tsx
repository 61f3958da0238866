import { useStage } from '../../picture/Stage';
import { End, type Ends } from '../kind/End';
import type { Drawn } from '../kind/kind';
import { snapTo } from '../kind/snap';

/** Narrowest gap in screen pixels at which two marks are still told apart. */
const TELLABLE = 3;

/** A tape from one point to another: its zero at the first end, its marks as far as it is drawn out. */
export function Tape({ laidAs, instrument, name, place, picture: { scale }, points, onMove }: Drawn<Ends>) {
  const { pixel } = useStage();
  const unit = scale * instrument.si;
  const length = Math.hypot(place.x2 - place.x1, place.y2 - place.y1);
  const angle = (Math.atan2(place.y2 - place.y1, place.x2 - place.x1) * 180) / Math.PI;
  const finest = [1, 5, 10, 50, 100].find((d) => d * unit * pixel >= TELLABLE) ?? 100;
  const named = [5, 10, 50, 100].find((d) => d * unit * pixel >= 34) ?? 200;
  // Where only half metres can be numbered it is read in metres, as a long tape is.
  const inMetres = instrument.unit === 'cm' && named >= 50;
  const drawnOut = Math.min(instrument.span, length / unit);
  const w = 22 / pixel;
  let marks = '';
  const names: number[] = [];
  for (let i = 0; i <= drawnOut; i += finest) {
    marks += `M${i * unit} 0v${w * (i % 10 === 0 ? 0.5 : i % 5 === 0 ? 0.36 : 0.24)}`;
    if (i % named === 0) names.push(i);
  }
  return (
    <g data-instrument={laidAs}>
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
            x={i * unit}
            y={w * 0.92}
            fontSize={10.5 / pixel}
            className="mono select-none"
            fill="var(--copper)"
            textAnchor={i === 0 ? 'start' : 'middle'}
          >
            {inMetres ? i / 100 : i}
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
          {inMetres ? 'm' : instrument.unit}
        </text>
      </g>
      {onMove &&
        (
          [
            ['x1', 'y1', 'zero'],
            ['x2', 'y2', 'far end'],
          ] as const
        ).map(([x, y, end]) => (
          <End
            key={end}
            at={{ x: place[x], y: place[y] }}
            name={`${name}, ${end}. Drag it, or use the arrow keys, with Shift finely`}
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
