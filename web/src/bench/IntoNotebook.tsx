import { NotebookPen } from 'lucide-react';
import { useState } from 'react';
import type { Failure, RunTable } from '../core';
import { Button, Trouble } from '../ui';

/** A run's table, or that of all trials, with what the notebook's own columns take besides. */
export type MakeTable = (takes: string[]) => RunTable | Failure;

/** What is said once rows went into the notebook. */
export interface Laid {
  trouble?: string;
  said?: string;
  /** Lays what the notebook's table has no column for into new ones. */
  rest?: () => Laid;
}

export type LayRows = (make: MakeTable) => Laid;

/** Takes rows into the notebook; says what became of them until something else is to be taken. */
export function useLaying(key: string) {
  const [laid, setLaid] = useState<{ key: string; laid: Laid } | null>(null);
  const now = laid?.key === key ? laid.laid : null;
  return { now, tell: (next: Laid) => setLaid({ key, laid: next }) };
}

/** The button. */
export function IntoNotebook({ disabled, onPress }: { disabled: boolean; onPress: () => void }) {
  return (
    <Button small kind="main" disabled={disabled} onClick={onPress}>
      <NotebookPen size={13} aria-hidden />
      Into the notebook
    </Button>
  );
}

/** What became of it. */
export function LaidWords({ now, tell }: { now: Laid | null; tell: (next: Laid) => void }) {
  return (
    <>
      <Trouble error={now?.trouble} />
      <p role="status" className="px-3 text-fine text-verdigris">
        {now?.said}
        {now?.rest && (
          <>
            {' '}
            <Button small onClick={() => tell(now.rest!())}>
              Give it new columns
            </Button>
          </>
        )}
      </p>
    </>
  );
}
