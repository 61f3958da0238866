import type { Expected } from '../graph/SketchBehind';
import type { Journal } from '../notebook/journal';
import type { Sheet, Sketched } from '../core';

/** Sealed sketches of what a table will show. */
export function expectedOf(sheet: Sheet, journal: Journal, table?: string): Expected[] {
  return sheet.parts
    .flatMap((p) => p.blocks)
    .flatMap((b) => {
      const strokes =
        b.type === 'prediction' && b.sketch?.table === table && journal.read<{ sealed?: boolean }>(b.id, 'seal')?.sealed
          ? journal.read<Sketched>(b.id, 'sketch')?.strokes
          : undefined;
      return strokes?.length && b.type === 'prediction' ? [{ axes: b.sketch!, strokes }] : [];
    });
}
