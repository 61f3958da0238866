import { useId } from 'react';
import { arrowStep, useStage, useStageDrag } from '../../picture/Stage';
import type { Drawn, Point } from '../kind/kind';

const POWER = 4;
const RADIUS = 75;

/** A glass that enlarges what is under it: the apparatus and the instruments laid on it. */
export function Magnifier({ laidAs, name, place, content, onMove }: Drawn<Point>) {
  const { pixel } = useStage();
  const clip = useId();
  const r = RADIUS / pixel;
  const drag = useStageDrag((to, from) => onMove?.({ x: place.x + to.x - from.x, y: place.y + to.y - from.y }));
  const enlarge = `translate(${place.x} ${place.y}) scale(${POWER}) translate(${-place.x} ${-place.y})`;
  return (
    <g data-instrument={laidAs}>
      <clipPath id={clip}>
        <circle cx={place.x} cy={place.y} r={r} />
      </clipPath>
      <g clipPath={`url(#${clip})`} pointerEvents="none" aria-hidden>
        <circle cx={place.x} cy={place.y} r={r} fill="var(--stage)" />
        <use href={`#${content}`} transform={enlarge} />
        <use href={`#${content}-instruments`} transform={enlarge} />
      </g>
      <circle
        cx={place.x}
        cy={place.y}
        r={r}
        fill="transparent"
        stroke="var(--copper)"
        strokeWidth={3 / pixel}
        className="cursor-move"
        tabIndex={onMove ? 0 : undefined}
        role="button"
        aria-label={`${name}, ${POWER} times. Drag it, or use the arrow keys, with Shift finely`}
        {...drag}
        onKeyDown={(e) => {
          const d = arrowStep(e, 10 / pixel, 1 / pixel);
          if (!d) return;
          e.preventDefault();
          onMove?.({ x: place.x + d.x, y: place.y + d.y });
        }}
      />
      <path
        d={`M${place.x - 5 / pixel} ${place.y}h${10 / pixel}M${place.x} ${place.y - 5 / pixel}v${10 / pixel}`}
        stroke="var(--copper)"
        strokeWidth={1 / pixel}
        pointerEvents="none"
      />
    </g>
  );
}
