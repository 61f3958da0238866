import type { Pointed } from '../../core';
import type { SheetContext } from './kind';

export function Points({ of }: { of: number }) {
  return (
    <span className="text-fine font-normal whitespace-nowrap text-soft">
      {of === 1 ? `${of} point` : `${of} points`}
    </span>
  );
}

/** The teacher's mark and comment, and where a teacher gives them. */
export function MarkNote({ block, context }: { block: Pointed; context: SheetContext }) {
  const mark = context.marks[block.id];
  return (
    <>
      {mark && (
        <div className="rounded-house border-l-3 border-verdigris bg-stage px-3 py-2" data-testid="mark">
          <p className="font-semibold">
            <span className="mono">{mark.points}</span> of {block.points} points
          </p>
          {mark.comment && <p>{mark.comment}</p>}
        </div>
      )}
      {context.marking?.(block)}
    </>
  );
}
