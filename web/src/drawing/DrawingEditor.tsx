import { Eraser, Move, Pencil, Tag, Undo2 } from 'lucide-react';
import { useRef, useState, type ReactNode } from 'react';
import type { Drawing, Drawn, Paper } from '../core';
import { readDrawing } from '../core/drawings';
import { Button, inputClass } from '../ui';
import { Counts } from './Counts';
import { DrawingPicture, heightOf, HEIGHT, WIDTH } from './DrawingPicture';
import { grips, isBlank, isFull, moved, onPaper, used, type Grip, type Point, type Tool } from './tools';

const STEP = 4;
const FINE = 0.5;
/** Least way between two points of a stroke. */
const NEAR = 0.8;
const LONGEST = 3600;

interface Way {
  from: Point;
  to: Point;
  grip?: Grip;
  stroke?: number[];
}

/** Paper to draw on by mouse, finger or keys, with what can be laid, and numbers for those who would rather type. */
export function DrawingEditor({
  drawing,
  onDrawn,
  children,
}: {
  drawing: Drawing;
  onDrawn: (drawn: Drawn) => void;
  children?: ReactNode;
}) {
  const { paper, drawn } = drawing;
  const svg = useRef<SVGSVGElement>(null);
  const [tool, setTool] = useState<Tool>({ do: 'move' });
  const [way, setWay] = useState<Way | null>(null);
  const [pen, setPen] = useState<Point | null>(null);
  const [begun, setBegun] = useState<Point | null>(null);
  const [before, setBefore] = useState<Drawn[]>([]);
  const { words } = readDrawing(drawing);

  const put = (next: Drawn) => {
    if (next === drawn) return;
    setBefore([...before.slice(-60), drawn]);
    onDrawn(next);
  };
  const now = way ? underWay(tool, drawn, way) : drawn;
  const point = (e: React.PointerEvent): Point => {
    const b = svg.current!.getBoundingClientRect();
    return onPaper([((e.clientX - b.left) * WIDTH) / b.width, ((e.clientY - b.top) * heightOf(paper)) / b.height]);
  };
  const full = isFull(tool, drawn);
  const begin = (e: React.PointerEvent, grip?: Grip) => {
    if (e.button !== 0 || (full && !grip)) return;
    const from = point(e);
    svg.current!.setPointerCapture(e.pointerId);
    e.stopPropagation();
    setPen(null);
    setWay({ from, to: from, grip, stroke: tool.do === 'pen' && !grip ? from : undefined });
  };
  const go = (e: React.PointerEvent) => {
    if (!way) return;
    const to = point(e);
    const last = way.stroke?.slice(-2);
    const on = last && way.stroke!.length < LONGEST && Math.hypot(to[0] - last[0], to[1] - last[1]) >= NEAR;
    setWay({ ...way, to, stroke: on ? [...way.stroke!, ...to] : way.stroke });
  };
  const end = () => {
    if (way) put(now);
    setWay(null);
  };
  const keys = (e: React.KeyboardEvent) => {
    if (e.target !== svg.current) return;
    const d = directions(e);
    const at = pen ?? [WIDTH / 2, HEIGHT / 2];
    if (d) {
      e.preventDefault();
      setPen(onPaper([at[0] + d[0], at[1] + d[1]]));
    } else if (e.key === 'Enter' || e.key === ' ') {
      e.preventDefault();
      if (full) return;
      if (tool.do === 'piece' || tool.do === 'label') put(used(tool, drawn, at, at));
      else if (!begun) setBegun(at);
      else {
        put(tool.do === 'pen' ? drawnOn(drawn, begun, at) : used(tool, drawn, begun, at));
        setBegun(tool.do === 'pen' ? at : null);
      }
      setPen(at);
    }
  };
  const choose = (next: Tool) => {
    setTool(next);
    setBegun(null);
  };
  return (
    <div className="grid grid-cols-[11rem_minmax(0,1fr)] gap-4">
      <div className="flex flex-col gap-3">
        <Tools paper={paper} tool={tool} onTool={choose} />
        <div className="flex flex-wrap gap-1 border-t pt-2">
          <Button
            small
            kind="quiet"
            disabled={before.length === 0}
            onClick={() => {
              onDrawn(before.at(-1)!);
              setBefore(before.slice(0, -1));
            }}
          >
            <Undo2 size={13} aria-hidden />
            Take back
          </Button>
          <Button small kind="quiet" disabled={isBlank(drawn)} onClick={() => put({ captions: drawn.captions })}>
            <Eraser size={13} aria-hidden />
            Clear
          </Button>
        </div>
        {children}
      </div>
      <div className="flex min-w-0 flex-wrap items-start gap-x-6 gap-y-3">
        <div className="flex flex-col gap-2" style={{ width: `min(100%, calc(52vh * ${WIDTH / heightOf(paper)}))` }}>
          <DrawingPicture
            ref={svg}
            drawing={{ paper, drawn: now }}
            label={`The paper. On it: ${words}. Arrow keys move the cross, Enter uses the tool there.`}
            role="application"
            tabIndex={0}
            className={
              `h-auto w-full touch-none rounded-house border bg-sheet select-none ` +
              (tool.do === 'move' ? '' : 'cursor-crosshair')
            }
            onPointerDown={(e) => (tool.do === 'move' ? undefined : begin(e))}
            onPointerMove={go}
            onPointerUp={end}
            onPointerCancel={() => setWay(null)}
            onKeyDown={keys}
            onBlur={(e) => e.target === svg.current && setPen(null)}
          >
            {tool.do === 'move' && (
              <Grips paper={paper} drawn={now} onGrip={begin} onMove={(grip, by) => put(moved(drawn, grip, by))} />
            )}
            {pen && <path d={`M${pen[0] - 3} ${pen[1]}h6m-3 -3v6`} stroke="var(--plum)" strokeWidth="0.6" />}
            {begun && <circle cx={begun[0]} cy={begun[1]} r="1.2" fill="var(--plum)" />}
          </DrawingPicture>
          <p className={`text-fine ${full ? 'text-copper' : 'text-soft'}`}>
            {full ? 'No more of these can be kept on one drawing. Take some away first.' : HINTS[tool.do]}
          </p>
          <span role="status" className="sr-only">
            {words}
          </span>
        </div>
        <div className="flex flex-col gap-4">
          <Counts drawing={drawing} onDrawn={put} />
          {paper.captions.map((c) => (
            <label key={c.id} className="flex flex-col gap-1 font-semibold">
              {c.name}
              <input
                className={`${inputClass} w-36`}
                value={drawn.captions?.[c.id] ?? ''}
                maxLength={80}
                onChange={(e) => onDrawn({ ...drawn, captions: { ...drawn.captions, [c.id]: e.target.value } })}
              />
            </label>
          ))}
        </div>
      </div>
    </div>
  );
}

const HINTS: Record<Tool['do'], string> = {
  move: 'Drag what lies there. With the keyboard: Tab to it, arrow keys move it, Delete takes it away.',
  pen: 'Draw. With the keyboard: arrow keys move the cross, Enter draws to it.',
  piece: 'Press where it is to lie. With the keyboard: arrow keys move the cross, Enter lays it there.',
  label: 'Press on what it names, and drag to where the words are to stand.',
  arrow: 'Press where it begins, and drag to its tip.',
};

function underWay(tool: Tool, drawn: Drawn, { from, to, grip, stroke }: Way): Drawn {
  if (grip) return moved(drawn, grip, [to[0] - from[0], to[1] - from[1]]);
  if (stroke) return stroke.length > 2 ? { ...drawn, strokes: [...(drawn.strokes ?? []), stroke] } : drawn;
  return used(tool, drawn, from, to);
}

/** The line by keys goes on from where it ended. */
function drawnOn(drawn: Drawn, from: Point, to: Point): Drawn {
  const strokes = drawn.strokes ?? [];
  const last = strokes.at(-1);
  const goesOn = last && last.at(-2) === from[0] && last.at(-1) === from[1];
  return { ...drawn, strokes: goesOn ? [...strokes.slice(0, -1), [...last, ...to]] : [...strokes, [...from, ...to]] };
}

function directions(e: React.KeyboardEvent): Point | null {
  const d = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[e.key];
  const step = e.shiftKey ? FINE : STEP;
  return d ? [d[0] * step, d[1] * step] : null;
}

/** What can be dragged or moved by keys; pieces in places have their numbers for that. */
function Grips({
  paper,
  drawn,
  onGrip,
  onMove,
}: {
  paper: Paper;
  drawn: Drawn;
  onGrip: (e: React.PointerEvent, grip: Grip) => void;
  onMove: (grip: Grip, by: Point | null) => void;
}) {
  return grips(paper, drawn).map(({ grip, x, y, r, name }) => {
    const counted = grip.of === 'pieces' && paper.places.length > 0;
    return (
      <circle
        key={`${grip.of}${grip.at}${grip.end}`}
        data-screen
        cx={x}
        cy={y}
        r={r}
        fill="transparent"
        className="cursor-move outline-none focus-visible:stroke-(--plum)"
        strokeWidth="0.7"
        role={counted ? undefined : 'button'}
        tabIndex={counted ? undefined : 0}
        aria-label={counted ? undefined : name}
        onPointerDown={(e) => onGrip(e, grip)}
        onKeyDown={(e) => {
          const d = directions(e);
          if (d) onMove(grip, d);
          else if (e.key === 'Delete' || e.key === 'Backspace') onMove(grip, null);
          else return;
          e.preventDefault();
        }}
      />
    );
  });
}

function Tools({ paper, tool, onTool }: { paper: Paper; tool: Tool; onTool: (t: Tool) => void }) {
  const one = (t: Tool, name: string, sign: ReactNode) => (
    <label
      key={name + t.do}
      className={
        `flex cursor-pointer items-center gap-2 rounded-house border px-2 py-1 has-focus-visible:outline-2 ` +
        (JSON.stringify(t) === JSON.stringify(tool) ? 'border-copper bg-stage font-semibold' : 'border-transparent')
      }
    >
      <input
        type="radio"
        name="drawing-tool"
        className="sr-only"
        checked={JSON.stringify(t) === JSON.stringify(tool)}
        onChange={() => onTool(t)}
      />
      <span className="flex w-5 shrink-0 justify-center" aria-hidden>
        {sign}
      </span>
      {name}
    </label>
  );
  return (
    <fieldset className="flex flex-col">
      <legend className="pb-1 text-fine text-soft">Tools</legend>
      {one({ do: 'move' }, 'Move', <Move size={15} aria-hidden />)}
      {paper.pen && one({ do: 'pen' }, 'Pen', <Pencil size={15} aria-hidden />)}
      {paper.pieces.length > 0 && <Sort>Lay</Sort>}
      {paper.pieces.map((p) =>
        one(
          { do: 'piece', piece: p.id },
          p.name,
          <svg viewBox="-5 -5 10 10" width="18" height="18" aria-hidden>
            <circle
              r="4.5"
              fill={p.tone === 'ink' ? 'var(--wash)' : `var(--${p.tone})`}
              stroke="var(--ink)"
              strokeWidth="0.5"
            />
            <text
              y="2.4"
              textAnchor="middle"
              fontSize="7"
              fontWeight="bold"
              fill={p.tone === 'ink' ? 'var(--ink)' : 'var(--on-copper)'}
            >
              {p.sign}
            </text>
          </svg>,
        ),
      )}
      {paper.arrows.length > 0 && <Sort>Draw the arrow</Sort>}
      {paper.arrows.map((a, i) => one({ do: 'arrow', arrow: i + 1 }, a, <span className="text-copper">→</span>))}
      {paper.labels.length > 0 && <Sort>Label</Sort>}
      {paper.labels.map((l, i) => one({ do: 'label', label: i + 1 }, l, <Tag size={14} aria-hidden />))}
    </fieldset>
  );
}

function Sort({ children }: { children: ReactNode }) {
  return <p className="pt-2 pb-0.5 text-fine text-soft">{children}</p>;
}
