import { vi } from 'vitest';
import type { Journal } from '../notebook/journal';
import type { SheetContext } from './kind/kind';

/** A work in which slots stand as given; what is written is told. */
export function context(slots: Record<string, object>, more: Partial<SheetContext> = {}) {
  const write = vi.fn();
  const journal = { read: (block: string, slot: string) => slots[`${block}/${slot}`], write } as unknown as Journal;
  const around: SheetContext = {
    journal,
    readOnly: false,
    tried: {},
    marks: {},
    progress: () => '2 of 5 rows',
    lacks: () => '',
    check: () => Promise.reject(new Error('not asked')),
    ...more,
  };
  return { around, write };
}
