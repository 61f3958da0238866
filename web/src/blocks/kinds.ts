import type { Block } from '../core';
import { once } from '../core/once';
import { bench } from './bench';
import { choice } from './choice';
import { comparison } from './comparison';
import { drawing } from './drawing';
import { explanation } from './explanation';
import { extension } from './extension';
import { films } from './films';
import { graph } from './graph';
import type { BlockKind } from './kind/kind';
import { number } from './number';
import { opening } from './opening';
import { prediction } from './prediction';
import { reading } from './reading';
import { table } from './table';
import { text } from './text';
import { vocabulary } from './vocabulary';

/** A list of kinds; a second one of a type throws. A block is given to the kind of its type alone. */
export function listed(kinds: { type: Block['type'] }[]): Map<Block['type'], BlockKind> {
  const map = new Map<Block['type'], BlockKind>();
  for (const kind of kinds) {
    if (map.has(kind.type)) throw new Error(`There are two kinds of block “${kind.type}”`);
    map.set(kind.type, kind as BlockKind);
  }
  return map;
}

/** Every kind there is; a type that the core declares and that is missing here doesn't compile. */
const EVERY: { [T in Block['type']]: BlockKind<T> } = {
  text,
  vocabulary,
  prediction,
  films,
  bench,
  table,
  graph,
  number,
  choice,
  comparison,
  drawing,
  explanation,
  opening,
  reading,
  extension,
};
const ALL = listed(Object.values(EVERY));

export const kindOf = (block: Block): BlockKind => ALL.get(block.type)!;

const codeOf = once(async (type) => {
  const kind = ALL.get(type as Block['type'])!;
  if ('load' in kind) await kind.load?.();
});

function needsCode(block: Block) {
  const kind = kindOf(block);
  return 'load' in kind && (kind.needs?.(block) ?? true);
}

/** What has to be fetched for a sheet's blocks, each once; what every lab has needs nothing. */
export function codeFor(blocks: Block[]): Promise<void>[] {
  const types = new Set(blocks.filter(needsCode).map((b) => b.type));
  return [...types].map(codeOf);
}
