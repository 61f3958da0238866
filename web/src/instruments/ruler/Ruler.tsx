import { inSentence } from '../../core/words';
import { useMemo } from 'react';
import { arrowStep, useStage, useStageDrag } from '../../picture/Stage';
import type { Drawn } from '../kind/kind';
import { snapTo } from '../kind/snap';

/** The zero's place, the direction in degrees, and the division it is graduated in. */
export interface Straight {
  x: number;
  y: number;
  angle: number;
  division?: number;
  /** 1 where its scale is turned over: the rule lies on the other side of its marked edge. */
  over?: number;
}

/** Narrowest gap in screen pixels at which two marks are still told apart. */
const TELLABLE = 2.5;

/**
 * A rule true to scale in the picture. Its zero can be laid anywhere; the far end turns it. It shows
 * marks, never a value: reading is the student's. Marks too fine for the zoom are left out until they
 * can be told apart.
 */
export function Ruler({
  laidAs,
  instrument,
  name,
  number,
  place,
  picture: { scale },
  points,
  onMove,
}: Drawn<Straight>) {
  const { pixel } = useStage();
  const unit = scale * instrument.si;
  const length = instrument.span * unit;
  const width = 44 / pixel;
  const own = instrument.division * (place.division ?? 1);
  const finest =
    [0.1, 0.5, 1, 2, 5, 10, 50, 100].find((d) => d >= own && (d / own) % 1 === 0 && d * unit * pixel >= TELLABLE) ??
    100;
  // One made for parts of its unit is numbered in that unit.
  const fine = instrument.division < 1;
  const named = (fine ? [1, 2, 5, 10] : [10, 50, 100, 200]).find((d) => d * unit * pixel >= 30) ?? 500;
  // A rule graduated in millimetres is numbered in centimetres, as every real one is.
  // Turned over, it lies on the other side of its marked edge; the marks stay where they were.
  const side = place.over ? -1 : 1;
  const [perNumber, numberUnit] = instrument.unit === 'mm' && !fine ? [10, 'cm'] : [1, instrument.unit];
  const { marks, names } = useMemo(() => {
    let d = '';
    const labels: number[] = [];
    const [whole, half] = fine ? [1, 0.5] : [10, 5];
    for (let n = 0; n * finest <= instrument.span; n++) {
      const i = Math.round(10 * n * finest) / 10;
      const tall = i % whole === 0 ? 0.34 : i % half === 0 ? 0.25 : 0.17;
      d += `M${i * unit} 0v${side * width * tall}`;
      if (i % named === 0) labels.push(i);
    }
    return { marks: d, names: labels };
  }, [instrument.span, finest, named, fine, unit, width, side]);

  const slide = useStageDrag(
    (to, from) => onMove?.({ ...place, x: place.x + to.x - from.x, y: place.y + to.y - from.y }),
    { end: () => onMove?.({ ...place, ...snapTo(points, place, pixel) }) },
  );
  const turn = useStageDrag((to) =>
    onMove?.({ ...place, angle: (Math.atan2(to.y - place.y, to.x - place.x) * 180) / Math.PI }),
  );
  const keys = (e: React.KeyboardEvent) => {
    const step = arrowStep(e, 10 / pixel, 1 / pixel);
    const spin = e.key === '[' ? -1 : e.key === ']' ? 1 : e.key === '{' ? -0.1 : e.key === '}' ? 0.1 : 0;
    if (!step && !spin) return;
    e.preventDefault();
    onMove?.({ ...place, x: place.x + (step?.x ?? 0), y: place.y + (step?.y ?? 0), angle: place.angle + spin });
  };
  // Text stays upright enough to read when the rule is turned over.
  const headDown = Math.abs((((place.angle % 360) + 540) % 360) - 180) > 90;
  const grip = Math.min(length, 170 / pixel);
  return (
    <g transform={`translate(${place.x} ${place.y}) rotate(${place.angle})`} data-instrument={laidAs}>
      <g
        tabIndex={onMove ? 0 : undefined}
        role="button"
        onKeyDown={keys}
        className="cursor-move"
        aria-label={`${name}. Drag it; arrow keys move it, with Shift finely; [ and ] turn it, with Shift finely`}
        {...slide}
      >
        <rect
          x={-2 / pixel}
          y={side > 0 ? 0 : -width}
          width={length + 4 / pixel}
          height={width}
          fill="color-mix(in srgb, var(--sheet) 82%, transparent)"
          stroke="var(--copper)"
          strokeWidth={1.2 / pixel}
        />
        <path d={marks} stroke="var(--copper)" strokeWidth={0.8 / pixel} />
        {names.map((i) => (
          <text
            key={i}
            x={i * unit}
            y={side > 0 ? width * 0.66 : -width * 0.42}
            fontSize={12 / pixel}
            className="mono select-none"
            fill="var(--copper)"
            textAnchor="middle"
            transform={headDown ? `rotate(180 ${i * unit} ${side * width * 0.56})` : undefined}
          >
            {i / perNumber}
          </text>
        ))}
        <text
          x={6 / pixel}
          y={side > 0 ? width * 0.93 : -width * 0.77}
          fontSize={9.5 / pixel}
          fill="var(--copper)"
          className="select-none"
        >
          {number ? `${number} · ${numberUnit}` : numberUnit}
          {finest > own ? ` · zoom in for marks of ${own} ${instrument.unit}` : ''}
        </text>
        <path d={`M0 ${(-side * 7) / pixel}V0`} stroke="var(--copper)" strokeWidth={2 / pixel} />
      </g>
      {onMove && (
        <g className="cursor-alias" aria-hidden {...turn}>
          <title>Turn the {inSentence(name)}</title>
          <circle
            cx={grip}
            cy={side * width}
            r={9 / pixel}
            fill="var(--sheet)"
            stroke="var(--copper)"
            strokeWidth={1.5 / pixel}
          />
          <path
            d={`M${grip - 4 / pixel} ${side * width}a${4 / pixel} ${4 / pixel} 0 1 1 ${4 / pixel} ${4 / pixel}`}
            fill="none"
            stroke="var(--copper)"
            strokeWidth={1.5 / pixel}
          />
        </g>
      )}
    </g>
  );
}
