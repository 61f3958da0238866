import type { Drawn, LaidArrow, LaidLabel, LaidPiece, Paper } from '../core';
import { HEIGHT, WIDTH } from './DrawingPicture';

/** What the pointer does on the paper. */
export type Tool =
  | { do: 'move' }
  | { do: 'pen' }
  | { do: 'piece'; piece: string }
  | { do: 'label'; label: number }
  | { do: 'arrow'; arrow: number };

/** One end or the whole of something that lies there. */
export interface Grip {
  of: 'pieces' | 'labels' | 'arrows';
  at: number;
  /** A label's words or its line's end; an arrow's beginning (with all of it) or its tip. */
  end: 'whole' | 'tip';
}

export type Point = [number, number];

/** How many of each the notebook keeps of one drawing. */
export const MOST_PIECES = 300;
const MOST_STROKES = 60;

/** Whether nothing is laid, labelled or drawn; words alone are no drawing. */
export const isBlank = ({ pieces, labels, arrows, strokes }: Drawn) =>
  ![pieces, labels, arrows, strokes].some((list) => list?.length);

/** Whether a tool can add nothing more. */
export function isFull(tool: Tool, drawn: Drawn) {
  return (
    (tool.do === 'piece' && (drawn.pieces ?? []).length >= MOST_PIECES) ||
    (tool.do === 'pen' && (drawn.strokes ?? []).length >= MOST_STROKES)
  );
}

const tenth = (v: number) => Math.round(v * 10) / 10;
const inside = (v: number, most: number) => tenth(Math.min(most, Math.max(0, v)));
export const onPaper = ([x, y]: Point): Point => [inside(x, WIDTH), inside(y, HEIGHT)];

/** Where a label's words stand if nobody says so: away from the middle. */
function besides([x, y]: Point): Point {
  return onPaper([x + (x < WIDTH / 2 ? -24 : 24), y - 10]);
}

/** Shorter ways than this are a press, no drag. */
const DRAG = 3;

/** What lies there once a tool went from one point to another. */
export function used(tool: Tool, drawn: Drawn, from: Point, to: Point): Drawn {
  const dragged = Math.hypot(to[0] - from[0], to[1] - from[1]) >= DRAG;
  if (tool.do === 'piece') {
    return { ...drawn, pieces: [...(drawn.pieces ?? []), { piece: tool.piece, x: to[0], y: to[1] }] };
  }
  if (tool.do === 'label') {
    const [tx, ty] = dragged ? to : besides(from);
    const label: LaidLabel = { label: tool.label, x: from[0], y: from[1], tx, ty };
    // A word names one thing; pointing it elsewhere moves it.
    return { ...drawn, labels: [...(drawn.labels ?? []).filter((l) => l.label !== tool.label), label] };
  }
  if (tool.do === 'arrow' && dragged) {
    const arrow: LaidArrow = {
      arrow: tool.arrow,
      x: from[0],
      y: from[1],
      dx: tenth(to[0] - from[0]),
      dy: tenth(to[1] - from[1]),
    };
    return { ...drawn, arrows: [...(drawn.arrows ?? []).filter((a) => a.arrow !== tool.arrow), arrow] };
  }
  return drawn;
}

function changed<T>(list: T[] | undefined, at: number, next: T | null): T[] {
  return (list ?? []).flatMap((v, i) => (i === at ? (next === null ? [] : [next]) : [v]));
}

/** With what is gripped moved by so much, or taken away. */
export function moved(drawn: Drawn, grip: Grip, by: Point | null): Drawn {
  if (grip.of === 'pieces') {
    const p = drawn.pieces![grip.at];
    return { ...drawn, pieces: changed(drawn.pieces, grip.at, by && shifted(p, by)) };
  }
  if (grip.of === 'labels') {
    const l = drawn.labels![grip.at];
    const [tx, ty] = by ? onPaper([l.tx + by[0], l.ty + by[1]]) : [0, 0];
    const next = by && (grip.end === 'tip' ? { ...l, ...shifted(l, by) } : { ...l, tx, ty });
    return { ...drawn, labels: changed(drawn.labels, grip.at, next) };
  }
  const a = drawn.arrows![grip.at];
  const next =
    by &&
    (grip.end === 'tip' ? { ...a, dx: tenth(a.dx + by[0]), dy: tenth(a.dy + by[1]) } : { ...a, ...shifted(a, by) });
  return { ...drawn, arrows: changed(drawn.arrows, grip.at, next) };
}

function shifted<T extends LaidPiece | LaidLabel | LaidArrow>(thing: T, by: Point): T {
  const [x, y] = onPaper([thing.x + by[0], thing.y + by[1]]);
  return { ...thing, x, y };
}

/** Half the width of a letter on the paper, about. */
const LETTER = 1.1;

/** Everything that can be gripped, with where and as what. */
export function grips(paper: Paper, drawn: Drawn): { grip: Grip; x: number; y: number; r: number; name: string }[] {
  const pieces = (drawn.pieces ?? []).map((p, at) => {
    const kind = paper.pieces.find((k) => k.id === p.piece);
    return { grip: grip('pieces', at), x: p.x, y: p.y, r: (kind?.size ?? 3) + 0.5, name: kind?.name ?? '' };
  });
  const arrows = (drawn.arrows ?? []).flatMap((a, at) => {
    const name = `arrow “${paper.arrows[a.arrow - 1] ?? ''}”`;
    return [
      { grip: grip('arrows', at), x: a.x, y: a.y, r: 3, name },
      { grip: grip('arrows', at, 'tip'), x: a.x + a.dx, y: a.y + a.dy, r: 3, name: `tip of the ${name}` },
    ];
  });
  const labels = (drawn.labels ?? []).flatMap((l, at) => {
    const words = paper.labels[l.label - 1] ?? '';
    const name = `label “${words}”`;
    // Its words stand on the side away from its end; they are gripped in their middle.
    const middle = (l.x > l.tx ? -1 : 1) * (1 + LETTER * words.length);
    return [
      { grip: grip('labels', at, 'tip'), x: l.x, y: l.y, r: 3, name: `end of the line of the ${name}` },
      { grip: grip('labels', at), x: l.tx + middle, y: l.ty, r: 4, name },
    ];
  });
  return [...pieces, ...arrows, ...labels];
}

function grip(of: Grip['of'], at: number, end: Grip['end'] = 'whole'): Grip {
  return { of, at, end };
}
