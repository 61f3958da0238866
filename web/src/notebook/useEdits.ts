import { useCallback, useRef, useState } from 'react';
import type { ColumnSpec } from '../core';
import type { Change, Journal } from './journal';

const MOST_STEPS = 200;

interface Step {
  before: Change[];
  after: Change[];
  key: string;
}
interface Stacks {
  past: Step[];
  future: Step[];
}

/** What stands in a slot that was never written. */
function empty(slot: string, start: ColumnSpec[]): Record<string, unknown> {
  if (slot === 'columns') return { columns: start };
  if (slot === 'rows') return { order: [] };
  return slot.startsWith('cell/') ? { text: '' } : {};
}

/** Changes to one block of the notebook that can be taken back and done again. Typing in one cell is one step. */
export function useEdits(journal: Journal, block: string, start: ColumnSpec[]) {
  const stacks = useRef(new Map<string, Stacks>());
  if (!stacks.current.has(block)) stacks.current.set(block, { past: [], future: [] });
  const own = stacks.current.get(block)!;
  const [, tell] = useState(0);
  const write = useCallback(
    (changes: Change[]) => {
      journal.writeAll(block, changes);
      tell((n) => n + 1);
    },
    [journal, block],
  );

  const apply = useCallback(
    (changes: Change[], key = '') => {
      const before = changes.map(({ slot }) => ({
        slot,
        value: journal.read<Record<string, unknown>>(block, slot) ?? empty(slot, start),
      }));
      const last = own.past.at(-1);
      if (key && last?.key === key) {
        for (const b of before) if (!last.before.some((x) => x.slot === b.slot)) last.before.push(b);
        last.after = [...last.after.filter((a) => !changes.some((c) => c.slot === a.slot)), ...changes];
      } else {
        own.past = [...own.past, { before, after: changes, key }].slice(-MOST_STEPS);
      }
      own.future = [];
      write(changes);
    },
    [journal, block, start, write, own],
  );

  const undo = useCallback(() => {
    const step = own.past.pop();
    if (!step) return;
    own.future.push(step);
    write(step.before);
  }, [write, own]);
  const redo = useCallback(() => {
    const step = own.future.pop();
    if (!step) return;
    own.past.push({ ...step, key: '' });
    write(step.after);
  }, [write, own]);
  return { apply, undo, redo, canUndo: own.past.length > 0, canRedo: own.future.length > 0 };
}

export type Edits = ReturnType<typeof useEdits>;
