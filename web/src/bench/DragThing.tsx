import { useState } from 'react';
import type { Act } from '../core';
import type { Picture } from '../picture/picture';
import { arrowStep, useStage, useStageDrag } from '../picture/Stage';

interface Place {
  x: number;
  y: number;
}

/**
 * A thing that is brought somewhere: dragged by pointer, or moved by arrow keys and put down with Enter. What letting
 * go would mean is said beside it.
 */
export function DragThing({
  act,
  which,
  name,
  picture,
  meaning,
  onDrop,
}: {
  act: Act;
  which: number;
  name: string;
  picture: Picture;
  meaning: (to: Place) => string | undefined;
  onDrop: (to: Place) => void;
}) {
  const { pixel } = useStage();
  const [held, setHeld] = useState<Place | null>(null);
  const { things, radiusField, manyField, named } = act.dragging!;
  const at = { x: picture.get(things[which].xField), y: picture.get(things[which].yField) };
  const r = Math.max(picture.get(radiusField), 16 / pixel);
  const drop = () => {
    if (held) onDrop(held);
    setHeld(null);
  };
  const drag = useStageDrag((to) => setHeld(to), { end: drop });
  const words = held && meaning(held);
  const size = 13 / pixel;
  return (
    <>
      {named && (
        <circle
          cx={at.x}
          cy={at.y}
          r={4 / pixel}
          fill="var(--stage)"
          stroke="var(--copper)"
          strokeWidth="1.5"
          vectorEffect="non-scaling-stroke"
          aria-hidden
        />
      )}
      <circle
        cx={at.x}
        // Things of a list stand on their place, others are about it.
        cy={manyField ? at.y - r : at.y}
        r={r}
        fill="transparent"
        className="cursor-grab active:cursor-grabbing"
        tabIndex={0}
        role="button"
        data-thing={which + 1}
        aria-label={`${name}: drag it to where it is to go, or move it with the arrow keys and put it down with Enter`}
        {...drag}
        onKeyDown={(e) => {
          if (e.key === 'Enter') drop();
          else if (e.key === 'Escape') setHeld(null);
          else {
            const d = arrowStep(e, 40, 8);
            if (!d) return;
            const from = held ?? at;
            setHeld({ x: from.x + d.x, y: from.y + d.y });
          }
          e.preventDefault();
        }}
        onBlur={() => setHeld(null)}
      >
        <title>{`${act.name.replace(/ …$/, '')}: ${name}`}</title>
      </circle>
      {held && (
        <g className="pointer-events-none" data-held>
          <line
            x1={at.x}
            y1={at.y}
            x2={held.x}
            y2={held.y}
            stroke="var(--copper)"
            strokeDasharray="4 4"
            strokeWidth="1.5"
            vectorEffect="non-scaling-stroke"
          />
          <circle
            cx={held.x}
            cy={held.y}
            r={r}
            fill="var(--copper)"
            fillOpacity="0.15"
            stroke="var(--copper)"
            strokeWidth="2"
            vectorEffect="non-scaling-stroke"
          />
          {words && (
            <text
              x={Math.min(Math.max(held.x, 14 * size), picture.width - 14 * size)}
              y={held.y - r - 0.6 * size}
              fontSize={size}
              textAnchor="middle"
              fill="var(--ink)"
              stroke="var(--stage)"
              strokeWidth={4 / pixel}
              paintOrder="stroke"
              role="status"
            >
              {words}
            </text>
          )}
        </g>
      )}
    </>
  );
}
