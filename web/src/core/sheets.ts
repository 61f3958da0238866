/** Sheets as students get them, and how far one has come, counted by the core as handing in counts it. */
import * as door from './generated/notebook.js';
import type { SheetDoor } from './generated/notebook';
import type { Block, Sheet } from './generated/sheet';
import type { Worked } from './tables';

export type {
  Answered,
  Block,
  Column,
  Expected,
  FitChoice,
  Part,
  Sheet,
  Sketch,
  SketchAxis,
  Sketched,
  Slots,
} from './generated/sheet';
export type BlockOf<T extends Block['type']> = Extract<Block, { type: T }>;

/** Questions that are checked as soon as they are answered. */
export type Question = BlockOf<'number' | 'choice' | 'comparison' | 'drawing'>;
/** Blocks that bring points. */
export type Pointed = Question | BlockOf<'explanation' | 'table'>;

/** What a page knows of a block's work: its slots, what was chosen for its recordings, its table worked out. */
export interface Known {
  slots?: Record<string, unknown>;
  chosen?: unknown[];
  table?: Worked;
}

/** A sheet being worked on. */
export class SheetAtWork {
  private readonly door: SheetDoor;
  constructor(readonly sheet: Sheet) {
    this.door = door.openSheet(sheet);
  }

  /** How many parts are open: up to and with the first one whose prediction isn't sealed yet. */
  openParts(seal: (block: string) => unknown) {
    const blocks = this.sheet.parts.flatMap((p) => p.blocks);
    const predictions = blocks.filter((b) => b.type === 'prediction' || b.type === 'comparison');
    return this.door.openParts(Object.fromEntries(predictions.map((b) => [b.id, seal(b.id) ?? {}])));
  }
  /** How far a block has come, in a few words; empty where nothing is counted. */
  counted(block: Block, { slots = {}, chosen = [], table }: Known) {
    return this.door.counted(block.id, slots, chosen, table?.worked ?? null);
  }
  /** What a question still waits for, given the table it rests on; empty where it is open. */
  waitsFor(question: BlockOf<'number'>, table: Worked) {
    return this.door.waitsFor(question.id, table.worked);
  }
  /** The table a question rests on, or a graph shows. */
  tableOf(block: BlockOf<'number' | 'graph'>) {
    const table = block.type === 'graph' ? block.table : block.restsOn;
    return this.sheet.parts
      .flatMap((p) => p.blocks)
      .find((b): b is BlockOf<'table'> => b.type === 'table' && b.id === table);
  }
}
