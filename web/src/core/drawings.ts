/** Labelled drawings, counted and told in words by the core. Fetched with the models: few labs have one. */
import * as door from './generated/bench.js';
import type { Drawn, Paper } from './generated/sheet';

export type {
  Drawn,
  DrawnPiece,
  DrawnPlace,
  DrawnShape,
  LaidArrow,
  LaidLabel,
  LaidPiece,
  Paper,
} from './generated/sheet';

/** A paper with what lies on it. */
export interface Drawing {
  paper: Paper;
  drawn: Drawn;
}
/** How many pieces of a kind lie in a place. */
export interface PieceCount {
  place: string;
  piece: string;
  many: number;
}

export function readDrawing({ paper, drawn }: Drawing) {
  return door.drawing(paper, drawn) as { words: string; counts: PieceCount[] };
}
/** What lies on it with so many pieces of a kind in a place, in good order. */
export function layPieces({ paper, drawn }: Drawing, piece: string, place: string, many: number) {
  return door.lay(paper, drawn, piece, place, many) as Drawn;
}
/** What lies on it with the pieces of another one. */
export function takePieces({ paper, drawn }: Drawing, other: Drawing) {
  return door.taking(paper, drawn, other.paper, other.drawn) as Drawn;
}
