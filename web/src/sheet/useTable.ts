import { useMemo, useState } from 'react';
import { Worktable, type BlockOf, type Worked } from '../core';
import type { Journal } from '../notebook/journal';
import { tableOf, type NotebookTable } from '../notebook/table';
import { useEdits } from '../notebook/useEdits';

const NONE: BlockOf<'table'>['columns'] = [];

/** A table at work: as it was written, as the core works it out, and how it is changed. */
export interface TableAtWork {
  block: BlockOf<'table'>;
  table: NotebookTable;
  worked: Worked;
  edits: ReturnType<typeof useEdits>;
  unitOf: (column: string) => string;
}

/** The table of a block, worked out by differences; null for none. */
export function useTable(journal: Journal, block: BlockOf<'table'> | undefined): TableAtWork | null {
  const [worktables] = useState(() => new Map<string, Worktable>());
  const slots = block && journal.all()[block.id];
  const table = useMemo(
    () => (block ? tableOf(slots ? { [block.id]: slots } : {}, block, journal.writer) : null),
    [slots, block, journal],
  );
  const worked = useMemo(() => {
    if (!block || !table) return null;
    if (!worktables.has(block.id)) worktables.set(block.id, new Worktable());
    return worktables.get(block.id)!.update(table);
  }, [worktables, block, table]);
  const edits = useEdits(journal, block?.id ?? '', block?.columns ?? NONE);
  if (!block || !table || !worked) return null;
  return {
    block,
    table,
    worked,
    edits,
    unitOf: (column) => worked.columns.find((r) => r.id === column)?.unit ?? '',
  };
}
