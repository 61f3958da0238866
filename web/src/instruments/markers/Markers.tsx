import { useState } from 'react';
import { arrowStep, useStage } from '../../picture/Stage';
import type { Drawn } from '../kind/kind';

/** One mark for each frame: click where the thing is; marks of other frames stay in sight, faint. */
export function Markers({ laidAs, state: s, picture }: Drawn<object>) {
  const { pixel, locate } = useStage();
  const [aim, setAim] = useState({ x: picture.width / 2, y: picture.height / 2 });
  const [aiming, setAiming] = useState(false);
  const set = (at: { x: number; y: number }) =>
    s.setMarkers(
      [...s.markers.filter((k) => k.frame !== s.frame), { frame: s.frame, ...at }].sort((a, b) => a.frame - b.frame),
    );
  const cross = (x: number, y: number, size: number) => `M${x - size} ${y}h${2 * size}M${x} ${y - size}v${2 * size}`;
  return (
    <g data-instrument={laidAs}>
      {!s.readOnly && (
        <rect
          x={-picture.width}
          y={-picture.height}
          width={3 * picture.width}
          height={3 * picture.height}
          fill="transparent"
          className="cursor-crosshair"
          tabIndex={0}
          role="button"
          aria-label={
            'Position marker: click where the thing is, or aim with the arrow keys, with ' +
            'Shift finely, and press Enter'
          }
          onFocus={() => setAiming(true)}
          onBlur={() => setAiming(false)}
          onPointerDown={(e) => {
            if (e.button !== 0) return;
            e.stopPropagation();
            e.preventDefault();
            set(locate(e.clientX, e.clientY));
          }}
          onKeyDown={(e) => {
            const d = arrowStep(e, 10 / pixel, 1 / pixel);
            if (d) {
              e.preventDefault();
              setAim({ x: aim.x + d.x, y: aim.y + d.y });
            }
            if (e.key === 'Enter') {
              e.preventDefault();
              set(aim);
            }
            if (e.key === 'Delete') s.setMarkers(s.markers.filter((k) => k.frame !== s.frame));
          }}
        />
      )}
      <g pointerEvents="none" fill="none" stroke="var(--plum)">
        {s.markers.map((k) => (
          <g key={k.frame} opacity={k.frame === s.frame ? 1 : 0.4} data-marker={k.frame}>
            <circle cx={k.x} cy={k.y} r={5 / pixel} strokeWidth={1.6 / pixel} />
            <path d={cross(k.x, k.y, 9 / pixel)} strokeWidth={1 / pixel} />
          </g>
        ))}
        {aiming && (
          <path
            d={cross(aim.x, aim.y, 14 / pixel)}
            stroke="var(--copper)"
            strokeWidth={1.5 / pixel}
            strokeDasharray={`${3 / pixel}`}
          />
        )}
      </g>
    </g>
  );
}
