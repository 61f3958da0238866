import type { Handle } from '../core';
import type { Picture } from '../picture/picture';
import { arrowStep, useStage, useStageDrag } from '../picture/Stage';

/** A part that can be moved by hand, with pointer or arrow keys. */
export function BenchHandle({
  handle,
  picture,
  onGrab,
  onMove,
  onLetGo,
}: {
  handle: Handle;
  picture: Picture;
  onGrab: () => void;
  onMove: (x: number, y: number) => void;
  onLetGo: () => void;
}) {
  const { pixel } = useStage();
  const x = picture.get(handle.xField);
  const y = picture.get(handle.yField);
  const drag = useStageDrag((to) => onMove(to.x, to.y), { start: onGrab, end: onLetGo });
  return (
    <circle
      cx={x}
      cy={y}
      r={Math.max(picture.get(handle.radiusField) + 3 / pixel, 16 / pixel)}
      fill="transparent"
      className="cursor-grab active:cursor-grabbing"
      tabIndex={0}
      role="button"
      aria-label={`Move the ${handle.name}: drag it, or use the arrow keys`}
      {...drag}
      onKeyDown={(e) => {
        const d = arrowStep(e, 20, 4);
        if (!d) return;
        e.preventDefault();
        onGrab();
        onMove(x + d.x, y + d.y);
        onLetGo();
      }}
    />
  );
}
