import type { ComponentType, ReactNode } from 'react';
import type { Schemas } from '../../api/client';
import type { Block, BlockOf, Drawing, Pointed } from '../../core';
import type { Journal } from '../../notebook/journal';

/** Drawings that benches lend: of one in view, a way to ask for what stands there now. */
export interface Lent {
  of: (bench: string) => (() => Drawing) | null;
  subscribe: (heard: () => void) => () => void;
}

/** What a block on the sheet can ask of the work it stands in. */
export interface SheetContext {
  journal: Journal;
  readOnly: boolean;
  tried: Record<string, Schemas['TriedView']>;
  marks: Record<string, Schemas['MarkView']>;
  /** How far a block of the notebook has come, in words. */
  progress: (block: Block) => string;
  /** What a question still waits for before it opens, in words. */
  lacks: (block: BlockOf<'number'>) => string;
  /** What benches lend to drawings. */
  lent?: Lent;
  check: (block: string, number: string, unit: string) => Promise<Schemas['Checked']>;
  /** What a teacher sees below a block that brings points. */
  marking?: (block: Pointed) => ReactNode;
}

export interface ViewProps<T extends Block['type']> {
  block: BlockOf<T>;
  context: SheetContext;
}

/** A kind of block on the sheet: drawn there, or at work on the right, where the sheet says how far it has come. */
export type BlockKind<T extends Block['type'] = Block['type']> = { type: T } & (
  | {
      View: ComponentType<ViewProps<T>>;
      /** Fetches what not every lab needs. */
      load?: () => Promise<unknown>;
      /** Whether a block of this kind needs it; without this, all do. */
      needs?: (block: BlockOf<T>) => boolean;
    }
  | { atWork: (block: BlockOf<T>) => string }
);
