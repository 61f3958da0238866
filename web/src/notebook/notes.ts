import type { Block, Slots } from '../core';
import type { Journal } from './journal';

/** Names of the places that a block keeps something in. */
export type SlotOf<B extends Block> = keyof Slots[B['type']] & string;
/** What stands in one. */
export type Kept<B extends Block, S extends SlotOf<B>> = Slots[B['type']][S];

/** What a block keeps in the notebook, each place with what the core says it may hold. */
export function notesOf<B extends Block>(journal: Journal, block: B) {
  return {
    read: <S extends SlotOf<B>>(slot: S) => journal.read<Kept<B, S>>(block.id, slot),
    write: <S extends SlotOf<B>>(slot: S, value: Kept<B, S>) =>
      journal.write(block.id, slot, value as Record<string, unknown>),
  };
}
