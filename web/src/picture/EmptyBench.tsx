import { Clapperboard } from 'lucide-react';
import type { ReactNode } from 'react';

/** Before there is anything on the bench. */
export function EmptyBench({ children }: { children: ReactNode }) {
  return (
    <div className="flex h-full flex-col items-center justify-center gap-3 bg-stage p-8 text-center text-soft">
      <Clapperboard size={34} strokeWidth={1.3} aria-hidden />
      <p className="max-w-sm">{children}</p>
    </div>
  );
}
