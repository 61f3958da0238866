import { Suspense } from 'react';
import type { Block, BlockOf } from '../core';
import type { SheetContext } from './kind/kind';
import { MarkNote, Points } from './kind/Marked';
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
    <>
      <p className="flex items-center justify-between gap-2 rounded-house border border-l-3 border-l-copper px-3 py-2">
        <span className="font-semibold">
          {kind.atWork(block)} {block.type === 'table' && block.points > 0 && <Points of={block.points} />}
        </span>
        <span className="mono text-fine text-soft">{context.progress(block)}</span>
      </p>
      {block.type === 'table' && block.points > 0 && <TableMark block={block} context={context} />}
    </>
  );
}

/** What a table brought when it was handed in, and what the teacher says of it. */
function TableMark({ block, context }: { block: BlockOf<'table'>; context: SheetContext }) {
  const found = context.tried[block.id];
  return (
    <>
      {found && (
        <p className="text-fine" data-testid="table-found">
          <span className="mono font-semibold">{found.points}</span> of {block.points} points as handed in:{' '}
          {found.feedback}
        </p>
      )}
      <MarkNote block={block} context={context} />
    </>
  );
}
