import { use, useEffect, useRef } from 'react';
import { portraitOf } from '../core';
import { pictureOfRun } from '../picture/picture';
import { useApparatus } from './useApparatus';

/** Canvas elements for each element of the picture's thousand: fine enough for a card. */
const FINENESS = 0.6;

/** An apparatus as it shows itself in lists, all of it in view. */
export function ApparatusPortrait({ id, className }: { id: string; className?: string }) {
  const portrait = portraitOf(id);
  const { m, scene } = useApparatus(id);
  const { frame, scene: places, curves, crowd, layers } = use(portrait);
  const shown = new Set(layers);
  const { Drawing, paint } = scene;
  const bodies = { values: Float64Array.from(crowd), count: crowd.length / 3 };
  const lines = curves.map((c) => Float64Array.from(c));
  const picture = pictureOfRun(m, Float64Array.from(places), Float64Array.from(frame), bodies, lines);
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const ctx = canvas.current?.getContext('2d');
    if (!ctx || !paint) return;
    ctx.setTransform(FINENESS, 0, 0, FINENESS, 0, 0);
    ctx.clearRect(0, 0, picture.width, picture.height);
    paint(ctx, picture, shown, FINENESS);
  });
  const fill = 'absolute inset-0 h-full w-full';
  return (
    <div className={`relative bg-stage ${className}`}>
      {paint && (
        <canvas
          ref={canvas}
          width={FINENESS * picture.width}
          height={FINENESS * picture.height}
          className={`${fill} object-contain`}
          aria-hidden
        />
      )}
      <svg viewBox={`0 0 ${picture.width} ${picture.height}`} className={fill} role="img" aria-label={m.name}>
        <Drawing picture={picture} layers={shown} />
      </svg>
    </div>
  );
}
