import { useEffect, useMemo, useSyncExternalStore } from 'react';
import { Journal, type Slots } from '../notebook/journal';

/** The journal of a work; `live` false for a reader, whose page never writes. */
export function useJournal(work: string, kept: Slots, seen: number, live: boolean): Journal {
  // A new journal only for another work: the server's answer is its start, not its master.
  const journal = useMemo(() => new Journal(work, kept, seen), [work]);
  useEffect(() => {
    if (!live) return;
    void journal.open();
    return () => journal.close();
  }, [journal, live]);
  useSyncExternalStore(journal.subscribe, journal.all);
  useSyncExternalStore(journal.subscribe, journal.kept);
  return journal;
}
