import { useState } from 'react';
import type { Block, BlockOf, Sheet } from '../core';

/** What stands on the right side of a lab. */
export type RightKind = 'films' | 'bench' | 'table' | 'graph';

export function blocksOf<K extends RightKind>(sheet: Sheet, ...kinds: K[]): BlockOf<K>[] {
  return sheet.parts.flatMap((p) => p.blocks).filter((b): b is BlockOf<K> => (kinds as string[]).includes(b.type));
}

/** The chosen one of several blocks; a part that is opened brings its own to the front. */
export function useFront<B extends Block>(
  blocks: B[],
  sheet: Sheet,
  part: number,
  wanted?: string,
): [B | undefined, (id: string) => void] {
  const [chosen, setChosen] = useState<{ part: number; id: string } | null>(null);
  // Going back from a part, the last block at or before it is the one it builds on.
  let fitting = blocks[0];
  for (const b of blocks) if (sheet.parts.findIndex((p) => p.blocks.some((x) => x.id === b.id)) <= part) fitting = b;
  const own =
    blocks.find((b) => sheet.parts[part].blocks.some((x) => x.id === b.id)) ?? blocks.find((b) => b.id === wanted);
  const front = (chosen?.part === part && blocks.find((b) => b.id === chosen.id)) || own || fitting;
  return [front, (id) => setChosen({ part, id })];
}

/** The table a part looks at that has none of its own: that of its graph, or that on which its questions rest. */
export function tableWanted(sheet: Sheet, part: number): string | undefined {
  const { blocks } = sheet.parts[part];
  const graph = blocks.find((b) => b.type === 'graph');
  const resting = blocks.find((b): b is BlockOf<'number'> => b.type === 'number' && !!b.restsOn);
  return graph?.table ?? resting?.restsOn;
}

/** The prediction that has to be sealed before a bench below it in the same part opens; none where it is open. */
export function unsealedBefore(sheet: Sheet, bench: Block, sealed: (block: string) => boolean): Block | undefined {
  const part = sheet.parts.find((p) => p.blocks.some((b) => b.id === bench.id));
  const before =
    part?.blocks.slice(
      0,
      part.blocks.findIndex((b) => b.id === bench.id),
    ) ?? [];
  return before.find((b) => (b.type === 'prediction' || b.type === 'comparison') && !sealed(b.id));
}

/** Which side of the right has the room: the bench while measuring, table and graph while analysing. */
export type Stance = 'bench' | 'notebook';

/** A part looks at what was measured where it has a graph or asks something, and nothing to measure on or to fill. */
export function stanceOf(sheet: Sheet, part: number): Stance {
  const has = (...types: string[]) => sheet.parts[part].blocks.some((b) => types.includes(b.type));
  return has('graph', 'number', 'choice', 'explanation') && !has('films', 'bench', 'table') ? 'notebook' : 'bench';
}
