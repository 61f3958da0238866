import { Lock } from 'lucide-react';
import type { Part } from '../core';

/** The parts in their order; those not open yet are locked. */
export function PartNav({
  parts,
  open,
  current,
  onGo,
}: {
  parts: Part[];
  open: number;
  current: number;
  onGo: (i: number) => void;
}) {
  return (
    <nav aria-label="Parts of the lab" className="flex items-center gap-0.5 overflow-x-auto">
      {parts.map((p, i) => (
        <button
          key={p.id}
          type="button"
          disabled={i >= open}
          aria-current={i === current ? 'step' : undefined}
          onClick={() => onGo(i)}
          className={
            'flex items-center gap-1.5 rounded-house px-2 py-1 whitespace-nowrap ' +
            'enabled:hover:bg-line/50 disabled:text-soft aria-[current=step]:font-bold ' +
            'aria-[current=step]:text-copper'
          }
        >
          {i >= open ? (
            <Lock size={13} aria-label="locked:" />
          ) : (
            <span
              aria-hidden
              className={
                `inline-block h-2.5 w-2.5 rotate-45 ` +
                `${p.kind === 'predict' ? 'bg-plum' : i === current ? 'bg-copper' : 'border border-edge'}`
              }
            />
          )}
          {p.title}
        </button>
      ))}
    </nav>
  );
}
