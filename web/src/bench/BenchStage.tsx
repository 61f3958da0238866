import { use } from 'react';
import type { Run } from '../core';
import { sceneOf } from '../scenes';
import { BenchHandle } from './BenchHandle';
import { DrawOver, type Tool } from './DrawOver';
import { Grid, squareText } from './Grid';
import { Stage, useStage } from './Stage';
import { slowedText } from './time';
import type { BenchState } from './useBench';
import type { Picture } from '../scenes/picture';

/** Layer that every apparatus with something to take hold of has: where it has been. */
export const HAND_PATH = 'hand-path';

interface Props {
  bench: BenchState;
  side: number;
  layers: ReadonlySet<string>;
  tool: Tool | null;
  /** Earlier runs whose path is shown faint. */
  behind?: Run[];
  label?: string;
  children?: (picture: Picture) => React.ReactNode;
}

/** One bench in view: apparatus, what can be taken hold of, instruments, what is drawn over it. */
export function BenchStage({ bench, side, layers, tool, behind = [], label, children }: Props) {
  const { m, live } = bench;
  const { run } = live.sides[side];
  const { Drawing, paint } = use(sceneOf(m.id));
  const picture = bench.pictureOf(side);
  const frame = run.frame(m.views[0].id);
  return (
    <div className="relative flex min-h-0 min-w-0">
      <Stage
        picture={picture}
        className="flex-1"
        label={`${m.name}, ${m.views[0].name.toLowerCase()}${label ? `, bench ${label}` : ''}`}
        under={paint && picture.crowd ? (ctx, pixel) => paint(ctx, picture, layers, pixel) : undefined}
      >
        <Grid picture={picture} />
        <g id={`bench-content-${side}`}>
          {behind.map((r, i) => (
            <Trail key={i} run={r} picture={picture} frame={frame} faint />
          ))}
          {m.layers
            .filter((l) => l.trail.length && layers.has(l.id))
            .map((l) => (
              <Trail
                key={l.id}
                run={run}
                picture={picture}
                frame={frame}
                channels={l.trail.map((id) => m.channels.findIndex((c) => c.id === id))}
              />
            ))}
          {layers.has(HAND_PATH) && <Trail run={run} picture={picture} frame={frame} />}
          <Drawing picture={picture} layers={layers} />
        </g>
        {m.handles.map((h) => (
          <BenchHandle
            key={h.id}
            handle={h}
            picture={picture}
            onGrab={() => bench.grab(side, h.id)}
            onMove={(x, y) => bench.move(side, h.id, picture, x, y)}
            onLetGo={() => bench.letGo(side)}
          />
        ))}
        {children?.(picture)}
        <DrawOver
          m={m}
          run={run}
          picture={picture}
          shapes={bench.shapes(side)}
          tool={tool}
          onShapes={(s) => bench.draw(side, s)}
        />
      </Stage>
      {label && <b className="pointer-events-none absolute top-2 left-3 text-lead">{label}</b>}
    </div>
  );
}

/** What has to be said of a picture: its grid, how much it is slowed, what isn't drawn to scale. */
export function PictureNote({ bench, layers }: { bench: BenchState; layers: ReadonlySet<string> }) {
  const slowed = slowedText(bench.m);
  return (
    <span className="ml-auto px-2 text-fine text-soft">
      {squareText(bench.pictureOf(0))}
      {slowed &&
        ` · ${slowed} · ${layers.has('large') ? 'molecules drawn 4 times larger than life' : 'drawn to scale'}`}
    </span>
  );
}

/** How far back a path is drawn, in samples: more would only be a knot. */
const LONGEST_TRAIL = 400;

/** The path of the first handle, or of two channels, as a line. */
function Trail({
  run,
  picture,
  frame,
  channels,
  faint,
}: {
  run: Run;
  picture: Picture;
  frame: Float64Array;
  channels?: number[];
  faint?: boolean;
}) {
  const { pixel } = useStage();
  const n = faint
    ? run.sampleCount()
    : Math.max(1, Math.round(((run.sampleCount() - 1) * run.time()) / Math.max(run.head(), 1e-300)) + 1);
  const from = Math.max(0, n - LONGEST_TRAIL);
  const path = channels ? null : run.path(0);
  const xs = channels && run.samples(channels[0]);
  const ys = channels && run.samples(channels[1]);
  let d = '';
  for (let i = from; i < Math.min(n, run.sampleCount()); i++) {
    const mx = path ? path[2 * i] : xs![i];
    const my = path ? path[2 * i + 1] : ys![i];
    if (!Number.isNaN(mx))
      d += `${d ? 'L' : 'M'}${((mx - frame[0]) * picture.scale).toFixed(1)} ${((frame[1] + frame[3] - my) * picture.scale).toFixed(1)}`;
  }
  return (
    <path
      d={d}
      fill="none"
      stroke="var(--plum)"
      strokeWidth={(faint ? 3 : 1.6) / pixel}
      strokeOpacity={faint ? 0.35 : 0.9}
      strokeLinejoin="round"
      data-trail={faint ? 'behind' : 'now'}
    />
  );
}
