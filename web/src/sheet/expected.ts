import type { Expected } from '../graph/SketchBehind';
import type { Slots } from '../notebook/journal';
import type { Sheet, Sketched } from '../core';

/** Sealed sketches of what a table will show. */
export function expectedOf(sheet: Sheet, all: Slots, table?: string): Expected[] {
  const read = <T>(block: string, slot: string) => all[block]?.[slot] as T | undefined;
  return sheet.parts
    .flatMap((p) => p.blocks)
    .flatMap((b) => {
      const strokes =
        b.type === 'prediction' && b.sketch?.table === table && read<{ sealed?: boolean }>(b.id, 'seal')?.sealed
          ? read<Sketched>(b.id, 'sketch')?.strokes
          : undefined;
      return strokes?.length && b.type === 'prediction' ? [{ axes: b.sketch!, strokes }] : [];
    });
}
