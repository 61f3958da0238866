import { arrowStep, useStage, useStageDrag } from '../../picture/Stage';

/** What has two ends in the picture. */
export interface Ends {
  x1: number;
  y1: number;
  x2: number;
  y2: number;
}

export const describeEnds = ({ x1, y1, x2, y2 }: Ends, at: (x: number, y: number) => string) =>
  `one end ${at(x1, y1)}, the other ${at(x2, y2)}`;

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
