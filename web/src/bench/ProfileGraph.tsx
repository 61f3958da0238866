import { useRef } from 'react';
import { inOwn, type Manifest, type Profile, type Run } from '../core';
import { Symbol } from '../ui';
import { useSize } from '../ui/useSize';
import { Axes, padOf, rangeOf, scaleOf } from './Axes';

/** A curve at this instant, with axes of its own; the lines before the last are earlier ones, and faint. */
export function ProfileGraph({ m, run, profile }: { m: Manifest; run: Run; profile: Profile }) {
  const box = useRef<HTMLElement>(null);
  const { width: W, type } = useSize(box);
  const H = 0.5 * W + 2.6 * type;
  const pad = padOf(type, true);
  const { lines, mark } = run.profile(m.profiles.indexOf(profile));
  const { along, up } = profile;
  const every = (offset: number, axis: Profile['along']) =>
    lines.flatMap((l) =>
      Array.from(
        l.points.filter((_, i) => i % 2 === offset),
        (v) => inOwn(axis, v),
      ),
    );
  const [x0, x1] = rangeOf([0, ...every(0, along)]);
  const [y0, y1] = rangeOf([0, ...every(1, up)]);
  const alongAxis = { ...along, from: x0, to: x1 };
  const upAxis = { ...up, from: y0, to: y1, nice: true };
  const x = scaleOf(alongAxis, pad.left, W - pad.right);
  const y = scaleOf(upAxis, H - pad.bottom, pad.top);
  const path = (points: Float64Array) => {
    let d = '';
    for (let i = 0; i < points.length; i += 2)
      d += `${i ? 'L' : 'M'}${x(inOwn(along, points[i])).toFixed(1)} ${y(inOwn(up, points[i + 1])).toFixed(1)}`;
    return d;
  };
  return (
    <figure ref={box} data-profile={profile.id}>
      <figcaption className="text-fine font-semibold">{profile.name}</figcaption>
      <svg width={W} height={H} role="img" aria-label={`${profile.name}: ${up.name} against ${along.name}`}>
        <Axes {...{ x, y, width: W, height: H, pad, type }} along={alongAxis} up={upAxis} />
        {lines.map((l, i) => {
          const last = i === lines.length - 1;
          const n = l.points.length;
          const end = { x: x(inOwn(along, l.points[n - 2])), y: y(inOwn(up, l.points[n - 1])) };
          return (
            <g key={i} data-line={l.name}>
              <path
                d={path(l.points)}
                fill="none"
                stroke={last ? 'var(--copper)' : 'var(--indigo)'}
                strokeOpacity={last ? 1 : 0.45}
                strokeWidth={last ? 2.4 : 1.6}
                strokeDasharray={last ? '' : '6 3'}
              />
              <circle cx={end.x} cy={end.y} r={last ? 4 : 3} fill={last ? 'var(--copper)' : 'var(--indigo)'} />
            </g>
          );
        })}
        {mark.length > 0 && (
          <circle
            cx={x(inOwn(along, mark[0]))}
            cy={y(inOwn(up, mark[1]))}
            r="6"
            fill="var(--sheet)"
            stroke="var(--ink)"
            strokeWidth="2.5"
            data-mark
          />
        )}
      </svg>
      <p className="text-fine text-soft">
        {lines.length === 0 ? (
          'Nothing yet.'
        ) : (
          <>
            <Symbol text={up.symbol} />, {up.name}, against <Symbol text={along.symbol} />, {along.name}.
            {' Full line: '}
            {lines.at(-1)!.name}
            {lines.length > 1 && `; broken: ${[...new Set(lines.slice(0, -1).map((l) => l.name))].join(', ')}`}.
          </>
        )}
      </p>
    </figure>
  );
}
