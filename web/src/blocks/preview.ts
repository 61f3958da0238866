import type { Journal } from '../notebook/journal';
import type { SheetContext } from './kind/kind';

/** A work in which nothing is written and nothing can be: blocks as a student meets them first. */
export function previewContext(journal: Journal): SheetContext {
  return {
    journal,
    readOnly: true,
    tried: {},
    marks: {},
    progress: (b) =>
      b.type === 'films' || b.type === 'bench'
        ? `${b.distinctTrials} different`
        : b.type === 'table'
          ? `${b.rows} rows`
          : '',
    lacks: () => '',
    check: () => Promise.reject(new Error('This is a preview.')),
  };
}
