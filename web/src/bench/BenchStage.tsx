import { inSentence } from '../core/words';
import { use } from 'react';
import type { Act, Run } from '../core';
import { sceneOf } from '../scenes';
import { isPossible } from './ActButton';
import { advice } from '../core/models';
import { BenchHandle } from './BenchHandle';
import { DragThing } from './DragThing';
import { ForceArrows } from './ForceArrows';
import { DrawOver, type Tool } from './DrawOver';
import { Grid, squareText } from '../picture/Grid';
import { Stage, useStage } from '../picture/Stage';
import { paceText } from '../core/time';
import type { BenchState } from './useBench';
import { ANSWERS_HERE } from './useCounting';
import { inPicture, type Picture } from '../picture/picture';

/** Layer of everything that can be taken hold of: where it has been. */
export const pathLayer = (handle: string) => `path/${handle}`;

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
  const { [side]: picture } = bench.pictures;
  const { frame } = picture;
  const pointed = tool ? undefined : m.acts.find((a) => a.pointed && isPossible(a, picture));
  return (
    <div className="relative flex min-h-0 min-w-0" {...{ [ANSWERS_HERE]: '' }}>
      <Stage
        picture={picture}
        className="flex-1"
        label={`${m.name}, ${inSentence(m.views[0].name)}${label ? `, bench ${label}` : ''}`}
        under={paint && picture.crowd ? (ctx, pixel) => paint(ctx, picture, layers, pixel) : undefined}
      >
        {m.clock !== 'person' && m.scaleNote && <Grid picture={picture} />}
        {pointed && <PointAt picture={picture} onPoint={(x, y) => bench.point(side, pointed, x, y)} />}
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
          {m.handles.map(
            (h, i) =>
              layers.has(pathLayer(h.id)) && <Trail key={h.id} run={run} picture={picture} frame={frame} handle={i} />,
          )}
          <Drawing picture={picture} layers={layers} />
          {m.forces.length > 0 && <ForceArrows m={m} picture={picture} layers={layers} />}
        </g>
        {m.acts
          .filter((act) => act.dragging && isPossible(act, picture))
          .map((act) => {
            const names = draggedNames(act, run);
            return names.map((name, i) => (
              <DragThing
                key={`${act.id}${i}`}
                {...{ act, name, picture }}
                which={i}
                meaning={(to) => bench.dragged(side, act, i, to.x, to.y).words}
                onDrop={(to) => {
                  const { action } = bench.dragged(side, act, i, to.x, to.y);
                  if (action?.type === 'perform') bench.perform(side, act.id, action.with);
                }}
              />
            ));
          })}
        {m.handles
          .filter((h) => !h.manyField || picture.get(h.manyField) >= h.least)
          .map((h) => (
            <BenchHandle
              key={h.id}
              handle={h}
              picture={picture}
              onGrab={() => bench.grab(side, h.id)}
              onMove={(x, y) => bench.move(side, h.id, x, y)}
              onLetGo={() => bench.letGo(side, h.id)}
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

/** The picture's ground, where something is done by pointing at a place. */
function PointAt({ picture, onPoint }: { picture: Picture; onPoint: (x: number, y: number) => void }) {
  const { locate } = useStage();
  return (
    <rect
      width={picture.width}
      height={picture.height}
      fill="transparent"
      data-point-at
      onClick={(e) => {
        const at = locate(e.clientX, e.clientY);
        onPoint(at.x, at.y);
      }}
    />
  );
}

/** What the things an act can drag are called now: its own, options of a choice, or those of the list it picks from. */
function draggedNames(act: Act, run: Run) {
  if (act.dragging!.called) return [act.dragging!.called];
  const named = act.arguments.find((a) => a.id === act.dragging!.named);
  if (named?.type === 'choice') return named.options.map((o) => o.name);
  const pick = act.arguments.find((a) => a.type === 'pick');
  return pick ? run.itemNames(pick.from) : [];
}

/** What has to be said of a picture: its grid, how fast it is shown, what isn't drawn to scale. */
export function PictureNote({ bench, layers }: { bench: BenchState; layers: ReadonlySet<string> }) {
  const pace = paceText(bench.m);
  const draggable = bench.m.acts.some((a) => a.dragging) && bench.live.sides[0].run.head() === 0;
  if (bench.m.clock === 'person') return null;
  const { settings, run } = bench.live.sides[0];
  // What has to be known before a run begins stays over the picture until it has begun.
  const first =
    run.head() > 0
      ? []
      : bench.m.settings.flatMap((s) => {
          const told = s.type === 'amount' && s.advised && advice(bench.m.id, s.id, settings);
          return told && told.first ? [told.words] : [];
        });
  const notes = bench.m.layers.filter((l) => l.note && layers.has(l.id)).map((l) => l.note);
  return (
    <>
      {first.map((words) => (
        <p key={words} className="rounded-house border border-copper bg-sheet px-2 py-1 text-ink" data-first>
          {words}
        </p>
      ))}
      <span className="rounded-house bg-sheet/80 px-2 text-fine text-soft">
        {[
          bench.m.scaleNote && squareText(bench.pictures[0]),
          draggable && 'drag a thing to its place',
          pace,
          ...(notes.length ? notes : pace ? [bench.m.scaleNote] : []),
        ]
          .filter(Boolean)
          .join(' · ')}
      </span>
    </>
  );
}

/** How far back a path is drawn, in samples: more would only be a knot. */
const LONGEST_TRAIL = 400;

/** Further than this part of the picture nothing goes from one sample to the next. */
const LONGEST_JUMP = 0.06;

/** The path of a handle, the first if none is told, or of two channels, as a line. */
function Trail({
  run,
  picture,
  frame,
  channels,
  handle = 0,
  faint,
}: {
  run: Run;
  picture: Picture;
  frame: Float64Array;
  channels?: number[];
  handle?: number;
  faint?: boolean;
}) {
  const { pixel } = useStage();
  const n = faint
    ? run.sampleCount()
    : Math.max(1, Math.round(((run.sampleCount() - 1) * run.time()) / Math.max(run.head(), 1e-300)) + 1);
  const from = Math.max(0, n - LONGEST_TRAIL);
  const path = channels ? null : run.path(handle);
  const xs = channels && run.samples(channels[0]);
  const ys = channels && run.samples(channels[1]);
  let d = '';
  for (let i = from; i < Math.min(n, run.sampleCount()); i++) {
    const mx = path ? path[2 * i] : xs![i];
    const my = path ? path[2 * i + 1] : ys![i];
    // Where another one is followed the line begins anew.
    const jump = i > from && !path && Math.hypot(mx - xs![i - 1], my - ys![i - 1]) > LONGEST_JUMP * frame[3];
    if (!Number.isNaN(mx)) d += (d && !jump ? 'L' : 'M') + inPicture(frame, picture.scale, mx, my);
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
