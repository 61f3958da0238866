import { scaleLinear } from 'd3-scale';
import { Eraser, Undo2 } from 'lucide-react';
import { useRef, useState } from 'react';
import { printShort, type Sketch, type SketchAxis } from '../core';
import { Button, symbolText } from '../ui';
import { PAD, ticks } from './model';

const SIZE = { w: 336, h: 220 };
/** Least way in pixels between two points of a stroke, and of the pen for an arrow key. */
const NEAR = 3;
const STEP = 10;
const MOST_STROKES = 40;

function title(a: SketchAxis) {
  return `${a.name}, ${symbolText(a.symbol)}${a.unit && a.from !== undefined ? ` / ${a.unit}` : ''}`;
}

/** Empty axes to draw on by mouse, finger or keys; strokes are kept in shares of the axes. */
export function SketchPad({
  axes,
  strokes,
  fixed,
  onStrokes,
}: {
  axes: Sketch;
  strokes: number[][];
  fixed: boolean;
  onStrokes: (s: number[][]) => void;
}) {
  const svg = useRef<SVGSVGElement>(null);
  const [line, setLine] = useState<number[] | null>(null);
  const [pen, setPen] = useState<[number, number] | null>(null);
  const [said, setSaid] = useState('');
  const { w, h } = SIZE;
  const along = w - PAD.left - PAD.right;
  const up = h - PAD.top - PAD.bottom;
  const x = (share: number) => PAD.left + share * along;
  const y = (share: number) => h - PAD.bottom - share * up;
  const share = (e: React.PointerEvent): [number, number] => {
    const b = svg.current!.getBoundingClientRect();
    return inside(
      ((e.clientX - b.left) * (w / b.width) - PAD.left) / along,
      (h - PAD.bottom - (e.clientY - b.top) * (h / b.height)) / up,
    );
  };
  const end = () => {
    if (line && line.length > 2 && strokes.length < MOST_STROKES) onStrokes([...strokes, line]);
    setLine(null);
  };
  const keys = (e: React.KeyboardEvent) => {
    const d = (
      { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] } as Record<string, number[]>
    )[e.key];
    const at = pen ?? [0, 0];
    if (d) {
      e.preventDefault();
      const step = e.shiftKey ? 1 : STEP;
      const next = inside(at[0] + (d[0] * step) / along, at[1] + (d[1] * step) / up);
      setPen(next);
      setSaid(`pen at ${where(axes.x, next[0])}, ${where(axes.y, next[1])}`);
    } else if (e.key === 'Enter' || e.key === ' ') {
      e.preventDefault();
      // Keys draw one line on from point to point.
      const last = strokes.at(-1);
      onStrokes(last && keyed.current ? [...strokes.slice(0, -1), [...last, ...at]] : [...strokes, [...at]]);
      keyed.current = true;
      setSaid('drawn to here');
    } else if (e.key === 'Backspace' || e.key === 'Delete') {
      e.preventDefault();
      back();
    }
  };
  const keyed = useRef(false);
  const back = () => {
    keyed.current = false;
    onStrokes(strokes.slice(0, -1));
  };
  const path = (s: number[]) =>
    s.flatMap((v, i) => (i % 2 ? [] : [`${i ? 'L' : 'M'}${x(v).toFixed(1)} ${y(s[i + 1]).toFixed(1)}`])).join('');
  const all = line ? [...strokes, line] : strokes;
  return (
    <div className="mt-2 flex flex-col gap-1">
      <svg
        ref={svg}
        viewBox={`0 0 ${w} ${h}`}
        width={w}
        height={h}
        className={`peer h-auto w-full touch-none rounded-house border bg-sheet ${fixed ? '' : 'cursor-crosshair'}`}
        role={fixed ? 'img' : 'application'}
        tabIndex={fixed ? undefined : 0}
        aria-label={
          `${fixed ? 'Your sketch of' : 'Axes to sketch'} ${axes.y.name} against ` +
          `${axes.x.name}${strokes.length ? `, ${strokes.length} lines drawn` : ', empty'}`
        }
        onPointerDown={(e) => {
          if (fixed || e.button !== 0) return;
          keyed.current = false;
          e.currentTarget.setPointerCapture(e.pointerId);
          setPen(null);
          setLine(share(e));
        }}
        onPointerMove={(e) => {
          if (!line) return;
          const [a, b] = share(e);
          const [pa, pb] = line.slice(-2);
          if (Math.hypot((a - pa) * along, (b - pb) * up) >= NEAR) setLine([...line, a, b]);
        }}
        onPointerUp={end}
        onPointerCancel={() => setLine(null)}
        onKeyDown={fixed ? undefined : keys}
      >
        <Axis axis={axes.x} flat />
        <Axis axis={axes.y} />
        <path
          d={`M${PAD.left} ${PAD.top}V${h - PAD.bottom}H${w - PAD.right}`}
          fill="none"
          stroke="var(--ink)"
          strokeWidth="1.3"
        />
        {all.map((s, i) =>
          s.length > 2 ? (
            <path
              key={i}
              d={path(s)}
              fill="none"
              stroke="var(--plum)"
              strokeWidth="2.5"
              strokeLinecap="round"
              strokeLinejoin="round"
              data-testid="stroke"
            />
          ) : (
            <circle key={i} cx={x(s[0])} cy={y(s[1])} r="2.5" fill="var(--plum)" />
          ),
        )}
        {pen && <path d={`M${x(pen[0]) - 6} ${y(pen[1])}h12m-6 -6v12`} stroke="var(--plum)" strokeWidth="1.5" />}
        {all.length === 0 && !fixed && !pen && (
          <text x={PAD.left + along / 2} y={PAD.top + up / 2} textAnchor="middle" fontSize="13" fill="var(--soft)">
            Draw the graph you expect here.
          </text>
        )}
      </svg>
      {!fixed && (
        <div className="flex items-center gap-1 text-fine text-soft">
          <Button small kind="quiet" disabled={strokes.length === 0} onClick={back}>
            <Undo2 size={13} aria-hidden />
            Take back
          </Button>
          <Button
            small
            kind="quiet"
            disabled={strokes.length === 0}
            onClick={() => {
              keyed.current = false;
              onStrokes([]);
            }}
          >
            <Eraser size={13} aria-hidden />
            Clear
          </Button>
        </div>
      )}
      {!fixed && (
        <p className="hidden text-fine text-soft peer-focus-visible:block">
          Arrow keys move the pen, Enter draws to it, Backspace takes back.
        </p>
      )}
      <span role="status" className="sr-only">
        {said}
      </span>
    </div>
  );
}

const round = (share: number) => Number(Math.min(1, Math.max(0, share)).toFixed(4));
function inside(a: number, b: number): [number, number] {
  return [round(a), round(b)];
}

/** Where the pen is, for those who can't see it. */
function where(a: SketchAxis, share: number) {
  return a.from === undefined || a.to === undefined
    ? `${(100 * share).toFixed(0)} % of ${a.name}`
    : `${a.name} ${printShort(Number((a.from + share * (a.to - a.from)).toPrecision(3)))} ${a.unit}`;
}

function Axis({ axis, flat }: { axis: SketchAxis; flat?: boolean }) {
  const { w, h } = SIZE;
  const scale = scaleLinear(
    [axis.from ?? 0, axis.to ?? 1],
    flat ? [PAD.left, w - PAD.right] : [h - PAD.bottom, PAD.top],
  );
  return (
    <g>
      {axis.from !== undefined &&
        ticks(scale, 4).map((t) =>
          flat ? (
            <g key={t.value}>
              <line x1={scale(t.value)} x2={scale(t.value)} y1={PAD.top} y2={h - PAD.bottom} stroke="var(--line)" />
              <text
                x={scale(t.value)}
                y={h - PAD.bottom + 15}
                textAnchor="middle"
                fontSize="11.5"
                className="mono"
                fill="var(--soft)"
              >
                {t.text}
              </text>
            </g>
          ) : (
            <g key={t.value}>
              <line x1={PAD.left} x2={w - PAD.right} y1={scale(t.value)} y2={scale(t.value)} stroke="var(--line)" />
              <text
                x={PAD.left - 6}
                y={scale(t.value) + 4}
                textAnchor="end"
                fontSize="11.5"
                className="mono"
                fill="var(--soft)"
              >
                {t.text}
              </text>
            </g>
          ),
        )}
      {flat ? (
        <text x={(PAD.left + w - PAD.right) / 2} y={h - 7} textAnchor="middle" fontSize="13" fill="var(--ink)">
          {title(axis)}
        </text>
      ) : (
        <text
          transform={`translate(13 ${(PAD.top + h - PAD.bottom) / 2}) rotate(-90)`}
          textAnchor="middle"
          fontSize="13"
          fill="var(--ink)"
        >
          {title(axis)}
        </text>
      )}
    </g>
  );
}
