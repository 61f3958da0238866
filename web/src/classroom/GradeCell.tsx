import type { Schemas } from '../api/client';

type Cell = Schemas['GradeCell'];

/** What a cell says in words. */
export function wordsOf(cell: Cell, of: number): string {
  const brought = cell.points == null ? '' : `${cell.points} of ${of} points`;
  if (cell.excused) return `Excused: it doesn’t count${brought && ` (${brought})`}.`;
  if (cell.missing) return 'Missing: it was due and isn’t handed in. It counts, and brings nothing.';
  if (cell.state === 'NOT_STARTED') return 'Not started. It doesn’t count yet.';
  if (cell.state === 'WORKING') return `Working${brought && `, ${brought} so far`}. It doesn’t count yet.`;
  if (cell.state === 'RETURNED') return `Given back for another go, ${brought} so far.`;
  return (
    `Handed in${cell.late ? ', late' : ''}: ${brought || 'points are shown later'}` +
    `${cell.waiting ? ', something waits to be marked' : ''}.`
  );
}

function inCell(cell: Cell, percent: boolean) {
  if (cell.excused) return <span className="text-soft">exc.</span>;
  if (cell.missing) return <b className="text-copper">miss.</b>;
  if (cell.state === 'NOT_STARTED') return null;
  if (cell.state === 'WORKING') return <span className="text-soft">…</span>;
  return (
    <>
      {percent ? cell.percent : cell.points}
      {cell.late && <sup className="text-copper">L</sup>}
      {cell.state === 'RETURNED' && <span className="text-soft"> ↩</span>}
    </>
  );
}

/** A student's lab in a gradebook. */
export function GradeCell({
  cell,
  percent,
  label,
  onChoose,
}: {
  cell: Cell;
  percent: boolean;
  label: string;
  onChoose: () => void;
}) {
  return (
    <button
      type="button"
      aria-label={`${label}: ${wordsOf(cell, 0).replace(/ of 0 points/, ' points')}`}
      onClick={onChoose}
      className={`mono block h-8 w-full min-w-12 px-1 text-fine hover:bg-line/50 ${
        cell.waiting ? 'bg-wash shadow-[inset_0_-2px_var(--ochre)]' : ''
      }`}
    >
      {inCell(cell, percent)}
    </button>
  );
}

/** What the signs mean. */
export function GradeLegend() {
  return (
    <p className="mt-2 flex flex-wrap gap-x-5 text-fine text-soft">
      <span>
        <b className="mono text-copper">miss.</b> was due, counts as nothing
      </span>
      <span>
        <span className="mono">exc.</span> excused, doesn’t count
      </span>
      <span>
        <span className="mono">…</span> at work, doesn’t count yet
      </span>
      <span>
        <sup className="text-copper">L</sup> late
      </span>
      <span>↩ given back</span>
      <span>
        <span className="bg-wash px-1 shadow-[inset_0_-2px_var(--ochre)]">7</span> waits to be marked
      </span>
    </p>
  );
}
