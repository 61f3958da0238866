import { Suspense } from 'react';
import type { Block } from '../core';
import type { SheetContext } from './kind/kind';
import { kindOf } from './kinds';

/** One block on the sheet. Tables, graphs, recordings and benches live on the right; here they say how far they are. */
export function BlockView({ block, context }: { block: Block; context: SheetContext }) {
  const kind = kindOf(block);
  if ('View' in kind) {
    return (
      <Suspense>
        <kind.View block={block} context={context} />
      </Suspense>
    );
  }
  return (
    <p className="flex items-center justify-between rounded-house border border-l-3 border-l-copper px-3 py-2">
      <span className="font-semibold">{kind.atWork(block)}</span>
      <span className="mono text-fine text-soft">{context.progress(block)}</span>
    </p>
  );
}
