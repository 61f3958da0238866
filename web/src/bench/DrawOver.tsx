import { ArrowUpRight, Eraser, Minus, MoveUpRight, Pencil, Trash2, Type, Undo2 } from 'lucide-react';
import { useRef, useState } from 'react';
import type { Manifest, Run } from '../core';
import type { Picture } from '../picture/picture';
import { Button, inputClass } from '../ui';
import { useStage } from '../picture/Stage';

interface Point {
  x: number;
  y: number;
}
export type Shape =
  | { kind: 'pen'; points: Point[] }
  | { kind: 'line' | 'arrow' | 'force'; from: Point; to: Point }
  | { kind: 'text'; at: Point; text: string };
/** What was drawn over one moment, in picture elements. */
export interface Sketch {
  time: number;
  side: number;
  shapes: Shape[];
}

export type Tool = 'pen' | 'line' | 'arrow' | 'force' | 'text' | 'eraser';
const TOOLS: [Tool, string, typeof Pencil][] = [
  ['pen', 'Pen', Pencil],
  ['line', 'Line', Minus],
  ['arrow', 'Arrow', MoveUpRight],
  ['force', 'Force arrow', ArrowUpRight],
  ['text', 'Text', Type],
  ['eraser', 'Eraser', Eraser],
];
/** Nearer than this many degrees an arrow falls into a direction. */
const SNAP = 7;

/** Tools to draw over the paused picture. */
export function DrawTools({
  tool,
  onTool,
  onUndo,
  onClear,
  empty,
}: {
  tool: Tool;
  onTool: (t: Tool) => void;
  onUndo: () => void;
  onClear: () => void;
  empty: boolean;
}) {
  return (
    <div
      className="flex flex-wrap items-center gap-1.5 border-b bg-sheet px-3 py-1.5"
      role="toolbar"
      aria-label="Draw over"
    >
      {TOOLS.map(([id, name, Icon]) => (
        <Button
          key={id}
          small
          aria-pressed={tool === id}
          className={tool === id ? 'border-copper! text-copper!' : ''}
          onClick={() => onTool(id)}
        >
          <Icon size={14} aria-hidden />
          {name}
        </Button>
      ))}
      <Button small onClick={onUndo} disabled={empty}>
        <Undo2 size={14} aria-hidden />
        Undo
      </Button>
      <Button small onClick={onClear} disabled={empty}>
        <Trash2 size={14} aria-hidden />
        Clear this picture
      </Button>
      <span className="text-fine text-soft">
        {tool === 'force'
          ? 'Pull from the body: the arrow starts at its centre and falls into level, upright and along its path.'
          : tool === 'text'
            ? 'Click where the words are to stand.'
            : ''}
      </span>
    </div>
  );
}

/** Directions an arrow falls into, in degrees: level, upright, and along the body's path at this moment. */
function directions(run: Run, handle: number): number[] {
  const path = run.path(handle);
  const n = run.sampleCount();
  const i = Math.min(n - 2, Math.max(1, Math.round((n - 1) * (run.head() > 0 ? run.time() / run.head() : 0))));
  if (n < 3) return [0, 90, 180, 270];
  const along = (Math.atan2(-(path[2 * i + 3] - path[2 * i - 1]), path[2 * i + 2] - path[2 * i - 2]) * 180) / Math.PI;
  return [0, 90, 180, 270, along, along + 180, along + 90, along + 270];
}

function snapped(from: Point, to: Point, allowed: number[]): Point {
  const angle = (Math.atan2(to.y - from.y, to.x - from.x) * 180) / Math.PI;
  const length = Math.hypot(to.x - from.x, to.y - from.y);
  const near = (a: number) => Math.abs(((angle - a + 540) % 360) - 180);
  const best = allowed.reduce((x, y) => (near(y) < near(x) ? y : x));
  if (near(best) > SNAP) return to;
  const rad = (best * Math.PI) / 180;
  return { x: from.x + length * Math.cos(rad), y: from.y + length * Math.sin(rad) };
}

/** What has been drawn; with a tool also the sheet of glass to draw on. */
export function DrawOver({
  m,
  run,
  picture,
  shapes,
  tool,
  onShapes,
}: {
  m: Manifest;
  run: Run;
  picture: Picture;
  shapes: Shape[];
  tool: Tool | null;
  onShapes: (s: Shape[]) => void;
}) {
  const { pixel, locate } = useStage();
  const [growing, setGrowing] = useState<Shape | null>(null);
  const [asking, setAsking] = useState<Point | null>(null);
  const typed = useRef<HTMLInputElement>(null);
  const start = (at: Point): Shape | null => {
    if (tool === 'pen') return { kind: 'pen', points: [at] };
    if (tool === 'force') {
      const near = m.handles
        .map((h, i) => ({ i, x: picture.get(h.xField), y: picture.get(h.yField), r: picture.get(h.radiusField) }))
        .find((h) => Math.hypot(h.x - at.x, h.y - at.y) < Math.max(2 * h.r, 40 / pixel));
      return { kind: 'force', from: near ? { x: near.x, y: near.y } : at, to: at };
    }
    return tool === 'line' || tool === 'arrow' ? { kind: tool, from: at, to: at } : null;
  };
  const grow = (shape: Shape, at: Point): Shape => {
    if (shape.kind === 'pen') return { ...shape, points: [...shape.points, at] };
    if (shape.kind === 'force') return { ...shape, to: snapped(shape.from, at, directions(run, 0)) };
    return shape.kind === 'text' ? shape : { ...shape, to: at };
  };
  const write = () => {
    const text = typed.current?.value.trim();
    if (asking && text) onShapes([...shapes, { kind: 'text', at: asking, text }]);
    setAsking(null);
  };
  const all = growing ? [...shapes, growing] : shapes;
  return (
    <g data-drawn={shapes.length}>
      {tool && (
        <rect
          x={-picture.width}
          y={-picture.height}
          width={3 * picture.width}
          height={3 * picture.height}
          fill="transparent"
          className="cursor-crosshair"
          data-glass
          onPointerDown={(e) => {
            e.stopPropagation();
            const at = locate(e.clientX, e.clientY);
            if (tool === 'text') {
              e.preventDefault();
              setAsking(at);
              return;
            }
            e.currentTarget.setPointerCapture(e.pointerId);
            setGrowing(start(at));
          }}
          onPointerMove={(e) => {
            if (growing) setGrowing(grow(growing, locate(e.clientX, e.clientY)));
          }}
          onPointerUp={() => {
            if (growing && !isDot(growing)) onShapes([...shapes, growing]);
            setGrowing(null);
          }}
        />
      )}
      {all.map((s, i) => (
        <g
          key={i}
          className={tool === 'eraser' ? 'cursor-pointer' : 'pointer-events-none'}
          onPointerDown={(e) => {
            if (tool === 'eraser') {
              e.stopPropagation();
              onShapes(shapes.filter((_, k) => k !== i));
            }
          }}
        >
          <ShapeView shape={s} pixel={pixel} />
        </g>
      ))}
      {asking && (
        <foreignObject x={asking.x} y={asking.y - 20 / pixel} width={260 / pixel} height={60 / pixel}>
          <div style={{ transform: `scale(${1 / pixel})`, transformOrigin: '0 0', width: 260 }}>
            <input
              ref={typed}
              autoFocus
              className={`${inputClass} w-60`}
              aria-label="Words on the picture"
              maxLength={80}
              onBlur={write}
              onKeyDown={(e) => {
                if (e.key === 'Enter') write();
                if (e.key === 'Escape') setAsking(null);
              }}
            />
          </div>
        </foreignObject>
      )}
    </g>
  );
}

function isDot(s: Shape) {
  return s.kind === 'pen'
    ? s.points.length < 2
    : s.kind !== 'text' && Math.hypot(s.to.x - s.from.x, s.to.y - s.from.y) < 4;
}

function ShapeView({ shape: s, pixel }: { shape: Shape; pixel: number }) {
  const look = {
    fill: 'none',
    stroke: 'var(--plum)',
    strokeWidth: 3.5 / pixel,
    strokeLinecap: 'round' as const,
    strokeLinejoin: 'round' as const,
  };
  if (s.kind === 'pen') return <path {...look} d={`M${s.points.map((p) => `${p.x} ${p.y}`).join('L')}`} />;
  if (s.kind === 'text')
    return (
      <text
        x={s.at.x}
        y={s.at.y}
        fontSize={20 / pixel}
        fontWeight="600"
        fill="var(--plum)"
        stroke="var(--stage)"
        strokeWidth={4 / pixel}
        paintOrder="stroke"
      >
        {s.text}
      </text>
    );
  const a = Math.atan2(s.to.y - s.from.y, s.to.x - s.from.x);
  const head = 13 / pixel;
  const wing = (d: number) => `${s.to.x - head * Math.cos(a + d)} ${s.to.y - head * Math.sin(a + d)}`;
  return (
    <g>
      <line {...look} x1={s.from.x} y1={s.from.y} x2={s.to.x} y2={s.to.y} />
      {s.kind !== 'line' && (
        <path {...look} fill="var(--plum)" d={`M${s.to.x} ${s.to.y}L${wing(0.42)}L${wing(-0.42)}Z`} />
      )}
      {s.kind === 'force' && <circle cx={s.from.x} cy={s.from.y} r={4 / pixel} fill="var(--plum)" />}
    </g>
  );
}
