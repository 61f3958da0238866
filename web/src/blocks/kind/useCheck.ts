import { useState } from 'react';
import type { Schemas } from '../../api/client';
import type { Question } from '../../core';
import type { SheetContext } from './kind';

/**
 * Has an answer checked; what was found of the same answer earlier stands until then.
 *
 * @param sent what is sent of it, where that isn't what a try is known by
 */
export function useCheck(block: Question, context: SheetContext, number: string, unit: string, sent = number) {
  const before = context.tried[block.id];
  const [found, setFound] = useState<Schemas['Checked'] | null>(null);
  const [error, setError] = useState<unknown>(null);
  const [busy, setBusy] = useState(false);
  const same = before && before.number === number && before.unit === unit ? before : null;
  return {
    error,
    busy,
    /** Whether this very answer was found right: there is nothing left to check. */
    done: (found ?? same)?.verdict === 'right',
    found: busy ? null : (found ?? same),
    left: found?.left ?? before?.left ?? block.tries,
    last: found ?? before,
    /** The answer has changed: what was found was of another one. */
    forget: () => setFound(null),
    async check() {
      setBusy(true);
      setError(null);
      try {
        setFound(await context.check(block.id, sent, unit));
      } catch (e) {
        setError(e);
      } finally {
        setBusy(false);
      }
    },
  };
}
